import * as v from 'valibot';
import { SIZES, SYMMETRIES, VARIANTS } from '../../puzzles/sudoku/index.ts';
import { chosenBy, enumOf, exactObject, integerBetween, isObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const size = enumOf(SIZES);
const variant = enumOf(VARIANTS);
const symmetry = enumOf(SYMMETRIES);

export const sudokuOptions = exactObject({
  size: setting(size, 9, {
    label: 'Size',
    values: Object.fromEntries(SIZES.map((n) => [n, `${n} × ${n}`])),
  }),
  variant: setting(variant, 'classic', {
    label: 'Variant',
    values: { classic: 'Classic', diagonal: 'Diagonal', jigsaw: 'Jigsaw', killer: 'Killer' },
    help: 'Diagonal: both long diagonals have every digit, too. Jigsaw: the boxes have irregular outlines. Killer: nothing is given but the sums of cages. Both up to 9 × 9.',
  }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6, 9]), 4, {
    label: 'Puzzles per page',
  }),
  symmetry: setting(symmetry, 'half-turn', {
    label: 'Symmetry of the givens',
    values: { none: 'None', 'half-turn': 'Half turn', 'quarter-turn': 'Quarter turn', mirror: 'Mirror' },
  }),
  instructions: instructionsSetting(),
  corners: setting(v.boolean(), false, {
    label: 'Corners for candidates',
    help: 'A small box in the corner of each empty cell, to pencil candidates in.',
  }),
  heading: headingSetting(),
});

export type SudokuOptions = v.InferOutput<typeof sudokuOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  size,
  variant,
  symmetry,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

/** A puzzle that was brought in: characters row by row, `.` for an empty cell. */
const givenPin = v.pipe(
  exactObject({
    size,
    variant: enumOf(['classic', 'diagonal']),
    givens: v.pipe(v.string(), v.regex(/^[.1-9A-G]+$/, 'has other signs than 1 to 9, A to G and dots.')),
  }),
  v.check(
    ({ size: side, givens }) => givens.length === side * side,
    'has more or fewer characters than cells.',
  ),
);

export const sudokuPin = chosenBy(v.union([madePin, givenPin]), (input) =>
  isObject(input) && 'givens' in input ? givenPin : madePin,
);

export type SudokuMade = v.InferOutput<typeof madePin>;
export type SudokuGiven = v.InferOutput<typeof givenPin>;
export type SudokuPin = SudokuMade | SudokuGiven;
