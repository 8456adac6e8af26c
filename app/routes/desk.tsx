import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Link as To, useFetcher } from 'react-router';
import * as v from 'valibot';
import { deserveLook } from '#core/niche/index.ts';
import { listBooks } from '#server/books.ts';
import { listNiches, markSeen, unseenChanges } from '#server/niches/niches.ts';
import { listSubmissions } from '#server/submissions.ts';
import { moneyOf } from '../niche/show.ts';
import { VerdictMark } from '../niche/verdict-mark.tsx';
import { BookCover } from '../parts/book-cover.tsx';
import { useFormats } from '../parts/formats.tsx';
import { SubmissionState } from '../parts/submission-state.tsx';
import { SubmittedBook } from '../parts/submitted-book.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/desk.ts';

const BOOKS = 5;
const NICHES = 6;
/** Changes of one niche that are written out. */
const TOLD = 3;

export const meta = () => [{ title: 'Desk – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const [{ books }, niches, submissions, changes] = await Promise.all([
    listBooks(workspaceId, { limit: BOOKS }),
    listNiches(workspaceId),
    listSubmissions(workspaceId),
    unseenChanges(workspaceId),
  ]);
  return {
    name: workspaceName,
    books,
    saved: niches.length,
    niches: deserveLook(niches, new Date().toISOString(), NICHES).map(
      ({ id, phrase, market, latest, unseen, reason }) => ({ id, phrase, market, latest, unseen, reason }),
    ),
    changes,
    submissions: submissions.slice(0, 5),
  };
}

const Seen = v.object({ seen: v.pipe(v.string(), v.regex(/^\w{1,64}$/)) });

/** Takes a change off the desk, or all of them. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = await formFrom(request, Seen);
  if (read.success) await markSeen(workspaceId, read.output.seen);
  return null;
}

/** What lies on the desk: the books at work, what changed in niches under watch, what the service said. */
export default function Desk({ loaderData }: Route.ComponentProps) {
  const formats = useFormats();
  const { name, books, saved, niches, changes, submissions } = loaderData;
  const fetcher = useFetcher();
  return (
    <Box sx={{ p: 6, maxWidth: 1180, mx: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 5 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          {name}
        </Typography>
        <Button component={To} to="/niches" variant="contained">
          Research a niche
        </Button>
      </Box>
      <Typography variant="h2" sx={{ mb: 2 }}>
        On the desk
      </Typography>
      {books.length === 0 && <Typography>No books yet. Research a niche and start one from it.</Typography>}
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'flex-end', flexWrap: 'wrap' }}>
        {books.map(({ id, title, summary, files, submission }) => (
          <Box
            key={id}
            component={To}
            to={`/books/${id}/flatplan`}
            sx={{
              width: 188,
              textDecoration: 'none',
              color: 'text.primary',
              '&:hover .cover': { outline: '2px solid', outlineColor: 'primary.main' },
            }}
          >
            <Box className="cover" sx={{ border: 1, borderColor: 'divider', width: 'fit-content' }}>
              <BookCover recipe={summary?.front ?? null} title={title} width={186} />
            </Box>
            <Typography sx={{ mt: 2, fontWeight: 700 }} noWrap title={title}>
              {title}
            </Typography>
            <Typography variant="caption" component="p">
              {submission ??
                (files === 'none'
                  ? 'no files yet'
                  : files === 'current'
                    ? 'files made'
                    : 'files out of date')}
            </Typography>
          </Box>
        ))}
      </Box>
      {changes.length > 0 && (
        <Paper component="section" aria-label="What changed" sx={{ p: 4, mt: 6 }}>
          <Box sx={{ display: 'flex', mb: 1 }}>
            <Typography variant="h2" sx={{ flex: 1 }}>
              What changed
            </Typography>
            <Button
              size="small"
              onClick={() => fetcher.submit({ seen: 'all' }, { method: 'post', action: '/?index' })}
            >
              Mark all as read
            </Button>
          </Box>
          {changes.map(({ nicheId, phrase, day, messages }) => (
            <Box
              key={`${nicheId} ${day}`}
              sx={{
                display: 'grid',
                gridTemplateColumns: '210px 100px 1fr auto',
                gap: 3,
                py: 1.5,
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <Link component={To} to={`/niches/${nicheId}`} noWrap>
                {phrase}
              </Link>
              <Typography variant="body2" color="text.secondary">
                {formats.day(day)}
              </Typography>
              <Typography variant="body2" component="div">
                {messages.slice(0, TOLD).map((message) => (
                  <div key={message}>{message}</div>
                ))}
                {messages.length > TOLD && `and ${messages.length - TOLD} more changes`}
              </Typography>
              <Button
                size="small"
                aria-label={`Seen: ${phrase}`}
                onClick={() => fetcher.submit({ seen: nicheId }, { method: 'post', action: '/?index' })}
                sx={{ alignSelf: 'start' }}
              >
                Seen
              </Button>
            </Box>
          ))}
        </Paper>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 5, mt: 6 }}>
        <Paper sx={{ p: 4 }}>
          <Typography variant="h2" sx={{ mb: 2 }}>
            Niches that deserve a look
          </Typography>
          {niches.length === 0 && (
            <Typography>
              {saved ? 'None: nothing changed, and none is open without a book.' : 'None saved yet.'}
            </Typography>
          )}
          {niches.map(({ id, phrase, market, latest, unseen, reason }) => (
            <Box
              key={id}
              sx={{
                display: 'flex',
                justifyContent: 'space-between',
                py: 1.5,
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <Link component={To} to={`/niches/${id}`}>
                {phrase}
              </Link>
              <span>
                {reason === 'new' && 'not checked yet'}
                {reason === 'changed' && `${unseen} ${unseen === 1 ? 'change' : 'changes'}`}
                {reason === 'old' && latest && `checked ${formats.day(latest.day)}`}
                {(reason === 'open' || reason === 'worth a try') && latest && (
                  <>
                    <VerdictMark word={latest.word} /> {latest.word}
                    {latest.earnings && `, ${moneyOf(market).whole(latest.earnings.mean)} a month`}
                  </>
                )}
              </span>
            </Box>
          ))}
        </Paper>
        <Paper sx={{ p: 4 }}>
          <Typography variant="h2" sx={{ mb: 2 }}>
            Submissions
          </Typography>
          {submissions.length === 0 && <Typography>No submissions yet.</Typography>}
          {submissions.map((row) => (
            <Box key={row.id} sx={{ py: 1.5, borderTop: 1, borderColor: 'divider' }}>
              <SubmittedBook {...row} />
              <SubmissionState state={row.state} reasons={row.reasons} />
            </Box>
          ))}
        </Paper>
      </Box>
      <Typography variant="caption" component="p" sx={{ mt: 5 }}>
        <Link component={To} to="/about">
          About and licenses
        </Link>
      </Typography>
    </Box>
  );
}
