import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Link as To } from 'react-router';
import { tokens } from '../theme.ts';
import { ExpandBar } from './expand-bar.tsx';
import { useNiche } from './niche-desk.tsx';
import { copies, count } from './show.ts';
import { VerdictMark } from './verdict-mark.tsx';

const SHOWN = 40;

/** The phrases with the highest earnings, short: what the niche could be narrowed or turned to. */
export function PhraseList() {
  const { niche, phrases } = useNiche();
  const best = useMemo(
    () =>
      phrases
        .filter(({ state, results }) => state === 'done' && (results ?? 0) > 0)
        .sort((a, b) => (b.earnings ?? 0) - (a.earnings ?? 0) || (b.demand ?? 0) - (a.demand ?? 0))
        .slice(0, SHOWN),
    [phrases],
  );
  const max = Math.max(1, ...best.map(({ demand }) => demand ?? 0));
  return (
    <Box
      component="section"
      aria-label="Phrases"
      tabIndex={0}
      sx={{ borderRight: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
    >
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        Phrases
      </Typography>
      <ExpandBar compact />
      {best.length === 0 ? (
        <Typography sx={{ mt: 3 }}>
          Expand the phrase by letters, audience, format or number: the best combinations appear here.
        </Typography>
      ) : (
        <Box
          component="table"
          sx={{
            width: '100%',
            mt: 2,
            borderCollapse: 'collapse',
            fontSize: 14,
            '& th': { fontWeight: 400, fontSize: 13, color: 'text.secondary', pb: 0.5 },
            '& td': { borderTop: 1, borderColor: 'divider', py: '4px', verticalAlign: 'top' },
          }}
        >
          <thead>
            <tr>
              <Box component="th" sx={{ textAlign: 'left' }}>
                Phrase
              </Box>
              <Box component="th" sx={{ textAlign: 'right' }}>
                Results
              </Box>
              <Box component="th" sx={{ textAlign: 'right', pl: 1 }}>
                Copies
              </Box>
            </tr>
          </thead>
          <tbody>
            {best.map(({ id, phrase, results, demand, word }) => (
              <tr key={id}>
                <td>
                  {word && <VerdictMark word={word} />} {phrase}
                </td>
                <Box component="td" sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                  {count(results)}
                </Box>
                <Box component="td" sx={{ textAlign: 'right', pl: 1, whiteSpace: 'nowrap' }}>
                  <Box
                    sx={{
                      display: 'inline-block',
                      height: 6,
                      bgcolor: tokens.verdigris,
                      opacity: 0.45,
                      mr: 1,
                    }}
                    style={{ width: 26 * ((demand ?? 0) / max) }}
                  />
                  {copies(demand)}
                </Box>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      <Link component={To} to={`/niches/${niche.id}/phrases`} sx={{ display: 'block', mt: 2 }}>
        All {phrases.length > 0 ? phrases.length : ''} phrases
      </Link>
    </Box>
  );
}
