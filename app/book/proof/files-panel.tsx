import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useFetcher, useParams } from 'react-router';
import { partOfFile } from '#core/export/fingerprints.ts';
import { useFormats } from '../../parts/formats.tsx';
import { isRunning } from '../../parts/jobs.tsx';
import { JobLine } from '../../parts/jobs-button.tsx';
import { isWaiting, SubmissionState } from '../../parts/submission-state.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

const size = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

/** The files of the book, whether they are as new as the recipe, and the way to the printing service. */
export function FilesPanel() {
  const { moment } = useFormats();
  const {
    book: { rules },
    files,
    filesCurrent,
    outOfDate,
    submissions,
    live,
    jobs,
    proof,
  } = useOpenBook();
  const saveState = useBook((state) => state.saveState);
  const { book } = useParams();
  const fetcher = useFetcher<{ refused: string | null }>();
  const isOld = (name: string) => {
    const part = partOfFile(name);
    return part !== null && outOfDate.includes(part);
  };
  const running = jobs.filter(isRunning);
  const lastFailed = jobs[0]?.state === 'failed' ? jobs[0] : null;
  const mustFix = proof.findings.some(({ severity }) => severity === 'fix');
  const waiting = submissions.some(isWaiting);
  // The listing goes along as it is now; what was printed must be what is sent.
  const printable = files.length > 0 && !outOfDate.includes('interior') && !outOfDate.includes('cover');
  const ready = printable && saveState === 'saved' && running.length === 0 && !waiting;
  const ask = (intent: string) => fetcher.submit({ intent }, { method: 'post', action: `/books/${book}` });
  return (
    <Box
      component="aside"
      aria-label="Files and submission"
      sx={{
        bgcolor: 'background.paper',
        borderLeft: 1,
        borderColor: 'divider',
        overflow: 'auto',
        p: 4,
        position: 'relative',
      }}
    >
      <Typography variant="h2">Files</Typography>
      {files.length === 0 ? (
        <Typography variant="body2" sx={{ mt: 1 }}>
          Interior, wrap, front and listing will appear here once they are made.
        </Typography>
      ) : (
        <>
          <Typography
            variant="body2"
            sx={{ my: 1, fontWeight: 700, color: filesCurrent ? 'primary.main' : 'error.main' }}
          >
            {filesCurrent ? 'Up to date' : 'Out of date: the book has changed'}
          </Typography>
          {files.map((file) => (
            <Box
              key={file.name}
              sx={{
                display: 'flex',
                justifyContent: 'space-between',
                py: 1,
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <Link href={`/books/${book}/files/${file.name}`}>{file.name}</Link>
              <Typography variant="caption" color={isOld(file.name) ? 'error' : 'text.secondary'}>
                {isOld(file.name) ? 'out of date · ' : ''}
                {size(file.size)}
              </Typography>
            </Box>
          ))}
        </>
      )}
      {running.map((job) => (
        <JobLine key={job.id} job={job} />
      ))}
      {lastFailed && <JobLine job={lastFailed} />}
      {!filesCurrent && running.length === 0 && (
        <Button
          variant="outlined"
          fullWidth
          sx={{ mt: 2 }}
          disabled={saveState !== 'saved'}
          onClick={() => ask('make files')}
        >
          {files.length ? 'Make files again' : 'Make files now'}
        </Button>
      )}
      <Typography variant="h2" sx={{ mt: 5 }}>
        Submit
      </Typography>
      <Typography variant="body2" sx={{ my: 1 }}>
        {live
          ? `Live at ${rules.service.name}. What you submit now updates the book that is on sale there; its title and pen name stay.`
          : `Sends interior, wrap and listing to ${rules.service.name}, which reviews them strictly before they go on sale.`}
      </Typography>
      {mustFix && printable && (
        <Typography variant="body2" color="error">
          There is something to fix; the service would reject the book.
        </Typography>
      )}
      <Button
        variant="contained"
        fullWidth
        disabled={!ready || fetcher.state !== 'idle'}
        onClick={() => ask('submit')}
      >
        {live ? 'Submit update' : 'Submit'}
      </Button>
      {fetcher.data?.refused && (
        <Alert severity="error" variant="outlined" sx={{ mt: 2 }}>
          {fetcher.data.refused}
        </Alert>
      )}
      {submissions.map((row) => (
        <Box key={row.id} sx={{ mt: 3, pt: 2, borderTop: 1, borderColor: 'divider' }}>
          <SubmissionState state={row.state} reasons={row.reasons} />
          <Typography variant="caption" suppressHydrationWarning>
            {moment(new Date(row.createdAt))}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
