import { type KeyboardEvent, useState } from 'react';
import { alongRun, type CellTrial, cellToward, runsAt, type TrialRun } from '#core/pages/puzzle/trial.ts';
import { ARROWS } from './arrows.ts';

/** Where in cells somebody is, and the run that is followed there. */
export interface Cursor {
  at: number;
  run: TrialRun | undefined;
  /** Goes to a cell; at the same one, and where letters are written, turns to its other run. */
  choose: (cell: number) => void;
  /** Goes to a cell of a run, and follows it. */
  follow: (run: TrialRun, cell: number) => void;
  /** Goes along the run. */
  step: (by: 1 | -1) => void;
  /** Goes where an arrow key leads. @returns whether it was one */
  onArrow: (event: KeyboardEvent) => boolean;
}

export function useCursor(trial: CellTrial): Cursor {
  const { cells, entry } = trial;
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      cells.findIndex(({ given }) => !given),
    ),
  );
  /** Which of the runs of a cell is followed. */
  const [turn, setTurn] = useState(0);
  const here = runsAt(trial, at);
  const run = here[turn % Math.max(1, here.length)];
  const goesDown = ({ cells: own }: TrialRun) => cells[own[0]!]!.y !== cells[own.at(-1)!]!.y;
  const choose = (cell: number) => {
    const own = runsAt(trial, cell);
    if (cell === at && entry.of === 'letters') setTurn((turn + 1) % Math.max(1, own.length));
    // The direction stays, as far as there is one.
    else setTurn(Math.max(0, run ? own.findIndex((one) => goesDown(one) === goesDown(run)) : 0));
    setAt(cell);
  };
  return {
    ...{ at, run, choose },
    follow: (followed, cell) => {
      setAt(cell);
      setTurn(Math.max(0, runsAt(trial, cell).indexOf(followed)));
    },
    step: (by) => setAt(alongRun(trial, run, at, by)),
    onArrow: ({ key }) => {
      const to = ARROWS[key];
      if (to) choose(cellToward(trial, at, ...to));
      return to !== undefined;
    },
  };
}
