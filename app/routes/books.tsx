import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Pagination from '@mui/material/Pagination';
import PaginationItem from '@mui/material/PaginationItem';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Form, Link, redirect, useNavigate, useSubmit } from 'react-router';
import * as v from 'valibot';
import { parseRecipe } from '#core/book/recipe.ts';
import { showSize } from '#core/units.ts';
import { createBook, listBooks } from '#server/books.ts';
import { newId } from '#server/ids.ts';
import { usualPenName } from '#server/shelf.ts';
import { BookCover } from '../parts/book-cover.tsx';
import { FileButton } from '../parts/file-button.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/books.ts';

const Wish = v.object({ wish: v.literal('new') });

export const meta = () => [{ title: 'Books – Restless Quill' }];

/** Books on a page of the list. */
const PAGE = 60;

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { searchParams } = new URL(request.url);
  const search = (searchParams.get('search') ?? '').slice(0, 100);
  const asked = Math.floor(Number(searchParams.get('page') ?? 1));
  const page = asked >= 1 && asked <= 10_000 ? asked : 1;
  const found = await listBooks(workspaceId, { search, limit: PAGE, offset: (page - 1) * PAGE });
  return { ...found, search, page, pages: Math.max(1, Math.ceil(found.total / PAGE)) };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Wish);
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  const recipe = parseRecipe({
    quill: 3,
    id: newId(),
    seed: newId(),
    title: 'Untitled',
    penName: await usualPenName(workspaceId, workspaceName),
    imprint: workspaceName,
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    sections: [
      { id: 'title', kind: 'title-page' },
      { id: 'owner', kind: 'belongs-to' },
    ],
  });
  return redirect(`/books/${await createBook(workspaceId, recipe)}/flatplan`);
}

const FILES = {
  none: 'no files yet',
  current: 'files up to date',
  'out of date': 'files out of date',
} as const;

type Opened = { id: string } | { problems: string[] };

/** Sends a file to be opened as a book, a recipe or a ZIP of any size, and goes to the book. */
function useOpenBook() {
  const navigate = useNavigate();
  const [opening, setOpening] = useState(false);
  const [problems, setProblems] = useState<string[]>([]);
  const open = async (file: File) => {
    setOpening(true);
    setProblems([]);
    try {
      const response = await fetch('/books/open', {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      if (response.redirected) throw new Error('Signed out.');
      const opened = (await response.json()) as Opened;
      if ('problems' in opened) setProblems(opened.problems);
      else await navigate(`/books/${opened.id}/flatplan`);
    } catch {
      setProblems(['The server does not answer. Try again.']);
    } finally {
      setOpening(false);
    }
  };
  return { open, opening, problems };
}

export default function Books({ loaderData }: Route.ComponentProps) {
  const { open, opening, problems } = useOpenBook();
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
          {opening ? 'Opening …' : 'Open a book file …'}
        </FileButton>
        <Form method="post">
          <Button type="submit" name="wish" value="new" variant="contained">
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
      {(loaderData.total > 0 || loaderData.search) && <SearchBooks {...loaderData} />}
      {loaderData.total === 0 && (
        <Typography>
          {loaderData.search
            ? `No book has “${loaderData.search}” in its title, pen name, series or imprint.`
            : 'Your books appear here. Start one from a niche, open a book file, or start an empty one.'}
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(340px, 1fr))', gap: 4 }}>
        {loaderData.books.map(({ id, title, summary, files, submission }) => (
          <Paper
            key={id}
            component={Link}
            to={`/books/${id}/flatplan`}
            sx={{
              display: 'flex',
              gap: 4,
              p: 4,
              textDecoration: 'none',
              color: 'text.primary',
              '&:hover': { borderColor: 'primary.main' },
            }}
          >
            <Box sx={{ flex: 'none', border: 1, borderColor: 'divider', alignSelf: 'flex-start' }}>
              <BookCover recipe={summary?.front ?? null} title={title} width={92} />
            </Box>
            <Box sx={{ minWidth: 0 }}>
              <Typography variant="h2">{title}</Typography>
              <Typography variant="body2" color="text.secondary">
                {summary?.front.penName}
              </Typography>
              {summary ? (
                <>
                  <Typography variant="body2" sx={{ mt: 2 }}>
                    {showSize(summary.trim.width, summary.trim.height, 'in')} · {summary.pages} pages
                  </Typography>
                  <Typography variant="body2" color={files === 'out of date' ? 'error' : 'text.primary'}>
                    {FILES[files]}
                  </Typography>
                </>
              ) : (
                <Typography variant="body2" color="error" sx={{ mt: 2 }}>
                  cannot be read by this version
                </Typography>
              )}
              {submission && (
                <Typography variant="body2" sx={{ fontWeight: 700 }}>
                  {submission}
                </Typography>
              )}
            </Box>
          </Paper>
        ))}
      </Box>
      {loaderData.pages > 1 && <Pages {...loaderData} />}
    </Box>
  );
}

type Shown = Route.ComponentProps['loaderData'];

/** Finds books by words of title, pen name, series or imprint. */
function SearchBooks({ search, total }: Shown) {
  const submit = useSubmit();
  return (
    <Form
      role="search"
      action="/books"
      onChange={(event) => void submit(event.currentTarget, { replace: true })}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 4, mb: 4 }}>
        <TextField
          label="Search books"
          name="search"
          type="search"
          defaultValue={search}
          sx={{ maxWidth: 340 }}
          slotProps={{ htmlInput: { maxLength: 100 } }}
        />
        <Typography color="text.secondary" role="status">
          {total.toLocaleString('en-US')} {total === 1 ? 'book' : 'books'}
        </Typography>
      </Box>
    </Form>
  );
}

function Pages({ search, page, pages }: Shown) {
  return (
    <Pagination
      count={pages}
      page={page}
      sx={{ mt: 5, display: 'flex', justifyContent: 'center' }}
      renderItem={(item) => (
        <PaginationItem
          {...item}
          component={Link}
          to={`/books?${new URLSearchParams({ ...(search ? { search } : {}), page: String(item.page) })}`}
        />
      )}
    />
  );
}
