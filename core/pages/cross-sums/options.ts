import * as v from 'valibot';
import { CALCULATIONS, CELLS, comesOutWell, LINES, OPERATORS } from '../../puzzles/cross-sums/index.ts';
import { byKey, enumOf, exactObject, integerBetween } from '../../schema.ts';
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
const madePin = exactObject({
  calculation,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

const operator = enumOf(OPERATORS.products);

/** A square as it was changed by hand. */
const givenPin = v.pipe(
  exactObject({
    /** Row by row. */
    solution: v.pipe(
      v.array(integerBetween(1, CELLS)),
      v.length(CELLS, 'should have nine digits.'),
      v.check((digits) => new Set(digits).size === CELLS, 'has a digit twice.'),
    ),
    /** Places of the digits that are printed. */
    given: v.pipe(v.array(integerBetween(0, CELLS - 1)), v.maxLength(CELLS)),
    /** Of the rows, and then of the columns. */
    operators: v.pipe(
      v.array(v.tuple([operator, operator])),
      v.length(LINES.length, 'should have six pairs of signs.'),
    ),
  }),
  v.check(
    ({ solution, operators }) =>
      LINES.every(([a, b, c], line) =>
        comesOutWell([solution[a]!, solution[b]!, solution[c]!], operators[line]!),
      ),
    'has a line that goes below 1 or above 99.',
  ),
);

export const crossSumsPin = byKey('solution', givenPin, madePin);

export type CrossSumsMade = v.InferOutput<typeof madePin>;
export type CrossSumsGiven = v.InferOutput<typeof givenPin>;
export type CrossSumsPin = CrossSumsMade | CrossSumsGiven;
