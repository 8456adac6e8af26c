import { useMemo, useState } from 'react';
import type { SortKey } from '#core/niche/index.ts';
import { useNiche } from './niche-desk.tsx';

/** Columns that are best when small are sorted upwards first. */
const UPWARDS = new Set<SortKey>(['rank', 'title', 'age']);

/** The rivals that are shown, in the order that was chosen. */
export function useSorted() {
  const { laid, narrowed } = useNiche();
  const [sort, setSort] = useState<{ by: SortKey; down: boolean }>({ by: 'rank', down: false });
  const places = useMemo(() => laid.sort(narrowed.places, sort.by, sort.down), [laid, narrowed, sort]);
  const onSort = (by: SortKey) =>
    setSort((now) => ({ by, down: now.by === by ? !now.down : !UPWARDS.has(by) }));
  return { places, sort, onSort };
}
