import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { changeSection } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { readWords, WORD_LIST_LIMITS, type WordList } from '#core/words/index.ts';
import { readTextFile } from '../../parts/read-text-file.ts';
import { useDesk } from '../book-desk.tsx';
import { useBook } from '../store.ts';

type Source = { bank: string } | { lists: WordList[] };

/** Where the words come from: a word bank, or lists of the section's own, typed, pasted or from a file. */
export function WordsField({
  section,
  label,
  onChange,
}: {
  section: Section;
  label: string;
  onChange: (value: unknown) => string | null;
}) {
  const source = section.options.words as Source;
  const carried = useBook((state) => state.recipe.banks);
  const edit = useBook((state) => state.edit);
  const { banks } = useDesk();
  const [typing, setTyping] = useState(false);
  const own = 'lists' in source;
  const count = own
    ? source.lists.reduce((sum, list) => sum + list.words.length, 0)
    : (carried[source.bank]?.words.length ?? 0);

  const chooseBank = (id: string) => {
    if (id === '') return setTyping(true);
    const bank = banks.find((known) => known.id === id);
    // The recipe carries the words, so that it is complete without this program.
    edit((recipe) => {
      const grown = bank
        ? { ...recipe, banks: { ...recipe.banks, [id]: { name: bank.name, words: bank.words } } }
        : recipe;
      return changeSection(grown, section.id, (now) => ({
        ...now,
        options: { ...now.options, words: { bank: id } },
      }));
    });
  };
  const choices = new Map([
    ...Object.entries(carried).map(([id, { name }]) => [id, name] as const),
    ...banks.map(({ id, name }) => [id, name] as const),
  ]);
  return (
    <Box>
      <TextField
        select
        label={label}
        value={own ? '' : source.bank}
        onChange={(event) => chooseBank(event.target.value)}
        helperText={`${count.toLocaleString('en-US')} words${own && source.lists.length > 1 ? ` in ${source.lists.length} lists` : ''}`}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">Words of this section</MenuItem>
        {[...choices].map(([id, name]) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button size="small" onClick={() => setTyping(true)}>
        Type, paste or open words …
      </Button>
      {typing && (
        <WordsDialog
          start={own ? source.lists : []}
          onClose={() => setTyping(false)}
          onTake={(lists) => {
            if (onChange({ lists }) === null) setTyping(false);
          }}
          onBank={async (name, words) => {
            const response = await fetch('/word-banks', {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ name, words }),
            });
            if (!response.ok) return false;
            const { id } = (await response.json()) as { id: string };
            edit((recipe) =>
              changeSection(
                { ...recipe, banks: { ...recipe.banks, [id]: { name, words } } },
                section.id,
                (now) => ({ ...now, options: { ...now.options, words: { bank: id } } }),
              ),
            );
            setTyping(false);
            return true;
          }}
        />
      )}
    </Box>
  );
}

const asText = (lists: WordList[]) =>
  lists.map(({ title, words }) => [...(title ? [`# ${title}`] : []), ...words].join('\n')).join('\n\n');

interface WordsDialogProps {
  start: WordList[];
  onClose: () => void;
  onTake: (lists: WordList[]) => void;
  onBank: (name: string, words: string[]) => Promise<boolean>;
}

/** Shows what was understood of a text before it is taken: lists, titles, and every word left out with the reason. */
function WordsDialog({ start, onClose, onTake, onBank }: WordsDialogProps) {
  const [text, setText] = useState(() => asText(start));
  const [error, setError] = useState('');
  const [name, setName] = useState('');
  const read = useMemo(() => readWords(text), [text]);
  const total = read.lists.reduce((sum, list) => sum + list.words.length, 0);
  const { getRootProps, getInputProps, open } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDrop: async ([file]) => {
      if (!file) return;
      const found = await readTextFile(file, WORD_LIST_LIMITS.bytes);
      if ('problem' in found) setError(found.problem);
      else {
        setText(found.text);
        setError('');
      }
    },
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Words</DialogTitle>
      <DialogContent {...getRootProps()}>
        <input {...getInputProps()} aria-label="Word list file" />
        <Typography variant="body2" sx={{ mb: 3 }}>
          One word a line, or parted by commas; paste columns from a spreadsheet, or drop a CSV or text file
          here. A line that begins with # or ends with a colon titles the list below it; each list makes a
          puzzle.
        </Typography>
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
            <Typography sx={{ fontWeight: 700 }}>
              {total === 0
                ? 'No words yet'
                : `${total.toLocaleString('en-US')} words in ${read.lists.length} ${read.lists.length === 1 ? 'list' : 'lists'}`}
            </Typography>
            {read.lists.slice(0, 60).map((list, i) => (
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
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button onClick={open}>Open a file …</Button>
        <TextField
          label="Name of a new word bank"
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ maxWidth: 230 }}
        />
        <Button
          disabled={!name.trim() || total === 0}
          onClick={async () =>
            !(await onBank(
              name.trim(),
              read.lists.flatMap(({ words }) => words),
            )) && setError('The word bank could not be kept. Try again.')
          }
        >
          Keep as word bank
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={total === 0} onClick={() => onTake(read.lists)}>
          Use these words
        </Button>
      </DialogActions>
    </Dialog>
  );
}
