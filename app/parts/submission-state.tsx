import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

const WORDS: Record<string, { mark: string; words: string; color: string }> = {
  sending: { mark: '…', words: 'Being handed in', color: 'text.secondary' },
  'in review': { mark: '◷', words: 'In review', color: 'warning.main' },
  live: { mark: '✓', words: 'Live', color: 'primary.main' },
  rejected: { mark: '✕', words: 'Rejected', color: 'error.main' },
  failed: { mark: '✕', words: 'Not handed in', color: 'error.main' },
};

/** How a submission stands, with the service's reasons when it said no. */
export function SubmissionState({ state, reasons }: { state: string; reasons: string[] }) {
  const shown = WORDS[state] ?? WORDS.failed!;
  return (
    <Box role="status">
      <Typography sx={{ fontWeight: 700, color: shown.color }}>
        {shown.mark} {shown.words}
      </Typography>
      {reasons.map((reason) => (
        <Typography key={reason} variant="body2">
          {reason}
        </Typography>
      ))}
    </Box>
  );
}
