import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { contrast } from '../../parts/contrast.ts';
import { ShownPicture } from '../../preview/picture.tsx';
import { drawingPress } from '../../preview/press.ts';
import type { Picture } from '../../preview/press.worker.ts';
import { useDesk } from '../book-desk.tsx';
import { useBook } from '../store.ts';

/** Width of a shop's thumbnail, in pixels. */
const WIDTH = 160;
/** Contrast under which words of any size are hard to read (WCAG 2.2, 1.4.3, large text). */
const READABLE = 3;

/** The front at 160 px, and whether its title stands out. */
export function Thumbnail() {
  const recipe = useBook((state) => state.value);
  const { ticket } = useDesk();
  const [picture, setPicture] = useState<Picture>();
  const height = Math.round((WIDTH * ticket.trim.height) / ticket.trim.width);
  useEffect(() => {
    let wanted = true;
    void drawingPress(recipe)
      .front(WIDTH, height)
      .then((answer) => {
        if (wanted) setPicture(answer);
      });
    return () => {
      wanted = false;
    };
  }, [recipe, height]);
  const { ground, accent } = recipe.style.palette as { ground: string; accent: string };
  const ratio = contrast(ground, accent);
  return (
    <Box>
      <Box sx={{ width: WIDTH, border: 1, borderColor: 'divider' }}>
        <ShownPicture picture={picture} width={WIDTH} height={height} label="The front as a thumbnail" />
      </Box>
      <Typography variant="caption" component="p" sx={{ mt: 1 }}>
        Title contrast {ratio.toFixed(1)} : 1.{' '}
        <strong>{ratio >= READABLE ? 'Readable' : 'Too pale: choose another palette'}</strong>
      </Typography>
    </Box>
  );
}
