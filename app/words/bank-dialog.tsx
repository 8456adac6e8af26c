import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { words, writeWords } from '#core/resources/index.ts';
import { uploadResource } from '../parts/upload-resource.ts';
import { useWordsText, WordsEditor } from './words-editor.tsx';

/** Letters of a name. */
const MOST_NAME = 100;

/** Name and words of a word bank, new or one that there is. */
export function BankDialog({
  name: before,
  start,
  books,
  onSaved,
  onClose,
}: {
  /** Empty for a new one. */
  name: string;
  start: readonly string[];
  /** That use it. */
  books: number;
  /** @param everywhere the books that use it are to have these words as well */
  onSaved: (hash: string, everywhere: boolean) => void;
  onClose: () => void;
}) {
  const text = useWordsText(start.length ? [{ words: [...start] }] : []);
  const [name, setName] = useState(before);
  const [everywhere, setEverywhere] = useState(false);
  const [saving, setSaving] = useState(false);
  const { read, total, setError, drop } = text;
  const save = async () => {
    setSaving(true);
    const all = [...new Set(read.lists.flatMap((list) => list.words))];
    const answer = await uploadResource(words.id, name.trim(), writeWords(all));
    setSaving(false);
    if ('problem' in answer) setError(answer.problem);
    else onSaved(answer.kept[0]!.hash, everywhere);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>{before ? 'Word bank' : 'New word bank'}</DialogTitle>
      <DialogContent {...drop.getRootProps()}>
        <input {...drop.getInputProps()} aria-label="Word list file" />
        <TextField
          label="Name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: MOST_NAME } }}
          helperText="One word per line, or separated by commas; paste columns from a spreadsheet, or drop a CSV, XLSX or text file here."
          sx={{ mt: 2, mb: 4 }}
        />
        <WordsEditor words={text} titles={false} />
        {books > 0 && (
          <FormControlLabel
            sx={{ mt: 3 }}
            control={
              <Checkbox checked={everywhere} onChange={(event) => setEverywhere(event.target.checked)} />
            }
            label={`Also in ${books === 1 ? 'the book that uses' : `the ${books} books that use`} it: unpinned puzzles are then made again. Otherwise they keep the words they have.`}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button onClick={drop.open}>Open a file…</Button>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={saving || !name.trim() || total === 0}
          onClick={() => void save()}
        >
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
