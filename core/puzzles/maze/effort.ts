import type { RandomStream } from '../../random.ts';
import { isWall } from './floors.ts';
import type { Grid } from './grid.ts';
import type { Maze } from './make.ts';

/** From where a passage leads off, a person sees that it ends, where it does within so many cells. Our choice, no source. */
const SEEN = 5;
/** Steps that a choice between passages costs, and a look into one that ends in sight. Our choice, no source. */
const CHOICE = 8;
const LOOK = 0.5;

/** What leads off the way of a maze, as walls are exchanged. */
interface Branches {
  /** What they cost together, in steps. */
  effort(): number;
  /**
   * Opens a wall, and closes one by chance of the circle that comes about, none of them on the way.
   * @returns how to undo it; null where nothing was exchanged
   */
  exchange(wall: number, random: RandomStream): (() => void) | null;
}

/**
 * Each branch costs what it does to take it every second time, to walk it and to come back: its cells, without those of passages that
 * end in sight, the choice at which it begins, and half of those within; a branch that ends in sight itself a look.
 */
function branchesOf(grid: Grid, { open, way }: Pick<Maze, 'open' | 'way'>): Branches {
  const { cells, first, next, through, walls, bridged } = grid;
  const onWay = new Uint8Array(cells);
  for (const cell of way) onWay[cell] = 1;
  /** The cell that each off the way hangs on. */
  const parent = new Int32Array(cells).fill(-1);
  /** By the cell of each branch that hangs on the way. */
  const efforts = new Map<number, number>();
  let total = 0;

  const order = new Int32Array(cells);
  const height = new Int32Array(cells);
  const deep = new Uint8Array(cells);
  const drop = (root: number) => {
    total -= efforts.get(root) ?? 0;
    efforts.delete(root);
  };
  const measure = (root: number, from: number) => {
    drop(root);
    const hang = (cell: number, on: number) => {
      order[count++] = cell;
      parent[cell] = on;
      height[cell] = 0;
      deep[cell] = 0;
    };
    let count = 0;
    hang(root, from);
    for (let head = 0; head < count; head++) {
      const cell = order[head]!;
      for (let i = first[cell]!; i < first[cell + 1]!; i++)
        if (open[through[i]!] && next[i] !== parent[cell]) hang(next[i]!, cell);
    }
    let walked = 0;
    let choices = 1;
    while (count--) {
      const cell = order[count]!;
      const above = parent[cell]!;
      height[above] = Math.max(height[above]!, height[cell]! + 1);
      if (height[cell]! < SEEN) continue;
      walked++;
      choices += Math.max(0, deep[cell]! - 1) / 2;
      deep[above]!++;
    }
    const effort = walked ? walked + CHOICE * choices : LOOK;
    efforts.set(root, effort);
    total += effort;
  };
  for (const cell of way)
    for (let i = first[cell]!; i < first[cell + 1]!; i++)
      if (open[through[i]!] && !onWay[next[i]!]) measure(next[i]!, cell);

  const passage = (cell: number, leads: (to: number) => boolean): number => {
    for (let i = first[cell]!; i < first[cell + 1]!; i++) if (open[through[i]!] && leads(next[i]!)) return i;
    return -1;
  };
  /** From a cell to the one of its branch that hangs on the way; none of a cell on it. */
  const trail = (cell: number): number[] => {
    const found: number[] = [];
    for (let at = cell; !onWay[at]; at = parent[at]!) found.push(at);
    return found;
  };
  const isMovable = (wall: number): boolean =>
    walls.other[wall]! >= 0 && isWall(grid, wall) && !bridged?.bound[wall];

  return {
    effort: () => total,
    exchange(wall, random) {
      if (open[wall] || !isMovable(wall)) return null;
      const sides = [walls.one[wall]!, walls.other[wall]!];
      const [one, other] = sides.map(trail) as [number[], number[]];
      const roots = new Set([one, other].flatMap((cells) => cells.slice(-1)));
      while (one.length && one.at(-1) === other.at(-1)) {
        one.pop();
        other.pop();
      }
      const circle = [...one, ...other];
      if (!circle.length) return null;
      const cut = random.pick(circle);
      const closed = through[passage(cut, (to) => to === parent[cut])]!;
      if (!isMovable(closed)) return null;
      const swap = (opened: number, shut: number) => {
        open[opened] = 1;
        open[shut] = 0;
        // A branch can begin at the wall now, or did.
        for (const root of [...roots, ...sides]) drop(root);
        for (const root of new Set([...roots, ...sides])) {
          if (onWay[root]) continue;
          const at = passage(root, (to) => onWay[to] === 1);
          if (at >= 0) measure(root, next[at]!);
        }
      };
      swap(wall, closed);
      return () => swap(closed, wall);
    },
  };
}

/** What it costs to look into the branches of a maze, in steps. */
export const effortOfBranches = (grid: Grid, maze: Pick<Maze, 'open' | 'way'>): number =>
  branchesOf(grid, maze).effort();

/** Exchanges tried for each cell, and for all. */
const TRIES_A_CELL = 3;
const MOST_TRIES = 2000;
const TRIES_AT_ONCE = 250;

/**
 * Exchanges walls off the way of a maze, one for another, until its branches cost as much as is wanted, or as near to it as they come.
 * It stays a tree, and its way what it is. Gives way now and then.
 * @param maze its walls are changed
 * @param least, most what its branches are to cost, in steps
 */
export function* bendBranches(
  grid: Grid,
  maze: Pick<Maze, 'open' | 'way'>,
  least: number,
  most: number,
  random: RandomStream,
): Generator<void, number> {
  const branches = branchesOf(grid, maze);
  const away = () => Math.max(0, least - branches.effort(), branches.effort() - most);
  const tries = Math.min(MOST_TRIES, TRIES_A_CELL * grid.cells);
  let before = away();
  for (let i = 1; before > 0 && i <= tries; i++) {
    if (i % TRIES_AT_ONCE === 0) yield;
    const undo = branches.exchange(random.int(maze.open.length), random);
    if (!undo) continue;
    const now = away();
    if (now > before) undo();
    else before = now;
  }
  return branches.effort();
}
