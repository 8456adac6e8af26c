import { coversOf, rate, readGrid, type Size, shapeOf, type Technique } from '../../puzzles/sudoku/index.ts';
import { LARGEST_SEARCHED, type SudokuItem } from './fill.ts';
import type { SudokuGiven } from './options.ts';

/** What a solver says of givens: how many answers there are. */
export type Verdict =
  | {
      answers: 'one';
      solution: Uint8Array;
      rating: { level: SudokuItem['level']; techniques: Technique[] } | null;
    }
  | { answers: 'none' }
  /** With the cells in which two of them differ. */
  | { answers: 'several'; differ: number[] }
  /** Too large to be searched where logic does not get through. */
  | { answers: 'unknown' };

/** Judges givens by logic, and where that does not get through, by a search for exact covers. */
export function judgeGivens({ size, variant, givens }: SudokuGiven): Verdict {
  const shape = shapeOf(size as Size, variant);
  const cells = readGrid(size as Size, givens);
  const rating = rate(shape, cells);
  if (rating) {
    const { level, techniques, solution } = rating;
    return {
      answers: 'one',
      solution,
      rating: { level, techniques: Object.keys(techniques) as Technique[] },
    };
  }
  if (size > LARGEST_SEARCHED) return { answers: 'unknown' };
  const [first, second] = coversOf(shape, cells);
  if (!first) return { answers: 'none' };
  if (!second) return { answers: 'one', solution: first, rating: null };
  return { answers: 'several', differ: [...first.keys()].filter((cell) => first[cell] !== second[cell]) };
}

/** Puts a given into a cell, or takes it out. @param sign a dot for none */
export const withGiven = (pin: SudokuGiven, cell: number, sign: string): SudokuGiven => ({
  ...pin,
  givens: pin.givens.slice(0, cell) + sign + pin.givens.slice(cell + 1),
});

/** The puzzle as givens that can be changed; null for one of boxes of any outline or of cages, which are more than givens. */
export const givensOf = ({ size, variant, givens }: SudokuItem): SudokuGiven | null =>
  variant === 'classic' || variant === 'diagonal' ? { size, variant, givens } : null;
