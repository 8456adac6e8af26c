import * as v from 'valibot';
import { ENDS, GRIDS } from '../../puzzles/maze/index.ts';
import { enumOf, exactObject, integerBetween, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ICONS } from '../blocks/icons.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';
import { characterSetting, pinnedOutline, shapeSetting } from '../puzzle/outline-options.ts';

const side = integerBetween(5, 80);
const grid = enumOf(GRIDS);
const ends = enumOf(ENDS);
const winding = integerBetween(0, 100);
const picture = enumOf(['arrow', ...ICONS]);
const GROUP = { look: 'Look' };

const PICTURES = {
  arrow: 'Arrow',
  ...Object.fromEntries(ICONS.map((id) => [id, id[0]!.toUpperCase() + id.slice(1)])),
};

export const mazeOptions = exactObject({
  grid: setting(grid, 'square', {
    label: 'Grid',
    values: {
      square: 'Squares',
      triangle: 'Triangles',
      hexagon: 'Hexagons',
      octagon: 'Octagons',
      circle: 'Circle',
    },
  }),
  columns: setting(side, 24, { label: 'Columns', help: 'Cells across. A circle has rings as many as fit.' }),
  rows: setting(side, 28, { label: 'Rows', help: 'Cells down.' }),
  shape: shapeSetting({ when: { grid: GRIDS.filter((id) => id !== 'circle') } }),
  character: characterSetting(),
  level: levelSetting(),
  winding: setting(winding, 70, {
    label: 'Winding, %',
    help: 'More: long ways with few branches. Less: short ways with many.',
  }),
  ends: setting(ends, 'outer', {
    label: 'Start and goal',
    values: { outer: 'At the edge', middle: 'Goal in the middle', anywhere: 'Inside, far apart' },
  }),
  perPage: setting(enumOf([1, 2, 4, 6]), 1, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  weight: setting(numberBetween(0.75, 5), 2, {
    label: 'Line weight',
    help: 'Half as wide again in large print.',
    unit: 'pt',
    step: 0.25,
    group: GROUP.look,
  }),
  corners: setting(enumOf(['round', 'square']), 'round', {
    label: 'Corners',
    values: { round: 'Round', square: 'Square' },
    group: GROUP.look,
  }),
  start: setting(picture, 'arrow', { label: 'At the start', values: PICTURES, group: GROUP.look }),
  goal: setting(picture, 'star', { label: 'At the goal', values: PICTURES, group: GROUP.look }),
  collect: setting(integerBetween(0, 12), 0, {
    label: 'Things to collect',
    help: 'They lie on the way, so that many where there is room.',
    group: GROUP.look,
  }),
  collected: setting(enumOf(ICONS), 'heart', {
    label: 'What is collected',
    values: PICTURES,
    group: GROUP.look,
  }),
  answer: setting(enumOf(['line', 'dots', 'footprints']), 'line', {
    label: 'Way in the answer',
    values: { line: 'Line', dots: 'Dots', footprints: 'Footprints' },
    group: GROUP.look,
  }),
  heading: headingSetting(),
});

export type MazeOptions = v.InferOutput<typeof mazeOptions>;

/** Everything a pinned maze is made from, so that no setting can change it. */
export const mazePin = exactObject({
  grid,
  columns: side,
  rows: side,
  shape: v.optional(pinnedOutline, 'whole'),
  winding,
  ends,
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

export type MazePin = v.InferOutput<typeof mazePin>;
