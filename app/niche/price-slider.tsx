import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { atPrice, type Outlook } from '#core/niche/index.ts';
import { useNiche } from './niche-desk.tsx';
import { copies } from './show.ts';

/** Prices end in this. */
const HABIT = 0.99;
/** How far the slider goes beside the usual price. */
const [LOWEST, HIGHEST] = [0.5, 2];

/** What a new book earns at a price: royalty times the copies that are expected there. */
export function PriceSlider({ outlook }: { outlook: Outlook }) {
  const { niche, curve, assumptions, briefs, money, changeBrief } = useNiche();
  const usual = outlook.price!;
  const [whole, setWhole] = useState(Math.max(1, Math.round(usual - HABIT)));
  const price = whole + HABIT;
  const found = atPrice(outlook, price, curve, assumptions)!;
  const first = briefs[0];
  const inBrief = (first?.brief.prices as Record<string, number> | undefined)?.[niche.market];
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Price
      </Typography>
      <Slider
        size="small"
        aria-label="Price"
        value={whole}
        min={Math.max(1, Math.floor(usual * LOWEST))}
        max={Math.ceil(usual * HIGHEST)}
        step={1}
        getAriaValueText={(value) => money.exact(value + HABIT)}
        onChange={(_, next) => setWhole(next as number)}
        sx={{ mx: 1, width: 'calc(100% - 16px)' }}
      />
      <Typography variant="body2" role="status">
        At <strong>{money.exact(price)}</strong>: royalty {money.exact(found.royalty)} ×{' '}
        {copies(found.copies)} copies. After advertising,{' '}
        <strong>{money.exact(found.earnings)} a month</strong>.
      </Typography>
      <Typography variant="caption" component="p">
        1% dearer is taken to sell {assumptions.newcomer.priceResponse}% less. Books here cost{' '}
        {money.exact(usual)}.
      </Typography>
      {first && (
        <Button
          size="small"
          disabled={inBrief === price}
          onClick={() =>
            changeBrief(
              { prices: { ...first.brief.prices, [niche.market]: price } },
              `The brief’s price is ${money.exact(price)}`,
            )
          }
        >
          {inBrief === price ? 'The price in the brief' : 'Use in the brief'}
        </Button>
      )}
    </Box>
  );
}
