import type { PrintedLanguage } from '../../printed-words/index.ts';
import { attemptAt, nextStep, readGrid, stepInPrint, takeStep } from '../../puzzles/sudoku/index.ts';
import { type SudokuItem, shapeOfItem } from './fill.ts';
import type { SudokuOptions } from './options.ts';

/** Singles are told in a line each, unless a box has to be described. */
export const linesOfStep = ({ level, variant }: SudokuOptions): number =>
  (level === 1 || level === 2) && (variant === 'classic' || variant === 'diagonal') ? 1 : 2;

/** The first steps of a puzzle, each the one that is easiest to see then; fewer where logic sees no further. */
export function firstSteps(item: SudokuItem, count: number, language: PrintedLanguage): string[] {
  const shape = shapeOfItem(item);
  const told: string[] = [];
  let attempt = attemptAt(readGrid(item.size, item.givens));
  while (told.length < count) {
    const step = nextStep(attempt, shape, item.cages);
    if (!step) break;
    told.push(stepInPrint(step, shape, language));
    attempt = takeStep(attempt, shape, step);
  }
  return told;
}
