import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Check, Clock, Ellipsis, type LucideIcon, RefreshCw, X } from 'lucide-react';
import { Mark } from './mark.tsx';

const WORDS: Record<string, { mark: LucideIcon; words: string; color: string }> = {
  sending: { mark: Ellipsis, words: 'Submitting', color: 'text.secondary' },
  unanswered: { mark: Ellipsis, words: 'Waiting for an answer', color: 'warning.main' },
  'in review': { mark: Clock, words: 'In review', color: 'warning.main' },
  live: { mark: Check, words: 'Live', color: 'primary.main' },
  replaced: { mark: RefreshCw, words: 'Replaced by an update', color: 'text.secondary' },
  rejected: { mark: X, words: 'Rejected', color: 'error.main' },
  failed: { mark: X, words: 'Submission failed', color: 'error.main' },
};

/** Whether the service still has to say how a submission stands. */
export const isWaiting = ({ state }: { state: string }): boolean =>
  state === 'sending' || state === 'unanswered' || state === 'in review';

/** How a submission stands, with the service's reasons when it said no. */
export function SubmissionState({ state, reasons }: { state: string; reasons: string[] }) {
  const shown = WORDS[state] ?? WORDS.failed!;
  return (
    <Box role="status">
      <Typography sx={{ fontWeight: 700, color: shown.color }}>
        <Mark icon={shown.mark} /> {shown.words}
      </Typography>
      {reasons.map((reason) => (
        <Typography key={reason} variant="body2">
          {reason}
        </Typography>
      ))}
    </Box>
  );
}
