import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import { BookCover } from '../../parts/book-cover.tsx';
import { useBook } from '../store.ts';

/** Width of a small front, in CSS pixels, and how long typing rests before it is looked for. */
const WIDTH = 92;
const REST_MS = 200;

/** Chooses books of the catalog by their fronts, those of the same series first. */
export function CatalogDialog({
  most,
  onTake,
  onClose,
}: {
  /** Books that there is room for. */
  most: number;
  onTake: (fronts: Recipe[]) => void;
  onClose: () => void;
}) {
  const { id: own, series, penName } = useBook((state) => state.value);
  const [words, setWords] = useState('');
  const [found, setFound] = useState<Recipe[] | null>(null);
  const [away, setAway] = useState(false);
  const [chosen, setChosen] = useState<Recipe[]>([]);
  useEffect(() => {
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      try {
        const response = await fetch(`/catalog?${new URLSearchParams({ words })}`, { signal: stop.signal });
        const { books } = (await response.json()) as { books: { id: string; front: Recipe }[] };
        setFound(books.filter(({ id }) => id !== own).map(({ front }) => front));
        setAway(false);
      } catch {
        if (!stop.signal.aborted) setAway(true);
      }
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words, own]);
  const near = (front: Recipe) =>
    series && front.series?.name === series.name ? 0 : front.penName === penName ? 1 : 2;
  const sorted = [...(found ?? [])].sort((a, b) => near(a) - near(b));
  const toggle = (front: Recipe) =>
    setChosen((now) =>
      now.some(({ id }) => id === front.id) ? now.filter(({ id }) => id !== front.id) : [...now, front],
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <Box sx={{ display: 'flex', alignItems: 'center', pr: 6 }}>
        <DialogTitle sx={{ flex: 1 }}>Choose books</DialogTitle>
        <TextField
          autoFocus
          size="small"
          type="search"
          label="Find"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          sx={{ width: 260 }}
        />
      </Box>
      <DialogContent dividers sx={{ height: 420 }}>
        {away && <Typography>The server does not answer. Try again in a moment.</Typography>}
        {found?.length === 0 && <Typography>No other book is called so.</Typography>}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
          {sorted.map((front) => {
            const on = chosen.some(({ id }) => id === front.id);
            return (
              <ButtonBase
                key={front.id}
                aria-pressed={on}
                aria-label={front.title}
                onClick={() => toggle(front)}
                sx={{
                  display: 'grid',
                  gap: 1.5,
                  alignContent: 'start',
                  justifyItems: 'center',
                  width: WIDTH + 28,
                  p: 2,
                  border: 2,
                  borderRadius: 1,
                  borderColor: on ? 'primary.main' : 'transparent',
                }}
              >
                <BookCover recipe={front} title={front.title} width={WIDTH} />
                <Typography variant="caption" align="center">
                  {front.title}
                </Typography>
              </ButtonBase>
            );
          })}
        </Box>
      </DialogContent>
      <DialogActions>
        {chosen.length > most && (
          <Typography variant="body2" color="error" sx={{ flex: 1, pl: 4 }}>
            There is room for {most}.
          </Typography>
        )}
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={chosen.length === 0 || chosen.length > most}
          onClick={() => onTake(chosen)}
        >
          {chosen.length > 1 ? `Show ${chosen.length} books` : 'Show it'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
