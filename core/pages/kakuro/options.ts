import * as v from 'valibot';
import { troubleOf } from '../../puzzles/kakuro/index.ts';
import { byKey, enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const side = integerBetween(5, 15);

export const kakuroOptions = exactObject({
  columns: setting(side, 9, { label: 'Columns', help: 'With the first, which has sums alone.' }),
  rows: setting(side, 9, { label: 'Rows', help: 'With the first, which has sums alone.' }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6]), 2, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type KakuroOptions = v.InferOutput<typeof kakuroOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  columns: side,
  rows: side,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

/** A puzzle as it was changed by hand: its digits row by row, `.` for a cell that takes none. */
const givenPin = v.pipe(
  exactObject({
    columns: side,
    rows: side,
    solution: v.pipe(v.string(), v.regex(/^[.1-9]+$/, 'has other signs than 1 to 9 and dots.')),
  }),
  v.check(
    ({ columns, rows, solution }) => solution.length === columns * rows,
    'has more or fewer characters than cells.',
  ),
  v.check((grid) => !troubleOf(grid), 'has digits that are not in two sums each, or twice in one sum.'),
);

export const kakuroPin = byKey('solution', givenPin, madePin);

export type KakuroMade = v.InferOutput<typeof madePin>;
export type KakuroGiven = v.InferOutput<typeof givenPin>;
export type KakuroPin = KakuroMade | KakuroGiven;
