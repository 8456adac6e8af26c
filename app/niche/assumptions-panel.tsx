import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { X } from 'lucide-react';
import { useEffect } from 'react';
import { Link as To } from 'react-router';
import { ConflictDialog } from '../parts/conflict-dialog.tsx';
import { AssumptionNumbers, CONDITION_GROUPS, useAssumptions } from './assumptions-form.tsx';
import { useNiche } from './niche-desk.tsx';

/** The assumptions beside the verdict that rests on them: it follows every change at once. */
export function AssumptionsPanel({ onClose }: { onClose: () => void }) {
  const { savedAssumptions, tryAssumptions } = useNiche();
  const { assumptions, set, undo, canUndo, words, conflict } = useAssumptions(savedAssumptions);
  useEffect(() => {
    tryAssumptions(assumptions);
  }, [assumptions, tryAssumptions]);
  useEffect(() => () => tryAssumptions(null), [tryAssumptions]);
  return (
    <Box component="section" aria-label="Assumptions" sx={{ display: 'grid', gap: 3 }}>
      <ConflictDialog what="The assumptions were" {...conflict} />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Assumptions
        </Typography>
        <Button size="small" disabled={!canUndo} onClick={undo}>
          Undo
        </Button>
        <Button size="small" onClick={onClose} aria-label="Close the assumptions">
          <X size={16} />
        </Button>
      </Box>
      <Typography variant="body2">
        The verdict beside follows at once. They hold for every niche.{' '}
        <Link component={To} to="/niches/assumptions" underline="always">
          All assumptions and your sales data
        </Link>
      </Typography>
      {[...CONDITION_GROUPS, ['newcomer', 'A new book'] as const].map(([group, heading]) => (
        <Box key={group} sx={{ display: 'grid', gap: 2.5 }}>
          <Typography variant="h3">{heading}</Typography>
          <AssumptionNumbers group={group} assumptions={assumptions} set={set} />
        </Box>
      ))}
      <Typography variant="caption" role="status">
        {words}
      </Typography>
    </Box>
  );
}
