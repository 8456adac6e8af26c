import Alert from '@mui/material/Alert';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import { type CheckedWords, MOST_CHECKED } from '#core/lexicon/spelling.ts';

/** Somebody who is typing is not asked after every letter. */
const PAUSE_MS = 600;
const SHOWN = 24;

const listed = (words: readonly string[]) =>
  words.slice(0, SHOWN).join(', ') + (words.length > SHOWN ? ` and ${words.length - SHOWN} more` : '');

/** What is to be looked at in a list of words: misspelled ones, and ones that could offend. They are told and not refused. */
export function CheckedWordsNote({ words }: { words: readonly string[] }) {
  const { submit, data } = useFetcher<CheckedWords>();
  const asked = words.slice(0, MOST_CHECKED).join('\n');
  useEffect(() => {
    if (!asked) return;
    const later = setTimeout(
      () => void submit({ words: asked }, { method: 'post', action: '/check-words' }),
      PAUSE_MS,
    );
    return () => clearTimeout(later);
  }, [asked, submit]);
  if (!asked || !data) return null;
  const there = new Set(words);
  const unknown = data.unknown.filter(({ word }) => there.has(word));
  const offending = data.offending.filter((word) => there.has(word));
  return (
    <>
      {offending.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 2 }}>
          Could offend: {listed(offending)}.
        </Alert>
      )}
      {unknown.length > 0 && (
        <Alert severity="info" variant="outlined" sx={{ mt: 2 }}>
          Not in the English dictionary:{' '}
          {listed(unknown.map(({ word, suggestion }) => (suggestion ? `${word} (${suggestion}?)` : word)))}.
        </Alert>
      )}
    </>
  );
}
