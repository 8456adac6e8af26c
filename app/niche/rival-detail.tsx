import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Check, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Rival } from '#core/niche/index.ts';
import { inches } from '#core/units.ts';
import { DescriptionList } from '../parts/description-list.tsx';
import { useFormats } from '../parts/formats.tsx';
import { LooksChart } from './looks-chart.tsx';
import { useNiche } from './niche-desk.tsx';
import { copies, count } from './show.ts';

interface Detail {
  /** Null when the shop did not say. */
  pagesShown: number | null;
  line: { day: string; rank: number | null; price: number | null }[];
}

/** What a rival can be marked as: the words on the button, and those said afterwards. */
const MARKS = [
  {
    key: 'watched',
    set: 'Watch',
    clear: 'Stop watching',
    done: 'Under watch',
    undone: 'No longer under watch',
  },
  {
    key: 'notComparable',
    set: 'Not comparable',
    clear: 'Mark as comparable',
    done: 'Marked as not comparable',
    undone: 'Included again',
  },
  { key: 'hidden', set: 'Hide', clear: 'Show', done: 'Hidden', undone: 'Shown again' },
] as const;

/** One rival: its cover and first pages, its numbers and how its rank moved, and what can be done with it. */
export function RivalDetail({ rival, onClose }: { rival: Rival; onClose: () => void }) {
  const formats = useFormats();
  const { niche, mark, briefs, money, moves, changeBrief } = useNiche();
  const first = briefs[0];
  const inBrief = first?.brief.rivals.includes(rival.id) ?? false;
  const toBrief = () => {
    const rivals = first?.brief.rivals ?? [];
    if (inBrief)
      changeBrief({ rivals: rivals.filter((id) => id !== rival.id) }, 'Taken off the brief’s rivals');
    else changeBrief({ rivals: [...rivals, rival.id] }, 'Added to the brief’s rivals');
  };
  const [detail, setDetail] = useState<Detail | 'failed' | null>(null);
  const [tries, setTries] = useState(0);
  // Only books of the marketplace stand on a shelf of it; it alone has their pictures.
  const market = rival.category !== '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: `tries` asks once more
  useEffect(() => {
    setDetail(null);
    if (!market) return;
    const stop = new AbortController();
    void fetch(`/niches/${niche.id}/rivals/${rival.id}`, { signal: stop.signal })
      .then((answer) => (answer.ok ? answer.json() : null))
      .then((found: Detail | null) => setDetail(found ?? 'failed'))
      .catch(() => stop.signal.aborted || setDetail('failed'));
    return () => stop.abort();
  }, [niche.id, rival.id, market, tries]);
  const gained = moves?.reviewsGained[rival.id];
  const known = detail === 'failed' ? null : detail;
  const rows: [string, string][] = [
    ['Price → royalty', `${money.exact(rival.price)} → ${money.exact(rival.royalty)}`],
    ['Print cost', money.exact(rival.printCost)],
    ['Rank', count(rival.rank)],
    ['Copies a month', `${copies(rival.copies)} (${copies(rival.copiesLow)} to ${copies(rival.copiesHigh)})`],
    ['Monthly earnings', money.whole(rival.earnings)],
    [
      'Reviews',
      `${count(rival.reviews)}${gained === undefined ? '' : `, ${copies(gained)} gained a month`}${rival.rating === null ? '' : `, rated ${rival.rating.toFixed(1)}`}`,
    ],
    [
      'Specifications',
      `${rival.trim ? `${formats.size(inches(rival.trim.width), inches(rival.trim.height))}, ` : ''}${count(rival.pages)} pages, ${rival.ink}`,
    ],
    ['Published', rival.published ? formats.day(rival.published) : '–'],
    ['Shelf', rival.category || '–'],
  ];
  return (
    <Box
      component="aside"
      aria-label="Rival"
      tabIndex={0}
      sx={{ borderLeft: 1, borderColor: 'divider', bgcolor: 'background.paper', p: 4, overflow: 'auto' }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {rival.title}
        </Typography>
        <Button size="small" onClick={onClose} aria-label="Close the rival">
          <X size={16} />
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
        {rival.penName}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
        {MARKS.map(({ key, set, clear, done, undone }) => (
          <Button
            key={key}
            size="small"
            variant="outlined"
            onClick={() => mark([rival.id], { [key]: !rival[key] }, rival[key] ? undone : done)}
          >
            {rival[key] ? clear : set}
          </Button>
        ))}
        {first && (
          <Button
            size="small"
            variant="outlined"
            startIcon={inBrief ? <Check size={16} /> : undefined}
            aria-pressed={inBrief}
            onClick={toBrief}
          >
            {inBrief ? 'In the brief' : 'For the brief'}
          </Button>
        )}
      </Box>
      {market && (
        <Box
          role="group"
          aria-label="Cover and first pages"
          tabIndex={0}
          sx={{
            display: 'flex',
            gap: 1.5,
            overflowX: 'auto',
            pb: 2,
            '& img': { border: 1, borderColor: 'divider', height: 150, width: 'auto', display: 'block' },
          }}
        >
          <img key={tries} src={`/market/covers/${rival.id}`} alt={`Cover of ${rival.title}`} height={150} />
          {Array.from({ length: known?.pagesShown ?? 0 }, (_, i) => (
            <img key={i} src={`/market/pages/${rival.id}/${i + 1}`} alt={`Page ${i + 1}`} height={150} />
          ))}
        </Box>
      )}
      {detail && known?.pagesShown == null && (
        <Typography role="alert" variant="body2" sx={{ mb: 2 }}>
          {known ? 'Sample pages could not be loaded.' : 'Sample pages and rank history could not be loaded.'}{' '}
          <Button size="small" onClick={() => setTries(tries + 1)}>
            Try again
          </Button>
        </Typography>
      )}
      <DescriptionList rows={rows} />
      {known && known.line.length > 1 && (
        <Box sx={{ mt: 3 }}>
          <LooksChart
            question="Rank history, best at the top"
            rank
            height={130}
            show={count}
            points={known.line.map(({ day, rank }) => ({ day, value: rank }))}
          />
          <LooksChart
            question="Price history"
            height={110}
            show={money.exact}
            points={known.line.map(({ day, price }) => ({ day, value: price }))}
          />
        </Box>
      )}
    </Box>
  );
}
