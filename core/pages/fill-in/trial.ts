import { runsOf } from '../../puzzles/crossword/index.ts';
import { type CellTrial, gridCells } from '../puzzle/trial.ts';
import type { FillInItem } from './fill.ts';

/** The empty grid with the words that go into it. */
export function fillInTrial(item: FillInItem): CellTrial {
  const { columns, rows, letters, given, words } = item;
  const { cells, of } = gridCells(columns, rows, (at) =>
    letters[at] === null ? null : { answer: letters[at]!, given: given.includes(at) },
  );
  return {
    ...{ of: 'cells', width: columns, height: rows, ratio: 1, cells },
    entry: { of: 'letters' },
    runs: runsOf(item).map((run) => ({ cells: run.cells.map((at) => of[at]!) })),
    ...{ closed: [], lines: [], texts: [] },
    words: words.map((word) => word.letters.join('')),
  };
}
