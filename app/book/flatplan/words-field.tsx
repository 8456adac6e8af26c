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
import type * as v from 'valibot';
import { takeResource } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { type NamedResource, ResourceTrouble, words, writeWords } from '#core/resources/index.ts';
import { readWords, WORD_LIST_LIMITS, type WordList } from '#core/words/index.ts';
import { readTextFile } from '../../parts/read-text-file.ts';
import { uploadResource } from '../../parts/upload-resource.ts';
import { browserLoader } from '../../preview/browser-loader.ts';
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
  const named = useBook((state) => state.value.resources);
  const edit = useBook((state) => state.edit);
  const { banks } = useDesk();
  /** The lists that the dialog begins with, while it is open. */
  const [typing, setTyping] = useState<WordList[] | null>(null);
  const [trouble, setTrouble] = useState('');
  const own = 'lists' in source;
  const used = own ? undefined : named[source.bank];
  const count = own
    ? source.lists.reduce((sum, list) => sum + list.words.length, 0)
    : (named[source.bank]!.facts as v.InferOutput<typeof words.facts>).words;

  const choose = (bank: NamedResource) =>
    edit((recipe) =>
      takeResource(recipe, section.id, bank, (now, name) => ({
        ...now,
        options: { ...now.options, words: { bank: name } },
      })),
    );
  const chooseBank = (hash: string) => {
    const bank = choices.get(hash);
    if (bank) choose(bank);
    else setTyping(own ? source.lists : []);
  };
  /** A bank is opened with its words; what is taken then belongs to the section, or becomes another bank. */
  const openWords = async () => {
    setTrouble('');
    if (own) return setTyping(source.lists);
    try {
      const bytes = await browserLoader.load(used!.hash, words.mostBytes);
      if (!bytes) throw new ResourceTrouble('is no longer there.');
      setTyping([{ words: new TextDecoder().decode(bytes).split('\n').filter(Boolean) }]);
    } catch (error) {
      if (!(error instanceof ResourceTrouble)) throw error;
      setTrouble(`“${used!.name}” ${error.message} Try again.`);
    }
  };
  const choices = new Map<string, NamedResource>(
    [...Object.values(named).filter(({ type }) => type === words.id), ...banks].map((bank) => [
      bank.hash,
      bank,
    ]),
  );
  return (
    <Box>
      <TextField
        select
        label={label}
        value={used?.hash ?? ''}
        onChange={(event) => chooseBank(event.target.value)}
        error={trouble !== ''}
        helperText={
          trouble ||
          `${count.toLocaleString('en-US')} words${own && source.lists.length > 1 ? ` in ${source.lists.length} lists` : ''}`
        }
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">This section only</MenuItem>
        {[...choices.values()].map(({ hash, name }) => (
          <MenuItem key={hash} value={hash}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button size="small" onClick={() => void openWords()}>
        Edit word list …
      </Button>
      {typing && (
        <WordsDialog
          start={typing}
          onClose={() => setTyping(null)}
          onTake={(lists) => {
            if (onChange({ lists }) === null) setTyping(null);
          }}
          onBank={async (name, list) => {
            const answer = await uploadResource(words.id, name, writeWords(list));
            if ('problem' in answer) return answer.problem;
            choose(answer.kept[0]!);
            setTyping(null);
            return null;
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
  /** @returns why the bank was not kept, or null */
  onBank: (name: string, words: string[]) => Promise<string | null>;
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
          One word a line, or separated by commas; paste columns from a spreadsheet, or drop a CSV or text
          file here. A line that begins with # or ends with a colon titles the list below it; each list
          becomes a puzzle.
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
          label="New word bank name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ maxWidth: 230 }}
        />
        <Button
          disabled={!name.trim() || total === 0}
          onClick={async () => {
            const all = read.lists.flatMap((list) => list.words);
            setError((await onBank(name.trim(), all)) ?? '');
          }}
        >
          Save as word bank
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
