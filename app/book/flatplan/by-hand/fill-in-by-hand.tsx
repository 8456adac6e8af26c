import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { fillInPinned, watchFillIn, withFillInLetter, withGivenLetter } from '#core/pages/fill-in/by-hand.ts';
import type { FillInItem } from '#core/pages/fill-in/fill.ts';
import { fillInTrial } from '#core/pages/fill-in/trial.ts';
import { useCursor } from '../trial/use-cursor.ts';
import type { ByHandProps } from './by-hand-props.ts';
import { LettersByHand } from './letters-by-hand.tsx';
import { useChanges } from './use-changes.ts';

/** Letters that are changed, given or left out, while a solver puts the words anew. */
export default function FillInByHand({ item, onClose, onKeep }: ByHandProps<FillInItem>) {
  const changes = useChanges(item);
  const { now } = changes;
  const trial = useMemo(() => fillInTrial(now), [now]);
  const cursor = useCursor(trial);
  const watched = useMemo(() => watchFillIn(now), [now]);
  const give = (place: number) => changes.change(withGivenLetter(now, place));
  const cell = trial.cells[cursor.at];
  return (
    <LettersByHand
      {...{ trial, cursor, watched, changes, onClose }}
      onLetter={(place, letter) => changes.change(withFillInLetter(now, place, letter))}
      onSpace={give}
      onKeep={() => onKeep(fillInPinned(now))}
    >
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        disabled={!cell}
        onClick={() => cell && give(cell.y * trial.width + cell.x)}
      >
        {cell?.given ? 'Leave the letter out' : 'Give the letter'} (space bar)
      </Button>
      <Typography variant="body2">Letters on a ground are printed in the grid.</Typography>
    </LettersByHand>
  );
}
