import Button from '@mui/material/Button';
import Toolbar from '@mui/material/Toolbar';
import Typography from '@mui/material/Typography';
import { useShortcut } from '../parts/shortcuts.tsx';

/** What can be done with the selected books. */
export function SelectionBar({
  count,
  deleted,
  busy,
  onFiles,
  onLabels,
  onDuplicate,
  onKeep,
  onDelete,
  onRestore,
  onClear,
}: {
  count: number;
  /** They were deleted. */
  deleted: boolean;
  busy: boolean;
  onFiles: () => void;
  onLabels: () => void;
  onDuplicate: () => void;
  onKeep: () => void;
  onDelete: () => void;
  onRestore: () => void;
  onClear: () => void;
}) {
  const group = 'Books';
  const some = count > 0;
  const acts = some && !busy;
  useShortcut({ keys: 'escape', does: 'Clear the selection', group, when: some }, onClear);
  useShortcut({ keys: 'delete', does: 'Delete the selected books', group, when: acts && !deleted }, onDelete);
  useShortcut({ keys: 'l', does: 'Labels of the selected books', group, when: acts && !deleted }, onLabels);
  if (!some) return null;
  return (
    <Toolbar
      role="toolbar"
      aria-label="Selected books"
      variant="dense"
      disableGutters
      sx={{
        position: 'sticky',
        top: 0,
        zIndex: 2,
        gap: 1,
        px: 4,
        mb: 4,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'primary.main',
        borderRadius: 1,
      }}
    >
      <Typography role="status" sx={{ fontWeight: 700, flex: 1 }}>
        {count} selected
      </Typography>
      {deleted ? (
        <Button size="small" disabled={busy} onClick={onRestore}>
          Restore
        </Button>
      ) : (
        <>
          <Button size="small" disabled={busy} onClick={onFiles}>
            Make files
          </Button>
          <Button size="small" disabled={busy} onClick={onLabels} title="L">
            Labels…
          </Button>
          <Button size="small" disabled={busy} onClick={onDuplicate}>
            Duplicate
          </Button>
          <Button size="small" disabled={busy} onClick={onKeep}>
            Keep as starting point
          </Button>
          <Button size="small" color="error" disabled={busy} onClick={onDelete} title="Delete">
            Delete
          </Button>
        </>
      )}
      <Button size="small" onClick={onClear} title="Esc">
        Clear
      </Button>
    </Toolbar>
  );
}
