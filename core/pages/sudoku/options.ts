import * as v from 'valibot';
import { partsGrid } from '../../puzzles/groups.ts';
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

const givens = v.pipe(v.string(), v.regex(/^[.1-9A-G]+$/, 'has other signs than 1 to 9, A to G and dots.'));
const isFilled = ({ size: side, givens: signs }: { size: number; givens: string }): boolean =>
  signs.length === side * side;
const NOT_FILLED = 'has more or fewer characters than cells.';

/** A puzzle that was brought in, or changed by hand: characters row by row, `.` for an empty cell. */
const givenPin = v.pipe(
  exactObject({ size, variant: enumOf(['classic', 'diagonal']), givens }),
  v.check((grid) => isFilled(grid), NOT_FILLED),
);

/** Sizes of puzzles with boxes of any outline, and with cages. */
const SMALLER = [4, 6, 9] as const;
const smaller = enumOf(SMALLER);
const MOST_GROUPS = 81;

const listsOf = (boxes: string): number[][] =>
  [...new Set(boxes)].map((letter) => [...boxes].flatMap((one, at) => (one === letter ? [at] : [])));

/** One with boxes of any outline, by a letter a cell. */
const jigsawPin = v.pipe(
  exactObject({
    size: smaller,
    variant: v.literal('jigsaw'),
    boxes: v.pipe(v.string(), v.regex(/^[A-I]+$/, 'has other letters than A to I.')),
    givens,
  }),
  v.check((grid) => isFilled(grid), NOT_FILLED),
  v.check(
    ({ size: side, boxes }) =>
      listsOf(boxes).every((cells) => cells.length === side) && partsGrid(side, side * side, listsOf(boxes)),
    'has a box of more or fewer cells than digits, or one that does not hang together.',
  ),
);

/** Cells of a cage that was changed by hand: with more, its sum could be made in too many ways to look through. */
export const MOST_IN_CAGE = 6;

/** One with cages, by their cells; their sums are those of the solution. */
const killerPin = v.pipe(
  exactObject({
    size: smaller,
    variant: v.literal('killer'),
    cages: v.pipe(
      v.array(
        v.pipe(
          v.array(integerBetween(0, MOST_GROUPS - 1)),
          v.minLength(1, 'is empty.'),
          v.maxLength(MOST_IN_CAGE, `should have ${MOST_IN_CAGE} cells at most.`),
        ),
      ),
      v.maxLength(MOST_GROUPS),
    ),
    solution: v.pipe(v.string(), v.regex(/^[1-9]+$/, 'has other signs than 1 to 9.')),
  }),
  v.check(
    ({ size: side, solution }) =>
      solution.length === side * side && [...solution].every((sign) => Number(sign) <= side),
    NOT_FILLED,
  ),
  v.check(
    ({ size: side, cages }) => partsGrid(side, side * side, cages),
    'has a cell in no cage, in two, or a cage that does not hang together.',
  ),
  v.check(
    ({ cages, solution }) =>
      cages.every((cells) => new Set(cells.map((at) => solution[at])).size === cells.length),
    'has a cage with a digit twice.',
  ),
);

const GIVEN: Readonly<Record<string, typeof givenPin | typeof jigsawPin | typeof killerPin>> = {
  jigsaw: jigsawPin,
  killer: killerPin,
};

export const sudokuPin = chosenBy(v.union([madePin, givenPin, jigsawPin, killerPin]), (input) =>
  isObject(input) && ('givens' in input || 'cages' in input)
    ? (GIVEN[String(input.variant)] ?? givenPin)
    : madePin,
);

export type SudokuMade = v.InferOutput<typeof madePin>;
export type SudokuJigsaw = v.InferOutput<typeof jigsawPin>;
export type SudokuKiller = v.InferOutput<typeof killerPin>;
/** Whose digits are given. */
export type SudokuWithGivens = v.InferOutput<typeof givenPin> | SudokuJigsaw;
export type SudokuGiven = SudokuWithGivens | SudokuKiller;
export type SudokuPin = SudokuMade | SudokuGiven;
