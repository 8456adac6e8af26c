import Box from '@mui/material/Box';
import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';
import { sectionIn, sectionsOf } from '#core/book/sections.ts';
import { pageKind } from '#core/pages/index.ts';
import { RunningOrder } from '../book/flatplan/running-order.tsx';
import { SectionSettings } from '../book/flatplan/section-settings.tsx';
import { Spreads } from '../book/flatplan/spreads.tsx';
import { useBook } from '../book/store.ts';

/** All pages of the book as spreads, between the running order and the settings of what is chosen. */
export default function Flatplan() {
  const [search, setSearch] = useSearchParams();
  const sections = useBook((state) => state.value.sections);
  const asked = search.get('section');
  const chosen =
    (sectionIn(sections, asked) ? asked : null) ??
    sectionsOf(sections).find(({ kind }) => pageKind(kind).extent === 'items')?.id ??
    sections[0]?.id ??
    null;
  const [page, setPage] = useState<number | null>(null);
  const choose = useCallback(
    (section: string, at: number | null = null) => {
      setPage(at);
      setSearch({ section }, { replace: true, preventScrollReset: true });
    },
    [setSearch],
  );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '200px minmax(0, 1fr) 270px', lg: '232px minmax(0, 1fr) 306px' },
        minHeight: 0,
      }}
    >
      <RunningOrder chosen={chosen} after={asked} onChoose={choose} />
      <Spreads chosen={chosen} page={page} onChoose={choose} />
      <SectionSettings chosen={chosen} page={page} onPage={setPage} />
    </Box>
  );
}
