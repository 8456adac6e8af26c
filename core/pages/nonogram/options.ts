import * as v from 'valibot';
import { SHAPES, type ShapeId } from '../../puzzles/outline/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';

const side = integerBetween(5, 30);
const density = integerBetween(35, 70);
const symmetry = enumOf(['none', 'mirror']);
const shape = enumOf(Object.keys(SHAPES) as ShapeId[]);
const patterns = { picture: ['random'] };

export const nonogramOptions = exactObject({
  columns: setting(side, 15, { label: 'Columns' }),
  rows: setting(side, 15, { label: 'Rows' }),
  picture: setting(enumOf(['random', 'shapes', 'outlines']), 'random', {
    label: 'Pictures',
    help: 'Shapes and animals come in turn, in no order; how hard one is follows from its shape.',
    values: { random: 'Patterns', shapes: 'Shapes and animals', outlines: 'Their outlines' },
  }),
  level: levelSetting(patterns),
  perPage: setting(enumOf([1, 2, 4, 6]), 1, { label: 'Puzzles per page' }),
  filled: setting(density, 55, { label: 'Filled cells, %', when: patterns }),
  symmetry: setting(symmetry, 'none', {
    label: 'Symmetry of the picture',
    values: { none: 'None', mirror: 'Mirror' },
    when: patterns,
  }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type NonogramOptions = v.InferOutput<typeof nonogramOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const nonogramPin = exactObject({
  columns: side,
  rows: side,
  filled: density,
  symmetry,
  level: enumOf([1, 2, 3, 4, 5]),
  /** The shape that it shows, where it shows one. */
  shape: v.optional(shape),
  hollow: v.optional(v.boolean()),
  roll: integerBetween(0, 1_000_000),
});

export type NonogramPin = v.InferOutput<typeof nonogramPin>;
