import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Pagination from '@mui/material/Pagination';
import PaginationItem from '@mui/material/PaginationItem';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { Form, Link, redirect, useFetcher } from 'react-router';
import * as v from 'valibot';
import { MOST_LABEL } from '#core/labels.ts';
import { createBook, listBooks, openBook } from '#server/books.ts';
import { emptyRecipe } from '#server/empty-book.ts';
import { enqueueFiles } from '#server/jobs/queue.ts';
import {
  countDeleted,
  DAYS_KEPT,
  deleteBooks,
  duplicateBooks,
  labelBooks,
  listLabels,
  restoreBooks,
} from '#server/many-books.ts';
import { keepAsStartingPoints } from '#server/starting-points.ts';
import { BookCard } from '../books/book-card.tsx';
import { addressOf, BookFilters } from '../books/book-filters.tsx';
import { SelectionBar } from '../books/selection-bar.tsx';
import { useOpenBook } from '../books/use-open-book.ts';
import { idField, labelsField, listField } from '../list-field.ts';
import { FileButton } from '../parts/file-button.tsx';
import { LabelsDialog } from '../parts/labels-dialog.tsx';
import { complain, offerUndo, tell } from '../parts/notices.tsx';
import { useShortcut } from '../parts/shortcuts.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/books.ts';

/** Books on a page of the list. */
const PAGE = 60;
/** Selected on several pages. */
const MOST_AT_ONCE = 500;

const ids = listField(idField, MOST_AT_ONCE, `At most ${MOST_AT_ONCE} books at a time. Select fewer.`);
const Intent = v.variant('intent', [
  v.object({ intent: v.literal('new') }),
  v.object({
    intent: v.picklist(['make files', 'duplicate', 'delete', 'restore', 'keep as starting points']),
    ids,
  }),
  v.object({ intent: v.literal('label'), ids, add: labelsField, remove: labelsField }),
]);

export const meta = () => [{ title: 'Books – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { searchParams } = new URL(request.url);
  const search = (searchParams.get('search') ?? '').slice(0, 100);
  const label = searchParams.get('label')?.slice(0, MOST_LABEL) ?? null;
  const deleted = searchParams.get('deleted') === 'yes';
  const asked = Math.floor(Number(searchParams.get('page') ?? 1));
  const page = asked >= 1 && asked <= 10_000 ? asked : 1;
  const [found, known, deletedBooks] = await Promise.all([
    listBooks(workspaceId, {
      search,
      deleted,
      ...(label === null ? {} : { label }),
      limit: PAGE,
      offset: (page - 1) * PAGE,
    }),
    listLabels(workspaceId),
    countDeleted(workspaceId),
  ]);
  const shown = { search, label, deleted };
  return {
    ...found,
    shown,
    labels: known,
    deletedBooks,
    daysKept: DAYS_KEPT,
    page,
    pages: Math.max(1, Math.ceil(found.total / PAGE)),
  };
}

interface Answer {
  intent: string;
  /** Why nothing was done. */
  refused?: string;
  /** Of the books that it was done to. */
  done?: string[];
}

export async function action({ request }: Route.ActionArgs): Promise<Answer | Response> {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { intent: 'none', refused: read.issues[0].message };
  const asked = read.output;
  const { intent } = asked;
  switch (intent) {
    case 'new':
      return redirect(
        `/books/${await createBook(workspaceId, await emptyRecipe(workspaceId, workspaceName))}/flatplan`,
      );
    case 'make files': {
      const done: string[] = [];
      for (const id of asked.ids) {
        const book = await openBook(workspaceId, id);
        if (!book) continue;
        await enqueueFiles(workspaceId, id, book.revision);
        done.push(id);
      }
      return { intent, done };
    }
    case 'duplicate':
      return { intent, done: await duplicateBooks(workspaceId, asked.ids) };
    case 'delete':
      return { intent, done: await deleteBooks(workspaceId, asked.ids) };
    case 'keep as starting points':
      return { intent, done: await keepAsStartingPoints(workspaceId, asked.ids, true) };
    case 'restore':
      await restoreBooks(workspaceId, asked.ids);
      return { intent, done: asked.ids };
    case 'label':
      await labelBooks(workspaceId, asked.ids, asked);
      return { intent, done: asked.ids };
  }
}

type Shown = Route.ComponentProps['loaderData'];

const counted = (n: number) => `${n} ${n === 1 ? 'book' : 'books'}`;

/** Which books are selected, and what is done with all of them. */
function useSelection({ books, shown }: Shown) {
  const fetcher = useFetcher<Answer>();
  /** By id, with what is known of them: some may be on other pages. */
  const [selected, setSelected] = useState<ReadonlyMap<string, Shown['books'][number]>>(new Map());
  const last = useRef<string | null>(null);
  const { submit, data } = fetcher;
  const clear = () => setSelected(new Map());
  // Deleted books and others are never selected together.
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever one is left for the other
  useEffect(clear, [shown.deleted]);
  const select = (id: string, range: boolean) => {
    const next = new Map(selected);
    const places = [last.current, id].map((one) => books.findIndex((book) => book.id === one));
    const [from, to] = [Math.min(...places), Math.max(...places)] as [number, number];
    const meant = range && from >= 0 ? books.slice(from, to + 1) : books.filter((book) => book.id === id);
    for (const book of meant) if (range || !next.delete(book.id)) next.set(book.id, book);
    last.current = id;
    setSelected(next);
  };
  const post = (intent: string, of: readonly string[], more: Record<string, string> = {}) =>
    void submit({ intent, ids: of.join(' '), ...more }, { method: 'post', action: '/books' });
  const asked = useRef(0);
  const send = (intent: string, more: Record<string, string> = {}) => {
    asked.current = selected.size;
    post(intent, [...selected.keys()], more);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each answer
  useEffect(() => {
    if (!data) return;
    const { intent, refused, done = [] } = data;
    if (refused) {
      complain(refused);
      return;
    }
    if (intent === 'make files')
      tell(`Making the files of ${counted(done.length)}. The list of jobs says how far they are.`);
    if (intent === 'duplicate') {
      offerUndo(`${counted(done.length)} duplicated`, () => post('delete', done));
      clear();
    }
    if (intent === 'delete' && asked.current > 0) {
      const stayed = asked.current - done.length;
      if (stayed > 0)
        complain(`${counted(stayed)} not deleted: wait until the printing service has answered.`);
      if (done.length) offerUndo(`${counted(done.length)} deleted`, () => post('restore', done));
      clear();
    }
    if (intent === 'restore' && asked.current > 0) {
      tell(`${counted(done.length)} restored`);
      clear();
    }
    if (intent === 'keep as starting points') {
      tell(`${counted(done.length)} kept as starting ${done.length === 1 ? 'point' : 'points'}`);
      clear();
    }
    if (intent === 'label') clear();
    asked.current = 0;
  }, [data]);
  const selectAll = () =>
    setSelected(new Map([...selected, ...books.map((book) => [book.id, book] as const)]));
  return { selected, select, selectAll, clear, send, busy: fetcher.state !== 'idle' };
}

export default function Books({ loaderData }: Route.ComponentProps) {
  const { open, opening, problems } = useOpenBook();
  const { selected, select, selectAll, clear, send, busy } = useSelection(loaderData);
  const [labeling, setLabeling] = useState(false);
  const { books, shown, total, labels: known, deletedBooks, page, pages } = loaderData;
  const narrowed = shown.search !== '' || shown.label !== null || shown.deleted;
  useShortcut(
    { keys: 'mod+a', does: 'Select all books on this page', group: 'Books', when: books.length > 0 },
    selectAll,
  );
  return (
    <Box sx={{ p: 6, maxWidth: 1180, mx: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 4 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Books
        </Typography>
        <FileButton
          label="Book file"
          accept=".json,.zip,application/json,application/zip"
          disabled={opening}
          onFile={(file) => void open(file)}
        >
          {opening ? 'Opening…' : 'Open a book file…'}
        </FileButton>
        <Button component={Link} to="/books/standing-pages" variant="outlined">
          Standing pages
        </Button>
        <Button component={Link} to="/books/starting-points" variant="outlined">
          Starting points
        </Button>
        <Form method="post">
          <Button type="submit" name="intent" value="new" variant="contained">
            Start an empty book
          </Button>
        </Form>
      </Box>
      {problems.length > 0 && (
        <Alert severity="error" variant="outlined" sx={{ mb: 4 }}>
          The book could not be opened. Nothing was changed.
          {problems.slice(0, 8).map((line) => (
            <div key={line}>{line}</div>
          ))}
        </Alert>
      )}
      {(total > 0 || narrowed || deletedBooks > 0) && (
        <BookFilters shown={shown} total={total} labels={known} deletedBooks={deletedBooks} />
      )}
      {total === 0 && <Typography>{nothingFound(shown)}</Typography>}
      {shown.deleted && total > 0 && (
        <Typography color="text.secondary" sx={{ mb: 4 }}>
          Select a book to restore it. A deleted book is removed for good after {loaderData.daysKept} days,
          unless it was ever submitted.
        </Typography>
      )}
      <SelectionBar
        count={selected.size}
        deleted={shown.deleted}
        busy={busy}
        onFiles={() => send('make files')}
        onLabels={() => setLabeling(true)}
        onDuplicate={() => send('duplicate')}
        onKeep={() => send('keep as starting points')}
        onDelete={() => send('delete')}
        onRestore={() => send('restore')}
        onClear={clear}
      />
      <Box
        component="ul"
        aria-label="Books"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(340px, 1fr))',
          gap: 4,
          listStyle: 'none',
          p: 0,
          m: 0,
        }}
      >
        {books.map((book) => (
          <Box component="li" key={book.id} sx={{ display: 'grid', minWidth: 0 }}>
            <BookCard
              book={book}
              deleted={shown.deleted}
              selected={selected.has(book.id)}
              onSelect={(range) => select(book.id, range)}
            />
          </Box>
        ))}
      </Box>
      {pages > 1 && (
        <Pagination
          count={pages}
          page={page}
          sx={{ mt: 5, display: 'flex', justifyContent: 'center' }}
          renderItem={(item) => (
            <PaginationItem {...item} component={Link} to={addressOf(shown, item.page ?? 1)} />
          )}
        />
      )}
      {labeling && (
        <LabelsDialog
          of="book"
          those={[...selected.values()]}
          known={known.map(({ label }) => label)}
          onClose={() => setLabeling(false)}
          onSave={({ add, remove }) => {
            setLabeling(false);
            if (add.length || remove.length)
              send('label', { add: JSON.stringify(add), remove: JSON.stringify(remove) });
          }}
        />
      )}
    </Box>
  );
}

function nothingFound({ search, label, deleted }: Shown['shown']): string {
  if (search) return `No book has “${search}” in its title, pen name, series or imprint.`;
  if (label !== null) return `No book has the label “${label}”.`;
  if (deleted) return 'No book was deleted.';
  return 'Your books appear here. Start one from a niche or from a starting point, open a book file, or start an empty one.';
}
