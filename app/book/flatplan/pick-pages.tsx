import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useState } from 'react';
import { listOf, pagesIn } from '#core/pages/imported/index.ts';
import type { NamedResource } from '#core/resources/index.ts';
import { FileSheet } from './file-sheet.tsx';

/** Pages in a row, and the room of each with its number below, in CSS pixels. */
const ACROSS = 6;
const SHEET = { width: 116, height: 150 };
const ROW = 192;

/** Chooses pages of a PDF by their pictures, or by a list of their numbers. */
export function PickPages({
  resource,
  chosen,
  onTake,
  onClose,
}: {
  resource: NamedResource;
  /** Null for all. */
  chosen: readonly number[] | null;
  onTake: (pages: readonly number[] | null) => void;
  onClose: () => void;
}) {
  const { pages: there } = resource.facts as { pages: number };
  const all = Array.from({ length: there }, (_, i) => i + 1);
  const [list, setList] = useState(listOf(chosen ?? all));
  const [from, setFrom] = useState<number | null>(null);
  const read = list.trim() ? pagesIn(list) : [];
  const beyond = read?.find((page) => page > there);
  const problem = !read
    ? 'Write pages and ranges of pages, such as 1-4, 9.'
    : beyond
      ? `There is no page ${beyond}; the PDF has ${there}.`
      : '';
  const taken = new Set(read ?? []);
  const toggle = (page: number, range: boolean) => {
    const last = range && from !== null ? from : page;
    const [low, high] = [Math.min(last, page), Math.max(last, page)];
    const on = !taken.has(page);
    const next = all.filter((one) => (one >= low && one <= high ? on : taken.has(one)));
    setList(listOf(next));
    setFrom(page);
  };
  const [scroller, setScroller] = useState<HTMLDivElement | null>(null);
  const virtual = useVirtualizer({
    count: Math.ceil(there / ACROSS),
    getScrollElement: () => scroller,
    estimateSize: () => ROW,
    overscan: 1,
  });
  const only = (want: (page: number) => boolean) => setList(listOf(all.filter(want)));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Pages of {resource.name}</DialogTitle>
      <Box sx={{ px: 6, pb: 3, display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <TextField
          label="Pages"
          size="small"
          value={list}
          error={problem !== ''}
          helperText={problem || `${taken.size} of ${there}, in the order of the list`}
          onChange={(event) => setList(event.target.value)}
          sx={{ flex: 1 }}
        />
        <Button onClick={() => only(() => true)}>All</Button>
        <Button onClick={() => only((page) => page % 2 === 1)}>Odd</Button>
        <Button onClick={() => only((page) => page % 2 === 0)}>Even</Button>
        <Button onClick={() => setList('')}>None</Button>
      </Box>
      <DialogContent dividers ref={setScroller} sx={{ height: 460, position: 'relative' }}>
        <Box sx={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, start }) => (
            <Box
              key={index}
              sx={{ position: 'absolute', top: start, left: 0, right: 0, display: 'flex', gap: 2 }}
            >
              {all.slice(index * ACROSS, (index + 1) * ACROSS).map((page) => (
                <ButtonBase
                  key={page}
                  aria-pressed={taken.has(page)}
                  aria-label={`Page ${page}`}
                  onClick={(event) => toggle(page, event.shiftKey)}
                  sx={{
                    display: 'grid',
                    gridTemplateRows: '1fr auto',
                    justifyItems: 'center',
                    alignItems: 'center',
                    width: SHEET.width + 12,
                    height: ROW - 8,
                    p: 1.5,
                    borderRadius: 1,
                    border: 2,
                    borderColor: taken.has(page) ? 'primary.main' : 'transparent',
                    opacity: taken.has(page) ? 1 : 0.55,
                  }}
                >
                  <Box sx={{ outline: '1px solid', outlineColor: 'divider' }}>
                    <FileSheet file={resource} page={page} room={SHEET} />
                  </Box>
                  <Typography variant="caption">{page}</Typography>
                </ButtonBase>
              ))}
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={problem !== '' || taken.size === 0}
          onClick={() => onTake(read!.length === there && list === listOf(all) ? null : read!)}
        >
          Take {taken.size === 1 ? '1 page' : `${taken.size} pages`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
