import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useRevalidator } from 'react-router';
import type { StandingPage } from '#core/book/standing-page.ts';
import { complain, offerUndo } from '../parts/notices.tsx';
import { askOfStanding, countedBooks, type Reached } from './ask.ts';
import { NameDialog } from './name-dialog.tsx';

/** Of the books that have a page, so many are named until all are asked for. */
const NAMED = 4;

/** A standing page: what it shows, the books that have it, and what can be done with it. */
export function StandingCard({
  page,
  kind,
  children,
}: {
  page: StandingPage & { books: Reached[] };
  kind: string;
  /** Its picture. */
  children: ReactNode;
}) {
  const { id, name, content, books } = page;
  const { revalidate } = useRevalidator();
  const [renaming, setRenaming] = useState(false);
  const [all, setAll] = useState(false);
  const rename = async (to: string) => {
    const { refused } = await askOfStanding<{ refused: string | null }>({ intent: 'rename', id, name: to });
    if (refused) return refused;
    setRenaming(false);
    await revalidate();
    return null;
  };
  const restore = async () => {
    try {
      const answer = await askOfStanding<{ refused?: string }>({ intent: 'keep', id, name, content });
      if (answer.refused) complain(answer.refused);
      await revalidate();
    } catch (error) {
      complain((error as Error).message);
    }
  };
  const remove = async () => {
    try {
      await askOfStanding({ intent: 'remove', id });
      await revalidate();
      offerUndo(
        `“${name}” is kept no longer. Books that have it keep it as a page of their own.`,
        () => void restore(),
      );
    } catch (error) {
      complain((error as Error).message);
    }
  };
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 3,
        p: 3,
        minWidth: 0,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
      }}
    >
      <Box
        sx={{
          flex: 'none',
          outline: '1px solid',
          outlineColor: 'divider',
          outlineOffset: -1,
          alignSelf: 'start',
        }}
      >
        {children}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
        <Typography variant="h3" sx={{ overflowWrap: 'anywhere' }}>
          {name}
        </Typography>
        <Typography variant="caption" color="text.secondary">
          {kind} · {books.length ? `in ${countedBooks(books.length)}` : 'in no book'}
        </Typography>
        <Box
          component="ul"
          aria-label={`Books with “${name}”`}
          sx={{ listStyle: 'none', p: 0, my: 2, flex: 1 }}
        >
          {books.slice(0, all ? undefined : NAMED).map((book) => (
            <Typography key={book.id} component="li" variant="body2" noWrap>
              <Link component={RouterLink} to={`/books/${book.id}/flatplan`} underline="always">
                {book.title}
              </Link>
            </Typography>
          ))}
          {books.length > NAMED && !all && (
            <li>
              <Button size="small" sx={{ ml: -1.5 }} onClick={() => setAll(true)}>
                {books.length - NAMED} more…
              </Button>
            </li>
          )}
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, ml: -1.5 }}>
          <Button size="small" aria-label={`Rename “${name}”…`} onClick={() => setRenaming(true)}>
            Rename…
          </Button>
          <Button size="small" aria-label={`Keep “${name}” no longer`} onClick={() => void remove()}>
            Keep no longer
          </Button>
        </Box>
      </Box>
      {renaming && (
        <NameDialog
          title={`Rename “${name}”`}
          action="Rename"
          name={name}
          onName={rename}
          onClose={() => setRenaming(false)}
        />
      )}
    </Box>
  );
}
