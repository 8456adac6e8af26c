import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import Popover from '@mui/material/Popover';
import type { Table } from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Columns3 } from 'lucide-react';
import { useState } from 'react';

interface ColumnMenuProps<Row> {
  label: string;
  table: Table<Row>;
  nameOf: (column: string) => string;
  onReset: () => void;
}

/** Which columns of a table are shown, and in which order. */
export function ColumnMenu<Row>({ label, table, nameOf, onReset }: ColumnMenuProps<Row>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const columns = table.getAllLeafColumns();
  const shown = columns.filter((column) => column.getIsVisible()).length;
  const move = (at: number, step: number) => {
    const ids = columns.map(({ id }) => id);
    const [moved] = ids.splice(at, 1);
    ids.splice(at + step, 0, moved!);
    table.setColumnOrder(ids);
  };
  return (
    <>
      <IconButton
        size="small"
        aria-label={`Columns of ${label.toLowerCase()}`}
        aria-haspopup="dialog"
        title="Columns"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ p: 0.5 }}
      >
        <Columns3 size={16} />
      </IconButton>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'Columns', sx: { p: 3 } } }}
      >
        {columns.map((column, i) => (
          <Box key={column.id} sx={{ display: 'flex', alignItems: 'center' }}>
            <FormControlLabel
              sx={{ flex: 1, mr: 4 }}
              control={
                <Checkbox
                  size="small"
                  checked={column.getIsVisible()}
                  disabled={column.getIsVisible() && shown === 1}
                  onChange={column.getToggleVisibilityHandler()}
                />
              }
              label={nameOf(column.id)}
            />
            <IconButton
              size="small"
              aria-label={`${nameOf(column.id)} further to the left`}
              disabled={i === 0}
              onClick={() => move(i, -1)}
            >
              <ArrowUp size={16} />
            </IconButton>
            <IconButton
              size="small"
              aria-label={`${nameOf(column.id)} further to the right`}
              disabled={i === columns.length - 1}
              onClick={() => move(i, 1)}
            >
              <ArrowDown size={16} />
            </IconButton>
          </Box>
        ))}
        <Button size="small" sx={{ mt: 1 }} onClick={onReset}>
          Reset columns
        </Button>
      </Popover>
    </>
  );
}
