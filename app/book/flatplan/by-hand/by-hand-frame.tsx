import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import type { KeyboardEvent, ReactNode } from 'react';
import type { Watched } from '#core/pages/puzzle/by-hand.ts';
import type { Changes } from './use-changes.ts';

/** What is changed at the left; at the right what helps, and what the solver says; below, how it ends. */
export function ByHandFrame({
  watched,
  changes,
  canKeep = changes.isChanged,
  left = 'minmax(0, 1.7fr)',
  side,
  onKeep,
  onClose,
  children,
}: {
  watched: Pick<Watched, 'isSound' | 'says'>;
  changes: Pick<Changes<unknown>, 'isChanged' | 'undo'>;
  /** Whether something would be kept. */
  canKeep?: boolean;
  /** Width of what is changed. */
  left?: string;
  side: ReactNode;
  onKeep: () => void;
  onClose: () => void;
  children: ReactNode;
}) {
  const { isSound, says } = watched;
  const onKeyDown = (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    // A field of text has an undo of its own.
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
    event.preventDefault();
    event.stopPropagation();
    changes.undo();
  };
  return (
    <>
      <DialogContent sx={{ position: 'relative' }} onKeyDown={onKeyDown}>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: `${left} minmax(260px, 1fr)`,
            gap: 6,
            alignItems: 'start',
          }}
        >
          {children}
          <Box sx={{ display: 'grid', gap: 3 }}>
            {side}
            <Typography
              role="status"
              sx={{
                minHeight: 84,
                p: 2,
                border: 1,
                borderLeft: 4,
                borderRadius: 1,
                borderColor: isSound ? 'primary.main' : 'error.main',
                color: isSound ? 'text.primary' : 'error.main',
              }}
            >
              {says}
            </Typography>
            <Box>
              <Button
                size="small"
                disabled={!changes.isChanged}
                // The focus stays with the puzzle: a button that is disabled would lose it, and the next key with it.
                onMouseDown={(event) => event.preventDefault()}
                onClick={changes.undo}
              >
                Undo
              </Button>
            </Box>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={!isSound || !canKeep} onClick={onKeep}>
          Keep it pinned
        </Button>
      </DialogActions>
    </>
  );
}
