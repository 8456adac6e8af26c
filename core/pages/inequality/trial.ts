import { type CellTrial, gridCells, latinRuns } from '../puzzle/trial.ts';
import type { InequalityItem } from './fill.ts';

/** Between cells, where signs stand, by the side of a cell. */
const STEP = 1.4;
const SIGN = 0.42;

/** The square with its signs, to be filled in. */
export function inequalityTrial({
  size,
  givens,
  signs,
  solution,
}: Pick<InequalityItem, 'size' | 'givens' | 'signs' | 'solution'>): CellTrial {
  const { cells } = gridCells(size, size, (at) => ({ answer: solution[at]!, given: givens[at] !== '.' }));
  const spread = cells.map((cell) => ({ ...cell, x: cell.x * STEP, y: cell.y * STEP }));
  const side = (size - 1) * STEP + 1;
  return {
    ...{ of: 'cells', width: side, height: side, ratio: 1, cells: spread },
    entry: { of: 'digits', most: size },
    runs: latinRuns(size),
    ...{ closed: [], lines: [] },
    texts: signs.map(({ less, more }) => {
      const [one, other] = [spread[less]!, spread[more]!];
      const isAcross = one.y === other.y;
      return {
        ...{ x: (one.x + other.x + 1) / 2, y: (one.y + other.y + 1) / 2, size: SIGN },
        text: isAcross ? (one.x < other.x ? '<' : '>') : one.y < other.y ? '∧' : '∨',
        between: [less, more] as const,
      };
    }),
  };
}
