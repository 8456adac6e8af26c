import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Check } from 'lucide-react';
import { Mark } from '../../parts/mark.tsx';
import type { BroughtTable, MendedRow } from './use-brought.ts';

const ROWS_SHOWN = 100;

/** Rows that cannot be read, with the reason, each mended where it stands. */
export function RowsToMend({ table, again, mend }: Pick<BroughtTable, 'table' | 'again' | 'mend'>) {
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Rows to fix{again.length > ROWS_SHOWN ? `, the first ${ROWS_SHOWN}` : ''}
      </Typography>
      {again.slice(0, ROWS_SHOWN).map((row) => (
        <RowToMend
          key={row.line}
          row={row}
          table={table}
          onMend={(field, cell) => mend(row.line, field, cell)}
        />
      ))}
    </Box>
  );
}

/** A row with the cells that could not be read. It stays when it is whole again. */
function RowToMend({
  row: { line, cells, problems, now },
  table,
  onMend,
}: {
  row: MendedRow;
  table: BroughtTable['table'];
  onMend: (field: string, cell: string) => void;
}) {
  const wrong = 'problems' in now ? now.problems : [];
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="body2" sx={{ width: 64, flex: 'none' }}>
        Line {line}
      </Typography>
      {[...new Set(problems.map(({ field }) => field))].map((field) => (
        <TextField
          key={field}
          label={table.fields.find(({ key }) => key === field)?.name ?? field}
          value={cells[field] ?? ''}
          error={wrong.some((one) => one.field === field)}
          onChange={(event) => onMend(field, event.target.value)}
          sx={{ width: 170, flex: 'none' }}
        />
      ))}
      <Typography variant="body2" color={wrong.length ? 'error' : 'primary'}>
        {wrong.length ? (
          wrong.map(({ reason }) => reason).join(' ')
        ) : (
          <>
            <Mark icon={Check} /> fixed
          </>
        )}{' '}
        {cells.title && problems[0]?.field !== 'title' ? `(${cells.title})` : ''}
      </Typography>
    </Box>
  );
}
