import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import type { OwnTableId } from '#core/niche/own/index.ts';
import { FileButton } from '../../parts/file-button.tsx';
import { readTextFile } from '../../parts/read-text-file.ts';
import { count } from '../show.ts';
import { BringIn } from './bring-in.tsx';
import { ColumnsTable } from './columns-table.tsx';
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
  /** Whose money, and of sales whose ranks. */
  market: string;
  onBrought?: () => void;
  onClose: () => void;
}) {
  const given = useBrought(id, market);
  const { table, brought, again, missing } = given;
  const { good, left } = given.count;
  const [problem, setProblem] = useState('');
  const [imported, setImported] = useState(0);
  const { revalidate } = useRevalidator();

  const bring = (text: string) => {
    try {
      given.bring(text);
      setProblem('');
      setImported(0);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };

  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth>
      <DialogTitle>Import your own {table.name.toLowerCase()}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gridAutoRows: 'max-content', gap: 3 }}>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
          <TextField
            label="Paste from a spreadsheet, or CSV"
            multiline
            rows={brought ? 3 : 8}
            value={given.text}
            autoFocus
            onChange={(event) => bring(event.target.value)}
            // Of a long table only the beginning is shown; it can be replaced, but a letter typed must not cut it off.
            onPaste={(event) => {
              if (!given.shortened) return;
              event.preventDefault();
              bring(event.clipboardData.getData('text'));
            }}
            slotProps={{
              htmlInput: { spellCheck: false, readOnly: given.shortened, style: { fontSize: 13 } },
            }}
            helperText={
              given.shortened
                ? 'The beginning of a long table; all of it is read. Paste another, or open a file, to replace it.'
                : undefined
            }
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
            Open a file…
          </FileButton>
        </Box>
        {!brought && (
          <Typography variant="body2" color="text.secondary">
            Columns recognized:{' '}
            {table.fields.map(({ name, required }) => (required ? `${name} (required)` : name)).join(', ')}. A
            header row is optional.
          </Typography>
        )}
        {problem && (
          <Alert severity="error" variant="outlined">
            {problem}
          </Alert>
        )}
        {imported > 0 && (
          <Alert severity="success" variant="outlined">
            {count(imported)} {imported === 1 ? 'row is' : 'rows are'} in. Fix the others below and import
            them, or close.
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
      </DialogContent>
      <BringIn
        path={nicheId ? `/niches/${nicheId}/own` : '/niches/own'}
        about={{ table: id, ...(market ? { market } : {}) }}
        good={good}
        ready={good > 0 && missing.length === 0}
        rows={given.rows}
        onProblem={setProblem}
        onBrought={(whole) => {
          void revalidate();
          onBrought?.();
          if (!whole) return;
          if (left === 0) return onClose();
          // What is in need not be offered again.
          setImported(imported + good);
          given.keepUnread();
        }}
        onClose={onClose}
      />
    </Dialog>
  );
}
