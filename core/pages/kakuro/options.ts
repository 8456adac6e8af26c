import type * as v from 'valibot';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
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
export const kakuroPin = exactObject({
  columns: side,
  rows: side,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type KakuroPin = v.InferOutput<typeof kakuroPin>;
