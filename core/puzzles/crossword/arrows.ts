import { type Crossword, type ReadRun, runsOf } from './grid.ts';

/** What stands in a cell that asks for a word. */
export interface Arrowed {
  run: ReadRun;
  /** The side of its cell at which the arrow leaves it. */
  exit: 'right' | 'down';
  /** The arrow turns in the first cell of the word: to the right where it came down, and down where it came from the left. */
  turns: boolean;
}

/** Words in a grid that has cells for what is asked for. */
interface ArrowGrid {
  columns: number;
  rows: number;
  /** A letter a cell, row by row; null for a cell without one. */
  letters: (string | null)[];
  /** What cells ask for, by place: one or two words, which leave it at different sides. */
  asking: Map<number, Arrowed[]>;
}

/**
 * Gives every word of a grid a cell that asks for it: the one before its first letter or, where that one would ask for two and the
 * other is free, the one beside its first letter, from which the arrow turns. Words are read without a break, so that the cell before
 * one never has a letter. A column is added at the left, and a row at the top, where a word begins at the edge.
 */
export function arrowGrid(grid: Omit<Crossword, 'entries'>): ArrowGrid {
  const runs = runsOf(grid);
  const left = runs.some(({ across, column }) => across && column === 0) ? 1 : 0;
  const top = runs.some(({ across, row }) => !across && row === 0) ? 1 : 0;
  const [columns, rows] = [grid.columns + left, grid.rows + top];
  const letters = Array.from({ length: columns * rows }, (_, at) => {
    const [column, row] = [(at % columns) - left, Math.floor(at / columns) - top];
    return column < 0 || row < 0 ? null : grid.letters[row * grid.columns + column]!;
  });
  const asking = new Map<number, Arrowed[]>();
  const ask = (at: number, one: Arrowed) => asking.set(at, [...(asking.get(at) ?? []), one]);
  const firstOf = ({ column, row }: ReadRun) => (row + top) * columns + column + left;
  for (const run of runs)
    ask(firstOf(run) - (run.across ? 1 : columns), {
      run,
      exit: run.across ? 'right' : 'down',
      turns: false,
    });
  for (const [at, both] of [...asking]) {
    if (both.length < 2) continue;
    for (const one of both) {
      const { run } = one;
      const { across, column, row } = run;
      const isInside = across ? row + top > 0 : column + left > 0;
      const beside = firstOf(run) - (across ? columns : 1);
      if (!isInside || letters[beside] !== null || asking.has(beside)) continue;
      asking.set(
        at,
        both.filter((other) => other !== one),
      );
      ask(beside, { run, exit: across ? 'down' : 'right', turns: true });
      break;
    }
  }
  return { columns, rows, letters, asking };
}
