import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Form, NavLink, Outlet, redirect, useNavigation } from 'react-router';
import * as v from 'valibot';
import { marketOf } from '#core/niche/index.ts';
import { assumptionsOf, curveOf } from '#server/niches/assumptions.ts';
import { briefsOf, briefsOrDraft, startBooks } from '#server/niches/briefs.ts';
import { lookNow, looksAt, movesOf } from '#server/niches/looks.ts';
import { archiveNiches, openNiche, watchNiche } from '#server/niches/niches.ts';
import { type PhraseRow, phrasesJson } from '#server/niches/phrases.ts';
import { NicheDeskProvider, useNiche } from '../niche/niche-desk.tsx';
import { beginRivals } from '../niche/rivals.ts';
import { useFormats } from '../parts/formats.tsx';
import { isRunning } from '../parts/jobs.tsx';
import { JobLine } from '../parts/jobs-button.tsx';
import { ViewShortcuts } from '../parts/view-shortcuts.tsx';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche.ts';

const Intent = v.object({ intent: v.picklist(['start', 'refresh', 'archive', 'watch', 'stop watching']) });

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: `${loaderData?.niche.phrase ?? 'Niche'} – Restless Quill` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const [looks, moves, assumptions, curve, phrases, briefs] = await Promise.all([
    looksAt(workspaceId, niche.id),
    movesOf(workspaceId, niche.id, niche.market),
    assumptionsOf(workspaceId),
    curveOf(workspaceId, niche.market),
    phrasesJson(workspaceId, niche.id),
    briefsOf(workspaceId, niche.id),
  ]);
  return {
    niche,
    looks: looks.map(({ day, source, results, searches, copies, unread, categories }) => ({
      day,
      source,
      results,
      searches,
      copies,
      unread,
      categories,
    })),
    moves,
    assumptions,
    curve,
    phrases,
    briefs,
    rivalsMark: looks.at(-1)?.id ?? '',
  };
}

/** The rivals come by a request of their own, begun beside that for the page, not after it. */
export async function clientLoader({ params, serverLoader }: Route.ClientLoaderArgs) {
  if (!location.pathname.startsWith(`/niches/${params.niche}`)) beginRivals(params.niche);
  return serverLoader();
}

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const read = await formFrom(request, Intent);
  if (!read.success) return null;
  switch (read.output.intent) {
    case 'archive':
      await archiveNiches(workspaceId, [niche.id], true);
      return redirect(`/niches?archived=${niche.id}`);
    case 'watch':
      await watchNiche(workspaceId, niche.id, true);
      return null;
    case 'stop watching':
      await watchNiche(workspaceId, niche.id, false);
      return null;
    case 'refresh':
      await lookNow(workspaceId, niche);
      return null;
    case 'start': {
      const [brief] = await briefsOrDraft(workspaceId, niche);
      const [book] = await startBooks(workspaceId, workspaceName, [brief!.id]);
      return redirect(`/books/${book}/flatplan`);
    }
  }
}

const VIEWS = [
  ['', 'Overview'],
  ['rivals', 'Rivals'],
  ['phrases', 'Phrases'],
  ['gaps', 'Gaps'],
  ['when', 'When'],
  ['brief', 'Brief'],
] as const;

/** An open niche: its header, and one of its views in the order in which a niche is decided. */
export default function Niche({ loaderData }: Route.ComponentProps) {
  const phrases = useMemo(() => JSON.parse(loaderData.phrases) as PhraseRow[], [loaderData.phrases]);
  return (
    <NicheDeskProvider key={loaderData.niche.id} {...loaderData} phrases={phrases}>
      <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
        <Header />
        <Outlet />
        <ViewShortcuts group="Niche" under={`/niches/${loaderData.niche.id}`} views={VIEWS} />
      </Box>
    </NicheDeskProvider>
  );
}

/** “49 of 51 rivals count”. */
const countedWords = (counted: number, all: number): string =>
  counted === all
    ? `${all.toLocaleString('en-US')} ${all === 1 ? 'rival' : 'rivals'}`
    : `${counted.toLocaleString('en-US')} of ${all.toLocaleString('en-US')} rivals count`;

function Header() {
  const formats = useFormats();
  const desk = useNiche();
  const { niche, looks, latest, rivals, problem, jobs } = desk;
  const busy = useNavigation().formMethod === 'POST';
  const look = jobs.find((job) => job.kind === 'look' && (isRunning(job) || job.state === 'failed'));
  const looked = latest
    ? [
        latest.source === 'own'
          ? `Your own rows, ${formats.day(latest.day)}`
          : `Checked on Wrenfair ${marketOf(niche.market).name}, ${formats.day(latest.day)}`,
        looks.length > 1
          ? `${looks.length - 1} earlier ${looks.length === 2 ? 'snapshot' : 'snapshots'}`
          : '',
        rivals ? countedWords(desk.counted.length, rivals.length) : '',
      ]
    : ['Not searched yet'];
  return (
    <Box sx={{ borderBottom: 1, borderColor: 'divider', px: 5, pt: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 3 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography variant="h1" noWrap>
            {niche.phrase}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {looked.filter(Boolean).join(' · ')}
          </Typography>
        </Box>
        <Form method="post" action={`/niches/${niche.id}`}>
          <Button type="submit" name="intent" value="archive">
            Archive
          </Button>
          <Button
            type="submit"
            name="intent"
            value={niche.watched ? 'stop watching' : 'watch'}
            sx={{ ml: 1 }}
          >
            {niche.watched ? '◉ Stop watching' : 'Watch'}
          </Button>
          <Button
            type="submit"
            name="intent"
            value="refresh"
            variant="outlined"
            disabled={busy}
            sx={{ mx: 2 }}
          >
            Refresh
          </Button>
          <Button type="submit" name="intent" value="start" variant="contained" disabled={busy || !latest}>
            Start a book from this
          </Button>
        </Form>
      </Box>
      <Box
        component="nav"
        aria-label="Views of the niche"
        sx={{
          display: 'flex',
          gap: 2,
          mt: 1,
          '& a': {
            color: 'text.primary',
            textDecoration: 'none',
            px: 2,
            py: 1,
            borderBottom: '2px solid transparent',
          },
          '& a.active': { color: 'primary.main', fontWeight: 700, borderColor: 'primary.main' },
        }}
      >
        {VIEWS.map(([path, name]) => (
          <NavLink key={path} to={`/niches/${niche.id}${path ? `/${path}` : ''}`} end>
            {name}
          </NavLink>
        ))}
      </Box>
      {look && (
        <Box sx={{ maxWidth: 480, pb: 1 }}>
          <JobLine job={look} />
        </Box>
      )}
      {latest && latest.unread > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 2 }}>
          {latest.unread} rows of Wrenfair’s answer could not be read and are left out. Refresh later for a
          whole answer.
        </Alert>
      )}
      {problem && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {problem}
        </Alert>
      )}
    </Box>
  );
}
