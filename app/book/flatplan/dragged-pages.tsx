import { Accessibility, PointerSensor, StyleInjector } from '@dnd-kit/dom';
import { DragDropProvider, DragOverlay, useDraggable } from '@dnd-kit/react';
import Typography from '@mui/material/Typography';
import {
  type Dispatch,
  type ReactNode,
  type RefObject,
  type SetStateAction,
  useEffect,
  useState,
} from 'react';
import { pageNonce } from '../../emotion.ts';
import type { Range } from './use-page-range.ts';

const PAGE = 'button[data-page]';
const pageAt = (element: Element | null | undefined): number | null =>
  Number(element?.closest<HTMLElement>(PAGE)?.dataset.page) || null;

/**
 * Lets the page under the pointer be dragged, and no other: to make one of each of a book's pages as they are scrolled past
 * takes longer than all else.
 */
function DraggedPage({ among }: { among: RefObject<HTMLElement | null> }) {
  const [element, setElement] = useState<HTMLElement | null>(null);
  const { isDragging } = useDraggable({
    id: 'page',
    disabled: element === null,
    ...(element ? { element } : {}),
  });
  useEffect(() => {
    const pages = among.current;
    if (!pages || isDragging) return;
    const over = ({ target }: Event) => {
      const page = (target as Element).closest<HTMLElement>(PAGE);
      if (page) setElement(page);
    };
    pages.addEventListener('pointerover', over);
    return () => pages.removeEventListener('pointerover', over);
  }, [among, isDragging]);
  return null;
}

interface Dragged {
  pages: Range | null;
  /** The page under the pointer. */
  aim: number | null;
}
const NOTHING: Dragged = { pages: null, aim: null };

/** Pages that are dragged, and where they go. */
export interface Dragging extends Dragged {
  /** On which side of the page under the pointer they go in; null where they do not. */
  side: 'before' | 'behind' | null;
  change: Dispatch<SetStateAction<Dragged>>;
}

export function useDragging(): Dragging {
  const [{ pages, aim }, change] = useState(NOTHING);
  const side = !aim || !pages ? null : aim > pages[1] ? 'behind' : aim < pages[0] ? 'before' : null;
  return { pages, aim, side, change };
}

/**
 * Lets pages be dragged to others.
 * @param among what holds them
 * @param selected pages of which one takes all with it
 * @param onMove is told the page before which they go
 */
export function DraggedPages({
  among,
  dragging: { pages, aim, side, change },
  selected,
  onMove,
  children,
}: {
  among: RefObject<HTMLElement | null>;
  dragging: Dragging;
  selected: Range | null;
  onMove: (pages: Range, before: number) => void;
  children: ReactNode;
}) {
  return (
    <DragDropProvider
      sensors={[PointerSensor]}
      // By keyboard, pages are moved by the keys of the spreads.
      plugins={(defaults) => [
        ...defaults.filter((plugin) => plugin !== Accessibility),
        StyleInjector.configure({ nonce: pageNonce() ?? '' }),
      ]}
      onDragStart={({ operation }) => {
        const number = pageAt(operation.source?.element);
        if (!number) return;
        const takesAll = selected && number >= selected[0] && number <= selected[1];
        change({ pages: takesAll ? selected : [number, number], aim: null });
      }}
      onDragMove={({ operation, to }) => {
        const { x, y } = to ?? operation.position.current;
        // What is shown of the dragged pages lies above.
        const under = document.elementsFromPoint(x, y).map(pageAt).find(Boolean) ?? null;
        change((now) => (now.aim === under ? now : { ...now, aim: under }));
      }}
      onDragEnd={({ canceled }) => {
        change(NOTHING);
        if (!canceled && pages && aim && side) onMove(pages, side === 'behind' ? aim + 1 : aim);
      }}
    >
      <DraggedPage among={among} />
      {children}
      <DragOverlay dropAnimation={null}>
        {pages && (
          <Typography
            component="span"
            sx={{
              bgcolor: 'primary.main',
              color: 'primary.contrastText',
              borderRadius: 1,
              px: 2,
              py: 1,
              fontWeight: 700,
              whiteSpace: 'nowrap',
            }}
          >
            {pages[0] === pages[1] ? `Page ${pages[0]}` : `Pages ${pages[0]}–${pages[1]}`}
          </Typography>
        )}
      </DragOverlay>
    </DragDropProvider>
  );
}
