import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as To } from 'react-router';
import type { Verdict } from '#core/niche/index.ts';
import { tokens } from '../theme.ts';
import { partValue, sentence, VERDICT_COLORS, wholeDollars } from './show.ts';
import { VerdictMark } from './verdict-mark.tsx';

/** The verdict in a word, with each of its parts: its value, its two thresholds, its weight, and how much it counts. */
export function VerdictStrip({ verdict }: { verdict: Verdict }) {
  const { word, points, parts, newcomer } = verdict;
  const weights = parts.reduce((sum, { weight }) => sum + weight, 0) || 1;
  return (
    <Box
      component="section"
      aria-label="Verdict"
      sx={{
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        display: 'flex',
      }}
    >
      <Box sx={{ p: 2.5, minWidth: 150 }}>
        <Typography variant="caption">Verdict</Typography>
        <Typography
          sx={{
            fontFamily: '"Alegreya", serif',
            fontWeight: 700,
            fontSize: 21,
            lineHeight: 1.2,
            color: VERDICT_COLORS[word],
          }}
        >
          <VerdictMark word={word} /> {sentence(word)}
        </Typography>
        <Typography variant="body2">{points.toFixed(1)} of 10 points</Typography>
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          A new title could earn {wholeDollars(newcomer.low)}–{wholeDollars(newcomer.high)} a month
        </Typography>
        <Link component={To} to="/niches/assumptions" variant="body2">
          Change the assumptions
        </Link>
      </Box>
      <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' }}>
        {parts.map(({ id, what, value, unit, score, weight, poor, good }) => (
          <Box key={id} sx={{ px: 2.5, py: 1.5, borderLeft: '1px dashed', borderColor: 'divider' }}>
            <Typography variant="caption" component="div" noWrap>
              {what}
            </Typography>
            <Typography sx={{ fontWeight: 700, lineHeight: 1.25 }}>{partValue(value, unit)}</Typography>
            <Box
              role="img"
              aria-label={`counts ${Math.round(score * 100)} of 100`}
              sx={{ height: 4, bgcolor: 'divider', borderRadius: 1, my: 0.5 }}
            >
              <Box
                sx={{ height: 4, borderRadius: 1, bgcolor: tokens.verdigris }}
                style={{ width: `${score * 100}%` }}
              />
            </Box>
            <Typography variant="caption" component="div" sx={{ fontSize: 12, lineHeight: 1.25 }}>
              {partValue(poor, unit).replace(' a month', '')} →{' '}
              {partValue(good, unit).replace(' a month', '')} · weighs {weight} of {weights}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
