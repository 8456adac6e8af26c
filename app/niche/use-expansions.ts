import { useEffect } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { EXPANSION_IDS, type Expansion } from '#core/niche/index.ts';

interface Ways {
  ways: readonly Expansion[];
}

const FIRST: Ways = { ways: ['letters', 'audience', 'format'] };

const useWays = create<Ways>()(
  persist(() => FIRST, {
    name: 'quill-expansions',
    storage: createJSONStorage(() => localStorage),
    // Read once the page is there: the server knows nothing of it, and both must begin alike.
    skipHydration: true,
    // What another version kept may name ways that are gone.
    merge: (kept, now) => {
      const { ways } = (kept ?? {}) as Partial<Ways>;
      return Array.isArray(ways) ? { ways: EXPANSION_IDS.filter((way) => ways.includes(way)) } : now;
    },
  }),
);

/** The ways in which a phrase is expanded, remembered by this browser. */
export function useExpansions() {
  useEffect(() => void useWays.persist.rehydrate(), []);
  const { ways } = useWays();
  return { ways, setWays: (next: readonly Expansion[]) => useWays.setState({ ways: next }) };
}
