import type { ColumnOrderState, ColumnSizingState, Updater, VisibilityState } from '@tanstack/react-table';
import { useEffect, useState } from 'react';
import { createStore, useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** How somebody has laid out the columns of a table. */
export interface TableLayout {
  /** False for a column that is hidden. */
  shown: VisibilityState;
  /** Ids of columns in their order; empty for the usual one. */
  order: ColumnOrderState;
  /** Widths in pixels of columns that were given another. */
  widths: ColumnSizingState;
}

const USUAL: TableLayout = { shown: {}, order: [], widths: {} };

const openLayout = (id: string) =>
  createStore<TableLayout>()(
    persist(() => USUAL, {
      name: `quill-table-${id}`,
      storage: createJSONStorage(() => localStorage),
      // Read once the page is there: the server knows nothing of it, and both must begin alike.
      skipHydration: true,
    }),
  );

const opened = new Map<string, ReturnType<typeof openLayout>>();

const layoutOf = (id: string): ReturnType<typeof openLayout> => {
  const store = opened.get(id) ?? openLayout(id);
  // A server serves many; each of its pages begins with the usual layout.
  if (typeof window !== 'undefined') opened.set(id, store);
  return store;
};

/** The layout of a table, remembered by this browser under the table's name. */
export function useTableLayout(id: string) {
  const [store] = useState(() => layoutOf(id));
  useEffect(() => void store.persist.rehydrate(), [store]);
  const layout = useStore(store);
  const set =
    <Key extends keyof TableLayout>(key: Key) =>
    (next: Updater<TableLayout[Key]>) =>
      store.setState((now) => ({ [key]: typeof next === 'function' ? next(now[key]) : next }));
  return {
    layout,
    setShown: set('shown'),
    setOrder: set('order'),
    setWidths: set('widths'),
    reset: () => store.setState(USUAL),
  };
}
