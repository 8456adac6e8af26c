import type { RandomStream } from '../../random.ts';
import { type Layout, makeLayout } from './layout.ts';
import { solveByRuns } from './solve.ts';

export interface Kakuro {
  layout: Layout;
  /** Of the runs of the layout, in their order. */
  sums: Uint8Array;
  /** Digits row by row, 0 where none goes. */
  solution: Uint8Array;
  /** See `Solved`. */
  looks: number;
}

/** Changes of a digit to one layout before another is made. */
const CHANGES = 300;

/** Small and large digits come first, since their sums can be made in few ways. */
const weighted = (random: RandomStream): number[] =>
  [1, 2, 3, 4, 5, 6, 7, 8, 9]
    .map((digit) => ({ digit, key: random.unit() * 6 - Math.abs(digit - 5) }))
    .sort((a, b) => a.key - b.key)
    .map(({ digit }) => digit);

/** Digits so that none stands twice in a run. Null where the first tries lead nowhere. */
function fill({ open, runs, across, down }: Layout, random: RandomStream): Uint8Array | null {
  const grid = new Uint8Array(open.length);
  const used = new Uint16Array(runs.length);
  const cells = [...open.keys()].filter((at) => open[at]);
  let steps = 0;
  const lay = (i: number): boolean => {
    const at = cells[i];
    if (at === undefined) return true;
    if (++steps > 20 * cells.length) return false;
    const [a, d] = [across[at]!, down[at]!];
    for (const digit of weighted(random)) {
      const bit = 1 << (digit - 1);
      if ((used[a]! | used[d]!) & bit) continue;
      grid[at] = digit;
      used[a]! |= bit;
      used[d]! |= bit;
      if (lay(i + 1)) return true;
      used[a]! &= ~bit;
      used[d]! &= ~bit;
    }
    return false;
  };
  return lay(0) ? grid : null;
}

const sumsOf = ({ runs }: Layout, grid: Uint8Array): Uint8Array =>
  Uint8Array.from(runs, ({ cells }) => cells.reduce((sum, cell) => sum + grid[cell]!, 0));

/** Another digit for a cell, or two cells of a run exchanged, so that no run has one twice. False where none is free. */
function change(grid: Uint8Array, at: number, { runs, across, down }: Layout, random: RandomStream): boolean {
  const used = (r: number): number => {
    let set = 0;
    for (const cell of runs[r]!.cells) set |= 1 << grid[cell]!;
    return set;
  };
  const taken = used(across[at]!) | used(down[at]!);
  const free: number[] = [];
  for (let digit = 1; digit <= 9; digit++) if (!((taken >> digit) & 1)) free.push(digit);
  if (!free.length) return false;
  grid[at] = random.pick(free);
  return true;
}

/**
 * A grid whose sums tell every digit, one run after another, and so only these: digits that the sums do not tell are changed, a
 * change that leaves more untold is taken back. Gives way after each layout.
 */
export function* kakuroSteps(columns: number, rows: number, random: RandomStream): Generator<void, Kakuro> {
  for (;;) {
    const layout = makeLayout(columns, rows, random);
    const grid = fill(layout, random);
    if (!grid) continue;
    let sums = sumsOf(layout, grid);
    let solved = solveByRuns(layout, sums)!;
    for (let i = 0; i < CHANGES && solved.unknown > 0; i++) {
      const untold = [...solved.may.keys()].filter((at) => solved.may[at]! & (solved.may[at]! - 1));
      const at = random.pick(untold);
      const before = grid[at]!;
      if (!change(grid, at, layout, random)) continue;
      const changed = sumsOf(layout, grid);
      const next = solveByRuns(layout, changed)!;
      if (next.unknown <= solved.unknown) {
        sums = changed;
        solved = next;
      } else grid[at] = before;
      if (i % 20 === 19) yield;
    }
    if (solved.unknown === 0) return { layout, sums, solution: grid, looks: solved.looks };
    yield;
  }
}
