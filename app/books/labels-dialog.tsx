import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

export const MOST_LABEL = 40;

/** Labels as they are kept: without spaces around them, each once. */
const tidy = (labels: readonly string[]): string[] => [
  ...new Set(labels.map((label) => label.replace(/\s+/g, ' ').trim().slice(0, MOST_LABEL)).filter(Boolean)),
];

/** Asks for the labels of some books: those that all of them have are there to begin with. */
export function LabelsDialog({
  books,
  known,
  onSave,
  onClose,
}: {
  books: readonly { labels: readonly string[] }[];
  /** Labels that any book has. */
  known: readonly string[];
  onSave: (change: { add: string[]; remove: string[] }) => void;
  onClose: () => void;
}) {
  const shared =
    books[0]?.labels.filter((label) => books.every(({ labels }) => labels.includes(label))) ?? [];
  const some = [...new Set(books.flatMap(({ labels }) => labels))].filter((label) => !shared.includes(label));
  const [labels, setLabels] = useState(shared);
  const [typed, setTyped] = useState('');
  const save = () => {
    const all = tidy([...labels, typed]);
    onSave({
      add: all.filter((label) => !shared.includes(label)),
      remove: shared.filter((label) => !all.includes(label)),
    });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>
        {books.length === 1 ? 'Labels of this book' : `Labels of ${books.length} books`}
      </DialogTitle>
      <DialogContent>
        <Autocomplete
          multiple
          freeSolo
          options={known}
          value={labels}
          inputValue={typed}
          onInputChange={(_, text) => setTyped(text.slice(0, MOST_LABEL))}
          onChange={(_, chosen) => setLabels(tidy(chosen))}
          renderInput={(params) => (
            <TextField
              {...params}
              autoFocus
              label="Labels"
              helperText={
                some.length
                  ? `Some of the books also have: ${some.join(', ')}. Those stay.`
                  : 'Type one and press Enter, or choose from those in use.'
              }
              sx={{ mt: 2 }}
            />
          )}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={save}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
