import { Accessibility, PointerSensor, StyleInjector } from '@dnd-kit/dom';
import { DragDropProvider, DragOverlay, useDraggable } from '@dnd-kit/react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { defaultRangeExtractor, type Range as Rows, useVirtualizer } from '@tanstack/react-virtual';
import { File, Minus, Plus } from 'lucide-react';
import {
  type KeyboardEvent,
  type RefObject,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { preload } from 'react-dom';
import { useNavigate } from 'react-router';
import { FIRST_PAGES } from '#core/book/first-pages.ts';
import type { PlannedPage } from '#core/book/planned.ts';
import { sectionsOf } from '#core/book/sections.ts';
import { pageNonce } from '../../emotion.ts';
import { type Shortcut, useListedKeys } from '../../parts/shortcuts.tsx';
import { DrawingProgress } from '../../preview/drawing-progress.tsx';
import { PAGES_KEPT } from '../../preview/page-drawer.ts';
import { usePages } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { pigmentOf } from './entries.ts';
import { FindPages } from './find-pages.tsx';
import { GAP, PAGES, PageButton } from './page-button.tsx';
import { PageRange } from './page-range.tsx';
import { StillNeeded } from './still-needed.tsx';
import { type Range, usePageRange } from './use-page-range.ts';

/** Widths of a page in the flatplan, in CSS pixels, smallest first. */
const SIZES = [52, 74, 104, 150] as const;
const CAPTION = 34;
/** Spreads that the server sends along, before it is known how many fit beside each other. */
const FIRST_SPREADS = FIRST_PAGES.pages / 2;

/** Page 1 stands alone on the right; then left and right together. Each page by itself where they are seen single. */
function spreadsOf(pages: readonly PlannedPage[], single: boolean): (readonly PlannedPage[])[] {
  if (single) return pages.map((page) => [page]);
  const spreads: PlannedPage[][] = [];
  pages.forEach((page) => {
    if (page.number === 1 || page.side === 'verso') spreads.push([page]);
    else spreads.at(-1)!.push(page);
  });
  return spreads;
}

/**
 * Pages in view and, nearest first, those around them: the rows in turn below and above.
 * @param from first row in view
 * @param to last row in view
 */
function inAndAround(
  spreads: readonly (readonly PlannedPage[])[],
  across: number,
  from: number,
  to: number,
): { inView: number[]; around: number[] } {
  const rowsOf = (first: number, last: number) =>
    spreads
      .slice(Math.max(0, first) * across, (last + 1) * across)
      .flat()
      .map(({ number }) => number);
  const rows = Math.ceil(spreads.length / across);
  const around: number[] = [];
  for (let step = 1; around.length < PAGES_KEPT && (to + step < rows || from - step >= 0); step++) {
    around.push(...rowsOf(to + step, to + step));
    if (from - step >= 0) around.push(...rowsOf(from - step, from - step));
  }
  return { inView: rowsOf(from, to), around };
}

/** The row in which a page stands. */
const rowOf = (page: number, { across, single }: { across: number; single: boolean }): number =>
  Math.floor((single ? page - 1 : Math.floor(page / 2)) / across);

const NONE: ReadonlySet<number> = new Set();
const group = 'Spreads';
const PAGE_KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From page to page', group },
  { keys: 'shift+arrows', does: 'Select pages up to there', group },
  { keys: 'enter', does: 'See the page at full size', group },
  { keys: 'alt+left', does: 'Move the selected pages back by one', group },
  { keys: 'alt+right', does: 'Move the selected pages on by one', group },
  { keys: 'mod+c', does: 'Copy the selected pages', group },
  { keys: 'mod+x', does: 'Cut the selected pages', group },
  { keys: 'mod+v', does: 'Paste behind the selected pages', group },
  { keys: 'mod+d', does: 'Duplicate the selected pages', group },
  { keys: 'delete', does: 'Remove the selected pages', group },
];

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

/** All pages as spreads; those in view are drawn first. */
export function Spreads({
  chosen,
  page,
  onChoose,
}: {
  chosen: string | null;
  page: number | null;
  onChoose: (section: string, page: number) => void;
}) {
  const { plan, ticket, firstPages } = useOpenBook();
  const [first] = useState(firstPages);
  if (first) preload(first, { as: 'image', fetchPriority: 'high' });
  const sections = useBook((state) => state.value.sections);
  const scroller = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(0);
  const [size, setSize] = useState(1);
  const [single, setSingle] = useState(false);
  useLayoutEffect(() => {
    const element = scroller.current!;
    // Not left to the observer, which speaks only after the first empty picture.
    setRoom(element.clientWidth);
    const observer = new ResizeObserver(() => setRoom(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const width = SIZES[size]!;
  const bleed = ticket.bleed ? 9 : 0;
  const height = Math.round((width * (ticket.trim.height + 2 * bleed)) / (ticket.trim.width + bleed));
  const spreads = useMemo(() => spreadsOf(plan.pages, single), [plan, single]);
  /** Pages beside each other without a gap, and how wide they are together. */
  const together = single ? 1 : 2;
  const wide = together * width;
  const across = Math.max(1, Math.floor((room - GAP) / (wide + GAP)));
  const rows = Math.ceil(spreads.length / across);
  /** Pages that are being dragged. */
  const [dragged, setDragged] = useState<Range | null>(null);
  /** The page under the pointer that they go to. */
  const [aim, setAim] = useState<number | null>(null);
  const side = !aim || !dragged ? null : aim > dragged[1] ? 'behind' : aim < dragged[0] ? 'before' : null;
  const draggedRow = dragged && rowOf(dragged[0], { across, single });
  const virtual = useVirtualizer({
    count: room ? rows : 0,
    // What is dragged stays there, however far it is scrolled.
    rangeExtractor: (shown: Rows) => {
      const inView = defaultRangeExtractor(shown);
      return draggedRow === null || inView.includes(draggedRow)
        ? inView
        : [...inView, draggedRow].sort((one, other) => one - other);
    },
    getScrollElement: () => scroller.current,
    estimateSize: () => height + CAPTION,
    overscan: 1,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows change their height with these
  useEffect(() => virtual.measure(), [virtual, height, across]);
  const mounted = virtual.getVirtualItems();
  const { startIndex, endIndex } = virtual.range ?? { startIndex: 0, endIndex: -1 };
  const { inView, around } = useMemo(
    () => inAndAround(spreads, across, startIndex, endIndex),
    [spreads, across, startIndex, endIndex],
  );
  const pixels = Math.round(
    width * (typeof devicePixelRatio === 'number' ? Math.max(1, devicePixelRatio) : 1),
  );
  const pinned = useMemo(
    () =>
      new Set(
        sectionsOf(sections).flatMap(({ id, pins = {} }) =>
          Object.keys(pins).map((item) => plan.items[id]?.pages[Number(item) - 1] ?? 0),
        ),
      ),
    [sections, plan],
  );
  const drawn = usePages(inView, pixels, around);
  const [found, setFound] = useState<ReadonlySet<number>>(NONE);
  /** The other end of a range of pages that is selected with the one that is chosen. */
  const [anchor, setAnchor] = useState<number | null>(null);
  const last = plan.pages.length;
  const range: Range | null =
    anchor === null || page === null || anchor > last || page > last || anchor === page
      ? null
      : [Math.min(anchor, page), Math.max(anchor, page)];
  /** Pages that were moved, to be selected where they stand in the plan that follows. */
  const [moved, setMoved] = useState<Range | null>(null);
  const actions = usePageRange(range ?? (page && page <= last ? [page, page] : null), setMoved);
  useEffect(() => {
    if (!moved) return;
    setMoved(null);
    setAnchor(moved[0] === moved[1] ? null : moved[0]);
    onChoose(plan.pages[moved[1] - 1]!.section!, moved[1]);
  }, [moved, plan, onChoose]);
  const { clear } = actions;
  const now = useRef({ page, plan, anchor, across, single });
  now.current = { page, plan, anchor, across, single };
  const choosePage = useCallback(
    (number: number, extend: boolean) => {
      const { section } = now.current.plan.pages[number - 1]!;
      if (!section) return;
      setAnchor(extend ? (now.current.anchor ?? now.current.page ?? number) : null);
      clear();
      onChoose(section, number);
    },
    [onChoose, clear],
  );
  const goTo = useCallback(
    (number: number, extend = false) => {
      const to = Math.max(1, Math.min(now.current.plan.pages.length, number));
      choosePage(to, extend);
      virtual.scrollToIndex(rowOf(to, now.current), { align: 'auto' });
    },
    [choosePage, virtual],
  );
  const navigate = useNavigate();
  const open = useCallback((number: number) => void navigate(`../proof?page=${number}`), [navigate]);
  useListedKeys(PAGE_KEYS);
  const onKey = (event: KeyboardEvent) => {
    const at = page ?? 0;
    const steps: Record<string, number> = {
      ArrowRight: at + 1,
      ArrowLeft: at - 1,
      ArrowDown: at + together * across,
      ArrowUp: at - together * across,
      Home: 1,
      End: last,
    };
    const to = steps[event.key];
    const byLetter: Record<string, () => unknown> = {
      c: actions.copy,
      x: actions.cut,
      v: actions.paste,
      d: actions.duplicate,
    };
    const meant = actions.range;
    const act = event.ctrlKey || event.metaKey ? byLetter[event.key.toLowerCase()] : undefined;
    if (to !== undefined && !event.altKey) goTo(to, event.shiftKey);
    else if (event.key === 'Enter' && page) open(page);
    else if (event.key === 'Escape') {
      setAnchor(null);
      clear();
    } else if (meant && act) act();
    else if (meant && event.key === 'Delete') actions.remove();
    else if (meant && event.altKey && event.key === 'ArrowLeft' && meant[0] > 1)
      actions.move(meant, meant[0] - 1);
    else if (meant && event.altKey && event.key === 'ArrowRight' && meant[1] < last)
      actions.move(meant, meant[1] + 2);
    else return;
    event.preventDefault();
  };
  const shown = (spread: readonly PlannedPage[]) => (
    <div key={spread[0]!.number} data-spread={single ? 'single' : spread[0]!.side} style={{ width: wide }}>
      {spread.map((planned) => (
        <PageButton
          key={planned.number}
          number={planned.number}
          side={planned.side}
          section={planned.section}
          role={planned.role}
          width={width}
          height={height}
          drawn={drawn}
          first={first}
          pigment={pigmentOf(sections, planned.section)}
          pinned={pinned.has(planned.number)}
          chosen={planned.number === page || (page === null && planned.section === chosen)}
          selected={range !== null && planned.number >= range[0] && planned.number <= range[1]}
          found={found.has(planned.number)}
          drop={planned.number === aim ? side : null}
          onChoose={choosePage}
          onOpen={open}
        />
      ))}
    </div>
  );

  // One page alone is spoken of only where something was done to it.
  const bar = range !== null || (actions.range !== null && actions.told !== '');

  // Choosing a section in the running order brings its first page into view.
  const toChosen = useRef({ chosen, across, plan, single });
  toChosen.current = { chosen, across, plan, single };
  useEffect(() => {
    const { plan: now } = toChosen.current;
    const first = now.runs.find((run) => run.section === chosen && run.role === 'body')?.first;
    if (first && scroller.current) virtual.scrollToIndex(rowOf(first, toChosen.current), { align: 'auto' });
  }, [chosen, virtual]);

  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateRows: bar ? 'auto auto minmax(0, 1fr)' : 'auto minmax(0, 1fr)',
        minHeight: 0,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 4, px: 4, pt: 2 }}>
        <Typography sx={{ fontWeight: 700 }}>{single ? 'Pages' : 'Spreads'}</Typography>
        <Typography color="text.secondary" noWrap sx={{ flex: 'none' }}>
          {single ? `1–${plan.pages.length}` : `pages 1–${plan.pages.length}`}
        </Typography>
        <DrawingProgress pages={drawn} />
        <Box sx={{ flex: 1 }} />
        <ToggleButton
          size="small"
          value="single"
          selected={single}
          aria-label="Single pages"
          title="Single pages instead of spreads"
          onChange={() => setSingle(!single)}
        >
          <File size={16} />
        </ToggleButton>
        <FindPages page={page} onPage={goTo} onFound={setFound} />
        <Button
          size="small"
          disabled={size === 0}
          onClick={() => setSize(size - 1)}
          aria-label="Smaller pages"
        >
          <Minus size={16} />
        </Button>
        <Button
          size="small"
          disabled={size === SIZES.length - 1}
          onClick={() => setSize(size + 1)}
          aria-label="Larger pages"
        >
          <Plus size={16} />
        </Button>
      </Box>
      {bar && (
        <PageRange
          actions={actions}
          onDone={() => {
            setAnchor(null);
            clear();
          }}
        />
      )}
      <Box
        ref={scroller}
        role="region"
        aria-label="Spreads"
        tabIndex={0}
        onKeyDown={onKey}
        sx={{ overflow: 'auto', px: 4, pt: 2, ...PAGES }}
      >
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
            // With one of them, all that are selected are dragged.
            setDragged(range && number >= range[0] && number <= range[1] ? range : [number, number]);
          }}
          onDragMove={({ operation, to }) => {
            const { x, y } = to ?? operation.position.current;
            // What is shown of the dragged pages lies above.
            setAim(document.elementsFromPoint(x, y).map(pageAt).find(Boolean) ?? null);
          }}
          onDragEnd={({ canceled }) => {
            setDragged(null);
            setAim(null);
            if (!canceled && dragged && aim && side) actions.move(dragged, side === 'behind' ? aim + 1 : aim);
          }}
        >
          <DraggedPage among={scroller} />
          <Box sx={{ position: 'relative', height: virtual.getTotalSize() }}>
            {room === 0 && (
              <div
                data-flow
                style={{
                  gridTemplateColumns: `repeat(auto-fill, ${wide}px)`,
                  gridAutoRows: height + CAPTION,
                }}
              >
                {spreads.slice(0, FIRST_SPREADS).map(shown)}
              </div>
            )}
            {mounted.map(({ index, start }) => (
              <div key={index} data-row={index} style={{ transform: `translateY(${start}px)` }}>
                {spreads.slice(index * across, (index + 1) * across).map(shown)}
              </div>
            ))}
          </Box>
          <DragOverlay dropAnimation={null}>
            {dragged && (
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
                {dragged[0] === dragged[1] ? `Page ${dragged[0]}` : `Pages ${dragged[0]}–${dragged[1]}`}
              </Typography>
            )}
          </DragOverlay>
        </DragDropProvider>
        <StillNeeded />
      </Box>
    </Box>
  );
}
