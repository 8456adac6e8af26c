import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { LEVEL_NAMES } from '#core/pages/puzzle/level.ts';
import { givensOf, judgeGivens, type Verdict, withGiven } from '#core/pages/sudoku/by-hand.ts';
import { type SudokuItem, shapeOfItem } from '#core/pages/sudoku/fill.ts';
import type { SudokuGiven } from '#core/pages/sudoku/options.ts';
import { attemptAt, clashes, readGrid, SIGNS, TECHNIQUES } from '#core/puzzles/sudoku/index.ts';
import { SignKeys } from '../trial/sign-keys.tsx';
import { SudokuGrid } from '../trial/sudoku-grid.tsx';
import type { ByHandProps } from './by-hand-props.ts';

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
  const [states, setStates] = useState([begun]);
  const [at, setAt] = useState(0);
  const now = states.at(-1)!;
  const attempt = useMemo(() => attemptAt(readGrid(item.size, now.givens)), [item.size, now]);
  const clashing = useMemo(() => clashes(attempt, shape), [attempt, shape]);
  const verdict = useMemo<Verdict>(
    () => (clashing.length ? { answers: 'none' } : judgeGivens(now)),
    [now, clashing],
  );
  const isSound = verdict.answers === 'one';
  const put = (sign: string) => {
    const next = withGiven(now, at, sign || '.');
    if (next.givens !== now.givens) setStates([...states, next]);
  };
  const undo = () => {
    if (states.length > 1) setStates(states.slice(0, -1));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    event.stopPropagation();
    undo();
  };
  const givens = [...now.givens].filter((sign) => sign !== '.').length;
  return (
    <>
      <DialogContent sx={{ position: 'relative' }} onKeyDown={onKeyDown}>
        <SignKeys signs={[...SIGNS.slice(0, item.size)]} onSign={put}>
          {(keys) => (
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: '460px minmax(0, 1fr)',
                gap: 6,
                alignItems: 'start',
              }}
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
              <Box sx={{ display: 'grid', gap: 3 }}>
                {keys}
                <Typography variant="body2">
                  {givens} digits given. Type a digit into a cell, or take one out with Backspace.
                </Typography>
                <Typography
                  role="status"
                  sx={{
                    minHeight: 84,
                    p: 2,
                    border: 1,
                    borderLeft: 4,
                    borderRadius: 1,
                    borderColor: isSound ? 'primary.main' : 'error.main',
                    color: isSound ? 'text.primary' : 'error.main',
                  }}
                >
                  {wordsOf(verdict)}
                </Typography>
                <Box>
                  <Button size="small" disabled={states.length < 2} onClick={undo}>
                    Undo
                  </Button>
                </Box>
              </Box>
            </Box>
          )}
        </SignKeys>
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={!isSound || now.givens === begun.givens}
          onClick={() => onKeep(now)}
        >
          Keep it pinned
        </Button>
      </DialogActions>
    </>
  );
}
