import { useMemo, useState } from 'react';
import type { SortKey } from '#core/niche/index.ts';
import type { Sort } from '../parts/table-columns.ts';
import { useNiche } from './niche-desk.tsx';

/** The rivals that are shown, in the order that was chosen. */
export function useSorted() {
  const { indexed, filtered } = useNiche();
  const [sort, onSort] = useState<Sort<SortKey>>({ by: 'rank', down: false });
  const rowIndices = useMemo(
    () => indexed.sort(filtered.rowIndices, sort.by, sort.down),
    [indexed, filtered, sort],
  );
  return { rowIndices, sort, onSort };
}
