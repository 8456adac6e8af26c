import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { type MouseEvent, useEffect, useMemo, useRef, useState } from 'react';
import { type CoverOverview, coverOverview, layerAt, type PlacedLayer } from '#core/cover/wrap.ts';
import type { Rect } from '#core/print/index.ts';
import { Guides, GuidesLegend } from '../../parts/guides.tsx';
import type { Picture } from '../../preview/on-canvas.ts';
import { ShownPicture } from '../../preview/picture.tsx';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { ChangeText, InPlaceText } from './in-place-text.tsx';
import { Thumbnail } from './thumbnail.tsx';

type View = 'sheet' | 'trimmed' | 'thumbnail';

/** The wrap as a flat sheet with its guides, as it will be trimmed, or as small as a shop shows it. */
export function WrapSheet({
  layers,
  onLayers,
  chosen,
  onChoose,
}: {
  layers: readonly PlacedLayer[];
  onLayers: (layers: PlacedLayer[]) => void;
  chosen: string | null;
  onChoose: (layer: string | null) => void;
}) {
  const recipe = useBook((state) => state.value);
  const { book } = useOpenBook();
  const [view, setView] = useState<View>('sheet');
  const [picture, setPicture] = useState<Picture>();
  /** The layer whose text is being changed. */
  const [changed, setChanged] = useState<PlacedLayer | null>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const area = useRef<HTMLDivElement>(null);
  const frame = useMemo(() => coverOverview(book), [book]);
  useEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(area.current!);
    return () => observer.disconnect();
  }, []);
  const scale = Math.max(0, Math.min(room.width / frame.media.width, room.height / frame.media.height));
  const width = Math.floor(frame.media.width * scale);
  const height = Math.floor(frame.media.height * scale);
  useEffect(() => {
    if (!width) return;
    let wanted = true;
    void drawingRenderer(recipe)
      .wrap(Math.round(width * Math.max(1, devicePixelRatio)))
      .then((answer) => {
        if (!wanted) return;
        setPicture(answer.picture);
        onLayers(answer.layers);
      });
    return () => {
      wanted = false;
    };
  }, [recipe, width, onLayers]);
  const choose = (event: MouseEvent<HTMLDivElement>) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const x = (event.clientX - left) / scale;
    onChoose(layerAt(layers, x, (event.clientY - top) / scale)?.id ?? null);
  };
  const marked = layers.filter(({ id }) => id === chosen);
  const [only] = frame.sheets.length === 1 ? frame.sheets : [];
  const cut = view === 'trimmed' ? trimmed(frame, scale) : 'none';
  return (
    <Box sx={{ display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr) auto', minHeight: 0, p: 4, gap: 3 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={view}
        onChange={(_, next: View | null) => next && setView(next)}
        aria-label="View of the wrap"
      >
        <ToggleButton value="sheet">Flat sheet</ToggleButton>
        <ToggleButton value="trimmed">As trimmed</ToggleButton>
        <ToggleButton value="thumbnail">160 px thumbnail</ToggleButton>
      </ToggleButtonGroup>
      <Box ref={area} sx={{ minHeight: 0, position: 'relative' }}>
        {view === 'thumbnail' ? (
          <Thumbnail />
        ) : (
          <Box sx={{ position: 'relative', mx: 'auto' }} style={{ width, height }} onClick={choose}>
            <Box style={{ clipPath: cut }}>
              <ShownPicture
                picture={picture}
                width={width}
                height={height}
                label={only ? 'The wrap: back, spine and front' : 'The cover: back and front'}
              />
            </Box>
            {view === 'sheet' && <CoverGuides sheets={frame.sheets} media={frame.media} />}
            {view === 'sheet' &&
              marked.map(({ id, box }, i) => <Chosen key={`${id} ${i}`} box={box} scale={scale} />)}
            {layers
              .filter(({ id }) => id !== changed?.id)
              .map((layer) => (
                <ChangeText
                  key={`${layer.id} ${layer.box.x}`}
                  layer={layer}
                  scale={scale}
                  onOpen={setChanged}
                />
              ))}
            {changed && <InPlaceText layer={changed} scale={scale} onClose={() => setChanged(null)} />}
          </Box>
        )}
      </Box>
      <Typography variant="caption" sx={{ whiteSpace: 'pre-wrap' }}>
        {view === 'sheet' ? (
          <GuidesLegend barcode={frame.sheets.some(({ sheet }) => sheet.barcode)} />
        ) : view === 'trimmed' ? (
          'After trimming.'
        ) : (
          'At thumbnail size: can the title be read?'
        )}
        {view !== 'thumbnail' && '   Click text to edit it, anything else to select its layer.'}
      </Typography>
    </Box>
  );
}

/** The frame round the chosen layer: light on dark and dark on light. */
function Chosen({ box, scale }: { box: Rect; scale: number }) {
  return (
    <Box
      sx={{
        position: 'absolute',
        pointerEvents: 'none',
        outline: '2px solid',
        outlineColor: 'primary.main',
        boxShadow: '0 0 0 3px #fff',
      }}
      style={{
        left: box.x * scale,
        top: box.y * scale,
        width: box.width * scale,
        height: box.height * scale,
      }}
    />
  );
}

/** What the cutter leaves of every sheet, as a CSS clip path. @param scale CSS pixels a point */
function trimmed({ sheets }: CoverOverview, scale: number): string {
  const steps = sheets.map(({ sheet: { trim }, x }) => {
    const [left, top] = [(x + trim.x) * scale, trim.y * scale];
    return `M${left} ${top}h${trim.width * scale}v${trim.height * scale}h${-trim.width * scale}Z`;
  });
  return `path("${steps.join('')}")`;
}

/** The guides of every sheet of the cover, each at its place. */
function CoverGuides({ sheets, media }: CoverOverview) {
  return sheets.map(({ sheet, x }) => {
    const { trim, front, back, spine, barcode } = sheet;
    return (
      <Box
        key={sheet.id}
        sx={{ position: 'absolute', top: 0, height: '100%', pointerEvents: 'none' }}
        style={{ left: `${(100 * x) / media.width}%`, width: `${(100 * sheet.media.width) / media.width}%` }}
      >
        <Guides
          sheet={sheet.media}
          trims={[trim]}
          safes={[back, front].flatMap((panel) => (panel ? [panel.safe] : []))}
          folds={spine ? [spine.x, spine.x + spine.width] : []}
          {...(barcode ? { barcode } : {})}
        />
      </Box>
    );
  });
}
