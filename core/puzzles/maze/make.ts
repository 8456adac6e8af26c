import type { RandomStream } from '../../random.ts';
import { floorOf, stairsAt } from './floors.ts';
import { type Grid, middleOf } from './grid.ts';

/** A maze: which walls of its grid are open, and the way through it. */
export interface Maze {
  /** 1 for each wall that is open. */
  open: Uint8Array;
  start: number;
  goal: number;
  /** Cells from start to goal. */
  way: number[];
}

/**
 * Where a maze begins and ends: at two openings in its outer wall, at one opening with the goal in the middle, or at the two
 * cells that are farthest apart; or at cells that are chosen.
 */
export const ENDS = ['outer', 'middle', 'anywhere'] as const;
export type Ends = (typeof ENDS)[number] | { start: number; goal: number };

/** A maze as a tree: cells in the order in which they came to it, each after the one that it hangs on. */
interface Tree {
  open: Uint8Array;
  order: Int32Array;
  /** The cell that each hangs on; −1 for the first. */
  parent: Int32Array;
}

/**
 * Opens walls so that one way leads from every cell to every other: growing tree, which goes on from the newest cell, or from
 * any.
 * @param winding how often from the newest, 0 to 1: long ways with few branches at 1, short ones with many at 0
 */
function grownTree(grid: Grid, winding: number, random: RandomStream): Tree {
  const { cells, first, next, through, walls, bridged } = grid;
  const open = new Uint8Array(walls.one.length);
  const order = new Int32Array(cells);
  const parent = new Int32Array(cells);
  const { seen, free, active } = scratchOf(grid);
  let count = 0;
  let known = 0;
  let from = -1;
  let added = random.int(cells);
  let chosen = added;
  // One loop, without functions that share its counters: that takes a third less time.
  for (;;) {
    seen[added] = 1;
    order[known++] = added;
    active[count++] = added;
    parent[added] = from;
    const end = first[added + 1]!;
    for (let i = first[added]!; i < end; i++) free[next[i]!]!--;
    let exit = -1;
    if (bridged) {
      // What leads over a bridge, or under it, leads on; then what led there, where it has another bridge.
      from = added;
      exit = boundExit(grid, bridged.bound, seen, from);
      while (exit < 0 && from !== chosen) {
        from = parent[from]!;
        exit = boundExit(grid, bridged.bound, seen, from);
      }
    }
    while (exit < 0) {
      if (count === 0) return { open, order, parent };
      const at = random.unit() < winding ? count - 1 : random.int(count);
      from = active[at]!;
      const choices = free[from]!;
      if (choices === 0) {
        active[at] = active[--count]!;
        continue;
      }
      exit = first[from]!;
      if (choices === 1) while (seen[next[exit]!]) exit++;
      else for (let passed = random.int(choices); seen[next[exit]!] || passed-- > 0; ) exit++;
      chosen = next[exit]!;
    }
    added = next[exit]!;
    open[through[exit]!] = 1;
  }
}

/** What making the mazes of a grid needs, kept for the next one. */
interface Scratch {
  seen: Uint8Array;
  /** Neighbors of each cell that do not belong to the maze yet. */
  free: Int32Array;
  /** Cells that may have some. */
  active: Int32Array;
}

const scratches = new WeakMap<Grid, Scratch & { neighbors: Int32Array }>();

/** No cell of it is seen, each has all its neighbors free. */
function scratchOf(grid: Grid): Scratch {
  const { cells, first } = grid;
  let scratch = scratches.get(grid);
  if (!scratch) {
    scratch = {
      neighbors: Int32Array.from({ length: cells }, (_, cell) => first[cell + 1]! - first[cell]!),
      seen: new Uint8Array(cells),
      free: new Int32Array(cells),
      active: new Int32Array(cells),
    };
    scratches.set(grid, scratch);
  }
  scratch.seen.fill(0);
  scratch.free.set(scratch.neighbors);
  return scratch;
}

/** The place in `next` by which a cell leads over a bridge, or under it, to one that is not seen yet; −1 for none. */
function boundExit(
  { first, next, through }: Grid,
  bound: Uint8Array,
  seen: Uint8Array,
  cell: number,
): number {
  for (let i = first[cell]!; i < first[cell + 1]!; i++) if (bound[through[i]!] && !seen[next[i]!]) return i;
  return -1;
}

/** As `grownTree`, its walls alone. */
export const openWalls = (grid: Grid, winding: number, random: RandomStream): Uint8Array =>
  grownTree(grid, winding, random).open;

/**
 * As `openWalls`, but every maze that a grid can have comes as often as any other: Wilson’s walks, whose circles are left out, until
 * each cell belongs to the maze (D. B. Wilson 1996, Generating random spanning trees more quickly than the cover time).
 */
export function openWallsEvenly(
  { cells, first, next, through, walls }: Grid,
  random: RandomStream,
): Uint8Array {
  const open = new Uint8Array(walls.one.length);
  const belongs = new Uint8Array(cells);
  /** By cell, the place in `next` by which a walk last left it: circles are left out by that alone. */
  const left = new Int32Array(cells);
  belongs[random.int(cells)] = 1;
  for (let from = 0; from < cells; from++) {
    for (let cell = from; !belongs[cell]; ) {
      const exits = first[cell + 1]! - first[cell]!;
      left[cell] = first[cell]! + (exits === 1 ? 0 : random.int(exits));
      cell = next[left[cell]!]!;
    }
    for (let cell = from; !belongs[cell]; cell = next[left[cell]!]!) {
      belongs[cell] = 1;
      open[through[left[cell]!]!] = 1;
    }
  }
  return open;
}

/** How passages run: as a share of winding, or with all mazes alike. */
export type Passages = number | 'even';

/** Cells by their distance from one, with the cell that each was reached from. */
export function distances(
  { cells, first, next, through }: Grid,
  open: Uint8Array,
  from: number,
): { far: Int32Array; before: Int32Array } {
  const far = new Int32Array(cells).fill(-1);
  const before = new Int32Array(cells).fill(-1);
  const queue = new Int32Array(cells);
  let [head, tail] = [0, 1];
  queue[0] = from;
  far[from] = 0;
  while (head < tail) {
    const cell = queue[head++]!;
    for (let i = first[cell]!; i < first[cell + 1]!; i++) {
      const to = next[i]!;
      if (!open[through[i]!] || far[to]! >= 0) continue;
      far[to] = far[cell]! + 1;
      before[to] = cell;
      queue[tail++] = to;
    }
  }
  return { far, before };
}

/** As `distances`, of a tree whose order is known: what hangs on a cell is a step farther, but for those on the way up. */
function distancesInTree({ order, parent }: Tree, from: number): ReturnType<typeof distances> {
  const far = new Int32Array(order.length).fill(-1);
  const before = parent.slice();
  let below = -1;
  for (let cell = from, steps = 0; cell >= 0; steps++) {
    far[cell] = steps;
    before[cell] = below;
    below = cell;
    cell = parent[cell]!;
  }
  for (let i = 0; i < order.length; i++) {
    const cell = order[i]!;
    if (far[cell]! < 0) far[cell] = far[parent[cell]!]! + 1;
  }
  return { far, before };
}

const outers = new WeakMap<Grid, readonly number[]>();

/** Cells with a wall to the outside; in an outline, those with room before it. */
export function outerCells(grid: Grid): readonly number[] {
  if (grid.doors?.size) return [...grid.doors.keys()].sort((a, b) => a - b);
  const known = outers.get(grid);
  if (known) return known;
  const { one, other } = grid.walls;
  const found = new Set([...one].filter((_, wall) => other[wall]! < 0));
  const sorted = [...found].sort((a, b) => a - b);
  outers.set(grid, sorted);
  return sorted;
}

/** The cell nearest to the middle; to that of the top floor, where there are some. */
export function middleCell({ cells, x, y, floors, ...size }: Grid): number {
  const from = floors ? (floors.count - 1) * floors.cells : 0;
  const [left, top] = floors?.at[floors.count - 1] ?? [0, 0];
  const [middleX, middleY] = middleOf(floors ?? size);
  let best = from;
  let least = Infinity;
  for (let cell = from; cell < cells; cell++) {
    const away = (x[cell]! - left - middleX) ** 2 + (y[cell]! - top - middleY) ** 2;
    if (away < least - 1e-9) {
      least = away;
      best = cell;
    }
  }
  return best;
}

const farthest = (far: Int32Array, among: readonly number[]): number =>
  among.reduce((best, cell) => (far[cell]! > far[best]! ? cell : best), among[0]!);

/** Ends lie so far apart on the page, as a share of the longer side, where that can be. */
const APART = 0.5;

/** Cells from one to that which distances were found from; the one alone where none leads there. */
function wayBack(before: Int32Array, start: number): number[] {
  const way: number[] = [];
  for (let cell = start; cell >= 0; cell = before[cell]!) way.push(cell);
  return way;
}

/**
 * The way between the ends of a maze: the longest of those whose ends also lie apart on the page. In a tree the farthest from any
 * cell is an end of the longest way.
 * @param from distances from a cell, for who knows them faster
 */
export function wayThrough(
  grid: Grid,
  open: Uint8Array,
  ends: Ends,
  from: (cell: number) => ReturnType<typeof distances> = (cell) => distances(grid, open, cell),
): Pick<Maze, 'start' | 'goal' | 'way'> {
  if (typeof ends === 'object') {
    const { start, goal } = ends;
    return { start, goal, way: wayBack(from(goal).before, start) };
  }
  const among =
    ends === 'anywhere'
      ? Array.from({ length: grid.bridged?.cells ?? grid.cells }, (_, cell) => cell)
      : outerCells(grid);
  if (grid.floors) return wayUp(grid, among, ends, from);
  const goal = ends === 'middle' ? middleCell(grid) : farthest(from(among[0]!).far, among);
  const { far, before } = from(goal);
  const least = ends === 'middle' ? 0 : APART * Math.max(grid.width, grid.height);
  const apart = (cell: number) =>
    Math.hypot(grid.x[cell]! - grid.x[goal]!, grid.y[cell]! - grid.y[goal]!) >= least;
  let start = -1;
  for (const cell of among) if ((start < 0 || far[cell]! > far[start]!) && apart(cell)) start = cell;
  if (start < 0) start = farthest(far, among);
  return { start, goal, way: wayBack(before, start) };
}

/** The way from the lowest floor to the top one. No end of it is on stairs, if that can be. */
function wayUp(
  grid: Grid,
  among: readonly number[],
  ends: Ends,
  from: (cell: number) => ReturnType<typeof distances>,
): Pick<Maze, 'start' | 'goal' | 'way'> {
  const on = (floor: number): readonly number[] => {
    const all = among.filter((cell) => floorOf(grid, cell) === floor);
    const free = all.filter((cell) => !stairsAt(grid, cell).length);
    return free.length ? free : all;
  };
  const starts = on(0);
  const goals = ends === 'middle' ? [middleCell(grid)] : on(grid.floors!.count - 1);
  const goal = farthest(from(starts[0]!).far, goals);
  const { far, before } = from(goal);
  const start = farthest(far, starts);
  return { start, goal, way: wayBack(before, start) };
}

export function makeMaze(grid: Grid, ends: Ends, passages: Passages, random: RandomStream): Maze {
  if (passages === 'even') {
    const open = openWallsEvenly(grid, random);
    return { open, ...wayThrough(grid, open, ends) };
  }
  const tree = grownTree(grid, passages, random);
  const { open } = tree;
  return { open, ...wayThrough(grid, open, ends, (cell) => distancesInTree(tree, cell)) };
}
