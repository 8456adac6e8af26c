import type * as v from 'valibot';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const rows = integerBetween(3, 7);
const largest = integerBetween(2, 50);

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
export const numberPyramidPin = exactObject({
  rows,
  largest,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type NumberPyramidPin = v.InferOutput<typeof numberPyramidPin>;
