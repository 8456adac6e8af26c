import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useRevalidator } from 'react-router';
import { listSubmissions } from '#server/submissions.ts';
import { useFormats } from '../parts/formats.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { isWaiting, SubmissionState } from '../parts/submission-state.tsx';
import { SubmittedBook } from '../parts/submitted-book.tsx';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/submissions.ts';

export const meta = () => [{ title: 'Submissions – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return { submissions: await listSubmissions(workspaceId) };
}

const LOOK_MS = 2500;

/** Every book that was submitted, and what the service said. */
export default function Submissions({ loaderData }: Route.ComponentProps) {
  const { moment } = useFormats();
  const { submissions } = loaderData;
  const { revalidate } = useRevalidator();
  const waiting = submissions.some(isWaiting);
  useEffect(() => {
    if (!waiting) return;
    const timer = setInterval(() => void revalidate(), LOOK_MS);
    return () => clearInterval(timer);
  }, [waiting, revalidate]);
  return (
    <Box sx={{ p: 6, maxWidth: 980, mx: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 4 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Submissions
        </Typography>
        <SaveCsv
          variant="outlined"
          name="submissions"
          disabled={submissions.length === 0}
          rows={() => [
            ['book', 'service', 'submitted', 'state', 'reasons'],
            ...submissions.map((row) => [
              row.title,
              row.service,
              new Date(row.createdAt).toISOString(),
              row.state,
              row.reasons.join(' '),
            ]),
          ]}
        />
      </Box>
      {submissions.length === 0 ? (
        <Typography>
          Books you submit are listed here with the service’s answer. Open a book’s Proof, make its files, and
          submit it.
        </Typography>
      ) : (
        <Paper>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>Book</TableCell>
                <TableCell>Service</TableCell>
                <TableCell>Submitted</TableCell>
                <TableCell>State</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {submissions.map((row) => (
                <TableRow key={row.id}>
                  <TableCell>
                    <SubmittedBook {...row} />
                  </TableCell>
                  <TableCell sx={{ textTransform: 'capitalize' }}>{row.service}</TableCell>
                  <TableCell suppressHydrationWarning>{moment(new Date(row.createdAt))}</TableCell>
                  <TableCell>
                    <SubmissionState state={row.state} reasons={row.reasons} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Paper>
      )}
    </Box>
  );
}
