import * as v from 'valibot';
import { INEQUALITY_SIZES, neighbors } from '../../puzzles/inequality/index.ts';
import { byKey, enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const size = enumOf(INEQUALITY_SIZES);

export const inequalityOptions = exactObject({
  size: setting(size, 6, {
    label: 'Size',
    values: Object.fromEntries(INEQUALITY_SIZES.map((n) => [n, `${n} × ${n}`])),
  }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6]), 4, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type InequalityOptions = v.InferOutput<typeof inequalityOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  size,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

const LARGEST = Math.max(...INEQUALITY_SIZES);
const cell = integerBetween(0, LARGEST * LARGEST - 1);

/** A puzzle as it was changed by hand: numbers row by row, `.` for a cell that is to be filled, and signs as the lesser cell and the other. */
const givenPin = v.pipe(
  exactObject({
    size,
    givens: v.pipe(v.string(), v.regex(/^[.1-7]+$/, 'has other signs than 1 to 7 and dots.')),
    signs: v.pipe(v.array(v.tuple([cell, cell])), v.maxLength(2 * LARGEST * LARGEST)),
  }),
  v.check(
    ({ size: side, givens }) =>
      givens.length === side * side && [...givens].every((sign) => sign === '.' || Number(sign) <= side),
    'has more or fewer cells than its size tells, or a larger number.',
  ),
  v.check(({ size: side, signs }) => {
    const taken = signs.map((pair) => [...pair].sort((a, b) => a - b).join());
    const may = new Set(neighbors(side).map((pair) => pair.join()));
    return new Set(taken).size === taken.length && taken.every((pair) => may.has(pair));
  }, 'has two signs at one place, or one between cells that do not touch.'),
);

export const inequalityPin = byKey('givens', givenPin, madePin);

export type InequalityMade = v.InferOutput<typeof madePin>;
export type InequalityGiven = v.InferOutput<typeof givenPin>;
export type InequalityPin = InequalityMade | InequalityGiven;
