import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { findInGallery, type GalleryEntry, gallery } from '#core/book/gallery.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { parseLength } from '#core/units.ts';
import { PagePicture } from '../../preview/picture.tsx';
import { usePagesOf } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';
import { galleryOf, SMALL_PAGE, smallPagePixels } from './gallery-drawings.ts';

/** Every kind and design as a small page of the book's own trim and style, to choose from. */
export function AddPagesDialog({
  recipe,
  onAdd,
  onClose,
}: {
  /** As it was when the dialog was opened. */
  recipe: Recipe;
  /** In the order in which they were chosen. */
  onAdd: (entries: GalleryEntry[]) => void;
  onClose: () => void;
}) {
  const { designs, standingPages } = useOpenBook();
  const entries = useMemo(() => gallery(designs, standingPages), [designs, standingPages]);
  const samples = useMemo(() => galleryOf(recipe, entries), [recipe, entries]);
  const pageOf = useMemo(
    () => new Map(entries.map(({ id }, i) => [id, samples.pages[i]!])),
    [entries, samples],
  );
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<string[]>([]);
  const found = useMemo(() => findInGallery(entries, typed), [entries, typed]);
  const inView = useMemo(() => found.map(({ id }) => pageOf.get(id)!), [found, pageOf]);
  const pages = usePagesOf(samples.recipe, inView, smallPagePixels(), samples.drawer);
  const { width, height } = recipe.print.trim;
  const tall = Math.round((SMALL_PAGE * parseLength(height)) / parseLength(width));
  const families = [...new Set(found.map(({ family }) => family))];
  const toggle = (id: string) =>
    setChosen((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id]));
  const add = (ids: readonly string[]) => onAdd(ids.map((id) => entries.find((one) => one.id === id)!));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg">
      <Box sx={{ display: 'flex', alignItems: 'center', pr: 6 }}>
        <DialogTitle sx={{ flex: 1 }}>Add pages</DialogTitle>
        <TextField
          autoFocus
          size="small"
          type="search"
          label="Find"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // The button that gets the focus back must not take the same key for a press.
            event.preventDefault();
            // The only one that is left is meant, or the one whose whole name was typed.
            const named = found.filter(({ name }) => name.toLowerCase() === typed.trim().toLowerCase());
            const [meant, other] = found.length === 1 ? found : named;
            if (meant && !other) add([meant.id]);
          }}
          sx={{ width: 260 }}
        />
      </Box>
      <DialogContent dividers sx={{ height: '70vh' }}>
        {families.map((family) => (
          // What is scrolled out of view is not painted: the processor is the drawing's.
          <Box
            key={family}
            component="section"
            aria-label={family}
            sx={{ mb: 4, contentVisibility: 'auto', containIntrinsicSize: 'auto 600px' }}
          >
            <Typography variant="h3" sx={{ mb: 2 }}>
              {family}
            </Typography>
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: `repeat(auto-fill, minmax(${SMALL_PAGE + 24}px, 1fr))`,
                gap: 2,
              }}
            >
              {found
                .filter((entry) => entry.family === family)
                .map((entry) => (
                  <Tile
                    key={entry.id}
                    entry={entry}
                    place={chosen.indexOf(entry.id) + 1}
                    onToggle={() => toggle(entry.id)}
                    onAdd={() => add([entry.id])}
                  >
                    <PagePicture
                      pages={pages}
                      page={pageOf.get(entry.id)!}
                      width={SMALL_PAGE}
                      height={tall}
                      label={`A page of ${entry.name}`}
                    />
                  </Tile>
                ))}
            </Box>
          </Box>
        ))}
        {found.length === 0 && <Typography>No page is called so. Try another word.</Typography>}
      </DialogContent>
      <DialogActions>
        <Typography variant="body2" color="text.secondary" sx={{ mr: 'auto', ml: 2 }}>
          {chosen.length
            ? 'Added in the order in which you chose them.'
            : 'Click to choose, double-click to add at once.'}
        </Typography>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={chosen.length === 0} onClick={() => add(chosen)}>
          {chosen.length > 1 ? `Add ${chosen.length} sections` : 'Add'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Tile({
  entry,
  place,
  onToggle,
  onAdd,
  children,
}: {
  entry: GalleryEntry;
  /** Among those that are chosen, from 1; 0 if it is not. */
  place: number;
  onToggle: () => void;
  onAdd: () => void;
  children: React.ReactNode;
}) {
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={place > 0}
      aria-label={entry.name}
      title={entry.purpose}
      onClick={(event) => event.detail < 2 && onToggle()}
      onDoubleClick={onAdd}
      sx={{
        font: 'inherit',
        color: 'inherit',
        textAlign: 'center',
        border: 0,
        cursor: 'pointer',
        p: 1.5,
        bgcolor: place ? 'action.selected' : 'transparent',
        outlineOffset: -2,
        display: 'grid',
        gridTemplateRows: 'auto 1fr',
        justifyItems: 'center',
        gap: 1,
        position: 'relative',
        '& canvas': { boxShadow: '0 1px 4px rgba(29, 39, 51, 0.35)' },
        '&:hover': { bgcolor: 'action.hover' },
      }}
    >
      {children}
      <Box component="span" sx={{ fontSize: 13, lineHeight: 1.25 }}>
        {entry.name}
      </Box>
      {place > 0 && (
        <Box
          component="span"
          sx={{
            position: 'absolute',
            top: 6,
            right: 8,
            minWidth: 22,
            height: 22,
            lineHeight: '22px',
            borderRadius: 11,
            bgcolor: 'primary.main',
            color: 'primary.contrastText',
            fontSize: 13,
            fontWeight: 700,
          }}
        >
          {place}
        </Box>
      )}
    </Box>
  );
}
