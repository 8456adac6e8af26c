import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Form, Link, redirect, useFetcher } from 'react-router';
import * as v from 'valibot';
import { bookFrom } from '#core/book/book.ts';
import { parseRecipe, readRecipe } from '#core/book/recipe.ts';
import { showSize } from '#core/units.ts';
import { createBook, listBooks } from '#server/books.ts';
import { newId } from '#server/ids.ts';
import { listPenNames } from '#server/shelf.ts';
import { BookCover } from '../parts/book-cover.tsx';
import { FileButton } from '../parts/file-button.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/books.ts';

/** A recipe file is text; a book with a full word bank has about 1 MB. */
const RECIPE_BYTES = 4 * 1024 * 1024;
const Wish = v.variant('wish', [
  v.object({ wish: v.literal('new') }),
  v.object({ wish: v.literal('open'), recipe: v.pipe(v.string(), v.maxLength(RECIPE_BYTES)) }),
]);

export const meta = () => [{ title: 'Books – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const books = await listBooks(workspaceId);
  return {
    books: books.map((row) => {
      const { plan, spec } = bookFrom(row.recipe);
      return { ...row, pages: plan.pages.length, trim: spec.trim };
    }),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Wish);
  if (!read.success) return { problems: [read.issues[0].message] };
  if (read.output.wish === 'open') {
    let value: unknown;
    try {
      value = JSON.parse(read.output.recipe);
    } catch {
      return { problems: ['The file is not JSON. Choose a recipe.json.'] };
    }
    // A copy gets an id of its own, so that it never stands in the way of the book it came from.
    const opened = readRecipe(value && typeof value === 'object' ? { ...value, id: newId() } : value);
    if (opened.problems)
      return { problems: opened.problems.map(({ path, message }) => `${path} ${message}`) };
    return redirect(`/books/${await createBook(workspaceId, opened.recipe)}/flatplan`);
  }
  const [penName = ''] = await listPenNames(workspaceId);
  const recipe = parseRecipe({
    quill: 1,
    id: newId(),
    seed: newId(),
    title: 'Untitled',
    penName,
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
  current: 'files as new as the book',
  'out of date': 'files out of date',
} as const;

export default function Books({ loaderData }: Route.ComponentProps) {
  const fetcher = useFetcher<typeof action>();
  const [problem, setProblem] = useState('');
  const problems = problem ? [problem] : (fetcher.data?.problems ?? []);
  return (
    <Box sx={{ p: 6, maxWidth: 1180, mx: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 4 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Books
        </Typography>
        <FileButton
          label="Recipe file"
          accept="application/json,.json"
          onFile={async (file) => {
            setProblem(
              file.size > RECIPE_BYTES
                ? `${file.name} has ${(file.size / 1048576).toFixed(1)} MB; a recipe has 4 MB at most.`
                : '',
            );
            if (file.size <= RECIPE_BYTES)
              void fetcher.submit({ wish: 'open', recipe: await file.text() }, { method: 'post' });
          }}
        >
          Open a recipe …
        </FileButton>
        <Form method="post">
          <Button type="submit" name="wish" value="new" variant="contained">
            Start an empty book
          </Button>
        </Form>
      </Box>
      {problems.length > 0 && (
        <Alert severity="error" variant="outlined" sx={{ mb: 4 }}>
          The recipe could not be opened.
          {problems.slice(0, 8).map((line) => (
            <div key={line}>{line}</div>
          ))}
        </Alert>
      )}
      {loaderData.books.length === 0 && (
        <Typography>
          Your books stand here. Start one from a niche, open a recipe, or start an empty one.
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(340px, 1fr))', gap: 4 }}>
        {loaderData.books.map(({ id, recipe, pages, trim, files, submission }) => (
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
              <BookCover recipe={recipe} width={92} />
            </Box>
            <Box sx={{ minWidth: 0 }}>
              <Typography variant="h2">{recipe.title}</Typography>
              <Typography variant="body2" color="text.secondary">
                {recipe.penName as string}
              </Typography>
              <Typography variant="body2" sx={{ mt: 2 }}>
                {showSize(trim.width, trim.height, 'in')} · {pages} pages
              </Typography>
              <Typography variant="body2" color={files === 'out of date' ? 'error' : 'text.primary'}>
                {FILES[files]}
              </Typography>
              {submission && (
                <Typography variant="body2" sx={{ fontWeight: 700 }}>
                  {submission}
                </Typography>
              )}
            </Box>
          </Paper>
        ))}
      </Box>
    </Box>
  );
}
