import { SIGNS } from '../../puzzles/sudoku/index.ts';
import { ipuzFormat, rowsOf } from '../item-formats.ts';
import type { ItemFormat } from '../kind.ts';
import type { SudokuItem } from './fill.ts';

/** Sudokus for other programs: a line of 81, or 256, characters, and ipuz. */
export const sudokuFormats: readonly ItemFormat<SudokuItem>[] = [
  {
    id: 'line',
    name: 'A line of characters',
    ending: 'txt',
    between: '',
    write: ({ givens }) => `${givens}\n`,
  },
  ipuzFormat('sudoku#1', ({ size, givens, solution }: SudokuItem) => ({
    dimensions: { width: size, height: size },
    charset: SIGNS.slice(0, size),
    boxes: true,
    puzzle: rowsOf(size, size, (at) => (givens[at] === '.' ? 0 : givens[at]!)),
    solution: rowsOf(size, size, (at) => solution[at]!),
  })),
];
