import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Comparable, currencyOf } from '#core/niche/index.ts';
import { comparablesTable, readTyped } from '#core/niche/own/index.ts';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { useNiche } from './niche-desk.tsx';
import { post } from './post.ts';

const HINTS: Record<string, string> = {
  price: '8.99',
  trim: '6 x 9 in',
  published: '2026-05-20',
  ink: 'black',
};
const NOT_TYPED = new Set(['width', 'height', 'id', 'currency', 'hidden', 'notComparable', 'watched']);
const FIELDS = comparablesTable.fields.filter(({ key }) => !NOT_TYPED.has(key));

/** A rival typed by hand, read by the same rules as a table. */
export function AddRival({ onClose }: { onClose: () => void }) {
  const { niche, reload } = useNiche();
  const [trouble, setTrouble] = useState('');
  const add = async (row: Comparable) => {
    setTrouble('');
    try {
      await post(`/niches/${niche.id}/own`, { table: 'comparables', rows: [row], last: true });
      reload();
      onClose();
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  const { form, fields } = useCheckedForm(
    (typed) => readTyped(comparablesTable, typed, currencyOf(niche.market)),
    (row) => void add(row),
  );
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <form {...form}>
        <DialogTitle>Add a rival</DialogTitle>
        <DialogContent>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3, pt: 1 }}>
            {FIELDS.map(({ key, name, required }) => (
              <FormField
                key={key}
                field={fields[key]!}
                label={required ? `${name} (required)` : name}
                {...(HINTS[key] ? { placeholder: HINTS[key] } : {})}
                autoFocus={key === 'title'}
                sx={key === 'title' ? { gridColumn: '1 / -1' } : {}}
              />
            ))}
          </Box>
          {trouble && (
            <Typography color="error" role="alert" sx={{ mt: 2 }}>
              {trouble}
            </Typography>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Close</Button>
          <Button type="submit" variant="contained">
            Add rival
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
