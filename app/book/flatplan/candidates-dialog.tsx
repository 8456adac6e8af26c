import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { rollOf, takeRoll } from '#core/book/edit.ts';
import { complain } from '../../parts/notices.tsx';
import { ShownPicture } from '../../preview/picture.tsx';
import type { Candidate } from '../../preview/renderer.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import type { ItemDialogProps } from './item-dialog-props.ts';

/** Looked at together. */
export const CANDIDATES = 20;
/** Of a picture, in CSS pixels. */
const WIDTH = 190;

/** One item made twenty times over, side by side: the one at hand first. The best of them is taken. */
export function CandidatesDialog({ section, item, label, onClose }: ItemDialogProps) {
  const edit = useBook((state) => state.edit);
  const store = useBookStore();
  const { ticket } = useOpenBook();
  const now = rollOf(section, item);
  const [from, setFrom] = useState(now);
  const [found, setFound] = useState<readonly Candidate[]>([]);
  const [chosen, setChosen] = useState(now);
  const height = Math.round((WIDTH * ticket.trim.height) / ticket.trim.width);
  useEffect(() => {
    let wanted = true;
    setFound([]);
    const recipe = store.getState().value;
    void (async () => {
      try {
        for (let roll = from; wanted && roll < from + CANDIDATES; roll++) {
          const place = { section: section.id, item, roll };
          const pixels = Math.round(WIDTH * globalThis.devicePixelRatio);
          const candidate = await drawingRenderer().candidate(recipe, place, pixels);
          if (wanted) setFound((before) => [...before, candidate]);
        }
      } catch (error) {
        if (wanted) complain(`No more candidates: ${(error as Error).message}`);
      }
    })();
    return () => {
      wanted = false;
    };
  }, [store, section.id, item, from]);
  const take = (roll: number) => {
    if (roll !== now) edit((recipe) => takeRoll(recipe, section.id, item, roll));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg">
      <DialogTitle>Candidates for {label}</DialogTitle>
      <Box sx={{ height: 4 }}>
        {found.length < CANDIDATES && (
          <LinearProgress
            variant="determinate"
            value={(100 * found.length) / CANDIDATES}
            aria-label="Candidates made"
          />
        )}
      </Box>
      <DialogContent sx={{ position: 'relative', height: '76vh' }}>
        <Box
          role="radiogroup"
          onKeyDown={(event) => {
            const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            const next = way && event.currentTarget.children[chosen - from + way];
            if (!next) return;
            event.preventDefault();
            setChosen(chosen + way);
            (next as HTMLElement).focus();
          }}
          aria-label={`Candidates for ${label}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: `repeat(auto-fill, minmax(${WIDTH + 12}px, 1fr))`,
            gap: 4,
          }}
        >
          {found.map(({ picture, told }, i) => {
            const roll = from + i;
            const isNow = roll === now;
            return (
              <ButtonBase
                key={roll}
                role="radio"
                aria-checked={roll === chosen}
                aria-label={[`Candidate ${i + 1}`, isNow ? 'as it is now' : '', told]
                  .filter(Boolean)
                  .join(', ')}
                onClick={() => setChosen(roll)}
                onDoubleClick={() => take(roll)}
                sx={{
                  display: 'grid',
                  alignContent: 'start',
                  justifyItems: 'center',
                  gap: 1,
                  p: 1,
                  border: 2,
                  borderRadius: 1,
                  borderColor: roll === chosen ? 'primary.main' : 'transparent',
                }}
              >
                <Box sx={{ border: 1, borderColor: 'divider' }}>
                  <ShownPicture
                    picture={picture}
                    width={WIDTH}
                    height={height}
                    label={`Page of candidate ${i + 1}`}
                  />
                </Box>
                <Typography variant="body2">
                  {isNow ? ['Now', told].filter(Boolean).join(': ') : told}
                </Typography>
              </ButtonBase>
            );
          })}
        </Box>
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Button disabled={found.length < CANDIDATES} onClick={() => setFrom(from + CANDIDATES)}>
          {CANDIDATES} others
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={chosen === now} onClick={() => take(chosen)}>
          Take this one
        </Button>
      </DialogActions>
    </Dialog>
  );
}
