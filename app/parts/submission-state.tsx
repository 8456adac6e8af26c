import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

const WORDS: Record<string, { mark: string; words: string; colour: string }> = {
  sending: { mark: '…', words: 'Being handed in', colour: 'text.secondary' },
  'in review': { mark: '◷', words: 'In review', colour: 'warning.main' },
  live: { mark: '✓', words: 'Live', colour: 'primary.main' },
  rejected: { mark: '✕', words: 'Rejected', colour: 'error.main' },
  failed: { mark: '✕', words: 'Not handed in', colour: 'error.main' },
};

/** How a submission stands, with the service's reasons when it said no. */
export function SubmissionState({ state, reasons }: { state: string; reasons: string[] }) {
  const shown = WORDS[state] ?? WORDS.failed!;
  return (
    <Box role="status">
      <Typography sx={{ fontWeight: 700, color: shown.colour }}>
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
