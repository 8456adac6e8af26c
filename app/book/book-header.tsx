import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { NavLink, useFetcher, useParams } from 'react-router';
import { useFormats } from '../parts/formats.tsx';
import { isRunning } from '../parts/jobs.tsx';
import { tell } from '../parts/notices.tsx';
import { saveWords } from '../parts/save-words.ts';
import { useCommand } from '../parts/shortcuts.tsx';
import { History } from './history.tsx';
import { useOpenBook } from './open-book.tsx';
import { useBook, useBookSteps } from './store.ts';
import { VIEWS } from './use-book-keys.ts';

/** Title, undo, history, the five views and Make files. */
export function BookHeader() {
  const recipe = useBook((state) => state.value);
  const saveState = useBook((state) => state.saveState);
  const savedAt = useBook((state) => state.savedAt);
  const { time } = useFormats();
  const undo = useBook((state) => state.undo);
  const redo = useBook((state) => state.redo);
  const steps = useBookSteps();
  const { jobs, proof, filesCurrent } = useOpenBook();
  const { book } = useParams();
  const fetcher = useFetcher();
  /** Files were asked for: at once, or as soon as what was changed last is saved. */
  const [wanted, setWanted] = useState(false);
  const [history, setHistory] = useState(false);
  const making = jobs.find((job) => job.kind === 'make-files' && isRunning(job));
  const series = recipe.series ? `${recipe.series.name}, Volume ${recipe.series.volume} · ` : '';
  const unsaved = saveState !== 'saved';
  const { submit } = fetcher;
  useEffect(() => {
    if (!wanted || unsaved) return;
    setWanted(false);
    if (filesCurrent) tell('The files are up to date. There is nothing to make.');
    else void submit({ intent: 'make files' }, { method: 'post', action: `/books/${book}` });
  }, [wanted, unsaved, filesCurrent, submit, book]);
  const busy = wanted || making !== undefined;
  useCommand({ does: 'Make files', group: 'Book', when: !busy }, () => setWanted(true));
  useCommand({ does: 'History', group: 'Book' }, () => setHistory(true));
  const mustFix = proof.findings.filter(({ severity }) => severity === 'fix').length;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: 5, rowGap: 1, mb: 2.5 }}>
      <Box sx={{ flex: '1 1 320px', minWidth: 0 }}>
        <Typography variant="h1" noWrap title={recipe.title}>
          {recipe.title}
        </Typography>
        <Typography variant="body2" color="text.secondary" noWrap suppressHydrationWarning>
          {series}
          {[recipe.penName, recipe.imprint].filter(Boolean).join(' · ')} ·{' '}
          <span role="status">{saveWords(saveState, savedAt && time(savedAt))}</span>
        </Typography>
      </Box>
      <Box sx={{ whiteSpace: 'nowrap' }}>
        <Button size="small" onClick={undo} disabled={steps.back === 0} title="Ctrl+Z">
          Undo
        </Button>
        <Button size="small" onClick={redo} disabled={steps.forth === 0} title="Ctrl+Shift+Z">
          Redo
        </Button>
        <Button size="small" onClick={() => setHistory(true)}>
          History
        </Button>
        <Button
          size="small"
          component="a"
          href={`/books/${book}/packed`}
          download
          title="The recipe and everything that it uses, in one ZIP"
        >
          Export
        </Button>
      </Box>
      <Box
        component="nav"
        aria-label="Views of the book"
        sx={{
          display: 'flex',
          '& a': {
            color: 'text.primary',
            textDecoration: 'none',
            px: 3,
            py: 1.5,
            borderBottom: '2px solid transparent',
          },
          '& a.active': { color: 'primary.main', borderColor: 'primary.main', fontWeight: 700 },
        }}
      >
        {VIEWS.map(([path, name], i) => (
          <NavLink key={path} to={`/books/${book}/${path}`} title={`Alt+${i + 1}`}>
            {name}
          </NavLink>
        ))}
      </Box>
      <Button
        variant="contained"
        disabled={busy}
        title={mustFix ? `${mustFix} to fix first, or the service will refuse the book` : ''}
        onClick={() => setWanted(true)}
      >
        {making
          ? `Making ${making.of ? Math.round((100 * making.done) / making.of) : 0}%`
          : wanted
            ? 'Saving first…'
            : 'Make files'}
      </Button>
      {history && <History onClose={() => setHistory(false)} />}
    </Box>
  );
}
