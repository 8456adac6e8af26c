import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Link, redirect } from 'react-router';
import { openStored } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book-unreadable.ts';

/** Problems that are written out. */
const SHOWN = 20;

export const meta = () => [{ title: 'A book that cannot be read – Restless Quill' }];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const id = idFrom(params.book);
  const found = await openStored(workspaceId, id);
  if (!found) throw notFound();
  if ('opened' in found) throw redirect(`/books/${id}/flatplan`);
  const { title, problems } = found.unreadable;
  return { id, title, problems: problems.slice(0, SHOWN), more: Math.max(0, problems.length - SHOWN) };
}

/** Says why a stored recipe cannot be opened, and hands it out as it is: nothing of it is lost. */
export default function Unreadable({ loaderData: { id, title, problems, more } }: Route.ComponentProps) {
  return (
    <Box sx={{ p: 6, maxWidth: 860, mx: 'auto' }}>
      <Typography variant="h1">{title}</Typography>
      <Typography sx={{ mt: 2, mb: 4 }}>
        This book cannot be opened: its recipe holds something that this version does not know. Nothing was
        changed or lost. Save the recipe, correct what is named below, and open it again under Books.
      </Typography>
      <Paper component="ul" sx={{ m: 0, p: 4, pl: 8 }}>
        {problems.map(({ path, message }) => (
          <li key={path + message}>
            <strong>{path}</strong> {message}
          </li>
        ))}
        {more > 0 && <li>and {more} more</li>}
      </Paper>
      <Box sx={{ display: 'flex', gap: 3, mt: 4 }}>
        <Button component="a" href={`/books/${id}/stored-recipe`} download variant="contained">
          Save the recipe
        </Button>
        <Button component={Link} to="/books">
          Back to the books
        </Button>
      </Box>
    </Box>
  );
}
