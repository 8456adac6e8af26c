import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useNiche } from './niche-desk.tsx';

/** The last mark can be taken back: here, or by Ctrl+Z. */
export function UndoBar() {
  const { undoable, undo, forget } = useNiche();
  return (
    <Snackbar
      open={undoable !== null}
      autoHideDuration={8000}
      onClose={(_, reason) => reason === 'timeout' && forget()}
      message={undoable?.words}
      action={
        <Button size="small" sx={{ color: '#f4efe4' }} onClick={undo}>
          Undo
        </Button>
      }
    />
  );
}
