import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { WordList } from '#core/words/index.ts';
import { AddFromTopic } from '../../words/add-from-topic.tsx';
import { useWordsText, WordsEditor } from '../../words/words-editor.tsx';

interface WordsDialogProps {
  start: WordList[];
  onClose: () => void;
  onTake: (lists: WordList[]) => void;
  /** @returns why the bank was not kept, or null */
  onBank: (name: string, words: string[]) => Promise<string | null>;
}

/** The words of a section: shows what was understood of a text before it is taken. */
export function WordsDialog({ start, onClose, onTake, onBank }: WordsDialogProps) {
  const words = useWordsText(start);
  const [name, setName] = useState('');
  const [asking, setAsking] = useState(false);
  const { read, total, setError, drop } = words;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Words</DialogTitle>
      <DialogContent {...drop.getRootProps()}>
        <input {...drop.getInputProps()} aria-label="Word list file" />
        <Typography variant="body2" sx={{ mb: 3 }}>
          One word per line, or separated by commas; paste columns from a spreadsheet, or drop a CSV, XLSX or
          text file here. A line that begins with # or ends with a colon titles the list below it; each list
          becomes a puzzle.
        </Typography>
        <WordsEditor words={words} titles />
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button onClick={drop.open}>Open a file…</Button>
        <Button onClick={() => setAsking(true)}>From a topic…</Button>
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
      {asking && (
        <AddFromTopic label="Add these lists" onClose={() => setAsking(false)} onLists={words.add} />
      )}
    </Dialog>
  );
}
