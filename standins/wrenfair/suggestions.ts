import { BOOKS, type Cell, cellsOf, normal } from './catalog/make.ts';
import { stream } from './catalog/stream.ts';
import { AUDIENCES } from './catalog/vocabulary.ts';

export interface Suggestion {
  phrase: string;
  /** Times a month that it is typed. */
  volume: number;
}

const ASKED_FOR = [...new Set(AUDIENCES)].filter(Boolean);
const BEFORE = ['large print ', 'easy ', 'hard ', 'big ', 'best ', 'funny ', 'cute ', 'spiral ', 'pocket '];
const AFTER = [
  ' large print',
  ' pocket size',
  ' spiral bound',
  ' gift',
  ' 100 pages',
  ' 2027',
  ' for beginners',
  ' with solutions',
  ' undated',
  ' a5',
  ' bulk',
  ' jumbo',
  ' quiet',
  ' vintage',
  ' nature',
  ' keepsake',
  ' organizer',
  ' zipped',
];

/** Searches a month for a wanted book: so many people look for one for each book that is made, wanted as others are. */
const SEARCHES_A_BOOK = 9;

/**
 * What people type into the shop, invented: topics, kinds, and what they add to them. Buyers search for what they buy:
 * what is wanted in a cell is typed more, give or take; some of what they add no book says.
 */
export function makeQueryLog(cells: readonly Cell[] = cellsOf(), seed = 4621): Suggestion[] {
  const { unit, pick } = stream(seed);
  const log = new Map<string, number>();
  const add = (phrase: string, volume: number) => {
    const tidy = phrase.toLowerCase().replace(/’/g, '').replace(/\s+/g, ' ').trim();
    log.set(tidy, Math.max(log.get(tidy) ?? 0, Math.round(volume)));
  };
  const weights = cells.reduce((sum, { weight }) => sum + weight, 0);
  for (const topic of new Set(cells.map(({ about }) => about))) {
    const inTopic = cells.filter(({ about }) => about === topic);
    for (const word of topic.words) {
      add(word, topic.weight * (40 + 200 * unit()));
      for (const { kind, wanted, weight } of inTopic) {
        const made = (BOOKS * weight) / weights;
        const base = SEARCHES_A_BOOK * made * wanted * Math.exp(0.4 * normal(unit)) * (0.5 + unit());
        const name = kind.titles[0]!;
        add(`${word} ${name}`, base);
        add(`${word} ${pick(kind.titles)}`, base * 0.6);
        for (const audience of ASKED_FOR)
          if (unit() < 0.45) add(`${word} ${name}${audience}`, base * 0.35 * (0.1 + unit() ** 2));
        for (const before of BEFORE)
          if (unit() < 0.3) add(`${before}${word} ${name}`, base * 0.35 * unit() ** 2);
        for (const after of AFTER)
          if (unit() < 0.3) add(`${word} ${name}${after}`, base * 0.25 * unit() ** 2);
      }
    }
  }
  return [...log]
    .map(([phrase, volume]) => ({ phrase, volume }))
    .filter(({ volume }) => volume > 0)
    .sort((a, b) => (a.phrase < b.phrase ? -1 : 1));
}

/** Suggestions as one types: every typed word begins a word of the phrase; most typed first. */
export function makeSuggestions(log: readonly Suggestion[]) {
  const phrasesWith = new Map<string, number[]>();
  log.forEach(({ phrase }, at) => {
    for (const word of new Set(phrase.split(' '))) {
      const list = phrasesWith.get(word);
      if (list) list.push(at);
      else phrasesWith.set(word, [at]);
    }
  });
  const vocabulary = [...phrasesWith.keys()];
  const beginningWith = (part: string): Set<number> =>
    new Set(vocabulary.filter((word) => word.startsWith(part)).flatMap((word) => phrasesWith.get(word)!));
  return (start: string, limit: number): Suggestion[] => {
    const typed = start.toLowerCase().replace(/[’']/g, '').split(/\s+/).filter(Boolean);
    const [fewest, ...others] = typed.map(beginningWith).sort((a, b) => a.size - b.size);
    return [...(fewest ?? [])]
      .filter((at) => others.every((found) => found.has(at)))
      .sort((a, b) => log[b]!.volume - log[a]!.volume || a - b)
      .slice(0, limit)
      .map((at) => log[at]!);
  };
}
