import pluralize from 'pluralize';
import { gridWord } from '../words/index.ts';
import type { Lexicon } from './lexicon.ts';

/** Letters of the longest topic that is looked up. */
export const MOST_TOPIC = 60;
/** Letters that a word may have, as a grid holds it. */
export const TOPIC_LETTERS = { fewest: 2, most: 24 } as const;

/** How well known a word is: the highest level of SCOWL for it, and for each part of a phrase. */
export const FAMILIARITY = {
  everyday: { words: 35, parts: 35 },
  common: { words: 50, parts: 40 },
  wide: { words: 60, parts: 40 },
  all: { words: 100, parts: 70 },
} as const;
export type Familiarity = keyof typeof FAMILIARITY;

export interface TopicFilter {
  familiarity: Familiarity;
  /** Letters as they stand in a grid, both included. */
  shortest: number;
  longest: number;
  /** Of more than one word: “bird of prey”. */
  phrases: boolean;
  /** Of single things: places, stars, ships. People are never offered: a book must not use their names unasked. */
  names: boolean;
  /** “?” for one letter, “*” for any; empty for all words. */
  pattern: string;
  /** A word may be in the list of everything and in that of its kind. Otherwise each is in one list only. */
  repeats: boolean;
  /** Smaller groups join the group above. */
  smallest: number;
}

export const USUAL_FILTER: TopicFilter = {
  familiarity: 'common',
  shortest: 3,
  longest: 14,
  phrases: true,
  names: true,
  pattern: '',
  repeats: false,
  smallest: 12,
};

/** A meaning that a topic may have. */
export interface TopicSense {
  synset: number;
  words: string[];
  definition: string;
  /** Kinds of it, of all levels. */
  kinds: number;
}

export interface TopicList {
  title: string;
  /** In small letters but for names; by the alphabet. */
  words: string[];
  /** What they are to the topic. */
  how: 'kinds' | 'parts' | 'around';
}

/** Words whose definition speaks of the topic; further ones speak of it by the way. */
const MOST_AROUND = 80;
/** Shown senses of a topic. */
const MOST_SENSES = 12;
/** A sense that is used this rarely among those of a word is not what a reader thinks of. Found by trials. */
const LEAST_SHARE = 0.15;
const LAST_RANK = 2;
/** Definitions that call a word an insult or a trade name, or that are none of a puzzle's. */
export const UNFIT =
  /\b(ethnic slur|offensive|disparaging|derogatory|obscene|vulgar|slang for|coitus|sexual|prostitut\w+|genital\w*|feces|excrement|trade ?names?|trademark\w*)\b/i;

/**
 * Meanings of a topic as somebody types it, in the singular or the plural, the most usual first.
 * An empty list where it is no noun of the lexicon.
 */
export function topicSenses(lexicon: Lexicon, topic: string): TopicSense[] {
  const nouns = topicForms(topic)
    .flatMap(lexicon.find)
    .flatMap((id) => lexicon.senses(id).map(({ synset }) => synset))
    .filter((synset) => lexicon.kind(synset) === 0 && !UNFIT.test(lexicon.definition(synset)));
  return [...new Set(nouns)].slice(0, MOST_SENSES).map((synset) => ({
    synset,
    words: lexicon.members(synset).map(lexicon.word),
    definition: lexicon.definition(synset),
    kinds: kindsBelow(lexicon, synset).size,
  }));
}

/** The sense to begin with: of the three most usual ones the one with most kinds, since a list is what is asked for. */
export const likelySense = (senses: readonly TopicSense[]): TopicSense | undefined =>
  senses
    .slice(0, 3)
    .reduce<TopicSense | undefined>(
      (best, sense) => (best && best.kinds >= sense.kinds ? best : sense),
      undefined,
    );

/** “Birds of prey”, “bird of prey”: the noun that is counted stands first before “of”, otherwise last. */
export function topicForms(topic: string): string[] {
  const text = topic.trim().replace(/\s+/g, ' ');
  return [...new Set([counted(text, pluralize.singular), text])];
}

function counted(phrase: string, change: (word: string) => string): string {
  const [head, ...rest] = phrase.split(/ (?=of |in |on )/);
  const words = head!.split(' ');
  return [[...words.slice(0, -1), change(words.at(-1)!)].join(' '), ...rest].join(' ');
}

/** The title of a list of the kinds of something. */
const titled = (word: string): string => capitalized(counted(word, pluralize.plural));
const capitalized = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** A meaning and all that are kinds or instances of it. */
function kindsBelow(lexicon: Lexicon, root: number): Set<number> {
  const found = new Set([root]);
  for (const synset of found) for (const below of lexicon.pointed(synset, '~', '~i')) found.add(below);
  return found;
}

const people = new WeakMap<Lexicon, Set<number>>();

/** All that are kinds of a person, and everybody who is one. */
function peopleOf(lexicon: Lexicon): Set<number> {
  const known = people.get(lexicon);
  if (known) return known;
  const [person] = lexicon.find('person').flatMap((id) => lexicon.senses(id));
  const found = person ? kindsBelow(lexicon, person.synset) : new Set<number>();
  people.set(lexicon, found);
  return found;
}

/** Which words of a meaning are fit for a puzzle: known well enough, mostly meant so, not offensive, and of the asked form. */
function fitWords(lexicon: Lexicon, filter: TopicFilter): (synset: number) => string[] {
  const { words: mostLevel, parts: mostParts } = FAMILIARITY[filter.familiarity];
  const people = peopleOf(lexicon);
  // A place, a star; not the Latin name of a family of plants.
  const isOneThing = (synset: number) => lexicon.pointed(synset, '@i').length > 0;
  const suited = (id: number, synset: number): string | null => {
    const word = lexicon.word(id);
    const isPhrase = /[ -]/.test(word);
    const isName = /^[A-Z]/.test(word);
    if ((isPhrase && !filter.phrases) || (isName && !filter.names)) return null;
    const level = lexicon.level(id);
    const most = isPhrase ? mostParts : mostLevel;
    const known = level > 0 && level <= most;
    if (isName ? !(known || isOneThing(synset)) : !known && filter.familiarity !== 'all') return null;
    // “Bach” is his music as well; “France” is a place, whoever else has that name.
    const isSomebody = () =>
      lexicon.senses(id).some((sense) => isOneThing(sense.synset) && people.has(sense.synset));
    if (isName && !isOneThing(synset) && isSomebody()) return null;
    if (!lexicon.american(id)) return null;
    const read = gridWord(word);
    if (!('letters' in read)) return null;
    if (read.letters.length < filter.shortest || read.letters.length > filter.longest) return null;
    if (!fitsPattern(read.letters.join(''), filter.pattern)) return null;
    const nouns = lexicon.senses(id).filter((sense) => lexicon.kind(sense.synset) === lexicon.kind(synset));
    const rank = nouns.findIndex((sense) => sense.synset === synset);
    const tags = nouns.reduce((sum, sense) => sum + sense.tags, 0);
    if (rank >= LAST_RANK || (tags > 0 && nouns[rank]!.tags / tags < LEAST_SHARE)) return null;
    return word;
  };
  return (synset) => {
    if (UNFIT.test(lexicon.definition(synset)) || (isOneThing(synset) && people.has(synset))) return [];
    const words = lexicon.members(synset).flatMap((id) => suited(id, synset) ?? []);
    const singles = words.filter((word) => !/[ -]/.test(word));
    // One phrase for a meaning is enough, and none where a single word says it.
    const shown = singles.length ? singles : words.slice(0, 1);
    // Of a country the usual name, not what it is called elsewhere or was once.
    return isOneThing(synset) ? shown.slice(0, 1) : shown;
  };
}

/**
 * Whether letters are those of a pattern, “?” standing for one and “*” for any number of them. Goes back to the last star alone, so that
 * no pattern takes long (Krauss 2008).
 */
export function fitsPattern(letters: string, pattern: string): boolean {
  const wanted = pattern.toUpperCase().replace(/[^\p{L}?*]/gu, '');
  if (!wanted) return true;
  let [at, of, star, after] = [0, 0, -1, 0];
  while (at < letters.length) {
    if (wanted[of] === '*') {
      star = of++;
      after = at;
    } else if (wanted[of] === '?' || wanted[of] === letters[at]) {
      of++;
      at++;
    } else if (star >= 0) {
      of = star + 1;
      at = ++after;
    } else return false;
  }
  while (wanted[of] === '*') of++;
  return of === wanted.length;
}

const alphabetical = (words: Iterable<string>) =>
  [...new Set(words)].sort((a, b) => a.localeCompare(b, 'en'));

/**
 * Titled lists of words for a meaning: its kinds, in groups by the database's own tree; its parts; and words whose definition speaks of
 * it. By default no word is in two lists.
 * @param bar is a word left out? for words that could offend
 */
export function topicLists(
  lexicon: Lexicon,
  topic: string,
  root: number,
  filter: TopicFilter,
  bar: (word: string) => boolean,
): TopicList[] {
  const name = topic.trim().toLowerCase();
  const fitAny = fitWords(lexicon, filter);
  const suited = (synset: number) => fitAny(synset).filter((word) => !bar(word));
  const lists = groups(lexicon, root, suited, filter).map(
    ({ synset, words }): TopicList => ({
      title: synset === root ? capitalized(topic.trim()) : titled(lexicon.word(lexicon.members(synset)[0]!)),
      words: alphabetical(words),
      how: 'kinds',
    }),
  );
  const used = new Set(lists.flatMap(({ words }) => words));
  const further = (how: TopicList['how'], title: string, synsets: readonly number[], most: number) => {
    const fresh = new Set<string>();
    for (const word of synsets.flatMap(suited))
      if (fresh.size < most && (filter.repeats || !used.has(word))) fresh.add(word);
    if (fresh.size < filter.smallest) return;
    for (const word of fresh) used.add(word);
    lists.push({ title, words: alphabetical(fresh), how });
  };
  const own = [root, ...lexicon.pointed(root, '~')];
  const parts = own.flatMap((synset) => lexicon.pointed(synset, '%m', '%s', '%p'));
  further('parts', `Parts of ${name}`, parts, Number.POSITIVE_INFINITY);
  further('around', `Around ${name}`, around(lexicon, root), MOST_AROUND);
  return lists;
}

interface Group {
  synset: number;
  words: string[];
}

/** The tree of kinds, cut where a branch has enough words to be a list of its own. */
function groups(
  lexicon: Lexicon,
  root: number,
  suited: (synset: number) => string[],
  { smallest, repeats }: TopicFilter,
): Group[] {
  const seen = new Set<number>();
  const used = new Set<string>();
  const closed: Group[] = [];
  // “buzzard” is a hawk in one place and a vulture in another.
  const fresh = (synset: number) =>
    suited(synset).filter((word) => repeats || (!used.has(word) && used.add(word)));
  const visit = (synset: number): Set<string> => {
    if (seen.has(synset)) return new Set();
    seen.add(synset);
    const open = new Set(synset === root ? [] : fresh(synset));
    const before = closed.length;
    for (const below of lexicon.pointed(synset, '~', '~i')) for (const word of visit(below)) open.add(word);
    if (synset === root) return open;
    const words = repeats
      ? new Set([...open, ...closed.slice(before).flatMap((group) => group.words)])
      : open;
    if (open.size < smallest) return open;
    closed.push({ synset, words: [...words] });
    return new Set();
  };
  const rest = visit(root);
  const all = repeats ? new Set([...rest, ...closed.flatMap(({ words }) => words)]) : rest;
  const largest = closed.sort((a, b) => b.words.length - a.words.length);
  return all.size ? [{ synset: root, words: [...all] }, ...largest] : largest;
}

/**
 * Meanings in the field of one, or whose definition speaks of it: those that speak of it first, since the end of a definition is
 * often a side remark. Names are left out: they are people and places that had to do with it.
 */
function around(lexicon: Lexicon, root: number): number[] {
  const nearby = [root, ...lexicon.pointed(root, '+')];
  const forms = nearby
    .flatMap((synset) => lexicon.members(synset).map(lexicon.word))
    .filter((word) => word.length >= 3)
    .flatMap((word) => [word, counted(word, pluralize.plural)]);
  const unique = [...new Set(forms)];
  const field = nearby.flatMap((synset) => lexicon.pointed(synset, '-c'));
  const where = new Map(lexicon.mentioning(unique).map(({ synset, at }) => [synset, at]));
  const spoken = [...where].sort((a, b) => a[1] - b[1]).map(([synset]) => synset);
  return [...new Set([...field, ...spoken])].filter(
    (synset) => lexicon.kind(synset) === 0 && lexicon.pointed(synset, '@i').length === 0,
  );
}
