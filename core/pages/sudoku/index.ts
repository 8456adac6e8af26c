import { markOfCells, sameSudoku, TECHNIQUES } from '../../puzzles/sudoku/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { readSudokus } from './bring-in.ts';
import { drawSudokuPage, drawSudokuSolution } from './draw.ts';
import type { SudokuItem } from './fill.ts';
import { fillSudoku, inspectSudoku, inspectSudokus, pinnedSudoku } from './fill.ts';
import { firstSteps, linesOfStep } from './first-steps.ts';
import { sudokuFormats } from './formats.ts';
import { type SudokuOptions, sudokuOptions, sudokuPin } from './options.ts';
import { sudokuWords } from './words.ts';

export const sudoku = defineKind<SudokuOptions, SudokuItem>({
  id: 'sudoku',
  version: 1,
  later: { heading: '' },
  name: 'Sudoku',
  purpose: 'Grids of digits with one answer each, their levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Sudoku', shown: { level: 2 } },
    { name: 'Sudoku, one a page', options: { perPage: 1 }, shown: { level: 1 } },
    { name: 'Sudoku, 6 × 6 for children', options: { size: 6, level: 1 } },
    { name: 'Sudoku, 16 × 16', options: { size: 16, perPage: 1 }, shown: { level: 1 } },
    { name: 'Diagonal sudoku', options: { variant: 'diagonal' }, shown: { level: 2 } },
    { name: 'Jigsaw sudoku', options: { variant: 'jigsaw' }, shown: { level: 2 } },
    { name: 'Killer sudoku', options: { variant: 'killer' }, shown: { level: 2 } },
  ],
  extent: 'items',
  defaultCount: 40,
  numbered: true,
  inHouseFaces: () => true,
  options: sudokuOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillSudoku,
  pin: { schema: sudokuPin, of: pinnedSudoku },
  data: ({ size, variant, givens, solution, level, techniques, boxes, cages }) => ({
    ...{ size, variant, givens, solution, level, techniques },
    ...(boxes ? { boxes } : {}),
    ...(cages ? { cages } : {}),
  }),
  filed: filedByLevel(pinnedSudoku, (language, { variant }) => sudokuWords(language, variant)),
  told: ({ level, techniques }) =>
    [LEVEL_NAMES[level], ...techniques.map((one) => TECHNIQUES[one].toLowerCase())].join(', '),
  bringIn: {
    help: 'A line of 81 characters for each (16, 36, 144 or 256 for other sizes), row by row, with 0 or a dot for an empty cell; or a file of one in ipuz.',
    read: readSudokus,
  },
  formats: sudokuFormats,
  draw: drawSudokuPage,
  solution: { box: drawSudokuSolution },
  hints: { key: markOfCells, lines: linesOfStep, steps: firstSteps },
  inspect: inspectSudoku,
  inspectSection: inspectSudokus,
  sameAs: sameSudoku,
});
