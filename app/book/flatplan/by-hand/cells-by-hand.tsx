import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { visuallyHidden } from '@mui/utils';
import { type ComponentType, type KeyboardEvent, useId, useMemo, useRef } from 'react';
import type { CellsByHand } from '#core/pages/puzzle/by-hand.ts';
import { cellToward, trialAnswered } from '#core/pages/puzzle/trial.ts';
import { ARROWS } from '../trial/arrows.ts';
import { CellSheet } from '../trial/cell-sheet.tsx';
import { SignKeys } from '../trial/sign-keys.tsx';
import { useCursor } from '../trial/use-cursor.ts';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { ByHandProps } from './by-hand-props.ts';
import { useChanges } from './use-changes.ts';

/** Keys for signs that keyboards do not have. */
const TYPED: Readonly<Record<string, string>> = { '-': '−', '*': '×', x: '×', '/': '÷', ':': '÷' };

/**
 * Puzzles of cells that are changed while a solver watches.
 * @param help what can be done, by mouse and by keyboard
 * @param signs what the buttons write
 * @param emptying what the button for it does; null for none
 */
export function cellsByHand<Item, Draft>(
  how: CellsByHand<Item, Draft>,
  { help, signs, emptying }: { help: string; signs: string; emptying?: string | null },
): ComponentType<ByHandProps<Item>> {
  return function CellsChanged({ item, onKeep, onClose }) {
    const changes = useChanges<Draft>(useMemo(() => how.draft(item), [item]));
    const { now, change } = changes;
    const trial = useMemo(() => how.trial(now), [now]);
    const watched = useMemo(() => how.watch(now), [now]);
    const cursor = useCursor(trial);
    const { at } = cursor;
    const saidBy = useId();
    const helpId = useId();
    /** The cell that was drawn over last. */
    const last = useRef<number | null>(null);
    const current = trial.cells[at];
    const join = (cell: number, other: number) => {
      change(how.joined!(now, cell, other));
      cursor.choose(other);
    };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const to = ARROWS[event.key];
      const typed = TYPED[event.key.toLowerCase()];
      if (to && event.shiftKey) {
        const other = cellToward(trial, at, ...to);
        if (how.joined) join(at, other);
        else if (how.between) change(how.between(now, at, other));
      } else if (event.key === ' ' && how.given) change(how.given(now, at));
      else if (typed && how.signs(now).includes(typed)) change(how.typed(now, at, typed));
      else if (!cursor.onArrow(event)) return;
      event.preventDefault();
      event.stopPropagation();
    };
    return (
      <SignKeys
        signs={how.signs(now)}
        name={signs}
        {...(emptying === undefined ? {} : { emptying })}
        onSign={(sign) => change(how.typed(now, at, sign))}
      >
        {(keys) => (
          <ByHandFrame
            {...{ watched, changes, onClose }}
            onKeep={() => onKeep(now)}
            side={
              <>
                {keys}
                <Typography id={helpId} variant="body2">
                  {help}
                </Typography>
                <Box id={saidBy} aria-live="polite" sx={visuallyHidden}>
                  {[current?.corner, current?.answer || 'empty', current?.given && 'given']
                    .filter(Boolean)
                    .join(', ')}
                </Box>
              </>
            }
          >
            <Box onKeyDown={onKeyDown} sx={{ display: 'grid' }}>
              <CellSheet
                trial={trial}
                state={trialAnswered(trial)}
                at={at}
                run={undefined}
                wrong={new Set(watched.isSound ? [] : watched.cells)}
                saidBy={saidBy}
                onCell={(cell, begins) => {
                  if (!begins && how.joined && last.current !== null) join(last.current, cell);
                  else if (begins) cursor.choose(cell);
                  last.current = cell;
                }}
                {...(how.between
                  ? { onBetween: (one: number, other: number) => change(how.between!(now, one, other)) }
                  : {})}
                onEnd={() => {
                  last.current = null;
                }}
              />
            </Box>
          </ByHandFrame>
        )}
      </SignKeys>
    );
  };
}
