import { twinOf } from './bridges.ts';
import { isWall, stairsAt } from './floors.ts';
import type { Grid } from './grid.ts';

/** Cosine of the angle that a step may differ from where it is meant to go: less than 70 degrees. */
const NEAR = Math.cos((70 * Math.PI) / 180);

/** Cells that can be gone to from a cell. */
function* exits({ first, next, through }: Grid, open: Uint8Array, cell: number): Generator<number> {
  for (let i = first[cell]!; i < first[cell + 1]!; i++) if (open[through[i]!]) yield next[i]!;
}

/** A trail with one more cell, or one less where that is the cell it came from. */
const stepped = (trail: readonly number[], cell: number): readonly number[] =>
  trail.at(-2) === cell ? trail.slice(0, -1) : [...trail, cell];

/**
 * The neighbor of a cell that lies most in a direction, and the wall to it; the cell itself and −1 where there is none.
 * @param open only through these walls; through any if left out
 */
export function neighborToward(
  grid: Grid,
  from: number,
  dx: number,
  dy: number,
  open?: Uint8Array,
): { cell: number; wall: number } {
  const { first, next, through, x, y } = grid;
  const length = Math.hypot(dx, dy);
  let best = { cell: from, wall: -1 };
  let nearest = NEAR;
  for (let i = first[from]!; i < first[from + 1]!; i++) {
    if (!isWall(grid, through[i]!) || (open && !open[through[i]!])) continue;
    const cell = next[i]!;
    const [ax, ay] = [x[cell]! - x[from]!, y[cell]! - y[from]!];
    const near = (ax * dx + ay * dy) / (Math.hypot(ax, ay) * length);
    if (near > nearest) {
      nearest = near;
      best = { cell, wall: through[i]! };
    }
  }
  return best;
}

/**
 * One step from the end of a trail, back along it or on, to the cell that lies most in a direction.
 * @param trail cells one beside the other, one at least
 * @param dx and @param dy the direction, y downwards
 * @returns the same trail where no open way leads there
 */
export function walkOn(
  grid: Grid,
  open: Uint8Array,
  trail: readonly number[],
  dx: number,
  dy: number,
): readonly number[] {
  const { cell, wall } = neighborToward(grid, trail.at(-1)!, dx, dy, open);
  return wall < 0 ? trail : stepped(trail, cell);
}

/** Takes the stairs at the end of a trail: the others, where it came by some of two. @returns the same trail where there are none */
export function takeStairs(grid: Grid, open: Uint8Array, trail: readonly number[]): readonly number[] {
  const stairs = stairsAt(grid, trail.at(-1)!, open);
  const chosen = stairs.find(({ to }) => to !== trail.at(-2)) ?? stairs[0];
  return chosen ? stepped(trail, chosen.to) : trail;
}

/**
 * Goes from the end of a trail to a cell, as a pointer that moves fast does.
 * @param most steps that are gone for it
 * @returns the same trail where the cell is farther away
 */
export function walkTo(
  grid: Grid,
  open: Uint8Array,
  trail: readonly number[],
  target: number,
  most: number,
): readonly number[] {
  const here = trail.at(-1)!;
  const from = new Map<number, number>([[here, here]]);
  let edge = [here];
  // Where passages cross, the pointer means the one that is nearer on the way.
  const twin = twinOf(grid, target);
  const isThere = () => from.has(target) || from.has(twin);
  for (let step = 0; step < most && !isThere() && edge.length; step++) {
    const beyond: number[] = [];
    for (const cell of edge)
      for (const next of exits(grid, open, cell))
        if (!from.has(next)) {
          from.set(next, cell);
          beyond.push(next);
        }
    edge = beyond;
  }
  if (!isThere()) return trail;
  const way: number[] = [];
  for (let cell = from.has(target) ? target : twin; cell !== here; cell = from.get(cell)!) way.unshift(cell);
  return way.reduce(stepped, trail);
}
