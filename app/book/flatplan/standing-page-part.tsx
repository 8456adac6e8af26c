import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { changeSection } from '#core/book/edit.ts';
import { type Section, sectionName } from '#core/book/sections.ts';
import {
  type StandingPage,
  showsStanding,
  standingContentOf,
  withStandingPage,
} from '#core/book/standing-page.ts';
import { complain, tell } from '../../parts/notices.tsx';
import { askOfStanding, countedBooks, type Reached } from '../../standing/ask.ts';
import { NameDialog } from '../../standing/name-dialog.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

/** Keeps a section once for all books, or says how it stands to the page that is kept. */
export function StandingPagePart({ section }: { section: Section }) {
  const { standingPages } = useOpenBook();
  const page = standingPages.find(({ id }) => id === section.standingPage);
  return page ? <Kept section={section} page={page} /> : <NotKept section={section} />;
}

function NotKept({ section }: { section: Section }) {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  const { revalidate } = useRevalidator();
  const [naming, setNaming] = useState(false);
  const keep = async (name: string) => {
    const content = standingContentOf(recipe, section);
    const answer = await askOfStanding<{ id: string } | { refused: string }>({
      ...{ intent: 'keep', name, content },
    });
    if ('refused' in answer) return answer.refused;
    setNaming(false);
    edit((now) => changeSection(now, section.id, (one) => ({ ...one, standingPage: answer.id })));
    await revalidate();
    tell(`“${name}” is kept for all books. Add pages offers it first.`);
    return null;
  };
  return (
    <>
      <Button variant="outlined" onClick={() => setNaming(true)}>
        Keep as a standing page…
      </Button>
      {naming && (
        <NameDialog
          title="Keep as a standing page"
          action="Keep"
          name={sectionName(section)}
          onName={keep}
          onClose={() => setNaming(false)}
        >
          <Typography variant="body2" sx={{ mb: 3 }}>
            It is kept once, and used in any book. When it changes, you choose whether it changes in all of
            them.
          </Typography>
        </NameDialog>
      )}
    </>
  );
}

function Kept({ section, page }: { section: Section; page: StandingPage }) {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  const { revalidate } = useRevalidator();
  const [reached, setReached] = useState<Reached[] | null>(null);
  const same = showsStanding(recipe, section, page);
  const look = async () => {
    try {
      const response = await fetch(`/standing-pages?id=${page.id}`);
      if (!response.ok) throw new Error(String(response.status));
      const { books } = (await response.json()) as { books: Reached[] };
      setReached(books.filter(({ id }) => id !== recipe.id));
    } catch {
      complain('The server does not answer. Try again in a moment.');
    }
  };
  const change = async () => {
    try {
      const content = standingContentOf(recipe, section);
      const { changed, left } = await askOfStanding<{ changed: Reached[]; left: Reached[] }>({
        intent: 'change',
        id: page.id,
        content,
        book: recipe.id,
      });
      setReached(null);
      // Other sections of this book that show it follow at once.
      edit((now) => withStandingPage(now, { ...page, content }));
      await revalidate();
      if (left.length)
        complain(
          `${left.map(({ title }) => title).join(', ')} could not be changed. Open it and save it first.`,
        );
      else tell(`“${page.name}” is changed here and in ${countedBooks(changed.length)} besides.`);
    } catch (error) {
      complain((error as Error).message);
    }
  };
  const remove = async () => {
    try {
      await askOfStanding({ intent: 'remove', id: page.id });
      await revalidate();
      tell(`“${page.name}” is kept no longer. Books that have it keep it as a page of their own.`);
    } catch (error) {
      complain((error as Error).message);
    }
  };
  const part = () => edit((now) => changeSection(now, section.id, ({ standingPage: _was, ...own }) => own));
  return (
    <>
      <Alert severity={same ? 'info' : 'warning'} variant="outlined" icon={false}>
        <Typography variant="body2">
          {same
            ? `Standing page “${page.name}”, kept once for all books.`
            : `This is no longer the standing page “${page.name}” as it is kept.`}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, ml: -1.5 }}>
          {same ? (
            <>
              <Button size="small" onClick={part}>
                Make it this book’s own
              </Button>
              <Button size="small" onClick={() => void remove()}>
                Keep it no longer
              </Button>
            </>
          ) : (
            <>
              <Button size="small" onClick={() => void look()}>
                Change it in all books…
              </Button>
              <Button size="small" onClick={() => edit((now) => withStandingPage(now, page))}>
                Take it as it is kept
              </Button>
              <Button size="small" onClick={part}>
                Make it this book’s own
              </Button>
            </>
          )}
        </Box>
      </Alert>
      {reached && (
        <Dialog open onClose={() => setReached(null)} fullWidth maxWidth="xs">
          <DialogTitle>Change “{page.name}”</DialogTitle>
          <DialogContent>
            <Typography variant="body2">
              {reached.length === 0
                ? 'No other book has it. It is kept as it is here now.'
                : `${countedBooks(reached.length)} besides this one ${reached.length === 1 ? 'has' : 'have'} it. Each gets it as it is here now, and its interior files are then out of date.`}
            </Typography>
            <Box component="ul" sx={{ my: 3, pl: 5, maxHeight: 260, overflow: 'auto' }}>
              {reached.map(({ id, title }) => (
                <Typography key={id} component="li" variant="body2">
                  {title}
                </Typography>
              ))}
            </Box>
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setReached(null)}>Cancel</Button>
            <Button variant="contained" onClick={() => void change()}>
              {reached.length === 0 ? 'Change it' : `Change it in ${countedBooks(reached.length)}`}
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
}
