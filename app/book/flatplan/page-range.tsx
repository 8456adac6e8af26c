import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PageActions } from './use-page-range.ts';

/** What can be done to pages that are selected, by pointer. */
export function PageRange({
  actions,
  onAdd,
  onDone,
}: {
  actions: PageActions;
  onAdd: (page: number) => void;
  onDone: () => void;
}) {
  const { range, told, items, pinned } = actions;
  const [first, last] = range!;
  /** What takes the pages away leaves nothing selected. */
  const done = (went: boolean) => {
    if (went) onDone();
  };
  return (
    <Box
      role="toolbar"
      aria-label="Selected pages"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        px: 4,
        py: 0.5,
        bgcolor: 'action.selected',
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700, mr: 1 }}>
        {first === last ? `Page ${first}` : `Pages ${first}–${last}`}
      </Typography>
      {items > 0 && (
        <>
          <Button size="small" onClick={actions.reroll}>
            Re-roll {items - pinned}
          </Button>
          {pinned < items && (
            <Button size="small" onClick={() => void actions.pin(true)}>
              Pin
            </Button>
          )}
          {pinned > 0 && (
            <Button size="small" onClick={() => void actions.pin(false)}>
              Unpin
            </Button>
          )}
        </>
      )}
      <Button size="small" onClick={actions.copy}>
        Copy
      </Button>
      <Button size="small" onClick={() => done(actions.cut())}>
        Cut
      </Button>
      <Button size="small" onClick={actions.paste}>
        Paste behind
      </Button>
      <Button size="small" onClick={() => onAdd(last)} aria-haspopup="dialog">
        Add behind
      </Button>
      <Button size="small" onClick={() => done(actions.remove())}>
        Remove
      </Button>
      <Button size="small" onClick={actions.part}>
        Make a section
      </Button>
      <Button size="small" onClick={onDone}>
        Clear
      </Button>
      <Typography variant="caption" role="status">
        {told}
      </Typography>
    </Box>
  );
}
