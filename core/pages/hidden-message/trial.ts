import type { CellTrial, TrialCell, TrialRun } from '../puzzle/trial.ts';
import type { HiddenMessageItem } from './fill.ts';

/** Rows with their clues; the message stands in the marked column. */
export function hiddenMessageTrial({ rows }: HiddenMessageItem): CellTrial {
  const before = Math.max(0, ...rows.map(({ at }) => at));
  const after = Math.max(0, ...rows.map(({ letters, at }) => letters.length - at - 1));
  const cells: TrialCell[] = [];
  const runs: TrialRun[] = [];
  rows.forEach(({ word, letter, letters, at, clue, disorder }, y) => {
    const spelled = word ? letters : [letter];
    const first = cells.length;
    spelled.forEach((answer, i) => {
      const x = word ? before + i - at : before;
      cells.push({ x, y, answer, ...(word ? {} : { given: true }), ...(i ? {} : { corner: String(y + 1) }) });
    });
    if (word)
      runs.push({
        cells: spelled.map((_, i) => first + i),
        name: String(y + 1),
        clue: clue || (disorder ?? []).join(' '),
      });
  });
  return {
    ...{ of: 'cells', width: before + after + 1, height: rows.length, ratio: 1 },
    ...{ cells, runs, entry: { of: 'letters' }, closed: [], texts: [] },
    lines: [
      [before, 0, before, rows.length],
      [before + 1, 0, before + 1, rows.length],
    ],
  };
}
