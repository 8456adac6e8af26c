import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { crosswordPinned, watchCrossword, withClue, withGridLetter } from '#core/pages/crossword/by-hand.ts';
import type { CrosswordItem } from '#core/pages/crossword/fill.ts';
import { crosswordTrial } from '#core/pages/crossword/trial.ts';
import { vocabularyOf } from '#core/puzzles/vocabulary/index.ts';
import { useCursor } from '../trial/use-cursor.ts';
import type { ByHandProps } from './by-hand-props.ts';
import { LettersByHand } from './letters-by-hand.tsx';
import { useChanges } from './use-changes.ts';

/** Letters and clues that are changed while every word is read anew. */
export default function CrosswordByHand({ item, options, onClose, onKeep }: ByHandProps<CrosswordItem>) {
  const changes = useChanges(item);
  const { now } = changes;
  const trial = useMemo(() => crosswordTrial(now), [now]);
  const cursor = useCursor(trial);
  /** Everyday words, where the grid is filled with such. */
  const english = useMemo(
    () =>
      options.layout === 'dense' ? new Set(vocabularyOf('everyday').map(({ letters }) => letters)) : null,
    [options.layout],
  );
  const watched = useMemo(
    () => watchCrossword(now, english ? (word) => english.has(word) : undefined),
    [now, english],
  );
  const word = cursor.run ? trial.runs.indexOf(cursor.run) : -1;
  const asked = now.asked[word];
  return (
    <LettersByHand
      {...{ trial, cursor, watched, changes, onClose }}
      onLetter={(place, letter) => changes.change(withGridLetter(now, place, letter))}
      onSpace={() => cursor.choose(cursor.at)}
      onKeep={() => onKeep(crosswordPinned(now))}
    >
      {asked && (
        <TextField
          label={`Clue of ${asked.number} ${asked.across ? 'across' : 'down'}`}
          value={asked.clue}
          onChange={({ target }) =>
            changes.change(withClue(now, word, target.value.slice(0, 400)), `clue ${word}`)
          }
          multiline
          minRows={3}
          fullWidth
        />
      )}
      <Typography variant="body2">
        {asked && `${asked.word}. `}A second click, or the space bar, turns to the other word.
      </Typography>
    </LettersByHand>
  );
}
