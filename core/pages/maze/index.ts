import { sameMaze } from '../../puzzles/maze/index.ts';
import { defineKind, itemUnits, type PageKind } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawMazePage, drawMazeSolution } from './draw.ts';
import { fillMaze, gridOf, inspectMaze, type MazeItem, pinnedMaze } from './fill.ts';
import { type MazeOptions, mazeOptions, mazePin } from './options.ts';
import { mazeWords } from './words.ts';

const mazes = {
  id: 'maze',
  name: 'Maze',
  purpose: 'One way from start to goal on five grids, with solutions.',
  family: 'Puzzles',
  extent: 'items',
  defaultCount: 30,
  numbered: true,
  inHouseFaces: () => true,
  options: mazeOptions,
  later: {
    ...{ shape: 'whole', character: 'A', heading: '', collect: 0, collected: 'heart' },
    ...{ passages: 'winding', bridges: 0, floors: 1, wallColor: '', wayColor: '' },
    ...{ startColumn: 1, startRow: 1, goalColumn: 24, goalRow: 28 },
  },
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  data(item) {
    const grid = gridOf(item);
    const { one, other } = grid.walls;
    const passages: [number, number][] = [];
    item.open.forEach((open, wall) => {
      if (open) passages.push([one[wall]!, other[wall]!]);
    });
    const { grid: kind, start, goal, way, level } = item;
    const over = grid.bridged?.bridges.map(({ cell }, i): [number, number] => [
      cell,
      grid.bridged!.cells + i,
    ]);
    return {
      ...{ grid: kind, cells: grid.cells, passages, start, goal, path: way, level },
      // Cells that lie one over the other.
      ...(over ? { bridges: over } : {}),
      // Cells come floor after floor, those of one place as many apart as a floor has.
      ...(item.floors ? { floors: item.floors } : {}),
    };
  },
  filed: filedByLevel(pinnedMaze, (language) => mazeWords(language, 'maze')),
  told: ({ level, way, floors }) =>
    `${LEVEL_NAMES[level]}, a way of ${way.length} cells${floors ? ` over ${floors} floors` : ''}`,
  draw: drawMazePage,
  solution: { box: drawMazeSolution },
  inspect: inspectMaze,
  sameAs: (item) => sameMaze(gridOf(item), item),
} satisfies Partial<PageKind<MazeOptions, MazeItem>>;

/** Levels of the first version did not count turns. */
const first = defineKind<MazeOptions, MazeItem>({
  ...mazes,
  version: 1,
  pin: { schema: mazePin, of: (context) => pinnedMaze(context, 'branches') },
  fillSteps: (context) => fillMaze(context, 'branches'),
});

/** Those of the second were fifths of the mazes that come about. */
const second = defineKind<MazeOptions, MazeItem>({
  ...mazes,
  version: 2,
  pin: { schema: mazePin, of: (context) => pinnedMaze(context, 'turns') },
  fillSteps: (context) => fillMaze(context, 'turns'),
});

export const maze = defineKind<MazeOptions, MazeItem>({
  ...mazes,
  version: 3,
  samples: [
    { name: 'Maze', shown: { level: 3 } },
    {
      name: 'Round maze',
      options: { grid: 'circle', columns: 30, rows: 30, ends: 'middle' },
      shown: { level: 3 },
    },
    { name: 'Maze of hexagons', options: { grid: 'hexagon', columns: 20, rows: 20 }, shown: { level: 3 } },
    { name: 'Maze of triangles', options: { grid: 'triangle', columns: 18, rows: 22 }, shown: { level: 3 } },
    { name: 'Maze of octagons', options: { grid: 'octagon', columns: 16, rows: 19 }, shown: { level: 3 } },
    {
      name: 'Maze in an outline',
      options: { shape: 'cat', columns: 26, rows: 26 },
      shown: { level: 3 },
    },
    {
      name: 'Maze with bridges',
      purpose: 'Passages that run over and under one another.',
      options: { columns: 18, rows: 22, bridges: 60 },
      shown: { level: 3 },
    },
    {
      name: 'Maze on three floors',
      purpose: 'Stairs lead from floor to floor, and back.',
      options: { columns: 16, rows: 12, floors: 3 },
      shown: { level: 3 },
    },
    {
      name: 'Mazes for children, four a page',
      options: { columns: 9, rows: 10, perPage: 4, level: 1, start: 'bee', goal: 'flower' },
    },
  ],
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes:
        'Levels count the turns of the way, too, so that some mazes are others. Pinned ones keep their walls.',
      kept: first as unknown as PageKind,
    },
    {
      version: 2,
      migrate: (same) => same,
      changes:
        'Levels lie farther apart: very easy mazes have few passages to get lost in, very hard ones many. Most mazes are others. Pinned ones keep their walls.',
      kept: second as unknown as PageKind,
    },
  ],
  pin: { schema: mazePin, of: pinnedMaze },
  fillSteps: fillMaze,
});
