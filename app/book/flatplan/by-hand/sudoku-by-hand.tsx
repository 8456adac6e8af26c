import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { LEVEL_NAMES } from '#core/pages/puzzle/level.ts';
import { givensOf, judgeGivens, type Verdict, withGiven } from '#core/pages/sudoku/by-hand.ts';
import { type SudokuItem, shapeOfItem } from '#core/pages/sudoku/fill.ts';
import type { SudokuGiven } from '#core/pages/sudoku/options.ts';
import { attemptAt, clashes, readGrid, SIGNS, TECHNIQUES } from '#core/puzzles/sudoku/index.ts';
import { SignKeys } from '../trial/sign-keys.tsx';
import { SudokuGrid } from '../trial/sudoku-grid.tsx';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { ByHandProps } from './by-hand-props.ts';
import { useChanges } from './use-changes.ts';

function wordsOf(verdict: Verdict): string {
  switch (verdict.answers) {
    case 'one': {
      const { rating } = verdict;
      if (!rating) return 'One answer, but logic does not find it: a person would have to guess.';
      const { level, techniques } = rating;
      return `One answer. ${[LEVEL_NAMES[level], ...techniques.map((one) => TECHNIQUES[one].toLowerCase())].join(', ')}.`;
    }
    case 'none':
      return 'There is no answer. Take out or change a digit.';
    case 'several':
      return 'There is more than one answer. Two of them differ in the marked cells: give a digit in one of these.';
    case 'unknown':
      return 'Logic does not solve it, and a grid of this size is too large to be searched. Give more digits.';
  }
}

/** The digits that are given, put in and taken out while a solver looks whether one answer is left. */
export default function SudokuByHand(props: ByHandProps<SudokuItem>) {
  const begun = useMemo(() => givensOf(props.item), [props.item]);
  if (begun) return <Givens {...props} begun={begun} />;
  return (
    <>
      <DialogContent>
        This puzzle has boxes of its own outlines or cages, which cannot be changed by hand.
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button onClick={props.onClose}>Close</Button>
      </DialogActions>
    </>
  );
}

function Givens({ item, begun, onClose, onKeep }: ByHandProps<SudokuItem> & { begun: SudokuGiven }) {
  const shape = useMemo(() => shapeOfItem(item), [item]);
  const changes = useChanges(begun);
  const [at, setAt] = useState(0);
  const { now } = changes;
  const attempt = useMemo(() => attemptAt(readGrid(item.size, now.givens)), [item.size, now]);
  const clashing = useMemo(() => clashes(attempt, shape), [attempt, shape]);
  const verdict = useMemo<Verdict>(
    () => (clashing.length ? { answers: 'none' } : judgeGivens(now)),
    [now, clashing],
  );
  const put = (sign: string) => {
    const next = withGiven(now, at, sign || '.');
    if (next.givens !== now.givens) changes.change(next);
  };
  const givens = [...now.givens].filter((sign) => sign !== '.').length;
  return (
    <SignKeys signs={[...SIGNS.slice(0, item.size)]} onSign={put}>
      {(keys) => (
        <ByHandFrame
          watched={{ isSound: verdict.answers === 'one', says: wordsOf(verdict) }}
          changes={changes}
          canKeep={now.givens !== begun.givens}
          left="460px"
          onKeep={() => onKeep(now)}
          onClose={onClose}
          side={
            <>
              {keys}
              <Typography variant="body2">
                {givens} digits given. Type a digit into a cell, or take one out with Backspace.
              </Typography>
            </>
          }
        >
          <SudokuGrid
            item={{ ...item, givens: now.givens }}
            shape={shape}
            attempt={attempt}
            at={at}
            onAt={setAt}
            looked={new Set(verdict.answers === 'several' ? verdict.differ : [])}
            wrong={new Set(clashing)}
          />
        </ByHandFrame>
      )}
    </SignKeys>
  );
}
