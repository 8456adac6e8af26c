import type { RandomStream } from '../../../random.ts';
import { knownWord, type Vocabulary, vocabularyOf } from '../../vocabulary/index.ts';
import type { Crossword } from '../grid.ts';
import { type Dictionary, dictionaryOf, withWords } from './dictionary.ts';
import { fillSteps } from './fill.ts';
import { type Pattern, type PatternOrder, patternOf, runs } from './pattern.ts';

export interface DenseOrder {
  /** 7 to 21. */
  columns: number;
  rows: number;
  /** Words of the publisher, capitals A to Z; as many are placed as fit. */
  first: readonly string[];
  vocabulary: Vocabulary;
}

/** Sides of a grid, in cells. */
export const DENSE_SIDES = { min: 7, max: 21 } as const;

const LONGEST = 11;
/** Of a publisher's word; more than that of any other. */
const FIRST_SCORE = 150;
/** Patterns that are tried with as many blocks, before there are two more. */
const PATTERNS = 6;
const ATTEMPTS = 36;
/** With words to be placed, so many more of the cells are blocks. */
const EASED = 0.025;
/** Of all words of a grid, so many are the publisher’s at first; fewer with every attempt, none at last. */
const SHARE_FIRST = 0.08;
const LAST_WITH_FIRST = 12;
/** Patterns of which the one is taken that has places for most of the publisher's words. */
const CHOICE = 3;

const dictionaries = new Map<Vocabulary, Dictionary>();

/** The words of a vocabulary on their shelves, made once. */
function dictionaryFor(vocabulary: Vocabulary): Dictionary {
  const known = dictionaries.get(vocabulary) ?? dictionaryOf(vocabularyOf(vocabulary));
  dictionaries.set(vocabulary, known);
  return known;
}

/** Share of blocks, by what trials filled fast at that size. */
const blocksFor = (cells: number): number =>
  Math.round(cells * (cells < 60 ? 0.17 : cells < 100 ? 0.2 : cells < 300 ? 0.187 : 0.195));

/**
 * A grid whose cells are all crossed, the same when it is turned by half, filled with the publisher's words as far as they fit and
 * with everyday words.
 * @returns null where none was found; the words of its entries are by their place in `words`
 */
export function* denseSteps(
  { columns, rows, first, vocabulary }: DenseOrder,
  random: RandomStream,
): Generator<void, { grid: Crossword; words: string[] } | null> {
  const own = first.map((letters) => knownWord(letters, FIRST_SCORE));
  const dictionary = withWords(dictionaryFor(vocabulary), own);
  const longest = Math.max(LONGEST, ...first.map(({ length }) => length));
  for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
    const eased = first.length ? EASED * columns * rows : 0;
    const blocks = Math.round(blocksFor(columns * rows) + eased) + 2 * Math.floor(attempt / PATTERNS);
    const pattern = yield* chosenPattern({ columns, rows, blocks, longest }, first, random);
    if (!pattern) continue;
    const most = Math.ceil(runs(pattern).length * SHARE_FIRST * Math.max(0, 1 - attempt / LAST_WITH_FIRST));
    const found = yield* fillSteps(pattern, dictionary, first, most, random);
    if (found) return { grid: gridOf(pattern, found), words: found };
  }
  return null;
}

/** A pattern; where there are words to be placed, one of several that has places for most of them. */
function* chosenPattern(
  order: PatternOrder,
  words: readonly string[],
  random: RandomStream,
): Generator<void, Pattern | null> {
  let best: Pattern | null = null;
  let most = -1;
  for (let i = 0; i < (words.length ? CHOICE : 1); i++) {
    const pattern = patternOf(order, random);
    yield;
    const held = pattern ? placesFor(words, pattern) : -1;
    if (held <= most) continue;
    most = held;
    best = pattern;
  }
  return best;
}

/** How many words have a place of their length. */
function placesFor(words: readonly string[], pattern: Pattern): number {
  const places = new Map<number, number>();
  for (const { length } of runs(pattern)) places.set(length, (places.get(length) ?? 0) + 1);
  return words.filter(({ length }) => {
    const left = places.get(length) ?? 0;
    if (left) places.set(length, left - 1);
    return left > 0;
  }).length;
}

function gridOf(pattern: Pattern, words: readonly string[]): Crossword {
  const { columns, rows } = pattern;
  const letters: (string | null)[] = Array(columns * rows).fill(null);
  const entries = runs(pattern).map((cells, word) => {
    cells.forEach((at, i) => {
      letters[at] = words[word]![i]!;
    });
    const [first, second] = cells as [number, number];
    return { word, column: first % columns, row: Math.floor(first / columns), across: second === first + 1 };
  });
  return { columns, rows, letters, entries };
}
