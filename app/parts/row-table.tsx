import Box from '@mui/material/Box';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useRef, useState } from 'react';
import { tokens } from '../theme.ts';
import { ColumnMenu } from './column-menu.tsx';
import { type Shortcut, useListedKeys } from './shortcuts.tsx';
import { type RowColumn, type Sort, useColumns } from './table-columns.ts';
import { Heading } from './table-heading.tsx';

const ROW = 30;
const PAGE = 12;

/** A line over the rows that follow it. */
export interface RowGroup {
  group: string;
  size: number;
}

interface RowTableProps<Row, Key extends string> {
  /** What it shows; its layout is remembered under it. */
  label: string;
  /** What the keys do, for those who hear the table. */
  keysTold: string;
  columns: readonly RowColumn<Row, Key>[];
  count: number;
  lineAt: (index: number) => Row | RowGroup;
  idOf: (row: Row) => string;
  nameOf: (row: Row) => string;
  sort: Sort<Key>;
  onSort: (sort: Sort<Key>) => void;
  chosen: ReadonlySet<string>;
  onChosen: (ids: ReadonlySet<string>) => void;
  /** What a key does with what is chosen, or with the row the cursor is on. */
  keys?: Record<string, (ids: string[], row: Row) => void>;
  open?: string | null;
  onOpen?: (id: string | null) => void;
  pale?: (row: Row) => boolean;
  bold?: (row: Row) => boolean;
  empty: string;
}

const group = 'Tables';
const TABLE_KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From row to row', group },
  { keys: 'shift+arrows', does: 'Select the rows between', group },
  { keys: 'space', does: 'Select the row', group },
  { keys: 'enter', does: 'Open the row, or close it', group },
  { keys: 'escape', does: 'Select none, or close what is open', group },
];

const isGroup = (line: unknown): line is RowGroup =>
  typeof line === 'object' && line !== null && 'group' in line;

/**
 * A table of any length of which only the rows in view are there. Sorted by its headings; moved through, chosen and
 * opened by mouse or keys, Shift taking in what lies between.
 */
export function RowTable<Row extends object, Key extends string>(props: RowTableProps<Row, Key>) {
  const { label, keysTold, columns, count, lineAt, idOf, nameOf, sort, onSort, chosen, onChosen } = props;
  const { keys = {}, open = null, onOpen, pale, bold, empty } = props;
  useListedKeys(TABLE_KEYS);
  const scroller = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  const anchor = useRef(0);
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    scrollMargin: ROW,
    scrollPaddingStart: ROW,
    overscan: 4,
  });
  const mounted = virtual.getVirtualItems();
  const { table, headers, shown, grid, reset } = useColumns(label, columns, sort, onSort);
  const rowAt = (index: number): Row | null => {
    const line = index < count ? lineAt(index) : null;
    return line === null || isGroup(line) ? null : line;
  };
  const allIds = () => {
    const ids: string[] = [];
    for (let i = 0; i < count; i++) {
      const row = rowAt(i);
      if (row) ids.push(idOf(row));
    }
    return ids;
  };

  const choose = (index: number, between: boolean) => {
    const next = new Set(chosen);
    if (between) {
      const [from, to] = [Math.min(anchor.current, index), Math.max(anchor.current, index)];
      for (let i = from; i <= to; i++) {
        const row = rowAt(i);
        if (row) next.add(idOf(row));
      }
    } else {
      const row = rowAt(index);
      if (row && !next.delete(idOf(row))) next.add(idOf(row));
      anchor.current = index;
    }
    onChosen(next);
  };

  const onKeyDown = (event: KeyboardEvent) => {
    // Headings and boxes have keys of their own.
    if (event.target !== scroller.current || event.ctrlKey || event.metaKey || event.altKey) return;
    const steps: Record<string, number> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: PAGE,
      PageUp: -PAGE,
      Home: -count,
      End: count,
    };
    const step = steps[event.key];
    const row = rowAt(at);
    if (step !== undefined) {
      const next = Math.max(0, Math.min(count - 1, at + step));
      setAt(next);
      virtual.scrollToIndex(next);
      const reached = rowAt(next);
      if (event.shiftKey) choose(next, true);
      else if (open && onOpen && reached) onOpen(idOf(reached));
    } else if (event.key === ' ') choose(at, false);
    else if (event.key === 'Escape') {
      if (chosen.size) onChosen(new Set());
      else onOpen?.(null);
    } else if (event.key === 'Enter' && onOpen && row) onOpen(open === idOf(row) ? null : idOf(row));
    else if (keys[event.key] && row) keys[event.key]!(chosen.size ? [...chosen] : [idOf(row)], row);
    else return;
    event.preventDefault();
  };

  return (
    <Box
      ref={scroller}
      role="grid"
      aria-label={`${label}. ${keysTold}`}
      aria-rowcount={count + 1}
      tabIndex={0}
      onKeyDown={onKeyDown}
      sx={LOOK}
    >
      <div role="row" aria-rowindex={1} data-heading style={{ gridTemplateColumns: grid }}>
        <div role="columnheader">
          <input
            ref={(box) => {
              if (box) box.indeterminate = chosen.size > 0 && chosen.size < count;
            }}
            type="checkbox"
            aria-label="Select all"
            checked={count > 0 && chosen.size >= count}
            onChange={() => onChosen(chosen.size ? new Set() : new Set(allIds()))}
          />
        </div>
        {headers.map((header, i) => (
          <Heading key={header.id} header={header} name={shown[i]!.name} left={shown[i]!.left ?? false} />
        ))}
        <Box data-menu role="columnheader" aria-label="Columns">
          <ColumnMenu
            label={label}
            table={table}
            nameOf={(key) => columns.find((column) => column.key === key)?.name ?? key}
            onReset={reset}
          />
        </Box>
      </div>
      <Box role="rowgroup" sx={{ position: 'relative' }} style={{ height: virtual.getTotalSize() }}>
        {mounted.map(({ index, start }) => {
          const line = lineAt(index);
          const style = {
            transform: `translateY(${start - ROW}px)`,
            boxShadow: index === at ? `inset 2px 0 ${tokens.verdigris}` : 'none',
          };
          if (isGroup(line))
            return (
              <div key={`group ${line.group}`} role="row" aria-rowindex={index + 2} data-group style={style}>
                <div role="gridcell">
                  {line.group} <span>{line.size}</span>
                </div>
              </div>
            );
          const id = idOf(line);
          return (
            <div
              key={id}
              role="row"
              aria-rowindex={index + 2}
              aria-selected={chosen.has(id)}
              data-line
              data-pale={pale?.(line) || undefined}
              onClick={(event) => {
                setAt(index);
                if (event.shiftKey || event.ctrlKey || event.metaKey || !onOpen)
                  choose(index, event.shiftKey);
                else onOpen(open === id ? null : id);
              }}
              style={{
                ...style,
                gridTemplateColumns: grid,
                backgroundColor:
                  open === id ? tokens.verdigrisSoft : chosen.has(id) ? tokens.paper : 'transparent',
                fontWeight: bold?.(line) ? 700 : 400,
              }}
            >
              <div role="gridcell">
                <input
                  type="checkbox"
                  tabIndex={-1}
                  aria-label={`Select ${nameOf(line)}`}
                  checked={chosen.has(id)}
                  readOnly
                  onClick={(event) => {
                    event.stopPropagation();
                    setAt(index);
                    choose(index, event.shiftKey);
                  }}
                />
              </div>
              {shown.map(({ key, left, show, hint, color }) => {
                const cell = { role: 'gridcell', title: hint?.(line), 'data-left': left };
                const ink = color?.(line);
                return ink ? (
                  <Box key={key} {...cell} sx={{ color: ink }}>
                    {show(line)}
                  </Box>
                ) : (
                  <div key={key} {...cell}>
                    {show(line)}
                  </div>
                );
              })}
            </div>
          );
        })}
        {count === 0 && (
          <div role="row">
            <Box role="gridcell" sx={{ p: 4 }}>
              {empty}
            </Box>
          </div>
        )}
      </Box>
    </Box>
  );
}

/** Said once for the whole table: rows come and go while it is scrolled, and plain elements cost next to nothing. */
const LOOK = {
  overflow: 'auto',
  minHeight: 0,
  height: '100%',
  fontSize: 14,
  '& [data-heading]': {
    display: 'grid',
    height: ROW,
    alignItems: 'center',
    borderBottom: 1,
    borderColor: 'divider',
    position: 'sticky',
    top: 0,
    zIndex: 1,
    bgcolor: 'background.default',
  },
  '& [data-edge]': {
    position: 'absolute',
    top: 0,
    right: -4,
    width: 8,
    height: '100%',
    zIndex: 1,
    cursor: 'col-resize',
    touchAction: 'none',
    '&:hover, &:focus-visible': { bgcolor: 'divider', outline: 'none' },
  },
  '& [data-line], & [data-group]': {
    position: 'absolute',
    top: 0,
    left: 0,
    right: 0,
    height: ROW,
    borderBottom: 1,
    borderColor: 'divider',
  },
  '& [data-line]': { display: 'grid', alignItems: 'center', cursor: 'pointer' },
  '& [data-pale]': { color: 'text.secondary' },
  '& [data-line] > [role=gridcell]': {
    px: 1,
    whiteSpace: 'nowrap',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    textAlign: 'right',
  },
  '& [data-line] > [data-left=true]': { textAlign: 'left' },
  '& [data-line] > [role=gridcell]:first-of-type': { p: 0, textAlign: 'left' },
  '& input[type=checkbox]': {
    display: 'block',
    width: 16,
    height: 16,
    m: '0 6px',
    accentColor: tokens.verdigris,
    cursor: 'pointer',
  },
  '& [data-group]': { display: 'flex', alignItems: 'flex-end', px: 1 },
  '& [data-group] > [role=gridcell]': { fontWeight: 700, fontFamily: '"Alegreya", serif', fontSize: 16 },
  '& [data-group] span': { fontWeight: 400, color: 'text.secondary', fontSize: 14 },
} as const;
