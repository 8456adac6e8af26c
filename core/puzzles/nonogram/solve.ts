import { runsOf, solveLine, UNKNOWN } from './line.ts';

/** Lengths of the runs of each row and each column. */
export interface Clues {
  rows: readonly (readonly number[])[];
  columns: readonly (readonly number[])[];
}

export const cluesOf = (cells: ArrayLike<number>, columns: number, rows: number): Clues => ({
  rows: Array.from({ length: rows }, (_, row) => runsOf(cells, row * columns, 1, columns)),
  columns: Array.from({ length: columns }, (_, column) => runsOf(cells, column, columns, rows)),
});

/** What follows line by line. */
export interface Solved {
  /** Row by row; `UNKNOWN` where a line alone does not tell. */
  cells: Uint8Array;
  unknown: number;
  /** Over all cells, in which look over the lines each was found, on average. */
  looks: number;
}

/** Solves line after line as a person does, all rows and then all columns, until nothing follows. Null where nothing fits. */
export function solveByLines({ rows, columns }: Clues): Solved | null {
  const [height, width] = [rows.length, columns.length];
  const cells = new Uint8Array(width * height).fill(UNKNOWN);
  let unknown = cells.length;
  let sum = 0;
  let changed = new Uint8Array(width + height).fill(1);
  for (let look = 1; unknown > 0; look++) {
    const next = new Uint8Array(width + height);
    let found = 0;
    for (let at = 0; at < height + width; at++) {
      const isRow = at < height;
      if (!changed[at] && !next[at]) continue;
      next[at] = 0;
      const first = isRow ? at * width : at - height;
      const [step, length] = isRow ? [1, width] : [width, height];
      const runs = isRow ? rows[at]! : columns[at - height]!;
      const became = solveLine(cells, first, step, length, runs);
      if (became < 0) return null;
      for (let i = 0; i < length; i++)
        if ((became >> i) & 1) {
          found++;
          next[isRow ? height + i : i] = 1;
        }
    }
    sum += look * found;
    unknown -= found;
    if (!found) break;
    changed = next;
  }
  return { cells, unknown, looks: sum / (cells.length - unknown || 1) };
}
