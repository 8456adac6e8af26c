import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { comparablesTable, type RowProblem, USUAL_RATES, type Writing } from '#core/niche/own/index.ts';
import { useNiche } from './niche-desk.tsx';
import { post } from './post.ts';

/** How a rival is written when it is typed here; units and signs may be written along. */
const WRITING: Writing = { decimal: '.', currency: 'USD', unit: 'in', days: 'year first' };
const HINTS: Record<string, string> = {
  price: '8.99',
  trim: '6 x 9 in',
  published: '2026-05-20',
  ink: 'black',
};
const FIELDS = comparablesTable.fields.filter(({ key }) => !['width', 'height', 'id'].includes(key));

/** A rival typed by hand, read by the same rules as a table. */
export function AddRival({ onClose }: { onClose: () => void }) {
  const { niche, reload } = useNiche();
  const [cells, setCells] = useState<Record<string, string>>({});
  const [problems, setProblems] = useState<RowProblem[]>([]);
  const [trouble, setTrouble] = useState('');
  const add = async () => {
    const filled = Object.fromEntries(Object.entries(cells).filter(([, cell]) => cell.trim() !== ''));
    const read = comparablesTable.read(filled, { writing: WRITING, rates: USUAL_RATES });
    if ('problems' in read) {
      setProblems(read.problems);
      return;
    }
    try {
      await post(`/niches/${niche.id}/own`, { table: 'comparables', rows: [read.row], last: true });
      reload();
      onClose();
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <DialogTitle>Add a rival</DialogTitle>
        <DialogContent>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3, pt: 1 }}>
            {FIELDS.map(({ key, name, required }) => {
              const problem = problems.find(({ field }) => field === key);
              return (
                <TextField
                  key={key}
                  label={required ? `${name} (required)` : name}
                  placeholder={HINTS[key]}
                  value={cells[key] ?? ''}
                  error={problem !== undefined}
                  helperText={problem?.reason}
                  autoFocus={key === 'title'}
                  onChange={(event) => setCells({ ...cells, [key]: event.target.value })}
                  sx={key === 'title' ? { gridColumn: '1 / -1' } : {}}
                />
              );
            })}
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
