import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { Header, RowData } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Mark } from './mark.tsx';
import { LEAST_WIDTH } from './table-columns.ts';

/** A heading: sorts by its column, and its right edge makes the column wider. */
export function Heading<Row extends RowData>({
  header,
  name,
  left,
}: {
  header: Header<Row, unknown>;
  name: string;
  left: boolean;
}) {
  const { column } = header;
  const sorted = column.getIsSorted();
  const sorts = column.getCanSort();
  const widen = (by: number) =>
    header.getContext().table.setColumnSizing((now) => ({
      ...now,
      [column.id]: Math.max(LEAST_WIDTH, column.getSize() + by),
    }));
  return (
    <Box
      role="columnheader"
      aria-label={name}
      {...(sorts ? { 'aria-sort': sorted ? (sorted === 'desc' ? 'descending' : 'ascending') : 'none' } : {})}
      sx={{ textAlign: left ? 'left' : 'right', whiteSpace: 'nowrap', position: 'relative', minWidth: 0 }}
    >
      <ButtonBase
        disabled={!sorts}
        onClick={column.getToggleSortingHandler()}
        sx={{
          font: 'inherit',
          fontSize: 13,
          px: 1,
          maxWidth: '100%',
          overflow: 'hidden',
          color: sorted ? 'text.primary' : 'text.secondary',
          fontWeight: sorted ? 700 : 400,
        }}
      >
        {sorted && <Mark icon={sorted === 'desc' ? ArrowDown : ArrowUp} />} {name}
      </ButtonBase>
      <div
        role="separator"
        aria-orientation="vertical"
        aria-label={`Width of ${name}`}
        aria-valuenow={column.getSize()}
        tabIndex={0}
        data-edge
        onMouseDown={header.getResizeHandler()}
        onTouchStart={header.getResizeHandler()}
        onDoubleClick={() => column.resetSize()}
        onKeyDown={(event) => {
          const step = event.key === 'ArrowRight' ? 10 : event.key === 'ArrowLeft' ? -10 : 0;
          if (!step) return;
          event.preventDefault();
          widen(step);
        }}
      />
    </Box>
  );
}
