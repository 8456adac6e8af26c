import type { Level } from '../../puzzles/level.ts';
import {
  type Bridge,
  bridgesWithRoom,
  difficulty,
  type Ends,
  type Grid,
  gridInSpace,
  gridWithBridges,
  gridWithFloors,
  gridWithin,
  type Maze,
  type Measure,
  makeMaze,
  mazeGrid,
  mazeOfEffort,
  mazeScale,
  onlyWay,
  type Passages,
  type Space,
  type Stairs,
  stairsAt,
  stairsWithRoom,
  wayThrough,
} from '../../puzzles/maze/index.ts';
import { type Outline, solidOf } from '../../puzzles/outline/index.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import { outlineOf } from '../puzzle/outline-options.ts';
import type { MazeGiven, MazeMade, MazeOptions, MazePin } from './options.ts';

/** A maze with its way, on a grid that its sizes name. */
export interface MazeItem
  extends Maze,
    Pick<
      MazeMade,
      'grid' | 'columns' | 'rows' | 'shape' | 'ends' | 'passages' | 'winding' | 'bridges' | 'measure'
    > {
  /** Where passages cross. */
  over?: readonly Bridge[];
  /** Where it is on several: how many. */
  floors?: number;
  /** Places for stairs between its floors. */
  stairs?: readonly Stairs[];
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each, or nearly all where they are bent. */
const TRIES = 60;
const BENT_TRIES = 12;

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
  over = [],
  floors = 1,
  stairs = [],
}: Pick<MazeMade, 'grid' | 'columns' | 'rows'> & {
  shape?: Outline;
  over?: readonly Bridge[];
  floors?: number;
  stairs?: readonly Stairs[];
}): Grid {
  const one = { grid, columns, rows, shape };
  const key = [
    ...Object.values(one),
    ...over.map(({ cell, across }) => `${cell}${across}`),
    ...(floors > 1 ? ['on', floors, ...stairs.map(({ floor, cell }) => `${floor}:${cell}`)] : []),
  ].join(' ');
  const made = (): Grid => {
    if (floors > 1) return gridWithFloors(gridOf(one), floors, stairs);
    if (over.length) return gridWithBridges(gridOf(one), over);
    return gridIn(shape, mazeGrid(grid, columns, rows));
  };
  const known = grids.get(key) ?? made();
  if (grids.size >= GRIDS_KEPT) grids.clear();
  grids.set(key, known);
  return known;
}

/** What a pinned maze is made from. Where any maze is as likely as another, none is bent until it has its level. */
export function pinnedMaze(
  { options, streamKey, item, roll, total = 1 }: FillContext<MazeOptions>,
  measure: Measure = options.passages === 'even' ? 'turns' : 'effort',
): MazeMade {
  const { grid, columns, rows, passages, winding, floors, ends, level } = options;
  const chosen = {
    startAt: [options.startColumn, options.startRow] as [number, number],
    goalAt: [options.goalColumn, options.goalRow] as [number, number],
  };
  return {
    ...{ grid, columns, rows, passages, winding, floors, ends, roll },
    shape: outlineOf(options) as MazeMade['shape'],
    ...(ends === 'chosen' ? chosen : {}),
    bridges: grid === 'square' && passages === 'winding' && floors === 1 ? options.bridges : 0,
    ...(measure === 'branches' ? {} : { measure }),
    level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')),
  };
}

/** What mazes of equal difficulty have in common. */
export const sortOf = ({
  grid,
  columns,
  rows,
  ends,
  shape = 'whole',
  startAt,
  goalAt,
  bridges = 0,
  floors = 1,
  measure,
  ...how
}: Pick<MazeMade, 'grid' | 'columns' | 'rows' | 'ends' | 'passages' | 'winding' | 'startAt' | 'goalAt'> & {
  shape?: Outline;
  bridges?: number;
  floors?: number;
  measure?: Measure | undefined;
}): string =>
  [
    ...[grid, columns, rows, ends, how.passages === 'even' ? how.passages : how.winding],
    ...(shape === 'whole' ? [] : [shape]),
    ...(startAt && goalAt ? [startAt, goalAt] : []),
    ...(bridges ? [`over ${bridges}`] : []),
    ...(floors > 1 ? [`floors ${floors}`] : []),
    ...(!measure || measure === 'branches' ? [] : [measure]),
  ].join(' ');

/** How passages run, as the making takes it. */
const passagesOf = ({ passages, winding }: Pick<MazeMade, 'passages' | 'winding'>): Passages =>
  passages === 'even' ? 'even' : winding / 100;

/** The cell at a column and a row, from 1, as squares would have them: the nearest one. */
function cellAt(
  { cells, x, y, width, height }: Grid,
  { columns, rows }: Pick<MazeMade, 'columns' | 'rows'>,
  [column, row]: readonly [number, number],
): number {
  const [toX, toY] = [((column - 0.5) / columns) * width, ((row - 0.5) / rows) * height];
  let nearest = 0;
  let least = Infinity;
  for (let cell = 0; cell < cells; cell++) {
    const far = Math.hypot(x[cell]! - toX, y[cell]! - toY);
    if (far < least - 1e-9) [nearest, least] = [cell, far];
  }
  return nearest;
}

/** Where a maze begins and ends, as its making takes it: on the lowest and on the top floor. @param grid of one floor */
function endsOf(grid: Grid, made: MazeMade): Ends {
  if (made.ends !== 'chosen') return made.ends;
  const { startAt = [1, 1], goalAt = [made.columns, made.rows] } = made;
  const below = (made.floors - 1) * grid.cells;
  return { start: cellAt(grid, made, startAt), goal: below + cellAt(grid, made, goalAt) };
}

/** What a maze is beside flat, as its making takes it. */
export const spaceOf = ({ bridges, floors = 1 }: { bridges: number; floors?: number }): Space => ({
  bridges: bridges / 100,
  floors,
});

/** Makes one maze from its own random stream: the first that is of its level, as measured against others of its sort. */
export function* fillMaze(context: FillContext<MazeOptions>, measure?: Measure): Generator<void, MazeItem> {
  const made = (context.pin as MazePin | undefined) ?? pinnedMaze(context, measure);
  if ('open' in made) return yield* givenMaze(made);
  // Pinned under an earlier version, it stays what it is.
  const counted = made.measure ?? 'branches';
  const { grid: id, columns, rows, shape, ends, passages, winding, bridges, floors } = made;
  const { level: wanted, roll } = made;
  const space = spaceOf(made);
  const how = passagesOf(made);
  const plain = gridOf({ grid: id, columns, rows, shape });
  const between = endsOf(plain, made);
  const scale = yield* mazeScale(sortOf(made), plain, between, how, counted, space);
  const random = randomStream(...context.streamKey, context.item, roll, 'maze');
  return yield* ofLevel(wanted, counted === 'effort' ? BENT_TRIES : TRIES, function* () {
    const { grid, over, stairs } = gridInSpace(plain, space, between, random);
    const maze =
      counted === 'effort'
        ? yield* mazeOfEffort(grid, between, how, wanted, scale, random)
        : makeMaze(grid, between, how, random);
    const level = levelOn(scale, difficulty(grid, maze, counted));
    yield;
    return {
      ...{ ...maze, grid: id, columns, rows, shape, ends, passages, winding, bridges, level, wanted },
      ...(over.length ? { over } : {}),
      ...(floors > 1 ? { floors, stairs } : {}),
      ...(made.measure ? { measure: made.measure } : {}),
    };
  });
}

const BITS = 4;

/** Which walls are open, as a text; see the schema of pins. */
export function openAsText(open: Uint8Array): string {
  let text = '';
  for (let at = 0; at < open.length; at += BITS) {
    let digit = 0;
    for (let bit = 0; bit < BITS; bit++) digit = 2 * digit + (open[at + bit] ?? 0);
    text += digit.toString(16);
  }
  return text;
}

/** Walls of a grid as a text tells them: those that it does not tell, and all to the outside, are closed. */
function openFromText({ walls }: Grid, text: string): Uint8Array {
  return walls.other.reduce((open, other, wall) => {
    const digit = Number.parseInt(text[Math.floor(wall / BITS)] ?? '0', 16);
    if (other >= 0 && digit & (8 >> (wall % BITS))) open[wall] = 1;
    return open;
  }, new Uint8Array(walls.one.length));
}

/** A maze that was changed by hand: its way, if there is one, and its level among those that it was one of. */
export function* givenMaze(given: MazeGiven): Generator<void, MazeItem> {
  const { grid: id, columns, rows, shape, ends, passages, winding, bridges, floors, measure } = given;
  const counted = measure ?? 'branches';
  const plain = gridOf({ grid: id, columns, rows, shape });
  const over = floors > 1 ? [] : bridgesWithRoom(plain, given.over);
  const stairs = stairsWithRoom(plain, floors, given.stairs);
  const grid = gridOf({ grid: id, columns, rows, shape, over, floors, stairs });
  const [start, goal] = [given.start, given.goal].map((cell) => Math.min(cell, grid.cells - 1)) as [
    number,
    number,
  ];
  const open = openFromText(grid, given.open);
  const maze = { open, ...wayThrough(grid, open, { start, goal }) };
  const usual = ends === 'chosen' ? 'anywhere' : ends;
  const scale = yield* mazeScale(
    sortOf({ ...given, ends: usual }),
    plain,
    usual,
    passagesOf(given),
    counted,
    spaceOf(given),
  );
  const level = levelOn(scale, difficulty(grid, maze, counted));
  return {
    ...{ ...maze, grid: id, columns, rows, shape, ends, passages, winding, bridges, level, wanted: level },
    ...(over.length ? { over } : {}),
    ...(floors > 1 ? { floors, stairs } : {}),
    ...(measure ? { measure } : {}),
  };
}

/** An end of a maze that is on stairs, where there is no room for it. */
export const endOnStairs = (grid: Grid, { open, start, goal }: Pick<MazeItem, 'open' | 'start' | 'goal'>) =>
  (['start', 'goal'] as const).find((end) => stairsAt(grid, end === 'start' ? start : goal, open).length);

/** Finds the way anew, by code that has no part in making it, and looks for another. */
export function inspectMaze(item: MazeItem, { label }: { label: string }): ItemProblem[] {
  const grid = gridOf(item);
  const fix = (message: string): ItemProblem[] => [{ severity: 'fix', message: `${label}: ${message}` }];
  if (item.start === item.goal) return fix('start and goal are the same cell. Choose two.');
  const end = endOnStairs(grid, item);
  if (end) return fix(`the ${end} is on stairs. Move it, or re-roll the puzzle.`);
  const way = onlyWay(grid, item.open, item.start, item.goal);
  if (!way) return fix('has no way from start to goal, or more than one. Re-roll the puzzle.');
  if (way.join() !== item.way.join()) return fix('the way in the book is another. Re-roll the puzzle.');
  return levelProblems(label, item, 'mazes of this size hardly differ. Re-roll it, or use more cells.');
}
