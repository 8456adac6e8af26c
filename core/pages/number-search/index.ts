import * as v from 'valibot';
import { makeWordSearch } from '../../puzzles/word-search/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { wordListFormat } from '../item-formats.ts';
import { type DrawContext, defineKind, type FillContext, itemUnits } from '../kind.ts';
import { twiceProblems } from '../puzzle/judged.ts';
import { wordSearchData } from '../word-search/earlier/data.ts';
import { drawWordSearchPage } from '../word-search/earlier/draw.ts';
import { inspectWordSearch, type WordSearchItem } from '../word-search/earlier/fill.ts';
import { wordSearchLayout } from '../word-search/earlier/layout.ts';
import { directions, directionsSetting, type WordSearchOptions } from '../word-search/earlier/options.ts';
import { drawWordSearchSolution } from '../word-search/earlier/solution.ts';

const side = integerBetween(8, 30);
const digits = integerBetween(3, 8);

const numberSearchOptions = exactObject({
  columns: setting(side, 16, { label: 'Columns', help: 'Digits across the grid.' }),
  rows: setting(side, 16, { label: 'Rows', help: 'Digits down the grid.' }),
  numbers: setting(integerBetween(8, 30), 20, { label: 'Numbers per puzzle' }),
  shortest: setting(digits, 4, { label: 'Shortest number', unit: 'digits' }),
  longest: setting(digits, 7, { label: 'Longest number', unit: 'digits' }),
  directions: directionsSetting(),
});
type NumberSearchOptions = v.InferOutput<typeof numberSearchOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const numberSearchPin = exactObject({
  numbers: v.pipe(
    v.array(v.pipe(v.string(), v.regex(/^[0-9]{3,8}$/, 'is no number of 3 to 8 digits.'))),
    v.maxLength(30),
  ),
  columns: side,
  rows: side,
  directions,
  roll: integerBetween(0, 1_000_000),
});
type NumberSearchPin = v.InferOutput<typeof numberSearchPin>;

/** Numbers none of which can be read in another one, in either direction. */
function drawnNumbers({ numbers, shortest, longest }: NumberSearchOptions, random: RandomStream): string[] {
  const [least, most] = [Math.min(shortest, longest), Math.max(shortest, longest)];
  const drawn: { there: string; back: string }[] = [];
  while (drawn.length < numbers) {
    const length = least + random.int(most - least + 1);
    const there = Array.from({ length }, (_, i) => (i ? random.int(10) : 1 + random.int(9))).join('');
    const back = [...there].reverse().join('');
    const clashes = (other: (typeof drawn)[number]) =>
      other.there.includes(there) ||
      other.there.includes(back) ||
      there.includes(other.there) ||
      there.includes(other.back);
    if (there !== back && !drawn.some(clashes)) drawn.push({ there, back });
  }
  return drawn.map(({ there }) => there).sort((a, b) => a.length - b.length || (a < b ? -1 : 1));
}

/** What a pinned puzzle is made from. */
function pinned({ options, streamKey, item, roll }: FillContext<NumberSearchOptions>): NumberSearchPin {
  const { columns, rows, directions: ways } = options;
  const numbers = drawnNumbers(options, randomStream(...streamKey, item, roll, 'numbers'));
  return { numbers, columns, rows, directions: ways, roll };
}

function fill(context: FillContext<NumberSearchOptions>): WordSearchItem {
  const { numbers, roll, ...order } = (context.pin as NumberSearchPin | undefined) ?? pinned(context);
  const words = numbers.map((number) => ({ word: number, letters: [...number] }));
  const random = randomStream(...context.streamKey, context.item, roll, 'grid');
  return { words, search: makeWordSearch({ ...order, words }, random), tooLong: [], short: 0 };
}

/** As options of a word search, whose pages these are. */
const asSearch = <Context extends { options: NumberSearchOptions }>(
  context: Context,
): Omit<Context, 'options'> & { options: WordSearchOptions } => {
  const { columns, rows, directions: ways, numbers } = context.options;
  const options: WordSearchOptions = {
    ...{ columns, rows, directions: ways },
    wordsPerPuzzle: numbers,
    words: { lists: [] },
  };
  return { ...context, options };
};

const drawPage = drawWordSearchPage(wordSearchLayout);

export const numberSearch = defineKind<NumberSearchOptions, WordSearchItem>({
  id: 'number-search',
  version: 1,
  name: 'Number search',
  purpose: 'Numbers hidden in a grid of digits, with solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Number search' }],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  options: numberSearchOptions,
  itemName: 'puzzle',
  units: ({ count }) => itemUnits(count),
  fill,
  pin: { schema: numberSearchPin, of: pinned },
  data: wordSearchData,
  formats: [wordListFormat(({ words }: WordSearchItem) => words.map(({ word }) => word))],
  draw: (context: DrawContext<NumberSearchOptions, WordSearchItem>) => drawPage(asSearch(context)),
  solution: { box: (placed, box, context) => drawWordSearchSolution(placed, box, asSearch(context)) },
  inspect: inspectWordSearch,
  inspectSection: (items) => twiceProblems(items, ({ search }) => search.letters.join('')),
});
