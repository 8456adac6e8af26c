import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { frameOf } from '#core/book/draw.ts';
import type { PlannedPage } from '#core/book/planned.ts';
import { Guides } from '../../parts/guides.tsx';
import { DrawingProgress } from '../../preview/drawing-progress.tsx';
import { PagePicture } from '../../preview/picture.tsx';
import { usePages } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';

/** CSS pixels of a point at full size: 96 to the inch. */
const FULL_SIZE = 96 / 72;

/** Pages two by two, fitted to the window or at full size; arrows turn them. */
export function PageViewer({ page, onPage }: { page: number; onPage: (page: number) => void }) {
  const { book, plan } = useOpenBook();
  const [guides, setGuides] = useState(true);
  const [size, setSize] = useState<'fit' | 'full'>('fit');
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const area = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(area.current!);
    return () => observer.disconnect();
  }, []);
  const last = plan.pages.length;
  const at = Math.min(page, last);
  const left = at % 2 === 0 ? at : at - 1;
  const spread = [left, left + 1]
    .map((number) => plan.pages[number - 1])
    .filter((found): found is PlannedPage => found !== undefined);
  const media = spread[0] ? frameOf(book, spread[0]).media : { width: 432, height: 648 };
  const scale =
    size === 'full'
      ? FULL_SIZE
      : Math.max(0, Math.min(room.width / (media.width * 2), room.height / media.height));
  const width = Math.floor(media.width * scale);
  const height = Math.floor(media.height * scale);
  const pixels = Math.round(
    width * (typeof devicePixelRatio === 'number' ? Math.max(1, devicePixelRatio) : 1),
  );
  const drawn = usePages(
    spread.map(({ number }) => number),
    room.width ? pixels : 0,
  );
  // At full size a spread is wider than the room: the page that was asked for is the one that is seen.
  useEffect(() => {
    area.current?.scrollTo({ left: size === 'full' && at % 2 === 1 ? width : 0, top: 0 });
  }, [at, size, width]);
  const turn = (by: number) => onPage(Math.max(1, Math.min(last, left + by)));
  const onKey = (event: KeyboardEvent) => {
    if (event.altKey || event.target !== event.currentTarget) return;
    if (event.key === 'ArrowRight' || event.key === 'PageDown') turn(2);
    else if (event.key === 'ArrowLeft' || event.key === 'PageUp') turn(-2);
    else if (event.key === 'Home') onPage(1);
    else if (event.key === 'End') onPage(last);
    else if (event.key === 'g') setGuides(!guides);
    else return;
    event.preventDefault();
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        gridTemplateRows: 'auto minmax(0, 1fr)',
        minHeight: 0,
        p: 3,
        gap: 2,
      }}
    >
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          gap: 2,
          '& button, & > span': { whiteSpace: 'nowrap' },
        }}
      >
        <Button size="small" startIcon={<ArrowLeft size={16} />} disabled={left < 2} onClick={() => turn(-2)}>
          Previous
        </Button>
        <TextField
          label="Page"
          value={at}
          onChange={(event) => onPage(Math.max(1, Math.min(last, Number(event.target.value) || 1)))}
          sx={{ width: 76 }}
        />
        <span>of {last}</span>
        <Button
          size="small"
          endIcon={<ArrowRight size={16} />}
          disabled={left + 1 >= last}
          onClick={() => turn(2)}
        >
          Next
        </Button>
        <Box sx={{ flex: 1 }} />
        <DrawingProgress pages={drawn} />
        <FormControlLabel
          control={<Switch size="small" checked={guides} onChange={(_, on) => setGuides(on)} />}
          label="Guides"
        />
        <ToggleButtonGroup
          exclusive
          size="small"
          value={size}
          onChange={(_, next: 'fit' | 'full' | null) => next && setSize(next)}
          aria-label="Size"
        >
          <ToggleButton value="fit">Fit</ToggleButton>
          <ToggleButton value="full">Full size</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Box
        ref={area}
        role="region"
        aria-label="Pages"
        tabIndex={0}
        onKeyDown={onKey}
        sx={{ overflow: size === 'full' ? 'auto' : 'hidden', minHeight: 0 }}
      >
        <Box sx={{ display: 'flex', justifyContent: size === 'full' ? 'flex-start' : 'center' }}>
          {left === 0 && <Box style={{ width, flex: 'none' }} />}
          {spread.map((planned) => {
            const frame = frameOf(book, planned);
            return (
              <Box
                key={planned.number}
                data-page={planned.number}
                sx={{
                  position: 'relative',
                  flex: 'none',
                  outline: '1px solid',
                  outlineColor: planned.number === at ? 'primary.main' : 'divider',
                  zIndex: planned.number === at ? 1 : 0,
                }}
                style={{ width, height }}
              >
                <PagePicture
                  pages={drawn}
                  page={planned.number}
                  width={width}
                  height={height}
                  label={`Page ${planned.number}`}
                />
                {guides && <Guides sheet={frame.media} trims={[frame.trim]} safes={[frame.safe]} />}
              </Box>
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}
