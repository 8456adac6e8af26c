import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Rival } from '#core/niche/index.ts';
import { tokens } from '../theme.ts';
import { useNiche } from './niche-desk.tsx';
import { copies, count, NOTHING } from './show.ts';

/** Covers shown at first, and with every further step. */
const STEP = 60;

interface WallProps {
  /** Places of rivals, in the order in which they are shown. */
  rowIndices: Uint32Array;
  chosen: ReadonlySet<string>;
  onChosen: (ids: ReadonlySet<string>) => void;
  onOpen: (id: string) => void;
}

/** The rivals by their covers, as large as a search shows them, with what a buyer sees beside. */
export function CoverWall({ rowIndices, chosen, onChosen, onOpen }: WallProps) {
  const { rivals, money } = useNiche();
  const [shown, setShown] = useState(STEP);
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChosen(next);
  };
  return (
    <Box role="region" aria-label="Covers" tabIndex={0} sx={{ overflow: 'auto', minHeight: 0 }}>
      {rowIndices.length === 0 && <Typography sx={{ p: 3 }}>No rivals match. Remove a filter.</Typography>}
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
          gap: 3,
        }}
      >
        {Array.from(rowIndices.subarray(0, shown), (place) => {
          const rival = rivals![place]!;
          const { id, title, penName, price, reviews, rating } = rival;
          return (
            <Box component="li" key={id} sx={{ minWidth: 0, position: 'relative' }}>
              <Checkbox
                size="small"
                checked={chosen.has(id)}
                onChange={() => toggle(id)}
                slotProps={{ input: { 'aria-label': `Select ${title}` } }}
                sx={{ position: 'absolute', top: 0, left: 0, bgcolor: 'background.paper', p: 0.5, zIndex: 1 }}
              />
              <Box
                component="button"
                type="button"
                onClick={() => onOpen(id)}
                sx={{
                  font: 'inherit',
                  color: 'inherit',
                  textAlign: 'left',
                  border: 0,
                  p: 0,
                  width: '100%',
                  bgcolor: 'transparent',
                  cursor: 'pointer',
                  opacity: rival.notComparable ? 0.5 : 1,
                }}
              >
                <Cover rival={rival} />
                <Typography variant="body2" sx={TWO_LINES}>
                  {title}
                </Typography>
                <Typography variant="caption" component="div" noWrap>
                  {penName || NOTHING}
                </Typography>
                <Typography variant="body2">
                  <strong>{money.exact(price)}</strong>
                  {rating !== null && ` · ★ ${rating.toFixed(1)}`} ·{' '}
                  {reviews === null
                    ? 'reviews not known'
                    : `${count(reviews)} ${reviews === 1 ? 'review' : 'reviews'}`}
                </Typography>
                <Typography variant="caption">{copies(rival.copies)} copies a month</Typography>
              </Box>
            </Box>
          );
        })}
      </Box>
      {rowIndices.length > shown && (
        <Button sx={{ my: 2 }} onClick={() => setShown(shown + STEP)}>
          Show {Math.min(STEP, rowIndices.length - shown)} more of {count(rowIndices.length)}
        </Button>
      )}
    </Box>
  );
}

const TWO_LINES = {
  display: '-webkit-box',
  WebkitLineClamp: 2,
  WebkitBoxOrient: 'vertical',
  overflow: 'hidden',
  mt: 0.5,
  lineHeight: 1.25,
} as const;

/** Only books of the marketplace stand on a shelf of it; it alone has their pictures. */
const hasPictures = ({ category, source }: Rival): boolean => source === 'market' || category !== '';

function Cover({ rival }: { rival: Rival }) {
  const frame = { height: 220, display: 'block', border: 1, borderColor: 'divider' };
  return hasPictures(rival) ? (
    <Box
      component="img"
      src={`/market/covers/${rival.id}`}
      alt=""
      loading="lazy"
      sx={{ ...frame, maxWidth: '100%', objectFit: 'contain', objectPosition: 'left' }}
    />
  ) : (
    <Box sx={{ ...frame, width: 147, p: 2, bgcolor: tokens.paper, overflow: 'hidden' }}>{rival.title}</Box>
  );
}

/** Books whose pages are laid side by side at a time. */
const SIDE_BY_SIDE = 8;
/** No shop shows more pages than these that are worth a look here. */
const PAGES = 4;

/** The cover and first pages of the selected rivals, or of the first on the table, row by row. */
export function FirstPagesSideBySide({
  rowIndices,
  chosen,
  onOpen,
}: Pick<WallProps, 'rowIndices' | 'chosen' | 'onOpen'>) {
  const { rivals, money } = useNiche();
  const all = Array.from(rowIndices, (place) => rivals![place]!);
  const those = (chosen.size ? all.filter(({ id }) => chosen.has(id)) : all.filter(hasPictures)).slice(
    0,
    SIDE_BY_SIDE,
  );
  return (
    <Box role="region" aria-label="First pages" tabIndex={0} sx={{ overflow: 'auto', minHeight: 0 }}>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
        {chosen.size
          ? `The selected rivals${chosen.size > SIDE_BY_SIDE ? `, ${SIDE_BY_SIDE} of them` : ''}.`
          : `The first ${those.length} as they are sorted. Select rivals to see others.`}
      </Typography>
      {those.map((rival) => (
        <Box
          key={rival.id}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'flex-start',
            mb: 3,
            pb: 3,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <Cover rival={rival} />
          {hasPictures(rival) &&
            Array.from({ length: PAGES }, (_, i) => (
              <Box
                key={i}
                component="img"
                src={`/market/pages/${rival.id}/${i + 1}`}
                alt={`Page ${i + 1} of ${rival.title}`}
                loading="lazy"
                // A book may show fewer pages.
                onError={({ currentTarget }) => {
                  currentTarget.hidden = true;
                }}
                sx={{ height: 220, border: 1, borderColor: 'divider', '&[hidden]': { display: 'none' } }}
              />
            ))}
          <Box sx={{ minWidth: 160 }}>
            <Button size="small" sx={{ textAlign: 'left', p: 0 }} onClick={() => onOpen(rival.id)}>
              {rival.title}
            </Button>
            <Typography variant="body2">
              {money.exact(rival.price)}, {count(rival.pages)} pages
            </Typography>
            <Typography variant="body2">{copies(rival.copies)} copies a month</Typography>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
