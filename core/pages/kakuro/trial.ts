import { type CellTrial, gridCells } from '../puzzle/trial.ts';
import { type KakuroItem, sumsOf } from './fill.ts';

const SUM = 0.3;

/** The grid with its sums, to be filled in. */
export function kakuroTrial(item: Pick<KakuroItem, 'columns' | 'rows' | 'solution'>): CellTrial {
  const { columns, rows, solution } = item;
  const { layout, sums } = sumsOf(item);
  const { cells, of } = gridCells(columns, rows, (at) =>
    solution[at] === '.' ? null : { answer: solution[at]! },
  );
  const before = layout.runs.map(({ cells: run, across }) => run[0]! - (across ? 1 : columns));
  return {
    ...{ of: 'cells', width: columns, height: rows, ratio: 1, cells },
    entry: { of: 'digits', most: 9 },
    runs: layout.runs.map((run) => ({ cells: run.cells.map((at) => of[at]!), apart: true })),
    closed: [...solution].flatMap((sign, at) =>
      sign === '.' ? [[at % columns, Math.floor(at / columns)] as const] : [],
    ),
    lines: [],
    texts: layout.runs.map(({ across }, r) => ({
      x: (before[r]! % columns) + (across ? 0.72 : 0.28),
      y: Math.floor(before[r]! / columns) + (across ? 0.28 : 0.74),
      text: String(sums[r]),
      size: SUM,
    })),
  };
}
