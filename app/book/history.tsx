import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import { useBook } from './store.ts';

interface Revision {
  revision: number;
  createdAt: string;
}

/** Every saved state of the book; bringing one back is a change like any other and can be undone. */
export function History({ onClose }: { onClose: () => void }) {
  const id = useBook((state) => state.value.id);
  const current = useBook((state) => state.revision);
  const edit = useBook((state) => state.edit);
  const [revisions, setRevisions] = useState<Revision[] | null>(null);
  const [error, setError] = useState('');
  useEffect(() => {
    fetch(`/books/${id}/history`)
      .then((response) => response.json())
      .then((answer: { revisions: Revision[] }) => setRevisions(answer.revisions))
      .catch(() => setError('The history could not be loaded. Close this and try again.'));
  }, [id]);
  const bringBack = async (revision: number) => {
    const response = await fetch(`/books/${id}/history?revision=${revision}`);
    if (!response.ok) return setError('This state could not be loaded. Try again.');
    const { recipe } = (await response.json()) as { recipe: Recipe };
    edit(() => recipe);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>History</DialogTitle>
      <DialogContent>
        <Typography variant="body2">
          Every saved state, newest first. Bringing one back can be undone.
        </Typography>
        {error && (
          <Typography role="alert" color="error">
            {error}
          </Typography>
        )}
        <Table size="small">
          <TableBody>
            {revisions?.map(({ revision, createdAt }) => (
              <TableRow key={revision}>
                <TableCell>Revision {revision}</TableCell>
                <TableCell>
                  {new Date(createdAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
                </TableCell>
                <TableCell align="right">
                  {revision === current ? (
                    'now'
                  ) : (
                    <Button size="small" onClick={() => void bringBack(revision)}>
                      Bring back
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
