import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { BroughtTable } from './use-brought.ts';

const ROWS_SHOWN = 6;

/** The first rows of a table as it came, and above each column what it holds. */
export function ColumnsTable({
  table,
  brought,
  match,
}: Pick<BroughtTable, 'table' | 'match'> & { brought: NonNullable<BroughtTable['brought']> }) {
  const { matching, raw } = brought;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        aria-label="Columns"
        sx={{
          borderCollapse: 'collapse',
          fontSize: 13,
          '& td, & th': {
            border: 1,
            borderColor: 'divider',
            p: '3px 6px',
            maxWidth: 220,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          },
        }}
      >
        <thead>
          <tr>
            {matching.map((key, i) => (
              <th key={i}>
                <TextField
                  select
                  variant="standard"
                  aria-label={`Column ${i + 1}`}
                  value={key ?? ''}
                  onChange={(event) => match(i, event.target.value || null)}
                  sx={{ minWidth: 110 }}
                  slotProps={{
                    select: { displayEmpty: true, SelectDisplayProps: { 'aria-label': `Column ${i + 1}` } },
                  }}
                >
                  <MenuItem value="">skip this column</MenuItem>
                  {table.fields.map(({ key: field, name }) => (
                    <MenuItem key={field} value={field}>
                      {name}
                    </MenuItem>
                  ))}
                </TextField>
              </th>
            ))}
          </tr>
          {raw.heading && (
            <tr>
              {matching.map((_, i) => (
                <Box component="th" key={i} sx={{ color: 'text.secondary', fontWeight: 400 }}>
                  {raw.heading![i]}
                </Box>
              ))}
            </tr>
          )}
        </thead>
        <tbody>
          {raw.rows.slice(0, ROWS_SHOWN).map(({ line, cells }) => (
            <tr key={line}>
              {matching.map((_, i) => (
                <td key={i}>{cells[i]}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
