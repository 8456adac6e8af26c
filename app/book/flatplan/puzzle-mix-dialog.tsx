import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo, useState } from 'react';
import { bookFrom } from '#core/book/book.ts';
import { addMix, hasLevels, type MixOrder, type MixPart, mixKinds, partsOf } from '#core/book/puzzle-mix.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { LEVEL_NAMES } from '#core/pages/puzzle/level.ts';
import { LEVELS } from '#core/puzzles/level.ts';
import { Choice } from '../../parts/choice.tsx';

const ORDERS: { value: MixOrder; label: string }[] = [
  { value: 'kinds', label: 'Kind by kind' },
  { value: 'levels', label: 'Level by level' },
  { value: 'shuffled', label: 'Pages shuffled' },
];

/** A whole number from 0 on; null for anything else. */
const numberIn = (text: string): number | null =>
  text.trim() === '' ? 0 : /^\d{1,4}$/.test(text.trim()) ? Number(text) : null;

/** So many puzzles of each kind and level are asked for in one table, and added in one step. */
export function PuzzleMixDialog({
  recipe,
  at,
  onAdd,
  onClose,
}: {
  recipe: Recipe;
  /** Place in the running order. */
  at: number;
  onAdd: (parts: readonly MixPart[], order: MixOrder) => void;
  onClose: () => void;
}) {
  const [kinds] = useState(mixKinds);
  /** What is written in each field, by kind and level. */
  const [written, setWritten] = useState<Readonly<Record<string, string>>>({});
  const [order, setOrder] = useState<MixOrder>('kinds');
  const textOf = (kind: string, place: number) => written[`${kind} ${place}`] ?? '';
  const settled = useDeferredValue(written);
  const mix = useMemo(() => {
    const numberAt = (kind: string, place: number) => numberIn(settled[`${kind} ${place}`] ?? '') ?? 0;
    const parts = kinds.flatMap((kind) =>
      partsOf(
        kind,
        LEVELS.map((_, place) => numberAt(kind.id, place)),
      ),
    );
    const count = parts.reduce((sum, part) => sum + part.count, 0);
    if (count === 0) return { count };
    try {
      const mixed = addMix(recipe, parts, order, at);
      return { count, parts, pages: bookFrom(mixed.recipe).plan.pages.length };
    } catch (error) {
      return { count, trouble: (error as Error).message };
    }
  }, [kinds, settled, order, recipe, at]);
  const wrong = Object.values(written).some((text) => numberIn(text) === null);
  const field = (kind: string, place: number, label: string) => (
    <TextField
      hiddenLabel
      size="small"
      value={textOf(kind, place)}
      placeholder="0"
      error={numberIn(textOf(kind, place)) === null}
      onChange={({ target }) => setWritten((now) => ({ ...now, [`${kind} ${place}`]: target.value }))}
      slotProps={{ htmlInput: { 'aria-label': label, inputMode: 'numeric' } }}
      sx={{ width: 72 }}
    />
  );
  const add = () => {
    if (mix.parts && !wrong) onAdd(mix.parts, order);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Puzzles by kind and level</DialogTitle>
      <DialogContent sx={{ '&&': { pt: 0 } }}>
        <Box
          component="form"
          id="puzzle-mix"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <Table size="small" stickyHeader>
            <TableHead>
              <TableRow>
                <TableCell>Kind</TableCell>
                {LEVELS.map((level) => (
                  <TableCell key={level}>{LEVEL_NAMES[level]}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {kinds.map((kind) => (
                <TableRow key={kind.id}>
                  <TableCell component="th" scope="row">
                    {kind.name}
                  </TableCell>
                  {hasLevels(kind) ? (
                    LEVELS.map((level, place) => (
                      <TableCell key={level}>
                        {field(kind.id, place, `${kind.name}, ${LEVEL_NAMES[level].toLowerCase()}`)}
                      </TableCell>
                    ))
                  ) : (
                    <TableCell colSpan={LEVELS.length}>
                      <Stack direction="row" sx={{ alignItems: 'center', gap: 3 }}>
                        {field(kind.id, 0, kind.name)}
                        <Typography variant="caption">has no levels</Typography>
                      </Stack>
                    </TableCell>
                  )}
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      </DialogContent>
      <Stack sx={{ px: 6, py: 3, gap: 3, borderTop: 1, borderColor: 'divider' }}>
        <Choice label="Order" value={order} choices={ORDERS} onChange={setOrder} />
        {(wrong || mix.trouble) && (
          <Alert severity="error" variant="outlined">
            {wrong ? 'Write whole numbers, such as 12, or leave a field empty.' : mix.trouble}
          </Alert>
        )}
      </Stack>
      <DialogActions>
        <Typography role="status" sx={{ flex: 1, pl: 4 }}>
          {mix.pages ? `${mix.count} puzzles; the book would have ${mix.pages} pages.` : ''}
        </Typography>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" type="submit" form="puzzle-mix" disabled={!mix.parts || wrong}>
          {mix.count > 0 ? `Add ${mix.count} ${mix.count === 1 ? 'puzzle' : 'puzzles'}` : 'Add puzzles'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
