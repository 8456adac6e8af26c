import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { type ComponentType, lazy, Suspense, useMemo, useState } from 'react';
import { kindOf, type Section } from '#core/book/sections.ts';
import { isNothing, type Trial } from '#core/pages/puzzle/trial.ts';
import type { ItemDialogProps } from '../item-dialog-props.ts';
import { useItem } from '../use-item.ts';
import type { TrialProps } from './trial-props.ts';
import { clockTime, useClock } from './use-clock.ts';

/** By kind of page, for puzzles with a trial of their own; each is loaded when somebody tries one. */
const TRIALS: Readonly<Record<string, ComponentType<TrialProps<never>>>> = {
  maze: lazy(() => import('./maze-trial.tsx')),
  sudoku: lazy(() => import('./sudoku-trial.tsx')),
};

/** By what a kind makes of its items for a trial. */
const FORMS: Readonly<Record<Trial['of'], ComponentType<TrialProps<never>>>> = {
  cells: lazy(() => import('./cell-trial.tsx')),
  search: lazy(() => import('./search-trial.tsx')),
  wheel: lazy(() => import('./wheel-trial.tsx')),
  quiz: lazy(() => import('./quiz-trial.tsx')),
};

/** Whether a puzzle can be tried on screen. */
export const canBeTried = (section: Section): boolean =>
  section.kind in TRIALS || kindOf(section).trial !== undefined;

/** What an item is tried with, and what that is given; null where its section has no words to make it from. */
function trialOf(
  section: Section,
  made: object,
): [Trial: ComponentType<TrialProps<never>>, item: object] | null {
  const trial = kindOf(section).trial?.(made);
  if (trial && isNothing(trial)) return null;
  return trial ? [FORMS[trial.of], trial] : [TRIALS[section.kind]!, made];
}

/** A puzzle as its solver will have it: what it is like, and how long it takes. */
export function TrialDialog({ section, item, label, onClose }: ItemDialogProps) {
  const made = useItem(section, item);
  const [round, setRound] = useState(1);
  const { told } = kindOf(section);
  const trial = useMemo(() => (made ? trialOf(section, made) : undefined), [section, made]);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle sx={{ pb: 0 }}>Try {label}</DialogTitle>
      {trial === null ? (
        <DialogContent sx={{ minHeight: 120 }}>
          There is nothing to solve yet. Give the section the words or texts that its puzzles are made from.
        </DialogContent>
      ) : made && trial ? (
        <Round key={round} Trial={trial[0]} item={trial[1]} told={told?.(made) ?? ''} />
      ) : (
        <DialogContent sx={{ minHeight: 480, display: 'grid', placeItems: 'center' }}>
          <CircularProgress aria-label="Making the puzzle" />
        </DialogContent>
      )}
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button disabled={!trial} onClick={() => setRound(round + 1)}>
          Start over
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Round({
  Trial,
  item,
  told,
}: {
  Trial: ComponentType<TrialProps<never>>;
  item: object;
  told: string;
}) {
  const [solved, setSolved] = useState(false);
  const seconds = useClock(!solved);
  return (
    <>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 4, px: 6, minHeight: 32 }}>
        <Typography variant="body2">{told}</Typography>
        <Typography
          role="timer"
          aria-label="Time taken"
          variant="body2"
          sx={{ fontVariantNumeric: 'tabular-nums', fontWeight: 700 }}
        >
          {clockTime(seconds)}
        </Typography>
      </Box>
      <DialogContent sx={{ pt: 2, position: 'relative' }}>
        <Suspense fallback={<Box sx={{ minHeight: 460 }} />}>
          <Trial item={item as never} onSolved={() => setSolved(true)} />
        </Suspense>
        <Typography role="status" sx={{ mt: 2, minHeight: 24, fontWeight: 700, color: 'primary.main' }}>
          {solved && `Solved in ${clockTime(seconds)}.`}
        </Typography>
      </DialogContent>
    </>
  );
}
