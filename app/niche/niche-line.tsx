import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Link from '@mui/material/Link';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Link as To } from 'react-router';
import type { NicheRow } from '#server/niches/niches.ts';
import { useFormats } from '../parts/formats.tsx';
import { tokens } from '../theme.ts';
import { copies, count, sentence, VERDICT_COLORS, wholeDollars } from './show.ts';
import { Spark } from './spark.tsx';
import { VerdictMark } from './verdict-mark.tsx';

/** Niches as a table, with a heading. */
export const rowsOfNiches = (niches: readonly NicheRow[]) => [
  [
    'phrase',
    'verdict',
    'confidence',
    'results',
    'monthly sales of the top 20',
    'a new book earns a month',
    'middle half from',
    'to',
    'day',
    'watched',
  ],
  ...niches.map(({ phrase, latest, watched }) => [
    phrase,
    latest?.word,
    latest?.confidence ?? '',
    latest?.results,
    latest?.demand.toFixed(1),
    latest?.earnings?.mean.toFixed(2),
    latest?.earnings?.low.toFixed(2),
    latest?.earnings?.high.toFixed(2),
    latest?.day,
    watched ? 'yes' : 'no',
  ]),
];

/** A kept niche in the list: its best rivals, how it moved, its verdict. */
export function NicheLine({
  niche,
  chosen,
  onChoose,
}: {
  niche: NicheRow;
  chosen: boolean;
  onChoose: () => void;
}) {
  const formats = useFormats();
  const { latest, spark, unseen } = niche;
  return (
    <Paper
      sx={{
        display: 'grid',
        gridTemplateColumns: '34px 118px minmax(0, 1fr) 90px 262px',
        columnGap: 3,
        alignItems: 'center',
        px: 2,
        py: 2,
        mb: 1.5,
        bgcolor: chosen ? tokens.verdigrisSoft : undefined,
      }}
    >
      <Checkbox
        size="small"
        checked={chosen}
        onChange={onChoose}
        slotProps={{ input: { 'aria-label': `Select ${niche.phrase}` } }}
      />
      <Box sx={{ display: 'flex', gap: '4px', height: 54 }}>
        {latest?.best.map((id) => (
          <Box
            key={id}
            component="img"
            src={`/market/covers/${id}`}
            alt=""
            loading="lazy"
            sx={{ height: 54, width: 36, objectFit: 'cover', border: 1, borderColor: 'divider' }}
          />
        ))}
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Link
          component={To}
          to={`/niches/${niche.id}`}
          sx={{ fontFamily: '"Alegreya", serif', fontSize: 19, fontWeight: 700, color: 'text.primary' }}
        >
          {niche.phrase}
        </Link>
        <Typography variant="body2" color="text.secondary" noWrap>
          {latest
            ? `${count(latest.results)} books, ${copies(latest.demand)} copies a month in the top 20 · ${formats.day(latest.day)}`
            : 'not searched yet'}
          {niche.watched ? ' · ◉ under watch' : ''}
          {unseen ? ` · ${unseen} ${unseen === 1 ? 'change' : 'changes'}` : ''}
        </Typography>
      </Box>
      <Spark values={spark} label={`Monthly sales of the top 20 over ${spark.length} snapshots`} />
      {latest ? (
        <Box sx={{ textAlign: 'right' }}>
          <Typography sx={{ fontWeight: 700, color: VERDICT_COLORS[latest.word] }}>
            <VerdictMark word={latest.word} /> {sentence(latest.word)}
          </Typography>
          <Typography variant="caption">
            {latest.earnings
              ? `a new book earns ${wholeDollars(latest.earnings.mean)} a month`
              : 'no books to judge by'}
            {latest.confidence && `, ${latest.confidence} confidence`}
          </Typography>
        </Box>
      ) : (
        <span />
      )}
    </Paper>
  );
}
