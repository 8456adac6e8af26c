import { useMemo, useState } from 'react';
import type { SortKey } from '#core/niche/index.ts';
import type { Sort } from '../parts/table-columns.ts';
import { useNiche } from './niche-desk.tsx';

/** The rivals that are shown, in the order that was chosen; of a long table the first, until all are there. */
export function useSorted() {
  const { rivals, firstRivals, indexed, filtered } = useNiche();
  const [sort, onSort] = useState<Sort<SortKey>>({ by: 'rank', down: false });
  const rowIndices = useMemo(
    () =>
      !rivals && firstRivals
        ? Uint32Array.from(firstRivals.keys())
        : indexed.sort(filtered.rowIndices, sort.by, sort.down),
    [rivals, firstRivals, indexed, filtered, sort],
  );
  return { rowIndices, sort, onSort };
}
