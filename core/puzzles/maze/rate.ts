import { type RandomStream, randomStream } from '../../random.ts';
import type { Level } from '../level.ts';
import { evenScale, keptScale, measuredScale, type Scale } from '../scale.ts';
import { anyBridges, type Bridge, gridWithBridges } from './bridges.ts';
import { bendBranches, effortOfBranches } from './effort.ts';
import { anyStairs, gridWithFloors, placeOnFloor, type Stairs } from './floors.ts';
import type { Grid } from './grid.ts';
import { type Ends, type Maze, makeMaze, middleCell, type Passages } from './make.ts';
import usual from './usual-scales.json' with { type: 'json' };

/** What a cell of the way counts beside what leads off it, and a branch that goes on out of sight. Our choice, no source. */
const STEP = 0.3;
const DEEP = { cells: 4, times: 2 };
/** A quarter turn of the way. Our choice, no source. */
const TURN = 0.5;

/**
 * What counts for how hard a maze is: what leads off the way and how long that is; or its turns as well; or the steps of one who looks
 * for the way.
 */
export type Measure = 'branches' | 'turns' | 'effort';

/**
 * How far the way turns altogether, in quarter turns. Where it leads is looked at over two steps: straight on through triangles goes
 * left and right by turns.
 */
export function turnsOf(grid: Grid, way: readonly number[]): number {
  let sum = 0;
  let before: readonly [number, number] | null = null;
  for (let i = 1; i + 1 < way.length; i++) {
    const [from, to] = [placeOnFloor(grid, way[i - 1]!), placeOnFloor(grid, way[i + 1]!)];
    const leads = [to[0] - from[0], to[1] - from[1]] as const;
    if (!leads[0] && !leads[1]) continue;
    if (before) {
      const cross = before[0] * leads[1] - before[1] * leads[0];
      const dot = before[0] * leads[0] + before[1] * leads[1];
      sum += Math.abs(Math.atan2(cross, dot));
    }
    before = leads;
  }
  return sum / (Math.PI / 2);
}

/** What the way costs who knows it, in steps. */
const effortOfWay = (grid: Grid, way: readonly number[]): number => way.length + TURN * turnsOf(grid, way);

/**
 * How hard a maze is. By effort: the steps of its way, its turns, and what it costs to look into its branches. Otherwise, over the way,
 * what each branch costs that leads off it, as the logarithm of its size (after McClendon 2001, The complexity and difficulty of a
 * maze), twice where it goes on beyond four cells, the length of the way itself, and its turns.
 */
export function difficulty(grid: Grid, { open, way }: Maze, measure: Measure): number {
  if (measure === 'effort') return effortOfWay(grid, way) + effortOfBranches(grid, { open, way });
  const { cells, first, next, through } = grid;
  const onWay = new Uint8Array(cells);
  for (const cell of way) onWay[cell] = 1;
  const stack: number[] = [];
  const seen = new Uint8Array(cells);
  let sum = 0;
  for (const cell of way)
    for (let i = first[cell]!; i < first[cell + 1]!; i++) {
      const branch = next[i]!;
      if (!open[through[i]!] || onWay[branch]) continue;
      let size = 0;
      stack.push(branch);
      seen[branch] = 1;
      while (stack.length) {
        const here = stack.pop()!;
        size++;
        for (let k = first[here]!; k < first[here + 1]!; k++) {
          const to = next[k]!;
          if (!open[through[k]!] || onWay[to] || seen[to]) continue;
          seen[to] = 1;
          stack.push(to);
        }
      }
      sum += Math.log2(1 + size) * (size > DEEP.cells ? DEEP.times : 1);
    }
  return sum + STEP * way.length + (measure === 'turns' ? TURN * turnsOf(grid, way) : 0);
}

/** Those of the mazes that are on offer, as they are measured, so that a first page does not wait for sixty mazes. */
export const usualScales: Readonly<Record<string, Scale>> = usual;

/** What passages do beside leading from cell to cell. */
export interface Space {
  /** Bridges that passages run over, as a share of those that there is room for, 0 to 1. On a single floor. */
  bridges: number;
  /** Floors, 1 to `MOST_FLOORS`. */
  floors: number;
}

const FLAT: Space = { bridges: 0, floors: 1 };

/** A grid with bridges, or with floors and places for stairs, by chance: the grid itself where neither is asked for. */
export function gridInSpace(
  grid: Grid,
  { bridges, floors }: Space,
  ends: Ends,
  random: RandomStream,
): { grid: Grid; over: Bridge[]; stairs: Stairs[] } {
  if (floors > 1) {
    // No end that is known beforehand is on stairs.
    const known = typeof ends === 'object' ? [ends.start, ends.goal % grid.cells] : [middleCell(grid)];
    const stairs = anyStairs(grid, floors, known, random);
    return { grid: gridWithFloors(grid, floors, stairs), over: [], stairs };
  }
  const over = bridges ? anyBridges(grid, bridges, random) : [];
  return { grid: gridWithBridges(grid, over), over, stairs: [] };
}

/** Mazes of which one is taken that is hard, or easy, beforehand: its way is longer then, or shorter. */
const TO_CHOOSE_FROM = 3;
/** A maze that is bent lies so far within its level, as a share of it. */
const WITHIN = 0.15;

/**
 * A maze that is bent until it costs the steps of its level, or comes near. Its way is what chance made it.
 * @param scale of steps
 */
export function* mazeOfEffort(
  grid: Grid,
  ends: Ends,
  passages: Passages,
  level: Level,
  scale: Scale,
  random: RandomStream,
): Generator<void, Maze> {
  const mazes: { maze: Maze; steps: number }[] = [];
  while (mazes.length < TO_CHOOSE_FROM) {
    const maze = makeMaze(grid, ends, passages, random);
    mazes.push({ maze, steps: difficulty(grid, maze, 'effort') });
    yield;
  }
  mazes.sort((a, b) => a.steps - b.steps);
  const { maze } = mazes[Math.round(((level - 1) / scale.length) * (TO_CHOOSE_FROM - 1))]!;
  const way = effortOfWay(grid, maze.way);
  const [least = 0, most = Infinity] = [scale[level - 2], scale[level - 1]];
  const within = WITHIN * (scale[1]! - scale[0]!);
  yield* bendBranches(grid, maze, least + within - way, most - within - way, random);
  return maze;
}

/**
 * Mazes from which the least and the most steps are found: fewer where they are large, and differ less, so that a first page need not wait
 * for the scale of its size. Odd, for the one in the middle.
 */
const bentFor = ({ cells }: Grid): number => (cells > 1500 ? 1 : cells > 400 ? 3 : 5);
/** More steps than any maze costs. */
const UNREACHED = 1e9;

/** The scale of steps from mazes that are bent as far as can be, either way. Gives way now and then. */
function* effortScale(
  sort: string,
  grid: Grid,
  ends: Ends,
  passages: Passages,
  space: Space,
): Generator<void, Scale> {
  const random = randomStream('maze scale', sort);
  const found: Record<'least' | 'most', number[]> = { least: [], most: [] };
  const count = bentFor(grid);
  for (let i = 0; i < count; i++) {
    const own = gridInSpace(grid, space, ends, random).grid;
    const { open, way } = makeMaze(own, ends, passages, random);
    const known = effortOfWay(own, way);
    for (const [end, steps] of [
      ['least', 0],
      ['most', UNREACHED],
    ] as const) {
      const branches = yield* bendBranches(own, { open: open.slice(), way }, steps, steps, random);
      found[end].push(known + branches);
      yield;
    }
  }
  const middle = (of: number[]) => of.sort((a, b) => a - b)[(count - 1) / 2]!;
  return evenScale(middle(found.least), middle(found.most));
}

/**
 * The difficulties at which the next level begins, for mazes of one sort, found anew: each level holds as many mazes as any other, or
 * is as wide in steps.
 * @param sort names all that the mazes have in common
 * @param grid of one floor
 */
export const measuredMazeScale = (
  sort: string,
  grid: Grid,
  ends: Ends,
  passages: Passages,
  measure: Measure,
  space = FLAT,
): Generator<void, Scale> =>
  measure === 'effort'
    ? effortScale(sort, grid, ends, passages, space)
    : measuredScale('maze', sort, (random) => {
        const own = gridInSpace(grid, space, ends, random).grid;
        return difficulty(own, makeMaze(own, ends, passages, random), measure);
      });

/** As `measuredMazeScale`, found once. */
export function* mazeScale(...of: Parameters<typeof measuredMazeScale>): Generator<void, Scale> {
  const [sort] = of;
  return usualScales[sort] ?? (yield* keptScale('maze', sort, () => measuredMazeScale(...of)));
}
