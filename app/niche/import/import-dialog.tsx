import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import type { OwnTableId } from '#core/niche/own/index.ts';
import { FileButton } from '../../parts/file-button.tsx';
import { readTextFile } from '../../parts/read-text-file.ts';
import { count } from '../show.ts';
import { ColumnsTable } from './columns-table.tsx';
import { bringRows } from './lots.ts';
import { RowsToMend } from './rows-to-mend.tsx';
import { useBrought } from './use-brought.ts';
import { WritingChoices } from './writing-choices.tsx';

const FILE_BYTES = 40 * 1024 * 1024;

/**
 * Brings a table that was pasted or comes as CSV: columns are matched and ways of writing guessed, both shown and
 * changeable; rows that cannot be read are listed with the reason and mended in place.
 */
export function ImportDialog({
  table: id,
  nicheId,
  market,
  onBrought,
  onClose,
}: {
  table: OwnTableId;
  nicheId?: string;
  /** Of sales. */
  market?: string;
  onBrought?: () => void;
  onClose: () => void;
}) {
  const given = useBrought(id);
  const { table, brought, again, missing } = given;
  const { good, left } = given.count;
  const [problem, setProblem] = useState('');
  const [sent, setSent] = useState<{ done: number; of: number } | null>(null);
  const stopped = useRef(false);
  const { revalidate } = useRevalidator();

  const bring = (text: string) => {
    try {
      given.bring(text);
      setProblem('');
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const send = async () => {
    const rows = given.rows();
    stopped.current = false;
    setProblem('');
    let done = 0;
    setSent({ done, of: rows.length });
    try {
      await bringRows(
        nicheId ? `/niches/${nicheId}/own` : '/niches/own',
        { table: id, ...(market ? { market } : {}) },
        rows,
        {
          stopped: () => stopped.current,
          onDone(now) {
            done = now;
            setSent({ done, of: rows.length });
          },
        },
      );
      void revalidate();
      onBrought?.();
      if (!stopped.current && left === 0) onClose();
      else if (stopped.current)
        setProblem(
          `Stopped after ${count(done)} of ${count(rows.length)} rows. What is in stays in; bring the table again to go on.`,
        );
    } catch (error) {
      setProblem(
        `${(error as Error).message} ${count(done)} of ${count(rows.length)} rows are in; try again to go on.`,
      );
    }
    setSent(null);
  };

  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth>
      <DialogTitle>Bring your own {table.name.toLowerCase()}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3 }}>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
          <TextField
            label="Paste from a spreadsheet, or CSV"
            multiline
            rows={brought ? 3 : 8}
            value={given.text}
            autoFocus
            onChange={(event) => bring(event.target.value)}
            slotProps={{ htmlInput: { spellCheck: false, style: { fontSize: 13 } } }}
          />
          <FileButton
            label="Table file"
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            onFile={async (file) => {
              const found = await readTextFile(file, FILE_BYTES);
              if ('problem' in found) setProblem(found.problem);
              else bring(found.text);
            }}
          >
            Open a file …
          </FileButton>
        </Box>
        {!brought && (
          <Typography variant="body2" color="text.secondary">
            Columns it takes:{' '}
            {table.fields.map(({ name, required }) => (required ? `${name} (needed)` : name)).join(', ')}. A
            heading line helps, but is not needed.
          </Typography>
        )}
        {problem && (
          <Alert severity="error" variant="outlined">
            {problem}
          </Alert>
        )}
        {brought && (
          <>
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
              <WritingChoices {...given} brought={brought} />
              <Typography variant="body2" role="status" sx={{ ml: 'auto' }}>
                <strong>{count(good)}</strong> {good === 1 ? 'row' : 'rows'} can be read,{' '}
                <strong>{count(left)}</strong> cannot
              </Typography>
            </Box>
            <ColumnsTable {...given} brought={brought} />
            {missing.length > 0 && (
              <Alert severity="warning" variant="outlined">
                No column holds {missing.map(({ name }) => name).join(' or ')}. Choose it above a column.
              </Alert>
            )}
            {missing.length === 0 && again.length > 0 && <RowsToMend {...given} />}
          </>
        )}
        {sent && (
          <Box>
            <LinearProgress
              aria-label="Bringing rows in"
              variant="determinate"
              value={sent.of ? (100 * sent.done) / sent.of : 100}
            />
            <Typography variant="caption">
              {count(sent.done)} of {count(sent.of)} rows
            </Typography>
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            if (sent) stopped.current = true;
            else onClose();
          }}
        >
          {sent ? 'Stop' : 'Close'}
        </Button>
        <Button
          variant="contained"
          disabled={good === 0 || missing.length > 0 || sent !== null}
          onClick={() => void send()}
        >
          Bring in {count(good)} {good === 1 ? 'row' : 'rows'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
