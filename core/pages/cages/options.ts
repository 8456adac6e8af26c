import * as v from 'valibot';
import { CAGE_SIZES, CALCULATIONS, OPERATIONS, operationsOf } from '../../puzzles/cages/index.ts';
import { partsGrid } from '../../puzzles/groups.ts';
import { byKey, enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const size = enumOf(CAGE_SIZES);
const calculation = enumOf(CALCULATIONS);

export const cagesOptions = exactObject({
  size: setting(size, 6, {
    label: 'Size',
    values: Object.fromEntries(CAGE_SIZES.map((n) => [n, `${n} × ${n}`])),
  }),
  calculation: setting(calculation, 'all', {
    label: 'Calculations',
    values: {
      sums: 'Sums',
      'sums-differences': 'Sums and differences',
      all: 'Sums, differences, products, quotients',
    },
  }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6]), 4, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type CagesOptions = v.InferOutput<typeof cagesOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  size,
  calculation,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

/** Cells of a cage that was changed by hand: with more, its results could be made in too many ways to look through. */
export const MOST_CELLS = 5;
const LARGEST = Math.max(...CAGE_SIZES);

/** Whether numbers from 1 on stand once in every row and column. */
const isLatin = (side: number, numbers: string): boolean =>
  Array.from({ length: side }, (_, i) => i).every((i) =>
    [(at: number) => numbers[i * side + at], (at: number) => numbers[at * side + i]].every(
      (of) => new Set(Array.from({ length: side }, (_, at) => of(at))).size === side,
    ),
  );

/** A puzzle as it was changed by hand. */
const givenPin = v.pipe(
  exactObject({
    size,
    /** Numbers row by row. */
    solution: v.pipe(v.string(), v.regex(/^[1-7]+$/, 'has other signs than 1 to 7.')),
    cages: v.pipe(
      v.array(
        exactObject({
          cells: v.pipe(
            v.array(integerBetween(0, LARGEST * LARGEST - 1)),
            v.minLength(1, 'is empty.'),
            v.maxLength(MOST_CELLS, `should have ${MOST_CELLS} cells at most.`),
          ),
          operation: v.nullable(enumOf(OPERATIONS)),
        }),
      ),
      v.maxLength(LARGEST * LARGEST),
    ),
  }),
  v.check(
    ({ size: side, solution }) =>
      solution.length === side * side &&
      [...solution].every((number) => Number(number) <= side) &&
      isLatin(side, solution),
    'has a solution that is no square with every number once in each row and column.',
  ),
  v.check(
    ({ size: side, cages }) =>
      partsGrid(
        side,
        side * side,
        cages.map(({ cells }) => cells),
      ),
    'has a cell in no cage, in two, or a cage that does not hang together.',
  ),
  v.check(
    ({ solution, cages }) =>
      cages.every(({ cells, operation }) =>
        operation === null
          ? cells.length === 1
          : operationsOf(cells.map((at) => Number(solution[at]))).includes(operation),
      ),
    'has a cage whose numbers have no result by its calculation.',
  ),
);

export const cagesPin = byKey('cages', givenPin, madePin);

export type CagesMade = v.InferOutput<typeof madePin>;
export type CagesGiven = v.InferOutput<typeof givenPin>;
export type CagesPin = CagesMade | CagesGiven;
