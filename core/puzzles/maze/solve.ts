import type { Grid } from './grid.ts';

/** Cells that are left when all dead ends are filled but those at the start and the goal: the ways, and circles. 1 for each. */
export function cellsLeft(grid: Grid, open: Uint8Array, start: number, goal: number): Uint8Array {
  const { cells, first, next, through } = grid;
  const exits = new Int32Array(cells);
  for (let cell = 0; cell < cells; cell++)
    for (let i = first[cell]!; i < first[cell + 1]!; i++) if (open[through[i]!]) exits[cell]!++;
  const left = new Uint8Array(cells).fill(1);
  for (let from = 0; from < cells; from++)
    for (let cell = from; cell >= 0 && left[cell] && exits[cell]! <= 1 && cell !== start && cell !== goal; ) {
      left[cell] = 0;
      let on = -1;
      for (let i = first[cell]!; i < first[cell + 1]!; i++)
        if (open[through[i]!] && left[next[i]!]) {
          on = next[i]!;
          exits[on]!--;
        }
      cell = on;
    }
  return left;
}

/**
 * The ways through a maze, found by filling dead ends until nothing but ways is left: it shares nothing with what makes mazes.
 * @returns the cells that are left, in order from start to goal, or null where there is no way or more than one
 */
export function onlyWay(grid: Grid, open: Uint8Array, start: number, goal: number): number[] | null {
  const { cells, first, next, through } = grid;
  const left = cellsLeft(grid, open, start, goal);
  const way = [start];
  for (let cell = start, before = -1; cell !== goal; ) {
    let on = -1;
    for (let i = first[cell]!; i < first[cell + 1]!; i++) {
      const to = next[i]!;
      if (!open[through[i]!] || !left[to] || to === before) continue;
      if (on >= 0) return null;
      on = to;
    }
    if (on < 0 || way.length > cells) return null;
    before = cell;
    cell = on;
    way.push(cell);
  }
  return way;
}
