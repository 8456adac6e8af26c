import { type CellTrial, gridCells } from '../puzzle/trial.ts';
import type { CrosswordItem } from './fill.ts';

/** The empty grid with its clues. */
export function crosswordTrial({ columns, rows, letters, asked }: CrosswordItem): CellTrial {
  const numbers = new Map(asked.map(({ cells, number }) => [cells[0]!, String(number)]));
  const { cells, of } = gridCells(columns, rows, (at) => {
    const corner = numbers.get(at);
    return letters[at] ? { answer: letters[at]!, ...(corner ? { corner } : {}) } : null;
  });
  return {
    ...{ of: 'cells', width: columns, height: rows, ratio: 1, cells },
    entry: { of: 'letters' },
    runs: asked.map(({ cells: run, across, number, clue }) => ({
      cells: run.map((at) => of[at]!),
      name: `${number} ${across ? 'across' : 'down'}`,
      clue,
    })),
    closed: letters.flatMap((letter, at) =>
      letter ? [] : [[at % columns, Math.floor(at / columns)] as const],
    ),
    ...{ lines: [], texts: [] },
  };
}
