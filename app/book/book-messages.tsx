import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { complain } from '../parts/notices.tsx';
import { useBook } from './store.ts';

/** What the book has to say: a change it did not take, or another tab's work in the way. */
export function BookMessages() {
  const refused = useBook((state) => state.refused);
  const dismissError = useBook((state) => state.dismissError);
  const theirs = useBook((state) => state.theirs);
  const takeTheirs = useBook((state) => state.takeTheirs);
  const keepMine = useBook((state) => state.keepMine);
  useEffect(() => {
    if (refused !== null) return complain(`${refused} Nothing was changed.`, dismissError);
  }, [refused, dismissError]);
  return (
    <Dialog open={theirs !== null}>
      <DialogTitle>This book was changed in another tab</DialogTitle>
      <DialogContent>
        <Typography>Nothing is lost: the version you do not choose stays in the history.</Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => void takeTheirs()}>Use the other version</Button>
        <Button onClick={keepMine} variant="contained">
          Keep mine
        </Button>
      </DialogActions>
    </Dialog>
  );
}
