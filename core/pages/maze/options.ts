import * as v from 'valibot';
import { ENDS, GRIDS, MOST_FLOORS } from '../../puzzles/maze/index.ts';
import { byKey, enumOf, exactObject, integerBetween, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ICONS } from '../blocks/icons.ts';
import { colorSetting } from '../color-setting.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { levelSetting } from '../puzzle/level.ts';
import { characterSetting, pinnedOutline, shapeSetting } from '../puzzle/outline-options.ts';

const side = integerBetween(5, 80);
const grid = enumOf(GRIDS);
const ends = enumOf([...ENDS, 'chosen']);
const place = integerBetween(1, 80);
const isChosen = { ends: ['chosen'] };
const passages = enumOf(['winding', 'even']);
const winding = integerBetween(0, 100);
const floors = integerBetween(1, MOST_FLOORS);
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
  passages: setting(passages, 'winding', {
    label: 'Passages',
    help: 'Winding as much as you say, or so that every maze that the grid can have is as likely as any other.',
    values: { winding: 'Winding', even: 'Any maze alike' },
  }),
  winding: setting(winding, 70, {
    label: 'Winding, %',
    help: 'More: long ways with few branches. Less: short ways with many.',
    when: { passages: ['winding'] },
  }),
  bridges: setting(integerBetween(0, 100), 0, {
    label: 'Bridges, %',
    help: 'Passages that cross, one above the other: so many of the bridges that there is room for.',
    when: { grid: ['square'], passages: ['winding'], floors: [1] },
  }),
  floors: setting(floors, 1, {
    label: 'Floors',
    help: 'Floors of the same size with stairs between them, from the start on the lowest to the goal on the top one.',
  }),
  ends: setting(ends, 'outer', {
    label: 'Start and goal',
    values: {
      outer: 'At the edge',
      middle: 'Goal in the middle',
      anywhere: 'Inside, far apart',
      chosen: 'At chosen cells',
    },
  }),
  startColumn: setting(place, 1, { label: 'Start, column', help: 'From the left.', when: isChosen }),
  startRow: setting(place, 1, { label: 'Start, row', help: 'From the top.', when: isChosen }),
  goalColumn: setting(place, 24, { label: 'Goal, column', help: 'From the left.', when: isChosen }),
  goalRow: setting(place, 28, { label: 'Goal, row', help: 'From the top.', when: isChosen }),
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
  wallColor: colorSetting('Color of the walls', 'Instead of black, in a book printed in color.', GROUP.look),
  wayColor: colorSetting(
    'Color of the way',
    'In the answer, instead of gray, in a book printed in color.',
    GROUP.look,
  ),
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

/** A maze that stands on these stands on the same cells. */
const onGrid = {
  grid,
  columns: side,
  rows: side,
  shape: v.optional(pinnedOutline, 'whole'),
  passages: v.optional(passages, 'winding'),
  winding,
  /** Of a hundred bridges that there is room for. */
  bridges: v.optional(integerBetween(0, 100), 0),
  floors: v.optional(floors, 1),
  ends,
  /** What counts for its level, see `Measure`: branches where it says nothing. */
  measure: v.optional(enumOf(['turns', 'effort'])),
};

/** Everything a pinned maze is made from, so that no setting can change it. */
const madePin = exactObject({
  ...onGrid,
  /** Columns and rows, from 1, where they are chosen. */
  startAt: v.optional(v.tuple([place, place])),
  goalAt: v.optional(v.tuple([place, place])),
  level: enumOf([1, 2, 3, 4, 5]),
  roll: integerBetween(0, 1_000_000),
});

/** More than any grid has, on all its floors. */
const MOST_CELLS = 60_000;

/** A maze that was changed by hand. */
const givenPin = exactObject({
  ...onGrid,
  /** Which walls are open, in the order of the grid: four in each hexadecimal digit, the first as its highest bit. */
  open: v.pipe(
    v.string(),
    v.maxLength(MOST_CELLS),
    v.regex(/^[0-9a-f]*$/, 'has other signs than 0 to 9 and a to f.'),
  ),
  start: integerBetween(0, MOST_CELLS),
  goal: integerBetween(0, MOST_CELLS),
  /** Cells at which passages cross, and whether the one above runs across. */
  over: v.optional(
    v.pipe(
      v.array(exactObject({ cell: integerBetween(0, MOST_CELLS), across: v.boolean() })),
      v.maxLength(MOST_CELLS / 4),
    ),
    [],
  ),
  /** Places for stairs, by the floor below, from 0, and the cell as one floor has it. */
  stairs: v.optional(
    v.pipe(
      v.array(
        exactObject({ floor: integerBetween(0, MOST_FLOORS - 2), cell: integerBetween(0, MOST_CELLS) }),
      ),
      v.maxLength(MOST_CELLS / 4),
    ),
    [],
  ),
});

export const mazePin = byKey('open', givenPin, madePin);

export type MazeMade = v.InferOutput<typeof madePin>;
export type MazeGiven = v.InferOutput<typeof givenPin>;
export type MazePin = MazeMade | MazeGiven;
