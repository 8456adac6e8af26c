import type { CellTrial } from '../puzzle/trial.ts';
import type { NumberPyramidItem } from './fill.ts';

const FLAT = 0.62;

/** The bricks, to be filled in. */
export function numberPyramidTrial({
  rows,
  givens,
  solution,
}: Pick<NumberPyramidItem, 'rows' | 'givens' | 'solution'>): CellTrial {
  const places = Array.from({ length: rows }, (_, row) =>
    Array.from({ length: row + 1 }, (_, i) => ({ x: i + (rows - 1 - row) / 2, y: row })),
  ).flat();
  return {
    ...{ of: 'cells', width: rows, height: rows, ratio: FLAT },
    cells: places.map((place, at) => ({
      ...place,
      answer: String(solution[at]),
      given: givens[at] !== null,
    })),
    entry: { of: 'numbers', longest: Math.max(...solution.map((number) => String(number).length)) },
    ...{ runs: [], closed: [], lines: [], texts: [] },
  };
}
