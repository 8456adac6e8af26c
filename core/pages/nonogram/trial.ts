import { type CellTrial, FILLED_MARK, gridCells } from '../puzzle/trial.ts';
import { cluesOfItem, type NonogramItem } from './fill.ts';

/** Of the numbers at rows and columns, by the side of a cell. */
const NUMBER = { size: 0.55, across: 0.68, down: 0.62 } as const;
const TENS = 5;

/** The empty grid with its numbers; cells are filled or marked as empty. */
export function nonogramTrial(item: NonogramItem): CellTrial {
  const { columns, rows, picture } = item;
  const clues = cluesOfItem(item);
  const told = (runs: readonly number[]) => (runs.length ? runs : [0]);
  const left = Math.max(...clues.rows.map((runs) => told(runs).length)) * NUMBER.across + 0.2;
  const top = Math.max(...clues.columns.map((runs) => told(runs).length)) * NUMBER.down + 0.2;
  const { cells } = gridCells(columns, rows, (at) => ({ answer: picture[at] === '#' ? FILLED_MARK : '' }));
  const steps = (count: number) =>
    Array.from({ length: Math.floor(count / TENS) + 1 }, (_, i) => i * TENS).concat(
      count % TENS ? [count] : [],
    );
  return {
    ...{ of: 'cells', width: left + columns, height: top + rows, ratio: 1 },
    cells: cells.map((cell) => ({ ...cell, x: cell.x + left, y: cell.y + top })),
    entry: { of: 'marks' },
    runs: [],
    closed: [],
    lines: [
      ...steps(columns).map((x) => [left + x, top, left + x, top + rows] as const),
      ...steps(rows).map((y) => [left, top + y, left + columns, top + y] as const),
    ],
    texts: [
      ...clues.rows.flatMap((runs, row) =>
        told(runs).map((run, i, all) => ({
          x: left - 0.1 - (all.length - i - 0.5) * NUMBER.across,
          y: top + row + 0.5,
          text: String(run),
          size: NUMBER.size,
        })),
      ),
      ...clues.columns.flatMap((runs, column) =>
        told(runs).map((run, i, all) => ({
          x: left + column + 0.5,
          y: top - 0.1 - (all.length - i - 0.5) * NUMBER.down,
          text: String(run),
          size: NUMBER.size,
        })),
      ),
    ],
  };
}
