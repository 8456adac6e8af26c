import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type LabelChange, MOST_LABEL, tidyLabels } from '#core/labels.ts';

/** Asks for the labels of some books or niches: those that all of them have are there to begin with. */
export function LabelsDialog({
  of,
  those,
  known,
  onSave,
  onClose,
}: {
  of: 'book' | 'niche';
  those: readonly { labels: readonly string[] }[];
  /** Labels that are in use. */
  known: readonly string[];
  onSave: (change: LabelChange) => void;
  onClose: () => void;
}) {
  const shared =
    those[0]?.labels.filter((label) => those.every(({ labels }) => labels.includes(label))) ?? [];
  const some = [...new Set(those.flatMap(({ labels }) => labels))].filter((label) => !shared.includes(label));
  const [labels, setLabels] = useState(shared);
  const [typed, setTyped] = useState('');
  const save = () => {
    const all = tidyLabels([...labels, typed]);
    onSave({
      add: all.filter((label) => !shared.includes(label)),
      remove: shared.filter((label) => !all.includes(label)),
    });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>
        {those.length === 1 ? `Labels of this ${of}` : `Labels of ${those.length} ${of}s`}
      </DialogTitle>
      <DialogContent>
        <Autocomplete
          multiple
          freeSolo
          options={known}
          value={labels}
          inputValue={typed}
          onInputChange={(_, text) => setTyped(text.slice(0, MOST_LABEL))}
          onChange={(_, chosen) => setLabels(tidyLabels(chosen))}
          renderInput={(params) => (
            <TextField
              {...params}
              autoFocus
              label="Labels"
              helperText={
                some.length
                  ? `Some of the ${of}s also have: ${some.join(', ')}. Those stay.`
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
