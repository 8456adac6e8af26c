import * as v from 'valibot';
import { makeWordSearch } from '../../puzzles/word-search/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { FillContext } from '../kind.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { answerSetting, waysSetting } from '../puzzle/hidden-grid.ts';
import type { WordSearchItem } from '../word-search/earlier/fill.ts';
import { directions, directionsSetting } from '../word-search/earlier/options.ts';

const side = integerBetween(8, 30);
const digits = integerBetween(3, 8);

/** What puzzles are made by. */
const making = {
  columns: setting(side, 16, { label: 'Columns', help: 'Digits across the grid.' }),
  rows: setting(side, 16, { label: 'Rows', help: 'Digits down the grid.' }),
  numbers: setting(integerBetween(8, 30), 20, { label: 'Numbers per puzzle' }),
  shortest: setting(digits, 4, { label: 'Shortest number', unit: 'digits' }),
  longest: setting(digits, 7, { label: 'Longest number', unit: 'digits' }),
  directions: directionsSetting(),
};

/** The options of version 1. */
export const firstOptions = exactObject(making);
export const numberSearchOptions = exactObject({
  ...making,
  answer: answerSetting(),
  instructions: waysSetting('numbers'),
  heading: headingSetting(),
});
export type FirstOptions = v.InferOutput<typeof firstOptions>;
export type NumberSearchOptions = v.InferOutput<typeof numberSearchOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const numberSearchPin = exactObject({
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
function drawnNumbers({ numbers, shortest, longest }: FirstOptions, random: RandomStream): string[] {
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
export function pinnedNumbers({
  options,
  streamKey,
  item,
  roll,
}: FillContext<FirstOptions>): NumberSearchPin {
  const { columns, rows, directions: ways } = options;
  const numbers = drawnNumbers(options, randomStream(...streamKey, item, roll, 'numbers'));
  return { numbers, columns, rows, directions: ways, roll };
}

export function fillNumbers(context: FillContext<FirstOptions>): WordSearchItem {
  const { numbers, roll, ...order } = (context.pin as NumberSearchPin | undefined) ?? pinnedNumbers(context);
  const words = numbers.map((number) => ({ word: number, letters: [...number] }));
  const random = randomStream(...context.streamKey, context.item, roll, 'grid');
  return { words, search: makeWordSearch({ ...order, words }, random), tooLong: [], short: 0 };
}
