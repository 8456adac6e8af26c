import { useDraggable, useDroppable } from '@dnd-kit/react';
import Box from '@mui/material/Box';
import { type BlockPath, blockAt, type Side } from '#core/pages/composed/edit-design.ts';
import type { BlockPlace } from '#core/pages/composed/places.ts';
import { ShownPicture } from '../../preview/picture.tsx';
import { saidBy, sortName } from './names.ts';
import type { DesignWork } from './use-design.ts';
import type { DrawnDesign } from './use-design-pages.ts';

/** Where what is being dragged would be put. */
export interface Aim {
  path: BlockPath;
  side: Side;
}

/** A page as it will be printed, with its blocks to take hold of. */
export function Sheet({
  drawn,
  side,
  work,
  width,
  aim,
}: {
  drawn: DrawnDesign | null;
  /** Which of two pages that face each other; null for one alone. */
  side: 0 | 1 | null;
  work: DesignWork;
  /** In CSS pixels. */
  width: number;
  aim: Aim | null;
}) {
  const scale = drawn ? width / drawn.sheet.width : 1;
  const height = drawn ? Math.round(drawn.sheet.height * scale) : Math.round(width * 1.5);
  const page = drawn?.pages[side ?? 0];
  const known = page?.places.filter(({ path }) => blockAt(work.design.blocks, path)) ?? [];
  return (
    <Box
      sx={{
        position: 'relative',
        boxShadow: '0 1px 6px rgba(29, 39, 51, 0.35)',
        bgcolor: '#fff',
      }}
      style={{ width, height }}
    >
      <ShownPicture
        picture={page?.picture}
        width={width}
        height={height}
        label={side === null ? 'The page' : side === 0 ? 'The left page' : 'The right page'}
      />
      {known.map((place) => (
        <Handle
          key={place.path.join('-')}
          place={place}
          side={side ?? 0}
          scale={scale}
          work={work}
          aim={aim}
        />
      ))}
    </Box>
  );
}

const EDGE: Record<Side, object> = {
  above: { top: -3, left: 0, right: 0, height: 4 },
  below: { bottom: -3, left: 0, right: 0, height: 4 },
  left: { left: -4, top: 0, bottom: 0, width: 4 },
  right: { right: -4, top: 0, bottom: 0, width: 4 },
};

function Handle({
  place: { path, rect },
  side,
  scale,
  work,
  aim,
}: {
  place: BlockPlace;
  /** A block may stand on both pages. */
  side: number;
  scale: number;
  work: DesignWork;
  aim: Aim | null;
}) {
  const block = blockAt(work.design.blocks, path)!;
  const id = path.join('-');
  const holds = block.of !== undefined;
  const { ref: drag, isDragging } = useDraggable({ id: `block ${id} ${side}`, data: { path } });
  const { ref: drop } = useDroppable({ id: `at ${id} ${side}`, data: { path }, disabled: holds });
  const selected = work.selected?.join() === path.join();
  const aimed = aim?.path.join() === path.join() ? aim.side : null;
  // Blocks side by side have nothing of their own to take hold of; they are chosen in the list.
  if (holds && block.type !== 'group' && !selected) return null;
  return (
    <Box
      ref={(element: HTMLElement | null) => {
        drag(element);
        drop(element);
      }}
      component="button"
      type="button"
      tabIndex={-1}
      aria-label={`${sortName(block.type)}${saidBy(block) ? `, ${saidBy(block)}` : ''}`}
      aria-pressed={selected}
      data-block={id}
      onClick={() => work.choose(path)}
      sx={{
        position: 'absolute',
        p: 0,
        border: 0,
        bgcolor: isDragging ? 'rgba(31, 107, 102, 0.18)' : 'transparent',
        cursor: 'grab',
        outline: selected ? '2px solid' : '1px dashed transparent',
        outlineColor: selected ? 'primary.main' : undefined,
        outlineOffset: 2,
        pointerEvents: holds && block.type !== 'group' ? 'none' : 'auto',
        '&:hover': selected ? {} : { outline: '1px dashed', outlineColor: 'primary.main' },
      }}
      style={{
        left: rect.x * scale,
        top: rect.y * scale,
        width: rect.width * scale,
        height: rect.height * scale,
      }}
    >
      {aimed && (
        <Box component="span" sx={{ position: 'absolute', bgcolor: 'warning.main', ...EDGE[aimed] }} />
      )}
    </Box>
  );
}
