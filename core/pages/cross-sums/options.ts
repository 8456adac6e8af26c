import type * as v from 'valibot';
import { CALCULATIONS } from '../../puzzles/cross-sums/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const calculation = enumOf(CALCULATIONS);

export const crossSumsOptions = exactObject({
  calculation: setting(calculation, 'sums-differences', {
    label: 'Calculations',
    values: {
      sums: 'Sums',
      'sums-differences': 'Sums and differences',
      products: 'Sums, differences, products',
    },
  }),
  level: levelSetting(),
  perPage: setting(enumOf([1, 2, 4, 6]), 4, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type CrossSumsOptions = v.InferOutput<typeof crossSumsOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const crossSumsPin = exactObject({
  calculation,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type CrossSumsPin = v.InferOutput<typeof crossSumsPin>;
