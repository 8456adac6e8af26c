import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import * as v from 'valibot';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { fieldId } from '../parts/field-id.ts';
import { keepPenName } from './keep-pen-name.ts';
import { useFrozen, useOpenBook } from './open-book.tsx';
import { useBook } from './store.ts';

/** The pen name, from the list: a name is typed once in its life. */
export function PenNameField() {
  const penName = useBook((state) => state.value.penName) as string;
  const edit = useBook((state) => state.edit);
  const { penNames } = useOpenBook();
  const frozen = useFrozen('penName');
  const { revalidate } = useRevalidator();
  const [adding, setAdding] = useState(false);
  const choose = (chosen: string) => edit((recipe) => ({ ...recipe, penName: chosen }));
  const names = [...new Set([...penNames, ...(penName ? [penName] : [])])];
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
      {adding && (
        <NewPenName
          onClose={() => setAdding(false)}
          onKept={(name) => {
            choose(name);
            setAdding(false);
            void revalidate();
          }}
        />
      )}
    </>
  );
}

const NewName = v.object({
  name: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, 'Write the pen name.'),
    v.maxLength(100, 'Use 100 characters at most.'),
  ),
});

function NewPenName({ onClose, onKept }: { onClose: () => void; onKept: (name: string) => void }) {
  const [refused, setRefused] = useState<string | null>(null);
  const { form, fields } = useCheckedForm(NewName, async ({ name }) => {
    const problem = await keepPenName(name);
    setRefused(problem);
    if (problem === null) onKept(name);
  });
  return (
    <Dialog open onClose={onClose}>
      <form {...form}>
        <DialogTitle>New pen name</DialogTitle>
        <DialogContent>
          <FormField
            field={fields.name!}
            label="Pen name"
            autoFocus
            sx={{ mt: 2, minWidth: 300 }}
            helperText="Exactly as it will appear on every book"
          />
          {refused && (
            <Typography role="alert" color="error">
              {refused}
            </Typography>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            Save
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
