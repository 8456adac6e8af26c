import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { File, Minus, Plus } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { preload } from 'react-dom';
import { useNavigate } from 'react-router';
import { FIRST_PAGES } from '#core/book/first-pages.ts';
import type { Plan, PlannedPage } from '#core/book/planned.ts';
import { sectionsOf } from '#core/book/sections.ts';
import { DrawingProgress } from '../../preview/drawing-progress.tsx';
import { usePages } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { DraggedPages, useDragging } from './dragged-pages.tsx';
import { pigmentOf } from './entries.ts';
import { FindPages } from './find-pages.tsx';
import { PAGES, PageButton } from './page-button.tsx';
import { PageRange } from './page-range.tsx';
import { StillNeeded } from './still-needed.tsx';
import { usePageKeys } from './use-page-keys.ts';
import { type Range, usePageRange } from './use-page-range.ts';
import { CAPTION, SIZES, useSpreadRows } from './use-spread-rows.ts';

/** Spreads that the server sends along, before it is known how many fit beside each other. */
const FIRST_SPREADS = FIRST_PAGES.pages / 2;

const NONE: ReadonlySet<number> = new Set();

/** All pages as spreads; those in view are drawn first. */
export function Spreads({
  chosen,
  page,
  onChoose,
  onAdd,
}: {
  chosen: string | null;
  page: number | null;
  onChoose: (section: string, page: number) => void;
  /** Pages are to be added behind one. */
  onAdd: (page: number) => void;
}) {
  const { plan, firstPages } = useOpenBook();
  const [first] = useState(firstPages);
  if (first) preload(first, { as: 'image', fetchPriority: 'high' });
  const sections = useBook((state) => state.value.sections);
  const scroller = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState(1);
  const [single, setSingle] = useState(false);
  const dragging = useDragging();
  const { spreads, width, height, wide, across, inView, around, ...rows } = useSpreadRows({
    ...{ scroller, size, single },
    kept: dragging.pages?.[0],
  });
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
  /** The other end of a range of pages that is selected with the one that is chosen, which it may be itself. */
  const [anchor, setAnchor] = useState<number | null>(null);
  const last = plan.pages.length;
  const range: Range | null =
    anchor === null || page === null || anchor > last || page > last
      ? null
      : [Math.min(anchor, page), Math.max(anchor, page)];
  /** Pages that were moved, to be selected where they stand in the plan that follows this one. */
  const [moved, setMoved] = useState<{ range: Range; before: Plan } | null>(null);
  const actions = usePageRange(range ?? (page && page <= last ? [page, page] : null), (moved) =>
    setMoved({ range: moved, before: plan }),
  );
  useEffect(() => {
    if (!moved || moved.before === plan) return;
    const [from, to] = moved.range;
    setMoved(null);
    setAnchor(from);
    onChoose(plan.pages[to - 1]!.section!, to);
  }, [moved, plan, onChoose]);
  const { clear } = actions;
  const now = useRef({ page, plan, anchor, show: rows.show });
  now.current = { page, plan, anchor, show: rows.show };
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
      now.current.show(to);
    },
    [choosePage],
  );
  const navigate = useNavigate();
  const open = useCallback((number: number) => void navigate(`../proof?page=${number}`), [navigate]);
  const letGo = () => {
    setAnchor(null);
    clear();
  };
  const onKey = usePageKeys({
    ...{ page, last, actions },
    inRow: rows.together * across,
    onGo: goTo,
    onOpen: open,
    onClear: letGo,
  });
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
          drop={planned.number === dragging.aim ? dragging.side : null}
          onChoose={choosePage}
          onOpen={open}
        />
      ))}
    </div>
  );

  // One page alone is spoken of only where something was done to it.
  const bar = range !== null || (actions.range !== null && actions.told !== '');

  // Choosing a section in the running order brings its first page into view.
  useEffect(() => {
    const { plan, show } = now.current;
    const first = plan.runs.find((run) => run.section === chosen && run.role === 'body')?.first;
    if (first && scroller.current) show(first);
  }, [chosen]);

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
      {bar && <PageRange actions={actions} onAdd={onAdd} onDone={letGo} />}
      <Box
        ref={scroller}
        role="region"
        aria-label="Spreads"
        tabIndex={0}
        onKeyDown={onKey}
        sx={{ overflow: 'auto', px: 4, pt: 2, ...PAGES }}
      >
        <DraggedPages among={scroller} dragging={dragging} selected={range} onMove={actions.move}>
          <Box sx={{ position: 'relative', height: rows.virtual.getTotalSize() }}>
            {!rows.isLaidOut && (
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
            {rows.virtual.getVirtualItems().map(({ index, start }) => (
              <div key={index} data-row={index} style={{ transform: `translateY(${start}px)` }}>
                {spreads.slice(index * across, (index + 1) * across).map(shown)}
              </div>
            ))}
          </Box>
        </DraggedPages>
        <StillNeeded />
      </Box>
    </Box>
  );
}
