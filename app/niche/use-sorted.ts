import { useMemo, useState } from 'react';
import type { SortKey } from '#core/niche/index.ts';
import type { Sort } from '../parts/table-columns.ts';
import { useNiche } from './niche-desk.tsx';

/** The rivals that are shown, in the order that was chosen. */
export function useSorted() {
  const { laid, narrowed } = useNiche();
  const [sort, onSort] = useState<Sort<SortKey>>({ by: 'rank', down: false });
  const places = useMemo(() => laid.sort(narrowed.places, sort.by, sort.down), [laid, narrowed, sort]);
  return { places, sort, onSort };
}
