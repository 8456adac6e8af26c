import { findWord, makeWordSearch, mirrored, type WordSearch } from '../../puzzles/word-search/index.ts';
import { randomStream } from '../../random.ts';
import { type Resources, words as wordBank } from '../../resources/index.ts';
import { directionOf } from '../../scene/index.ts';
import { gridWord } from '../../words/index.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import type { WordSearchOptions, WordSearchPin } from './options.ts';

export interface WordSearchItem {
  title?: string | undefined;
  /** As listed under the grid, in order. */
  words: { word: string; letters: readonly string[] }[];
  search: WordSearch;
  /** Words of the puzzle's own list that are longer than the grid. */
  tooLong: { word: string; letters: readonly string[] }[];
  /** How many words the puzzle was asked to have and its list could not give. */
  short: number;
}

export type Usable = WordSearchItem['words'][number];

interface Source {
  title?: string | undefined;
  usable: Usable[];
  tooLong: Usable[];
  /** A list made for this puzzle alone: a word it cannot hold is a fault, not a choice. */
  isDedicatedList: boolean;
}

/** Reading 5,000 words for each of 60 puzzles would be the cost of a preview; lists are immutable, so kept. */
const readLists = new WeakMap<readonly string[], Usable[]>();

function usableWords(list: readonly string[]): Usable[] {
  let read = readLists.get(list);
  if (!read) {
    const seen = new Set<string>();
    read = list.flatMap((word) => {
      const found = gridWord(word);
      if ('problem' in found || seen.has(found.letters.join(''))) return [];
      seen.add(found.letters.join(''));
      return [found];
    });
    readLists.set(list, read);
  }
  return read;
}

/** The lists that the puzzles of a section take their words from, in turn. */
export const listsOf = (
  { words }: WordSearchOptions,
  resources: Resources,
): readonly { title?: string | undefined; words: readonly string[] }[] =>
  'bank' in words ? [{ words: resources.value(wordBank, words.bank) }] : words.lists;

function sourceOf({
  options,
  resources,
  item,
}: FillContext<WordSearchOptions>): Source & { dealIndex: number } {
  const lists = listsOf(options, resources);
  const list = lists[(item - 1) % Math.max(1, lists.length)] ?? { words: [] };
  const room = Math.max(options.columns, options.rows);
  const all = usableWords(list.words);
  const isDedicatedList = !('bank' in options.words) && lists.length > 1;
  return {
    title: 'bank' in options.words ? undefined : list.title,
    usable: all.filter((word) => word.letters.length <= room),
    tooLong: all.filter((word) => word.letters.length > room),
    isDedicatedList,
    dealIndex: Math.floor((item - 1) / Math.max(1, lists.length)),
  };
}

export const inside = (part: Usable, whole: Usable): boolean => {
  const there = whole.letters.join('');
  return there.includes(part.letters.join('')) || there.includes([...part.letters].reverse().join(''));
};

/**
 * Deals the puzzle's words. A first draw comes from one shuffled deck of the list, so that a word returns only
 * when all have been used; a re-roll draws from the item's own stream. Words inside other words are passed over.
 */
function deal(context: FillContext<WordSearchOptions>, source: ReturnType<typeof sourceOf>): Usable[] {
  const { usable, dealIndex } = source;
  const [seed, section] = context.streamKey;
  const wanted = Math.min(context.options.wordsPerPuzzle, usable.length);
  if (wanted === 0) return [];
  const isDedicatedList = randomStream(seed, section, context.item, context.roll, 'words').shuffled(usable);
  const first: Usable[] = [];
  if (context.roll === 0) {
    const size = context.options.wordsPerPuzzle;
    const deckOf = (cycle: number) =>
      randomStream(seed, section, source.title ?? '', 'deck', cycle).shuffled(usable);
    for (let at = dealIndex * size; at < dealIndex * size + wanted; ) {
      const cycle = Math.floor(at / usable.length);
      const from = at % usable.length;
      const take = Math.min(usable.length - from, dealIndex * size + wanted - at);
      first.push(...deckOf(cycle).slice(from, from + take));
      at += take;
    }
  }
  const dealt: Usable[] = [];
  for (const word of [...first, ...isDedicatedList]) {
    if (dealt.length === wanted) break;
    if (!dealt.some((other) => other === word || inside(word, other) || inside(other, word)))
      dealt.push(word);
  }
  return dealt;
}

const inOrder = (words: Usable[]): Usable[] =>
  words.slice().sort((a, b) => (a.letters.join('') < b.letters.join('') ? -1 : 1));

/**
 * Makes one puzzle: from its pin if it has one, otherwise from the settings and its own random stream. Words of scripts that run
 * to the left do so in the grid as well.
 */
export function fillWordSearch(context: FillContext<WordSearchOptions>): WordSearchItem {
  const item = fillFromTheLeft(context);
  const toTheLeft = item.words.some(({ word }) => directionOf(word) === 'rtl');
  return toTheLeft ? { ...item, search: mirrored(item.search) } : item;
}

/** As the first version made all puzzles, whatever the script. */
export function fillFromTheLeft(context: FillContext<WordSearchOptions>): WordSearchItem {
  const [seed, section] = context.streamKey;
  const pin = context.pin as WordSearchPin | undefined;
  const source = pin ? undefined : sourceOf(context);
  const words = pin ? usableWords(pin.words) : inOrder(deal(context, source!));
  const { columns, rows, directions } = pin ?? context.options;
  const roll = pin?.roll ?? context.roll;
  const search = makeWordSearch(
    { columns, rows, directions, words },
    randomStream(seed, section, context.item, roll, 'grid'),
  );
  return {
    title: pin ? pin.title : source!.title,
    words,
    search,
    tooLong: source?.isDedicatedList ? source.tooLong : [],
    short: source && !source.isDedicatedList ? context.options.wordsPerPuzzle - words.length : 0,
  };
}

export function pinnedWordSearch(context: FillContext<WordSearchOptions>): WordSearchPin {
  const { title, words, search } = fillWordSearch(context);
  return {
    ...(title ? { title } : {}),
    words: words.map(({ word }) => word),
    columns: search.columns,
    rows: search.rows,
    directions: context.options.directions,
    roll: context.roll,
  };
}

/** Looks for every listed word with the independent search, and for words the grid could not hold. */
export function inspectWordSearch(
  item: WordSearchItem,
  { number, label }: { number: number; label: string },
): ItemProblem[] {
  const { search } = item;
  const wide = Math.max(search.columns, search.rows);
  const problems: ItemProblem[] = [];
  const fix = (message: string) => problems.push({ severity: 'fix', message: `${label}: ${message}` });
  // Without words there is nothing to look for; why, is said once for all puzzles: see lists.ts.
  for (const { word, letters } of item.tooLong) {
    const remedy =
      letters.length <= 30 ? `Use a ${letters.length}-letter grid or remove the word.` : 'Remove the word.';
    fix(`${word.toUpperCase()} has ${letters.length} letters, the grid is ${wide} wide. ${remedy}`);
  }
  for (const { word, letters } of item.words) {
    const name = word.toUpperCase();
    const times = findWord(search, letters).length;
    if (search.leftOut.includes(word)) {
      const holder = item.words.find((other) => other.word !== word && inside({ word, letters }, other));
      if (holder) fix(`${name} is also inside ${holder.word.toUpperCase()}. Remove one of them.`);
      else fix(`${name} does not fit. Use a larger grid, fewer words or more directions.`);
    } else if (times !== 1) fix(`${name} appears ${times} times. Re-roll the puzzle.`);
  }
  // One list serves all puzzles of the section: said once.
  if (item.short > 0 && number === 1) {
    problems.push({
      severity: 'look',
      message: `From ${label.toLowerCase()}: the list gives ${item.words.length} of the ${item.words.length + item.short} words asked for. Add words or ask for fewer.`,
    });
  }
  return problems;
}
