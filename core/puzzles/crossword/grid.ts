/** A word in a grid. */
export interface Entry {
  /** Its place in the list that the grid was made from. */
  word: number;
  column: number;
  row: number;
  across: boolean;
}

export interface Crossword {
  columns: number;
  rows: number;
  /** A letter a cell, row by row; null for a cell without one. */
  letters: (string | null)[];
  entries: Entry[];
}

/** Letters that are read without a break, across or down; two at least. */
export interface ReadRun {
  column: number;
  row: number;
  across: boolean;
  /** Places of its cells, row by row. */
  cells: number[];
}

/**
 * Every run of two letters and more, rows first and from the upper left corner on, whatever was meant to stand there: shares
 * nothing with how grids are made, so that it can judge them.
 */
export function runsOf({ columns, rows, letters }: Omit<Crossword, 'entries'>): ReadRun[] {
  const runs: ReadRun[] = [];
  for (let at = 0; at < letters.length; at++) {
    if (letters[at] === null) continue;
    const [column, row] = [at % columns, Math.floor(at / columns)];
    for (const across of [true, false]) {
      const step = across ? 1 : columns;
      const begins = across
        ? column === 0 || letters[at - 1] === null
        : row === 0 || letters[at - columns] === null;
      if (!begins) continue;
      const length = across ? columns - column : rows - row;
      const cells: number[] = [];
      for (let i = 0; i < length && letters[at + i * step] !== null; i++) cells.push(at + i * step);
      if (cells.length > 1) runs.push({ column, row, across, cells });
    }
  }
  return runs;
}

/** Numbers of the cells at which words begin, by place, from the upper left corner on; a cell has one for both directions. */
export function numbersOf(grid: Omit<Crossword, 'entries'>): Map<number, number> {
  const numbers = new Map<number, number>();
  for (const { cells } of runsOf(grid)) {
    const first = cells[0]!;
    if (!numbers.has(first)) numbers.set(first, numbers.size + 1);
  }
  return numbers;
}
