import { LINES, SIDE } from '../../puzzles/cross-sums/index.ts';
import { type CellTrial, gridCells } from '../puzzle/trial.ts';
import type { CrossSumsItem } from './fill.ts';

const STEP = 1.6;
const TEXT = 0.5;

/** The square with its calculations, to be filled in. */
export function crossSumsTrial({ operators, results, givens, solution }: CrossSumsItem): CellTrial {
  const { cells } = gridCells(SIDE, SIDE, (at) => ({
    answer: String(solution[at]),
    given: givens[at] !== null,
  }));
  /** Of cells and results, and of the signs before them. */
  const middle = (i: number) => i * STEP + 0.5;
  const before = (i: number) => i * STEP - (STEP - 1) / 2;
  const lines = operators.map((signs, line) => ({
    signs: [...signs, '='],
    along: middle(line % SIDE),
    line,
  }));
  return {
    ...{ of: 'cells', width: SIDE * STEP + 1, height: SIDE * STEP + 1, ratio: 1 },
    cells: cells.map((cell) => ({ ...cell, x: cell.x * STEP, y: cell.y * STEP })),
    entry: { of: 'digits', most: SIDE * SIDE },
    // Every digit stands in the square once.
    runs: [{ cells: cells.map((_, at) => at), apart: true }],
    ...{ closed: [], lines: [] },
    texts: lines.flatMap(({ signs, along, line }) => {
      const at = (i: number) => (line < SIDE ? { x: i, y: along } : { x: along, y: i });
      return [
        ...signs.map((text, i) => ({
          ...{ ...at(before(i + 1)), text, size: TEXT },
          ...(i < SIDE - 1 ? { between: [LINES[line]![i]!, LINES[line]![i + 1]!] as const } : {}),
        })),
        { ...at(middle(SIDE)), text: String(results[line]), size: TEXT },
      ];
    }),
  };
}
