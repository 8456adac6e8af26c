import type { Layout } from './layout.ts';

/** Digits 1 to 9 as bits 0 to 8. */
const ALL_DIGITS = 511;

const bitsOf = Uint8Array.from({ length: 512 }, (_, set) => {
  let count = 0;
  for (let rest = set; rest; rest &= rest - 1) count++;
  return count;
});
const sumOf = Uint8Array.from({ length: 512 }, (_, set) => {
  let sum = 0;
  for (let digit = 1; digit <= 9; digit++) if ((set >> (digit - 1)) & 1) sum += digit;
  return sum;
});

/** Sets of digits that a run of so many cells with this sum can have. */
const setsOf: number[][][] = Array.from({ length: 10 }, () => Array.from({ length: 46 }, () => []));
for (let set = 0; set < 512; set++) setsOf[bitsOf[set]!]![sumOf[set]!]!.push(set);

/** Per length of a run, the sets that its first cells can have, and those from which its last ones can be completed. */
const reached = Array.from({ length: 10 }, () => new Uint8Array(512));
const completed = Array.from({ length: 10 }, () => new Uint8Array(512));
const listed = Array.from({ length: 10 }, () => new Int16Array(512));
const counts = new Int16Array(10);

/**
 * Keeps in each cell of a run the digits that some way to fill the run has there, so that no digit stands twice and the sum is
 * right.
 * @param may digits that each cell of the grid may have, changed in place
 * @returns 1 where a digit was struck, 0 where none was, −1 where the run cannot be filled
 */
function narrow(may: Uint16Array, cells: readonly number[], sum: number): number {
  const n = cells.length;
  let usable = 0;
  for (const set of setsOf[n]![sum]!) usable |= set;
  // Sets of digits of the first i cells.
  reached[0]![0] = 1;
  listed[0]![0] = 0;
  counts[0] = 1;
  for (let i = 0; i < n; i++) {
    const digits = may[cells[i]!]! & usable;
    const [from, to, list] = [listed[i]!, reached[i + 1]!, listed[i + 1]!];
    let count = 0;
    for (let k = 0; k < counts[i]!; k++) {
      const set = from[k]!;
      for (let rest = digits & ~set; rest; rest &= rest - 1) {
        const next = set | (rest & -rest);
        if (to[next]) continue;
        to[next] = 1;
        list[count++] = next;
      }
    }
    counts[i + 1] = count;
  }
  for (let k = 0; k < counts[n]!; k++) {
    const set = listed[n]![k]!;
    if (sumOf[set] === sum) completed[n]![set] = 1;
  }
  let changed = 0;
  for (let i = n - 1; i >= 0; i--) {
    const digits = may[cells[i]!]! & usable;
    let kept = 0;
    for (let k = 0; k < counts[i]!; k++) {
      const set = listed[i]![k]!;
      for (let rest = digits & ~set; rest; rest &= rest - 1) {
        const digit = rest & -rest;
        if (!completed[i + 1]![set | digit]) continue;
        kept |= digit;
        completed[i]![set] = 1;
      }
    }
    if (kept !== may[cells[i]!]) {
      changed = kept ? 1 : -1;
      may[cells[i]!] = kept;
      if (!kept) break;
    }
  }
  for (let i = 0; i <= n; i++) {
    for (let k = 0; k < counts[i]!; k++) {
      reached[i]![listed[i]![k]!] = 0;
      completed[i]![listed[i]![k]!] = 0;
    }
  }
  return changed;
}

export interface Solved {
  /** Digits that each cell may still have, as bits; 0 where none goes. */
  may: Uint16Array;
  unknown: number;
  /** In which look over all runs a cell was found, on average. */
  looks: number;
}

/**
 * Solves by looking at one run after another, as long as one tells something.
 * @param sums of the runs
 * @returns null where a run cannot be filled
 */
export function solveByRuns({ open, runs, across, down }: Layout, sums: ArrayLike<number>): Solved | null {
  const may = new Uint16Array(open.length);
  let unknown = 0;
  for (let at = 0; at < open.length; at++)
    if (open[at]) {
      may[at] = ALL_DIGITS;
      unknown++;
    }
  const cells = unknown;
  let sum = 0;
  let due = new Uint8Array(runs.length).fill(1);
  for (let look = 1; unknown > 0; look++) {
    const next = new Uint8Array(runs.length);
    let any = false;
    let left = 0;
    for (let r = 0; r < runs.length; r++) {
      if (!due[r] && !next[r]) continue;
      next[r] = 0;
      const run = runs[r]!;
      const changed = narrow(may, run.cells, sums[r]!);
      if (changed < 0) return null;
      if (!changed) continue;
      any = true;
      for (const cell of run.cells) next[run.across ? down[cell]! : across[cell]!] = 1;
    }
    for (let at = 0; at < may.length; at++) if (may[at]! & (may[at]! - 1)) left++;
    sum += look * (unknown - left);
    unknown = left;
    if (!any) break;
    due = next;
  }
  return { may, unknown, looks: sum / (cells - unknown || 1) };
}
