import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { Check } from 'lucide-react';
import { Link, redirect, useFetcher, useSearchParams } from 'react-router';
import * as v from 'valibot';
import {
  addBrief,
  bankNameFor,
  booksFor,
  briefsOf,
  briefsOrDraft,
  draftBrief,
  removeBrief,
  startBooks,
} from '#server/niches/briefs.ts';
import { openNiche } from '#server/niches/niches.ts';
import { BriefForm } from '../niche/brief-form.tsx';
import { useNiche } from '../niche/niche-desk.tsx';
import { offerUndo } from '../parts/notices.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-brief.ts';

const id = v.pipe(v.string(), v.regex(/^\w{1,64}$/));
const Intent = v.variant('intent', [
  v.object({ intent: v.literal('duplicate'), from: v.optional(id) }),
  v.object({ intent: v.picklist(['remove', 'restore']), brief: id }),
  v.object({ intent: v.literal('start'), briefs: v.pipe(v.string(), v.maxLength(20_000)) }),
]);

/** The niche's briefs; the first is drafted when the view is opened. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const [briefs, ownBooks, bank] = await Promise.all([
    briefsOrDraft(workspaceId, niche),
    booksFor(workspaceId, niche.phrase),
    bankNameFor(workspaceId, niche.phrase),
  ]);
  return { briefs, ownBooks, bank };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const read = await formFrom(request, Intent);
  if (!read.success) return { problem: read.issues[0].message };
  const asked = read.output;
  if ('brief' in asked) {
    const removed = asked.intent === 'remove';
    await removeBrief(workspaceId, asked.brief, removed);
    return redirect(`/niches/${niche.id}/brief${removed ? '' : `?brief=${asked.brief}`}`);
  }
  if (asked.intent === 'duplicate') {
    const from = (await briefsOf(workspaceId, niche.id)).find((row) => row.id === asked.from);
    const added = await addBrief(
      workspaceId,
      niche.id,
      from?.brief ?? (await draftBrief(workspaceId, niche)),
    );
    return redirect(`/niches/${niche.id}/brief?brief=${added}`);
  }
  const books = await startBooks(workspaceId, workspaceName, asked.briefs.split(' ').filter(Boolean));
  return redirect(books.length === 1 ? `/books/${books[0]}/flatplan` : '/books');
}

const BRIEF_FIELDS = [
  'title',
  'subtitle',
  'phrase',
  'kinds',
  'audience',
  'trim',
  'pages',
  'ink',
  'keywords',
  'occasion',
  'publishBy',
  'notes',
] as const;

/** What is decided. Several briefs make several books at once. */
export default function NicheBrief({ loaderData }: Route.ComponentProps) {
  const { niche } = useNiche();
  const { briefs, ownBooks, bank } = loaderData;
  const [search, setSearch] = useSearchParams();
  const fetcher = useFetcher();
  const open = briefs.find((row) => row.id === search.get('brief')) ?? briefs[0]!;
  const busy = fetcher.state !== 'idle';
  const remove = ({ id: brief, brief: { title, phrase } }: (typeof briefs)[number]) => {
    fetcher.submit({ intent: 'remove', brief }, { method: 'post' });
    offerUndo(`“${title || phrase}” removed`, () =>
      fetcher.submit({ intent: 'restore', brief }, { method: 'post', action: `/niches/${niche.id}/brief` }),
    );
  };
  return (
    <Box sx={{ overflow: 'auto', px: 5, pb: 5 }}>
      <Box
        sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 3, borderBottom: 1, borderColor: 'divider' }}
      >
        <Tabs
          value={open.id}
          onChange={(_, next: string) => setSearch({ brief: next }, { replace: true })}
          aria-label="Briefs"
          sx={{ flex: 1 }}
          variant="scrollable"
        >
          {briefs.map(({ id: briefId, brief, bookId }, i) => (
            <Tab
              key={briefId}
              value={briefId}
              label={`${i + 1}. ${brief.title || brief.phrase}`}
              {...(bookId ? { icon: <Check size={14} aria-label="has a book" />, iconPosition: 'end' } : {})}
              sx={{ textTransform: 'none', maxWidth: 240 }}
            />
          ))}
        </Tabs>
        <SaveCsv
          name={`${niche.phrase} briefs`}
          rows={() => [
            [...BRIEF_FIELDS, 'prices'],
            ...briefs.map(({ brief }) => [
              ...BRIEF_FIELDS.map((field) => {
                const value = brief[field];
                return Array.isArray(value) ? value.join('; ') : value;
              }),
              Object.entries(brief.prices)
                .map(([market, price]) => `${market} ${price}`)
                .join('; '),
            ]),
          ]}
        />
        <Button
          size="small"
          disabled={busy}
          onClick={() => fetcher.submit({ intent: 'duplicate', from: open.id }, { method: 'post' })}
        >
          Duplicate
        </Button>
        <Button size="small" disabled={busy || briefs.length < 2} onClick={() => remove(open)}>
          Delete this brief
        </Button>
        <Button
          size="small"
          variant="outlined"
          disabled={busy}
          onClick={() => fetcher.submit({ intent: 'start', briefs: open.id }, { method: 'post' })}
        >
          Start this book
        </Button>
        {briefs.length > 1 && (
          <Button
            size="small"
            variant="contained"
            disabled={busy}
            onClick={() =>
              fetcher.submit(
                { intent: 'start', briefs: briefs.map((row) => row.id).join(' ') },
                { method: 'post' },
              )
            }
          >
            Start all {briefs.length} books
          </Button>
        )}
      </Box>
      <BriefForm key={open.id} id={open.id} saved={open.brief} ownBooks={ownBooks} bank={bank}>
        {open.bookId && (
          <Typography variant="body2">
            A book was started from this brief: <Link to={`/books/${open.bookId}/flatplan`}>open it</Link>.
          </Typography>
        )}
        <Typography variant="caption">
          “{niche.phrase}” has {briefs.length} {briefs.length === 1 ? 'brief' : 'briefs'}. A duplicate is a
          copy to change: a second format, another audience.
        </Typography>
      </BriefForm>
    </Box>
  );
}
