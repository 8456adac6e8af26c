import type * as v from 'valibot';
import { INEQUALITY_SIZES } from '../../puzzles/inequality/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
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
export const inequalityPin = exactObject({
  size,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type InequalityPin = v.InferOutput<typeof inequalityPin>;
