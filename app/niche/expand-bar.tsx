import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useFetcher } from 'react-router';
import { EXPANSION_IDS, EXPANSIONS } from '#core/niche/index.ts';
import { isRunning, secondsLeft } from '../parts/jobs.tsx';
import { useNiche } from './niche-desk.tsx';
import { useExpansions } from './use-expansions.ts';

/** Ways to expand the phrase, and how far the asking is. */
export function ExpandBar({ compact = false }: { compact?: boolean }) {
  const { niche, jobs, phrases } = useNiche();
  const { ways, setWays } = useExpansions();
  const fetcher = useFetcher();
  const job = jobs.find((one) => one.kind === 'expand' && isRunning(one));
  const waiting = phrases.filter(({ state }) => state === 'waiting').length;
  const failed = phrases.filter(({ state }) => state === 'failed').length;
  const left = job ? secondsLeft(job, Date.now()) : null;
  const send = (fields: Record<string, string>) =>
    void fetcher.submit(fields, { method: 'post', action: `/niches/${niche.id}/phrases` });
  return (
    <Box>
      <Box
        role="group"
        aria-label="Ways to expand the phrase"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
      >
        {EXPANSION_IDS.map((way) => (
          <Chip
            key={way}
            label={EXPANSIONS[way]}
            size="small"
            variant={ways.includes(way) ? 'filled' : 'outlined'}
            color={ways.includes(way) ? 'primary' : 'default'}
            aria-pressed={ways.includes(way)}
            onClick={() => setWays(ways.includes(way) ? ways.filter((one) => one !== way) : [...ways, way])}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1.5 }}>
        <Button
          size="small"
          variant={compact ? 'outlined' : 'contained'}
          disabled={ways.length === 0 || job !== undefined || fetcher.state !== 'idle'}
          onClick={() => send({ intent: 'expand', ways: ways.join(' ') })}
        >
          Expand
        </Button>
        {!job && waiting + failed > 0 && (
          <Button size="small" onClick={() => send({ intent: 'resume' })}>
            Resume {waiting + failed}
          </Button>
        )}
        {job && (
          <Button
            size="small"
            onClick={() => fetcher.submit(null, { method: 'post', action: `/jobs/${job.id}/cancel` })}
          >
            Cancel
          </Button>
        )}
      </Box>
      {job && (
        <Box sx={{ mt: 1.5 }}>
          <LinearProgress
            aria-label="Looking up phrases"
            variant={job.of ? 'determinate' : 'indeterminate'}
            value={job.of ? (100 * job.done) / job.of : 0}
          />
          <Typography variant="caption" component="p" noWrap>
            {job.of ? `${job.done} of ${job.of}` : 'Queued'}
            {left !== null && left >= 1 ? `, ${Math.ceil(left)} s left` : ''} · {job.message}
          </Typography>
        </Box>
      )}
    </Box>
  );
}
