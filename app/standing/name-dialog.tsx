import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { type ReactNode, useState } from 'react';

/** Asks under what name a page is kept. */
export function NameDialog({
  title,
  action,
  name: first,
  onName,
  onClose,
  children,
}: {
  title: string;
  action: string;
  name: string;
  /** @returns why the name is not taken; throws an Error with a sentence where nothing could be done */
  onName: (name: string) => Promise<string | null>;
  onClose: () => void;
  children?: ReactNode;
}) {
  const [name, setName] = useState(first);
  const [refused, setRefused] = useState('');
  const take = async () => {
    try {
      setRefused((await onName(name.trim())) ?? '');
    } catch (error) {
      setRefused((error as Error).message);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void take();
        }}
      >
        <DialogTitle>{title}</DialogTitle>
        <DialogContent>
          {children}
          <TextField
            autoFocus
            fullWidth
            margin="dense"
            label="Name"
            value={name}
            error={refused !== ''}
            helperText={refused}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            onChange={(event) => {
              setName(event.target.value);
              setRefused('');
            }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!name.trim()}>
            {action}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
