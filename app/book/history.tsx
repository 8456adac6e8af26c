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
import { useCallback, useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import type { Revision } from '#server/books.ts';
import { useFormats } from '../parts/formats.tsx';
import { useBook } from './store.ts';

interface Listed {
  revisions: (Omit<Revision, 'createdAt'> & { createdAt: string })[];
  older: boolean;
}

/** What a revision changed, in a line or two. */
const said = ({ revision, changes }: Listed['revisions'][number]): string => {
  if (revision === 1) return 'Begun';
  if (!changes) return 'Saved by an earlier version of the program';
  const [first, ...rest] = changes;
  if (!first) return 'Saved without a change';
  return rest.length > 2
    ? `${[first, rest[0]].join(' · ')} and ${rest.length - 1} more`
    : changes.join(' · ');
};

/** Every saved state of the book; bringing one back is a change like any other and can be undone. */
export function History({ onClose }: { onClose: () => void }) {
  const { moment } = useFormats();
  const id = useBook((state) => state.value.id);
  const current = useBook((state) => state.revision);
  const edit = useBook((state) => state.edit);
  const [listed, setListed] = useState<Listed | null>(null);
  const [error, setError] = useState('');
  const load = useCallback(
    (before?: number) => {
      fetch(`/books/${id}/history${before ? `?before=${before}` : ''}`)
        .then((response) =>
          response.ok ? response.json() : Promise.reject(new Error(String(response.status))),
        )
        .then((answer: Listed) =>
          setListed((now) => ({
            revisions: [...(before ? (now?.revisions ?? []) : []), ...answer.revisions],
            older: answer.older,
          })),
        )
        .catch(() => setError('The history could not be loaded. Close this and try again.'));
    },
    [id],
  );
  useEffect(() => load(), [load]);
  const bringBack = async (revision: number) => {
    const response = await fetch(`/books/${id}/history?revision=${revision}`);
    if (!response.ok) return setError('This state could not be loaded. Try again.');
    const { recipe } = (await response.json()) as { recipe: Recipe };
    edit(() => recipe);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>History</DialogTitle>
      <DialogContent>
        <Typography variant="body2">Every saved state, newest first. Restoring one can be undone.</Typography>
        {error && (
          <Typography role="alert" color="error">
            {error}
          </Typography>
        )}
        <Table size="small">
          <TableBody>
            {listed?.revisions.map((revision) => (
              <TableRow key={revision.revision}>
                <TableCell sx={{ whiteSpace: 'nowrap', color: 'text.secondary' }}>
                  {moment(new Date(revision.createdAt))}
                </TableCell>
                <TableCell title={revision.changes?.join('\n')} sx={{ overflowWrap: 'anywhere' }}>
                  {said(revision)}
                </TableCell>
                <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                  {revision.revision === current ? (
                    'now'
                  ) : (
                    <Button size="small" onClick={() => void bringBack(revision.revision)}>
                      Restore
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        {listed?.older && (
          <Button size="small" onClick={() => load(listed.revisions.at(-1)!.revision)}>
            Show older
          </Button>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
