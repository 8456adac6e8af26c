import Box from '@mui/material/Box';
import { Suspense, useCallback, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { sectionIn, sectionsOf } from '#core/book/sections.ts';
import { pageKind } from '#core/pages/index.ts';
import { type AddingBehind, RunningOrder } from '../book/flatplan/running-order.tsx';
import { SectionSettings } from '../book/flatplan/section-settings.tsx';
import { Spreads } from '../book/flatplan/spreads.tsx';
import { useBook, useBookStore } from '../book/store.ts';
import type { RouteHandle } from '../preview/early-work.ts';

export const handle: RouteHandle = { onlyPages: true };

/** Says of an address that it follows what was chosen here, and has nothing to tell. */
const FOLLOWS = { follows: true };

/**
 * The section that is asked for: by a link, or by a choice here. A choice acts at once, since what is
 * typed next is meant for it; the address, which follows when the router is ready, never takes it back.
 */
function useAsked() {
  const [search, setSearch] = useSearchParams();
  const follows = (useLocation().state as typeof FOLLOWS | null)?.follows ?? false;
  const linked = search.get('section');
  const [asked, setAsked] = useState(linked);
  const [seen, setSeen] = useState(linked);
  if (seen !== linked) {
    setSeen(linked);
    if (!follows) setAsked(linked);
  }
  const ask = useCallback(
    (section: string) => {
      setAsked(section);
      setSearch({ section }, { replace: true, preventScrollReset: true, state: FOLLOWS });
    },
    [setSearch],
  );
  return { asked, ask };
}

/** All pages of the book as spreads, between the running order and the settings of what is chosen. */
export default function Flatplan() {
  const { asked, ask } = useAsked();
  const sections = useBook((state) => state.value.sections);
  const chosen =
    (sectionIn(sections, asked) ? asked : null) ??
    sectionsOf(sections).find(({ kind }) => pageKind(kind).extent === 'items')?.id ??
    sections[0]?.id ??
    null;
  const [page, setPage] = useState<number | null>(null);
  /** Where pages are to be added, while somebody chooses which. */
  const [adding, setAdding] = useState<AddingBehind | null>(null);
  const store = useBookStore();
  const choose = useCallback(
    (section: string, at: number | null = null) => {
      setPage(at);
      ask(section);
    },
    [ask],
  );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '200px minmax(0, 1fr) 270px', lg: '232px minmax(0, 1fr) 306px' },
        minHeight: 0,
      }}
    >
      {/* What stands in a boundary of its own is woken after the spreads, or as soon as somebody uses it. */}
      <Suspense>
        <RunningOrder
          chosen={chosen}
          after={asked}
          adding={adding}
          onChoose={choose}
          onAdded={() => setAdding(null)}
        />
      </Suspense>
      <Spreads
        chosen={chosen}
        page={page}
        onChoose={choose}
        onAdd={(behind) => setAdding({ behind, recipe: store.getState().value })}
      />
      <Suspense>
        <SectionSettings chosen={chosen} page={page} onPage={setPage} />
      </Suspense>
    </Box>
  );
}
