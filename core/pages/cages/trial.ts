import { type CellTrial, gridCells, latinRuns } from '../puzzle/trial.ts';
import type { CagesItem } from './fill.ts';

/** The square with its cages, to be filled in. */
export function cagesTrial({
  size,
  cages,
  solution,
}: Pick<CagesItem, 'size' | 'cages' | 'solution'>): CellTrial {
  const { cells } = gridCells(size, size, (at) => {
    const cage = cages.find(({ cells: [first] }) => first === at);
    return { answer: solution[at]!, ...(cage ? { corner: `${cage.target}${cage.operation ?? ''}` } : {}) };
  });
  const cageOf = (x: number, y: number) =>
    x < 0 || y < 0 || x >= size || y >= size
      ? -1
      : cages.findIndex((cage) => cage.cells.includes(y * size + x));
  const lines: CellTrial['lines'][number][] = [];
  for (let y = 0; y <= size; y++)
    for (let x = 0; x <= size; x++) {
      if (x < size && cageOf(x, y) !== cageOf(x, y - 1)) lines.push([x, y, x + 1, y]);
      if (y < size && cageOf(x, y) !== cageOf(x - 1, y)) lines.push([x, y, x, y + 1]);
    }
  return {
    ...{ of: 'cells', width: size, height: size, ratio: 1, cells },
    entry: { of: 'digits', most: size },
    runs: latinRuns(size),
    ...{ closed: [], lines, texts: [] },
  };
}
