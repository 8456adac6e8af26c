import { SIGNS } from '../../puzzles/sudoku/index.ts';
import { ipuzFormat, rowsOf } from '../item-formats.ts';
import type { ItemFormat } from '../kind.ts';
import type { SudokuItem } from './fill.ts';

/** A cell as ipuz counts: column and row from 1. */
const placeOf = (size: number, at: number) => [(at % size) + 1, Math.floor(at / size) + 1];

const zonesOf = (size: number, boxes: string) =>
  [...new Set(boxes)].map((box) => ({
    cells: [...boxes].flatMap((of, at) => (of === box ? [placeOf(size, at)] : [])),
  }));

/** Sudokus for other programs: a line of 81, or 256, characters, and ipuz. */
export const sudokuFormats: readonly ItemFormat<SudokuItem>[] = [
  {
    id: 'line',
    name: 'A line of characters',
    ending: 'txt',
    between: '',
    // Neither boxes nor cages have a place in it.
    holds: ({ variant }) => variant !== 'jigsaw' && variant !== 'killer',
    write: ({ givens }) => `${givens}\n`,
  },
  ipuzFormat('sudoku#1', ({ size, givens, solution, boxes, cages }: SudokuItem) => ({
    dimensions: { width: size, height: size },
    charset: SIGNS.slice(0, size),
    // Boxes of any outline are zones; sums are cages. Names of the specification, from memory.
    boxes: !boxes,
    ...(boxes ? { zones: zonesOf(size, boxes) } : {}),
    ...(cages
      ? {
          cages: cages.map(({ cells, sum }) => ({
            operator: '+',
            value: sum,
            cells: cells.map((at) => placeOf(size, at)),
          })),
        }
      : {}),
    puzzle: rowsOf(size, size, (at) => (givens[at] === '.' ? 0 : givens[at]!)),
    solution: rowsOf(size, size, (at) => solution[at]!),
  })),
];
