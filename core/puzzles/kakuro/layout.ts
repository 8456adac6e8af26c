import type { RandomStream } from '../../random.ts';

/** Cells in a row or column that add up to a sum; no digit twice. */
export interface Run {
  cells: readonly number[];
  across: boolean;
}

/** Where digits go. Row 0 and column 0 hold sums alone. */
export interface Layout {
  columns: number;
  rows: number;
  /** 1 for a cell that takes a digit, row by row. */
  open: Uint8Array;
  runs: readonly Run[];
  /** The run across, and the run down, of each cell; −1 where it takes no digit. */
  across: Int16Array;
  down: Int16Array;
}

/** Digits, and so cells of a run at most. */
export const LONGEST_RUN = 9;

/** All runs of a grid. Null where one is of a single cell, or longer than there are digits. */
export function layoutOf(open: Uint8Array, columns: number, rows: number): Layout | null {
  const runs: Run[] = [];
  const across = new Int16Array(columns * rows).fill(-1);
  const down = new Int16Array(columns * rows).fill(-1);
  for (const isAcross of [true, false])
    for (let line = 0; line < (isAcross ? rows : columns); line++) {
      let cells: number[] = [];
      for (let i = 0; i <= (isAcross ? columns : rows); i++) {
        const at = isAcross ? line * columns + i : i * columns + line;
        if (i < (isAcross ? columns : rows) && open[at]) {
          cells.push(at);
          continue;
        }
        if (cells.length === 1 || cells.length > LONGEST_RUN) return null;
        if (cells.length) {
          for (const cell of cells) (isAcross ? across : down)[cell] = runs.length;
          runs.push({ cells, across: isAcross });
        }
        cells = [];
      }
    }
  return { columns, rows, open, runs, across, down };
}

/** Whether every cell that takes a digit can be reached from every other one. */
function isOnePiece(open: Uint8Array, columns: number): boolean {
  const first = open.indexOf(1);
  if (first < 0) return false;
  const seen = new Uint8Array(open.length);
  const stack = [first];
  seen[first] = 1;
  let count = 0;
  while (stack.length) {
    const at = stack.pop()!;
    count++;
    for (const to of [at - 1, at + 1, at - columns, at + columns])
      if (open[to] && !seen[to]) {
        seen[to] = 1;
        stack.push(to);
      }
  }
  return count === open.reduce((sum, one) => sum + one, 0);
}

/** Whether digits go into the outer rows and columns: a smaller grid would do otherwise. By half a turn, two tell of all four. */
const reachesEdges = (open: Uint8Array, columns: number, rows: number): boolean =>
  open.subarray(columns, 2 * columns).includes(1) &&
  Array.from({ length: rows }, (_, row) => open[row * columns + 1]).includes(1);

/** Length of the run through a cell, in a direction. */
function lengthAt(open: Uint8Array, at: number, step: number): number {
  let length = 1;
  for (let to = at - step; open[to]; to -= step) length++;
  for (let to = at + step; open[to]; to += step) length++;
  return length;
}

/** Runs are broken up until this share of the cells takes no digit, more or less. */
const CLOSED = { from: 0.3, to: 0.4 };
const TRIES = 200;

/** A grid that looks the same after half a turn, in one piece, with runs of two to nine cells. */
export function makeLayout(columns: number, rows: number, random: RandomStream): Layout {
  for (;;) {
    const open = Uint8Array.from({ length: columns * rows }, (_, at) =>
      at % columns && at >= columns ? 1 : 0,
    );
    const inner = (columns - 1) * (rows - 1);
    const wanted = inner * (CLOSED.from + random.unit() * (CLOSED.to - CLOSED.from));
    let closed = 0;
    for (let tries = 0; tries < TRIES && closed < wanted; tries++) {
      const [x, y] = [1 + random.int(columns - 1), 1 + random.int(rows - 1)];
      const pair = [...new Set([y * columns + x, (rows - y) * columns + columns - x])];
      if (pair.some((at) => !open[at])) continue;
      for (const at of pair) open[at] = 0;
      const leavesOne = pair.some((at) =>
        [at - 1, at + 1, at - columns, at + columns].some(
          (to) => open[to] && lengthAt(open, to, Math.abs(to - at)) === 1,
        ),
      );
      if (leavesOne || !isOnePiece(open, columns)) for (const at of pair) open[at] = 1;
      else closed += pair.length;
    }
    const layout = reachesEdges(open, columns, rows) ? layoutOf(open, columns, rows) : null;
    if (layout) return layout;
  }
}
