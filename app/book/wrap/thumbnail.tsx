import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { contrastNeeded, READABLE, THUMBNAIL as WIDTH } from '#core/cover/legibility.ts';
import type { Renderer } from '../../preview/first-drawing.ts';
import type { Picture } from '../../preview/on-canvas.ts';
import { ShownPicture } from '../../preview/picture.tsx';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

const adviceOn = ({ contrast, capHeight }: { contrast: number | null; capHeight: number }): string => {
  if (contrast !== null && contrast < contrastNeeded(0)) return 'Low contrast: choose another palette.';
  if (capHeight < READABLE.thumbnailCapHeight) return 'Too small: shorten the title or set it larger.';
  return 'Readable.';
};

/** The front at 160 px, and whether its title stands out. */
export function Thumbnail() {
  const recipe = useBook((state) => state.value);
  const { ticket } = useOpenBook();
  const [picture, setPicture] = useState<Picture>();
  const [title, setTitle] = useState<Awaited<ReturnType<Renderer['titleInShop']>>>(null);
  const height = Math.round((WIDTH * ticket.trim.height) / ticket.trim.width);
  useEffect(() => {
    let wanted = true;
    const renderer = drawingRenderer(recipe);
    void Promise.all([renderer.front(WIDTH, height), renderer.titleInShop(height / WIDTH)]).then(
      ([drawn, shown]) => {
        if (!wanted) return;
        setPicture(drawn);
        setTitle(shown);
      },
    );
    return () => {
      wanted = false;
    };
  }, [recipe, height]);
  return (
    <Box>
      <Box sx={{ width: WIDTH, border: 1, borderColor: 'divider' }}>
        <ShownPicture picture={picture} width={WIDTH} height={height} label="The front as a thumbnail" />
      </Box>
      {title && (
        <Typography variant="caption" component="p" sx={{ mt: 1 }}>
          {title.contrast !== null && `Title contrast ${title.contrast.toFixed(1)} : 1, `}
          capitals {title.capHeight.toFixed(1)} px high. <strong>{adviceOn(title)}</strong>
        </Typography>
      )}
    </Box>
  );
}
