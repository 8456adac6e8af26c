import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';

/** Asks which of two versions goes on when another tab saved meanwhile. */
export const ConflictDialog = ({
  open,
  what,
  words,
  onTheirs,
  onMine,
}: {
  open: boolean;
  /** Such as “This book”. */
  what: string;
  words: string;
  onTheirs: () => void;
  onMine: () => void;
}) => (
  <Dialog open={open}>
    <DialogTitle>{what} changed in another tab</DialogTitle>
    <DialogContent>
      <Typography>{words}</Typography>
    </DialogContent>
    <DialogActions>
      <Button onClick={onTheirs}>Use the other version</Button>
      <Button onClick={onMine} variant="contained">
        Keep mine
      </Button>
    </DialogActions>
  </Dialog>
);
