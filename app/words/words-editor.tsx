import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { readWords, WORD_LIST_LIMITS, type WordList } from '#core/words/index.ts';
import { readTextFile } from '../parts/read-text-file.ts';

const asText = (lists: readonly WordList[]) =>
  lists.map(({ title, words }) => [...(title ? [`# ${title}`] : []), ...words].join('\n')).join('\n\n');

/** A text of words as it is typed, pasted or dropped, and what is read from it. */
export function useWordsText(start: readonly WordList[]) {
  const [text, setText] = useState(() => asText(start));
  const [error, setError] = useState('');
  const read = useMemo(() => readWords(text), [text]);
  const total = read.lists.reduce((sum, list) => sum + list.words.length, 0);
  const drop = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: async ([file]) => {
      if (!file) return;
      const found = await readTextFile(file, WORD_LIST_LIMITS.bytes);
      setError('problem' in found ? found.problem : '');
      if ('text' in found) setText(found.text);
    },
  });
  return { text, setText, error, setError, read, total, drop };
}

/** The text beside what was understood of it: lists, titles, and every word left out with the reason. */
export function WordsEditor({
  words: { text, setText, error, read, total },
  titles,
}: {
  words: ReturnType<typeof useWordsText>;
  /** Lists are kept apart, each with its title. */
  titles: boolean;
}) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 4 }}>
      <TextField
        multiline
        rows={14}
        label="Words"
        value={text}
        onChange={(event) => setText(event.target.value)}
        autoFocus
      />
      <Box sx={{ overflow: 'auto', maxHeight: 320 }}>
        <Typography sx={{ fontWeight: 700 }}>{found(total, read.lists.length, titles)}</Typography>
        {titles &&
          read.lists.slice(0, 60).map((list, i) => (
            <Typography key={i} variant="body2" noWrap>
              <strong>{list.title ?? `List ${i + 1}`}</strong> · {list.words.length}:{' '}
              {list.words.slice(0, 8).join(', ')}
            </Typography>
          ))}
        {read.problems.length > 0 && (
          <Alert severity="warning" variant="outlined" sx={{ mt: 2 }}>
            {read.problems.length.toLocaleString('en-US')} left out:
            {read.problems.slice(0, 40).map(({ line, text: word, problem }) => (
              <div key={`${line} ${word}`}>
                {line ? `Line ${line}: ` : ''}
                {word} {problem}
              </div>
            ))}
          </Alert>
        )}
        {error && (
          <Alert severity="error" variant="outlined" sx={{ mt: 2 }}>
            {error}
          </Alert>
        )}
      </Box>
    </Box>
  );
}

function found(words: number, lists: number, titles: boolean): string {
  if (words === 0) return 'No words yet';
  const counted = `${words.toLocaleString('en-US')} ${words === 1 ? 'word' : 'words'}`;
  return titles ? `${counted} in ${lists} ${lists === 1 ? 'list' : 'lists'}` : counted;
}
