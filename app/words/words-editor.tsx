import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { decodeText, refuseLarge } from '#core/decode-text.ts';
import { isPacked, rowsOfTable, TABLE_LIMITS } from '#core/text-lists/table-file.ts';
import { readWords, WORD_LIST_LIMITS, type WordList } from '#core/words/index.ts';
import { CheckedWordsNote } from './checked-words.tsx';

const asText = (lists: readonly WordList[]) =>
  lists.map(({ title, words }) => [...(title ? [`# ${title}`] : []), ...words].join('\n')).join('\n\n');

/** The words of a text file, or of the first sheet of a spreadsheet as a table. */
async function readWordsFile(file: File): Promise<{ text: string } | { problem: string }> {
  try {
    refuseLarge(file.size, TABLE_LIMITS.file);
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (isPacked(bytes)) return { text: Papa.unparse(await rowsOfTable(bytes), { delimiter: '\t' }) };
    return { text: decodeText(bytes, WORD_LIST_LIMITS.bytes) };
  } catch (error) {
    return { problem: `${file.name}: ${(error as Error).message}` };
  }
}

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
      const found = await readWordsFile(file);
      setError('problem' in found ? found.problem : '');
      if ('text' in found) setText(found.text);
    },
  });
  /** Puts lists behind what is there. */
  const add = (lists: readonly WordList[]) =>
    setText((now) => [now.trimEnd(), asText(lists)].filter(Boolean).join('\n\n'));
  return { text, setText, add, error, setError, read, total, drop };
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
        <CheckedWordsNote words={read.lists.flatMap((list) => list.words)} />
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
