import { defaultRangeExtractor, type Range as Rows, useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import type { PlannedPage } from '#core/book/planned.ts';
import { PAGES_KEPT } from '../../preview/page-drawer.ts';
import { useOpenBook } from '../open-book.tsx';
import { GAP } from './page-button.tsx';

/** Widths of a page in the flatplan, in CSS pixels, smallest first. */
export const SIZES = [52, 74, 104, 150] as const;
/** The room under a row for the numbers of its pages. */
export const CAPTION = 34;

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

/**
 * Pages as spreads, or single, in rows as wide as their room; only those in view are there.
 * @param size a place in `SIZES`
 * @param kept a page whose row stays, however far it is scrolled
 */
export function useSpreadRows({
  scroller,
  size,
  single,
  kept,
}: {
  scroller: RefObject<HTMLDivElement | null>;
  size: number;
  single: boolean;
  kept: number | undefined;
}) {
  const { plan, ticket } = useOpenBook();
  const [room, setRoom] = useState(0);
  useLayoutEffect(() => {
    const element = scroller.current!;
    // Not left to the observer, which speaks only after the first empty picture.
    setRoom(element.clientWidth);
    const observer = new ResizeObserver(() => setRoom(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, [scroller]);

  const width = SIZES[size]!;
  const bleed = ticket.bleed ? 9 : 0;
  const height = Math.round((width * (ticket.trim.height + 2 * bleed)) / (ticket.trim.width + bleed));
  const spreads = useMemo(() => spreadsOf(plan.pages, single), [plan, single]);
  /** Pages beside each other without a gap, and how wide they are together. */
  const together = single ? 1 : 2;
  const wide = together * width;
  const across = Math.max(1, Math.floor((room - GAP) / (wide + GAP)));
  const rowOf = (page: number): number => Math.floor((single ? page - 1 : Math.floor(page / 2)) / across);
  const rowKept = kept === undefined ? null : rowOf(kept);
  const virtual = useVirtualizer({
    count: room ? Math.ceil(spreads.length / across) : 0,
    rangeExtractor: (shown: Rows) => {
      const inView = defaultRangeExtractor(shown);
      return rowKept === null || inView.includes(rowKept)
        ? inView
        : [...inView, rowKept].sort((one, other) => one - other);
    },
    getScrollElement: () => scroller.current,
    estimateSize: () => height + CAPTION,
    overscan: 1,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows change their height with these
  useEffect(() => virtual.measure(), [virtual, height, across]);
  const { startIndex, endIndex } = virtual.range ?? { startIndex: 0, endIndex: -1 };
  const { inView, around } = useMemo(
    () => inAndAround(spreads, across, startIndex, endIndex),
    [spreads, across, startIndex, endIndex],
  );
  return {
    /** Whether it is known how many spreads fit beside each other. */
    isLaidOut: room > 0,
    ...{ spreads, width, height, wide, together, across, virtual, inView, around },
    /** Brings a page into view. */
    show: (page: number) => virtual.scrollToIndex(rowOf(page), { align: 'auto' }),
  };
}
