import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { givenOf, watchSudoku, withApart, withGiven, withJoined } from '#core/pages/sudoku/by-hand.ts';
import { boxesOf, cagesOfPin, type SudokuItem, shapeOfItem } from '#core/pages/sudoku/fill.ts';
import type { SudokuGiven } from '#core/pages/sudoku/options.ts';
import { attemptAt, readGrid, SIGNS } from '#core/puzzles/sudoku/index.ts';
import { SignKeys } from '../trial/sign-keys.tsx';
import { SudokuGrid } from '../trial/sudoku-grid.tsx';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { ByHandProps } from './by-hand-props.ts';
import { useChanges } from './use-changes.ts';

const JOINING = 'Draw from one cell into the next, or press Shift and an arrow key, and it joins the';
const HELP = {
  givens: 'Type a digit into a cell, or take one out with Backspace.',
  jigsaw: `${JOINING} box of the first; every box is to have as many cells as there are digits.`,
  killer: `${JOINING} cage of the first. Backspace sets a cell apart. The sums follow from the answer.`,
} as const;

/** Digits that are given, boxes and cages, changed while a solver looks whether one answer is left. */
export default function SudokuByHand({ item, onClose, onKeep }: ByHandProps<SudokuItem>) {
  const changes = useChanges<SudokuGiven>(useMemo(() => givenOf(item), [item]));
  const [at, setAt] = useState(0);
  const { now, change } = changes;
  const { size } = item;
  const watched = useMemo(() => watchSudoku(now), [now]);
  /** What is seen of the puzzle: of one with cages, its answer. */
  const shown = useMemo(
    () => ('cages' in now ? { givens: item.givens, cages: cagesOfPin(now) } : { givens: now.givens }),
    [now, item],
  );
  const shape = useMemo(
    () => ('boxes' in now ? { size, variant: now.variant, boxOf: boxesOf(now.boxes) } : shapeOfItem(item)),
    [now, item, size],
  );
  const attempt = useMemo(
    () => attemptAt(readGrid(size, 'cages' in now ? now.solution : now.givens)),
    [size, now],
  );
  const put = (sign: string) => {
    if (!('cages' in now)) change(withGiven(now, at, sign || '.'));
    else if (!sign) change(withApart(now, at));
  };
  const given = 'cages' in now ? null : [...now.givens].filter((sign) => sign !== '.').length;
  return (
    <SignKeys
      signs={'cages' in now ? [] : [...SIGNS.slice(0, size)]}
      {...('cages' in now ? { emptying: 'Set the cell apart' } : {})}
      onSign={put}
    >
      {(keys) => (
        <ByHandFrame
          {...{ watched, changes, onClose }}
          left="460px"
          onKeep={() => onKeep(now)}
          side={
            <>
              {keys}
              <Typography variant="body2">
                {given !== null && `${given} digits given. ${HELP.givens} `}
                {now.variant === 'jigsaw' && HELP.jigsaw}
                {now.variant === 'killer' && HELP.killer}
              </Typography>
            </>
          }
        >
          <SudokuGrid
            item={shown}
            shape={shape}
            attempt={attempt}
            at={at}
            onAt={setAt}
            {...(now.variant === 'jigsaw' || now.variant === 'killer'
              ? { onJoin: (cell: number, other: number) => change(withJoined(now, cell, other)) }
              : {})}
            looked={new Set()}
            wrong={new Set(watched.cells)}
          />
        </ByHandFrame>
      )}
    </SignKeys>
  );
}
