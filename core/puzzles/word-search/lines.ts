import { LRUCache } from 'lru-cache';

/** The straight lines of a grid, and which of them each cell lies on. */
export interface Lines {
  /** Cells of each line, in order. */
  lines: readonly Int32Array[];
  /** By cell, four of each: the lines it lies on, and its place on them. A cell in a corner lies on a line of one cell. */
  on: Int32Array;
  places: Int32Array;
}

/** The four ways of lines; words run along them and against them. */
export const WAYS = [
  [1, 0],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;

const kept = new LRUCache<string, Lines>({ max: 40 });

/** Rows, columns and both slants of a grid. */
export function linesOf(columns: number, rows: number): Lines {
  const key = `${columns} ${rows}`;
  const known = kept.get(key);
  if (known) return known;
  const lines: Int32Array[] = [];
  const on = new Int32Array(columns * rows * WAYS.length);
  const places = new Int32Array(on.length);
  WAYS.forEach(([dx, dy], way) => {
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const isInside = (x: number, y: number) => x >= 0 && x < columns && y >= 0 && y < rows;
        if (isInside(column - dx, row - dy)) continue;
        const cells: number[] = [];
        for (let [x, y] = [column, row]; isInside(x, y); x += dx, y += dy) {
          const at = y * columns + x;
          on[at * WAYS.length + way] = lines.length;
          places[at * WAYS.length + way] = cells.length;
          cells.push(at);
        }
        lines.push(Int32Array.from(cells));
      }
  });
  const all = { lines, on, places };
  kept.set(key, all);
  return all;
}
