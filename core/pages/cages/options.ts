import type * as v from 'valibot';
import { CAGE_SIZES, CALCULATIONS } from '../../puzzles/cages/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
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
export const cagesPin = exactObject({
  size,
  calculation,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type CagesPin = v.InferOutput<typeof cagesPin>;
