import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { HOME_MARKET, marketOf, OBSERVED_PAIR } from '#core/niche/index.ts';
import { AssumptionsPanel } from '../niche/assumptions-panel.tsx';
import { BriefSummary } from '../niche/brief-summary.tsx';
import { RivalCharts } from '../niche/charts.tsx';
import { useNiche } from '../niche/niche-desk.tsx';
import { OverTime } from '../niche/over-time.tsx';
import { PhraseList } from '../niche/phrase-list.tsx';
import { PriceSlider } from '../niche/price-slider.tsx';
import { RivalsTable } from '../niche/rivals-table.tsx';
import { Shelves } from '../niche/shelves.tsx';
import { percent } from '../niche/show.ts';
import { useSorted } from '../niche/use-sorted.ts';
import { VerdictStrip } from '../niche/verdict-strip.tsx';
import { WhatSells } from '../niche/what-sells.tsx';

/** What there is to decide, on one sheet: phrases, verdict, charts, rivals, and a summary. */
export default function NicheSums() {
  const { niche, verdict, rivals, firstRivals, latest } = useNiche();
  const { rowIndices, sort, onSort } = useSorted();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [deciding, setDeciding] = useState(false);
  const navigate = useNavigate();
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '200px minmax(0, 1fr) 230px', lg: '272px minmax(0, 1fr) 270px' },
        minHeight: 0,
      }}
    >
      <PhraseList />
      <Box
        sx={{
          p: 3,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          // Where the window is small the middle scrolls, and the table keeps some rows in view.
          gridTemplateRows: 'auto auto minmax(180px, 1fr)',
          minHeight: 0,
          overflow: 'auto',
          gap: 2,
        }}
      >
        {verdict ? (
          <VerdictStrip verdict={verdict} onAssumptions={() => setDeciding(!deciding)} />
        ) : (
          <Typography sx={{ p: 3 }}>
            {latest ? 'Loading rivals…' : 'Waiting for Wrenfair… Results will appear here.'}
          </Typography>
        )}
        {rivals?.length === 0 ? (
          <span />
        ) : (
          <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: 3 }}>
            <RivalCharts which="first" height={150} />
          </Box>
        )}
        {(rivals ?? firstRivals) && (
          <RivalsTable
            rowIndices={rowIndices}
            sort={sort}
            onSort={onSort}
            chosen={chosen}
            onChosen={setChosen}
            open={null}
            room="short"
            onOpen={(id) => id && void navigate(`/niches/${niche.id}/rivals?rival=${id}`)}
          />
        )}
      </Box>
      <Box
        component="aside"
        aria-label="Summary"
        tabIndex={0}
        sx={{ bgcolor: 'background.paper', borderLeft: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
      >
        {deciding ? <AssumptionsPanel onClose={() => setDeciding(false)} /> : <Summary />}
      </Box>
    </Box>
  );
}

function Summary() {
  const { niche, verdict, curve, assumptions, money } = useNiche();
  return (
    <>
      <WhatSells />
      {verdict?.outlook?.price && <PriceSlider key={niche.id} outlook={verdict.outlook} />}
      <BriefSummary />
      <Shelves />
      <OverTime />
      {verdict && (
        <>
          <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
            Assumptions
          </Typography>
          <Typography variant="body2">
            {verdict.outlook?.price
              ? `A new book is taken to cost ${money.exact(verdict.outlook.price)} and to be made like those here. ${percent(assumptions.newcomer.advertisingShare)} of its royalty goes into advertising. `
              : ''}
            {curve.sure.by === 'pairs'
              ? `Copies are estimated from your own ${curve.sure.n} pairs of rank and sales.`
              : `Copies are estimated from the default curve (rank ${OBSERVED_PAIR.rank} sells ${OBSERVED_PAIR.copies.toLocaleString('en-US')}${niche.market === HOME_MARKET ? '' : ` in ${marketOf(HOME_MARKET).name}, ${percent(marketOf(niche.market).sales)} of that in ${marketOf(niche.market).name}`}), a rough guide: from half to double.`}
          </Typography>
        </>
      )}
    </>
  );
}
