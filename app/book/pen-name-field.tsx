import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { fieldId } from '../parts/field-id.ts';
import { useDesk, useFrozen } from './book-desk.tsx';
import { keepPenName } from './keep-pen-name.ts';
import { useBook } from './store.ts';

/** The pen name, from the list: a name is typed once in its life. */
export function PenNameField() {
  const penName = useBook((state) => state.value.penName) as string;
  const edit = useBook((state) => state.edit);
  const { penNames } = useDesk();
  const frozen = useFrozen('penName');
  const { revalidate } = useRevalidator();
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const choose = (chosen: string) => edit((recipe) => ({ ...recipe, penName: chosen }));
  const names = [...new Set([...penNames, ...(penName ? [penName] : [])])];
  const [problem, setProblem] = useState('');
  const keep = async () => {
    const wanted = name.trim();
    if (!wanted) return;
    setProblem('');
    const refused = await keepPenName(wanted);
    if (refused) return setProblem(refused);
    choose(wanted);
    setAdding(false);
    void revalidate();
  };
  return (
    <>
      <TextField
        select
        label="Pen name"
        value={penName}
        slotProps={{
          select: { readOnly: frozen.stays !== null, SelectDisplayProps: { id: fieldId('penName') } },
        }}
        error={frozen.changed !== null}
        helperText={frozen.stays ?? frozen.changed}
        onChange={(event) => (event.target.value === '+' ? setAdding(true) : choose(event.target.value))}
      >
        {names.map((known) => (
          <MenuItem key={known} value={known}>
            {known}
          </MenuItem>
        ))}
        <MenuItem value="+">New pen name…</MenuItem>
      </TextField>
      <Dialog open={adding} onClose={() => setAdding(false)}>
        <DialogTitle>New pen name</DialogTitle>
        <DialogContent>
          <TextField
            label="Pen name"
            value={name}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 100 } }}
            sx={{ mt: 2, minWidth: 300 }}
            error={problem !== ''}
            helperText={problem || 'Exactly as it will appear on every book'}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setAdding(false)}>Cancel</Button>
          <Button variant="contained" onClick={() => void keep()}>
            Save
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
