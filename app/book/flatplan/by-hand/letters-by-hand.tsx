import Box from '@mui/material/Box';
import { type KeyboardEvent, type ReactNode, useId } from 'react';
import type { Watched } from '#core/pages/puzzle/by-hand.ts';
import { type CellTrial, trialAnswered } from '#core/pages/puzzle/trial.ts';
import { CellSheet } from '../trial/cell-sheet.tsx';
import { lettersToType } from '../trial/letters-to-type.ts';
import { SignKeys } from '../trial/sign-keys.tsx';
import type { Cursor } from '../trial/use-cursor.ts';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { Changes } from './use-changes.ts';

/** A grid of crossing words whose letters are changed. */
export function LettersByHand({
  trial,
  cursor,
  watched,
  changes,
  onLetter,
  onSpace,
  onKeep,
  onClose,
  children,
}: {
  /** Its answers are what stands in the cells. */
  trial: CellTrial;
  cursor: Cursor;
  /** Its cells are places in the grid. */
  watched: Watched;
  changes: Pick<Changes<unknown>, 'isChanged' | 'undo'>;
  /** @param place of the cell in the grid, row by row */
  onLetter: (place: number, letter: string) => void;
  onSpace: (place: number) => void;
  onKeep: () => void;
  onClose: () => void;
  /** What stands at the right, below the keys. */
  children: ReactNode;
}) {
  const saidBy = useId();
  const { at, run } = cursor;
  const places = trial.cells.map(({ x, y }) => y * trial.width + x);
  const enter = (letter: string) => {
    if (letter && places[at] !== undefined) onLetter(places[at], letter);
    cursor.step(letter ? 1 : -1);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === ' ' && places[at] !== undefined) onSpace(places[at]);
    else if (!cursor.onArrow(event)) return;
    event.preventDefault();
    event.stopPropagation();
  };
  const marked = new Set(watched.cells);
  return (
    <ByHandFrame
      {...{ watched, changes, onKeep, onClose }}
      side={
        <>
          <Box id={saidBy} sx={{ typography: 'body2' }}>
            Choose a cell and type a letter.
          </Box>
          {children}
        </>
      }
    >
      <SignKeys signs={lettersToType(trial)} name="Letters" onSign={enter}>
        {() => (
          <Box onKeyDown={onKeyDown} sx={{ display: 'grid' }}>
            <CellSheet
              trial={trial}
              state={trialAnswered(trial)}
              at={at}
              run={run}
              saidBy={saidBy}
              wrong={new Set(places.flatMap((place, cell) => (marked.has(place) ? [cell] : [])))}
              onCell={(cell, begins) => {
                if (begins) cursor.choose(cell);
              }}
              onEnd={() => {}}
            />
          </Box>
        )}
      </SignKeys>
    </ByHandFrame>
  );
}
