import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFetcher } from 'react-router';
import { isRunning, type Job, secondsLeft, useJobs } from './jobs.tsx';

const NAMES = {
  'make-files': 'Make files',
  submit: 'Submit',
  look: 'Search',
  expand: 'Expand a niche',
} as const;
const STATES = {
  queued: 'waiting',
  running: 'running',
  done: 'done',
  failed: 'failed',
  canceled: 'canceled',
} as const;

/** One job with its progress, time left and a way to stop it. */
export function JobLine({ job }: { job: Job }) {
  const fetcher = useFetcher();
  const left = secondsLeft(job, Date.now());
  return (
    <Box sx={{ py: 2 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 4 }}>
        <Typography variant="body2">
          <strong>{NAMES[job.kind]}</strong> · {STATES[job.state]}
          {left !== null && left >= 1 ? `, ${Math.ceil(left)} s left` : ''}
          {job.about && (
            <Box component="span" sx={{ display: 'block', overflowWrap: 'anywhere' }}>
              {job.about}
            </Box>
          )}
        </Typography>
        {isRunning(job) && (
          <Button
            size="small"
            onClick={() => fetcher.submit(null, { method: 'post', action: `/jobs/${job.id}/cancel` })}
          >
            Cancel
          </Button>
        )}
      </Box>
      {isRunning(job) && (
        <LinearProgress
          aria-label={`${NAMES[job.kind]}, progress`}
          variant={job.of ? 'determinate' : 'indeterminate'}
          value={job.of ? (100 * job.done) / job.of : 0}
        />
      )}
      <Typography
        variant="caption"
        role={job.state === 'failed' ? 'alert' : undefined}
        color={job.state === 'failed' ? 'error' : undefined}
      >
        {job.message}
      </Typography>
    </Box>
  );
}

/** How many jobs run and how far they are; opens their list. */
export function JobsButton() {
  const jobs = useJobs();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const running = jobs.filter(isRunning);
  const done = running.reduce((sum, job) => sum + (job.of ? job.done / job.of : 0), 0);
  const label = running.length
    ? `${running.length} ${running.length === 1 ? 'job' : 'jobs'} · ${Math.round((100 * done) / running.length)}%`
    : 'Jobs';
  return (
    <>
      <Button
        size="small"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ color: '#f4efe4', border: '1px solid #5b6573', borderRadius: 4, px: 3, fontWeight: 400 }}
      >
        {label}
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box sx={{ p: 4, width: 360, maxHeight: 420, overflow: 'auto' }}>
          <Typography variant="h2">Jobs</Typography>
          {jobs.length === 0 && (
            <Typography sx={{ mt: 2 }}>
              Long tasks show here: making files, submitting, looking up phrases. You can leave it running.
            </Typography>
          )}
          {jobs.slice(0, 8).map((job) => (
            <JobLine key={job.id} job={job} />
          ))}
        </Box>
      </Popover>
    </>
  );
}
