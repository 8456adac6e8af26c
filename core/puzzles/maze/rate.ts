import { randomStream } from '../../random.ts';
import { LEVELS, type Level } from '../level.ts';
import type { Grid } from './grid.ts';
import { type Ends, type Maze, makeMaze } from './make.ts';

/** What a cell of the way counts beside what leads off it, and a branch that goes on out of sight. Our choice, no source. */
const STEP = 0.3;
const DEEP = { cells: 4, times: 2 };

/**
 * How hard a maze is: over the way, what each branch costs that leads off it, as the logarithm of its size (after McClendon 2001,
 * The complexity and difficulty of a maze), twice where it goes on beyond four cells, and the length of the way itself.
 */
export function difficulty({ cells, first, next, through }: Grid, { open, way }: Maze): number {
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
  return sum + STEP * way.length;
}

/** Mazes that a scale is made from. */
const SAMPLE = 60;
const SCALES_KEPT = 200;

const scales = new Map<string, readonly number[]>();

/**
 * The difficulties at which the next level begins, for mazes of one sort: each level holds as many of them. Found once, giving way
 * after each maze.
 * @param sort names all that the mazes have in common
 */
export function* levelScale(
  sort: string,
  grid: Grid,
  ends: Ends,
  winding: number,
): Generator<void, readonly number[]> {
  const known = scales.get(sort);
  if (known) return known;
  const random = randomStream('maze scale', sort);
  const found: number[] = [];
  for (let i = 0; i < SAMPLE; i++) {
    found.push(difficulty(grid, makeMaze(grid, ends, winding, random)));
    yield;
  }
  found.sort((a, b) => a - b);
  const scale = LEVELS.slice(1).map((_, i) => found[Math.floor(((i + 1) * SAMPLE) / LEVELS.length)]!);
  if (scales.size >= SCALES_KEPT) scales.clear();
  scales.set(sort, scale);
  return scale;
}

/** The level of a difficulty on a scale. */
export const levelOn = (scale: readonly number[], value: number): Level =>
  LEVELS[scale.filter((begins) => value >= begins).length]!;
