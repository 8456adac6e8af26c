import type { Level } from '../../puzzles/level.ts';
import {
  difficulty,
  type Grid,
  gridWithin,
  type Maze,
  makeMaze,
  mazeGrid,
  mazeScale,
  onlyWay,
} from '../../puzzles/maze/index.ts';
import { type Outline, solidOf } from '../../puzzles/outline/index.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import { outlineOf } from '../puzzle/outline-options.ts';
import type { MazeOptions, MazePin } from './options.ts';

/** A maze with its way, on a grid that its sizes name. */
export interface MazeItem extends Maze, Pick<MazePin, 'grid' | 'columns' | 'rows' | 'shape' | 'ends'> {
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 60;

const GRIDS_KEPT = 20;
const grids = new Map<string, Grid>();

/** Rings have an outline of their own. */
const gridIn = (shape: Outline, grid: Grid): Grid =>
  shape === 'whole' || grid.id === 'circle' ? grid : gridWithin(grid, solidOf(shape));

/** The grid of a maze, made once for mazes of one size. */
export function gridOf({
  grid,
  columns,
  rows,
  shape = 'whole',
}: Pick<MazePin, 'grid' | 'columns' | 'rows'> & { shape?: Outline }): Grid {
  const key = `${grid} ${columns} ${rows} ${shape}`;
  const known = grids.get(key) ?? gridIn(shape, mazeGrid(grid, columns, rows));
  if (grids.size >= GRIDS_KEPT) grids.clear();
  grids.set(key, known);
  return known;
}

/** What a pinned maze is made from. */
export function pinnedMaze({ options, streamKey, item, roll, total = 1 }: FillContext<MazeOptions>): MazePin {
  const { grid, columns, rows, winding, ends, level } = options;
  return {
    ...{ grid, columns, rows, winding, ends, roll },
    shape: outlineOf(options) as MazePin['shape'],
    level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')),
  };
}

/** What mazes of equal difficulty have in common. */
export const sortOf = ({
  grid,
  columns,
  rows,
  ends,
  winding,
  shape = 'whole',
}: Pick<MazePin, 'grid' | 'columns' | 'rows' | 'ends' | 'winding'> & { shape?: Outline }): string =>
  [grid, columns, rows, ends, winding, ...(shape === 'whole' ? [] : [shape])].join(' ');

/** Makes one maze from its own random stream: the first that is of its level, as measured against others of its sort. */
export function* fillMaze(context: FillContext<MazeOptions>): Generator<void, MazeItem> {
  const made = (context.pin as MazePin | undefined) ?? pinnedMaze(context);
  const { grid: id, columns, rows, shape, ends, level: wanted, roll } = made;
  const winding = made.winding / 100;
  const grid = gridOf(made);
  const scale = yield* mazeScale(sortOf(made), grid, ends, winding);
  const random = randomStream(...context.streamKey, context.item, roll, 'maze');
  return yield* ofLevel(wanted, TRIES, function* () {
    const maze = makeMaze(grid, ends, winding, random);
    const level = levelOn(scale, difficulty(grid, maze));
    yield;
    return { ...maze, grid: id, columns, rows, shape, ends, level, wanted };
  });
}

/** Finds the way anew, by code that has no part in making it, and looks for another. */
export function inspectMaze(item: MazeItem, { label }: { label: string }): ItemProblem[] {
  const grid = gridOf(item);
  const way = onlyWay(grid, item.open, item.start, item.goal);
  const fix = (message: string): ItemProblem[] => [{ severity: 'fix', message: `${label}: ${message}` }];
  if (!way) return fix('has no way from start to goal, or more than one. Re-roll the puzzle.');
  if (way.join() !== item.way.join()) return fix('the way in the book is another. Re-roll the puzzle.');
  return levelProblems(label, item, 'mazes of this size hardly differ. Re-roll it, or use more cells.');
}
