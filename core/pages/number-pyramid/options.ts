import * as v from 'valibot';
import { byKey, enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const rows = integerBetween(3, 7);
/** Of the lowest row. */
export const LARGEST_NUMBER = 50;
const largest = integerBetween(2, LARGEST_NUMBER);

export const numberPyramidOptions = exactObject({
  rows: setting(rows, 5, { label: 'Rows' }),
  largest: setting(largest, 9, {
    label: 'Largest number below',
    help: 'In the lowest row; the others are sums.',
  }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6, 8]), 6, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type NumberPyramidOptions = v.InferOutput<typeof numberPyramidOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  rows,
  largest,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

/** A pyramid as it was changed by hand. */
const givenPin = exactObject({
  /** The numbers of the lowest row; there are as many rows. */
  lowest: v.pipe(
    v.array(integerBetween(1, LARGEST_NUMBER)),
    v.minLength(3, 'should have three numbers at least.'),
    v.maxLength(7, 'should have seven numbers at most.'),
  ),
  /** Places of the numbers that are printed, from the top brick down. */
  given: v.pipe(v.array(integerBetween(0, 27)), v.maxLength(28)),
});

export const numberPyramidPin = byKey('lowest', givenPin, madePin);

export type NumberPyramidMade = v.InferOutput<typeof madePin>;
export type NumberPyramidGiven = v.InferOutput<typeof givenPin>;
export type NumberPyramidPin = NumberPyramidMade | NumberPyramidGiven;
