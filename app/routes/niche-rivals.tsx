import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { currencyOf } from '#core/niche/index.ts';
import { AddRival } from '../niche/add-rival.tsx';
import { RivalCharts } from '../niche/charts.tsx';
import { CoverWall, FirstPagesSideBySide } from '../niche/cover-wall.tsx';
import { FilterBar } from '../niche/filter-bar.tsx';
import { ImportDialog } from '../niche/import/import-dialog.tsx';
import { useNiche } from '../niche/niche-desk.tsx';
import { RivalDetail } from '../niche/rival-detail.tsx';
import { RivalsTable } from '../niche/rivals-table.tsx';
import { count } from '../niche/show.ts';
import { useSorted } from '../niche/use-sorted.ts';
import { SaveCsv } from '../parts/save-csv.tsx';

const HEADINGS =
  'title,author,price,currency,print cost,royalty,rank,copies in 30 days,at least,at most,earnings in 30 days,reviews,rating,pages,width in,height in,ink,published,category,hidden,not comparable,under watch,id'.split(
    ',',
  );

/** Ways to look at the rivals. */
const VIEWS = [
  ['table', 'Table'],
  ['covers', 'Covers'],
  ['pages', 'First pages'],
] as const;
type View = (typeof VIEWS)[number][0];

const yesNo = (value: boolean) => (value ? 'yes' : 'no');

/** The rivals: what the charts ask, the filters narrow, and the table shows row by row. */
export default function NicheRivals() {
  const { niche, rivals, mark, remove, reload } = useNiche();
  const { rowIndices, sort, onSort } = useSorted();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [search, setSearch] = useSearchParams();
  const [bringing, setBringing] = useState(false);
  const [adding, setAdding] = useState(false);
  const [view, setView] = useState<View>('table');
  const open = search.get('rival');
  const rival = open ? rivals?.find(({ id }) => id === open) : undefined;
  const show = (id: string | null) =>
    setSearch(id ? { rival: id } : {}, { replace: true, preventScrollReset: true });
  const ids = [...chosen];
  const act = (marks: Parameters<typeof mark>[1], words: string) => {
    mark(ids, marks, `${ids.length} ${ids.length === 1 ? 'rival' : 'rivals'} ${words}`);
    setChosen(new Set());
  };
  const rows = () => [
    HEADINGS,
    ...Array.from(rowIndices, (place) => {
      const one = rivals![place]!;
      return [
        one.title,
        one.penName,
        one.price,
        currencyOf(niche.market),
        one.printCost?.toFixed(2),
        one.royalty?.toFixed(2),
        one.rank,
        one.copies?.toFixed(1),
        one.copiesLow?.toFixed(1),
        one.copiesHigh?.toFixed(1),
        one.earnings?.toFixed(2),
        one.reviews,
        one.rating,
        one.pages,
        one.trim?.width,
        one.trim?.height,
        one.ink,
        one.published,
        one.category,
        yesNo(one.hidden),
        yesNo(one.notComparable),
        yesNo(one.watched),
        one.id,
      ];
    }),
  ];
  if (!rivals) return <Box sx={{ p: 5 }}>Loading rivals…</Box>;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: rival ? 'minmax(0, 1fr) 320px' : 'minmax(0, 1fr)',
        minHeight: 0,
      }}
    >
      <Box
        sx={{
          px: 4,
          pt: 2,
          pb: 2,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          gridTemplateRows: 'auto auto auto minmax(0, 1fr)',
          minHeight: 0,
        }}
      >
        {view === 'table' ? (
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, minmax(0, 1fr))', gap: 3 }}>
            <RivalCharts which="all" height={140} />
          </Box>
        ) : (
          <span />
        )}
        <FilterBar />
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', minHeight: 36 }}>
          {ids.length > 0 ? (
            <>
              <strong>{ids.length} selected</strong>
              <Button size="small" onClick={() => act({ notComparable: true }, 'marked as not comparable')}>
                Not comparable
              </Button>
              <Button size="small" onClick={() => act({ notComparable: false }, 'counted again')}>
                Include
              </Button>
              {rivals.some(({ id, hidden }) => hidden && chosen.has(id)) ? (
                <Button size="small" onClick={() => act({ hidden: false }, 'shown again')}>
                  Show again
                </Button>
              ) : (
                <Button size="small" onClick={() => act({ hidden: true }, 'hidden')}>
                  Hide
                </Button>
              )}
              <Button size="small" onClick={() => act({ watched: true }, 'under watch')}>
                Watch
              </Button>
              {rivals.some(({ id, source }) => source === 'own' && chosen.has(id)) && (
                <Button
                  size="small"
                  onClick={() => {
                    remove(ids);
                    setChosen(new Set());
                  }}
                >
                  Delete my rows
                </Button>
              )}
            </>
          ) : (
            <Box component="span" sx={{ color: 'text.secondary', fontSize: 14, minWidth: 0 }}>
              {view === 'table'
                ? 'Drag over a chart to mark a range. Space selects, Enter opens, N, H, W mark.'
                : 'Sorted as the table is.'}
            </Box>
          )}
          <Box
            sx={{
              ml: 'auto',
              flex: 'none',
              display: 'flex',
              alignItems: 'center',
              gap: 1.5,
              whiteSpace: 'nowrap',
            }}
          >
            <Box component="span" role="status" sx={{ color: 'text.secondary', fontSize: 14 }}>
              {count(rowIndices.length)} of {count(rivals.length)}
            </Box>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="View"
              value={view}
              onChange={(_, next: View | null) => next && setView(next)}
            >
              {VIEWS.map(([value, name]) => (
                <ToggleButton key={value} value={value} sx={{ py: 0.25 }}>
                  {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <Button size="small" variant="outlined" onClick={() => setAdding(true)}>
              Add by hand…
            </Button>
            <Button size="small" variant="outlined" onClick={() => setBringing(true)}>
              Import…
            </Button>
            <SaveCsv variant="outlined" name={`${niche.phrase} rivals`} rows={rows} />
          </Box>
        </Box>
        {view === 'covers' ? (
          <CoverWall rowIndices={rowIndices} chosen={chosen} onChosen={setChosen} onOpen={show} />
        ) : view === 'pages' ? (
          <FirstPagesSideBySide rowIndices={rowIndices} chosen={chosen} onOpen={show} />
        ) : (
          <RivalsTable
            rowIndices={rowIndices}
            sort={sort}
            onSort={onSort}
            chosen={chosen}
            onChosen={setChosen}
            open={open}
            onOpen={show}
            room={rival ? 'beside a rival' : 'whole'}
          />
        )}
      </Box>
      {rival && <RivalDetail rival={rival} onClose={() => show(null)} />}
      {adding && <AddRival onClose={() => setAdding(false)} />}
      {bringing && (
        <ImportDialog
          table="comparables"
          nicheId={niche.id}
          market={niche.market}
          onBrought={reload}
          onClose={() => setBringing(false)}
        />
      )}
    </Box>
  );
}
