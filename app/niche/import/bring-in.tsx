import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { count } from '../show.ts';
import { importRows } from './batches.ts';

/**
 * Hands the rows on and says how far they are. It alone is drawn anew with every lot: the table above it is large.
 * @param rows made when the button is pressed
 * @param onBrought told when all are in, or those that were when it was stopped
 */
export function BringIn({
  path,
  about,
  good,
  ready,
  rows,
  onProblem,
  onBrought,
  onClose,
}: {
  path: string;
  about: Record<string, unknown>;
  good: number;
  ready: boolean;
  rows: () => unknown[];
  onProblem: (words: string) => void;
  onBrought: (whole: boolean) => void;
  onClose: () => void;
}) {
  const [sent, setSent] = useState<{ done: number; of: number } | null>(null);
  const stopped = useRef(false);
  const send = async () => {
    const all = rows();
    stopped.current = false;
    onProblem('');
    let done = 0;
    setSent({ done, of: all.length });
    try {
      await importRows(path, about, all, {
        stopped: () => stopped.current,
        onDone(now) {
          done = now;
          setSent({ done, of: all.length });
        },
      });
      if (stopped.current)
        onProblem(
          `Stopped after ${count(done)} of ${count(all.length)} rows. What is in stays in; import it again to continue.`,
        );
      onBrought(!stopped.current);
    } catch (error) {
      onProblem(
        `${(error as Error).message} ${count(done)} of ${count(all.length)} rows are in; try again to go on.`,
      );
    }
    setSent(null);
  };
  return (
    <>
      {sent && (
        <Box sx={{ px: 6, pt: 2 }}>
          <LinearProgress
            aria-label="Importing rows"
            variant="determinate"
            value={sent.of ? (100 * sent.done) / sent.of : 100}
          />
          <Typography variant="caption">
            {count(sent.done)} of {count(sent.of)} rows
          </Typography>
        </Box>
      )}
      <DialogActions>
        <Button
          onClick={() => {
            if (sent) stopped.current = true;
            else onClose();
          }}
        >
          {sent ? 'Stop' : 'Close'}
        </Button>
        <Button variant="contained" disabled={!ready || sent !== null} onClick={() => void send()}>
          Import {count(good)} {good === 1 ? 'row' : 'rows'}
        </Button>
      </DialogActions>
    </>
  );
}
