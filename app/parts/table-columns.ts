import {
  type ColumnDef,
  type ColumnSizingInfoState,
  getCoreRowModel,
  type Updater,
  useReactTable,
} from '@tanstack/react-table';
import { type ReactNode, useMemo, useRef } from 'react';
import { useTableLayout } from './table-layout.ts';

const NO_ROWS: never[] = [];
const NOT_DRAWN: ColumnSizingInfoState = {
  columnSizingStart: [],
  deltaOffset: null,
  deltaPercentage: null,
  isResizingColumn: false,
  startOffset: null,
  startSize: null,
};
/** Of a column, in pixels. */
export const LEAST_WIDTH = 40;

export interface RowColumn<Row, Key extends string> {
  key: Key;
  name: string;
  /** In pixels; the least of a column that grows. */
  width: number;
  /** Takes what others leave, until it is given a width. */
  grows?: boolean;
  left?: boolean;
  /** False for a column that cannot be sorted by. */
  sorts?: boolean;
  /** Best when small, and so sorted upwards first. */
  upwards?: boolean;
  show: (row: Row) => ReactNode;
  hint?: (row: Row) => string | undefined;
  color?: (row: Row) => string | undefined;
}

export interface Sort<Key extends string> {
  by: Key;
  down: boolean;
}

/**
 * The columns of a table as somebody has laid them out, remembered under its label.
 * @returns `grid`: their widths as grid-template-columns takes them, between the boxes that choose and the menu
 */
export function useColumns<Row extends object, Key extends string>(
  label: string,
  columns: readonly RowColumn<Row, Key>[],
  sort: Sort<Key>,
  onSort: (sort: Sort<Key>) => void,
) {
  const { layout, setShown, setOrder, setWidths, reset } = useTableLayout(label);
  const byKey = new Map<string, RowColumn<Row, Key>>(columns.map((column) => [column.key, column]));
  const defined = useMemo(
    () =>
      columns.map(
        ({ key, width, sorts = true, upwards = false }): ColumnDef<Row> => ({
          id: key,
          // A column without a value could not be sorted by; the sorting itself is done outside.
          accessorFn: () => null,
          size: width,
          minSize: LEAST_WIDTH,
          enableSorting: sorts,
          sortDescFirst: !upwards,
        }),
      ),
    [columns],
  );
  // How far an edge was drawn, at hand at once: the widths that follow from it are asked for in the same moment.
  const drag = useRef(NOT_DRAWN);
  // Columns are its part. Rows are asked for one by one as they come into view: a hundred thousand of them are sorted and
  // narrowed before, where they lie in columns of numbers.
  const table = useReactTable<Row>({
    columns: defined,
    data: NO_ROWS,
    getCoreRowModel: getCoreRowModel(),
    manualSorting: true,
    enableSortingRemoval: false,
    columnResizeMode: 'onChange',
    state: {
      sorting: [{ id: sort.by, desc: sort.down }],
      columnVisibility: layout.shown,
      columnOrder: layout.order,
      columnSizing: layout.widths,
      columnSizingInfo: drag.current,
    },
    onSortingChange: (next: Updater<{ id: string; desc: boolean }[]>) => {
      const [first] = typeof next === 'function' ? next([{ id: sort.by, desc: sort.down }]) : next;
      if (first) onSort({ by: first.id as Key, down: first.desc });
    },
    onColumnVisibilityChange: setShown,
    onColumnOrderChange: setOrder,
    onColumnSizingChange: setWidths,
    onColumnSizingInfoChange: (next) => {
      drag.current = typeof next === 'function' ? next(drag.current) : next;
    },
  });
  const headers = table.getFlatHeaders();
  const shown = headers.map(({ id }) => byKey.get(id)!);
  const widthOf = ({ key, width, grows }: RowColumn<Row, Key>): string =>
    grows && layout.widths[key] === undefined
      ? `minmax(${width}px, 1fr)`
      : `${table.getColumn(key)!.getSize()}px`;
  const grid = `30px ${shown.map(widthOf).join(' ')} 24px`;
  return { table, headers, shown, grid, reset };
}
