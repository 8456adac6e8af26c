/** Something that flows through columns, measured in lines. */
export interface Flowing {
  lines: number;
  /** Stands in one column, cut to it where it is longer. */
  whole?: boolean;
  /** Stays with the beginning of what follows: a heading. */
  withNext?: boolean;
}

/** Where a part of it stands. */
export interface FlowedPart {
  /** Place among all that flows. */
  of: number;
  /** Its first line there, and how many lines. */
  from: number;
  lines: number;
  column: number;
  /** Lines above it in its column. */
  row: number;
}

export interface Columns {
  columns: number;
  /** Lines in a column. */
  rows: number;
  /**
   * Lines of one text that stand together at the foot and at the head of a column, so that none is alone there (Chicago
   * Manual of Style, 17th edition, 2.116: no widows); 2 if left out.
   */
  min?: number;
}

const LEAST = 2;

interface Place {
  of: number;
  from: number;
}

/** Lines of what is at a place that may stand in so much room: none where it goes to the next column. */
function taking(
  all: readonly Flowing[],
  { of, from }: Place,
  room: number,
  rows: number,
  min: number,
): number {
  const { lines, whole, withNext } = all[of]!;
  const left = lines - from;
  const atHead = room === rows;
  if (left <= room) {
    const next = of + 1;
    const parted =
      withNext && next < all.length && taking(all, { of: next, from: 0 }, room - left, rows, min) === 0;
    return parted && !atHead ? 0 : left;
  }
  if (whole) return atHead ? room : 0;
  let taken = room;
  if (left - taken < min) taken = Math.max(0, left - min);
  if (from === 0 && taken < min) taken = 0;
  // A column that is too short for any rule is filled all the same.
  return taken === 0 && atHead ? room : taken;
}

/** Fills one page. @returns what stands on it, and what comes next */
function fillPage(all: readonly Flowing[], start: Place, { columns, rows, min = LEAST }: Columns) {
  const parts: FlowedPart[] = [];
  let at = start;
  for (let column = 0, row = 0; at.of < all.length && column < columns; ) {
    const lines = taking(all, at, rows - row, rows, min);
    if (lines > 0) {
      parts.push({ ...at, lines, column, row });
      row += lines;
      const { lines: length, whole } = all[at.of]!;
      at =
        whole || at.from + lines >= length
          ? { of: at.of + 1, from: 0 }
          : { of: at.of, from: at.from + lines };
    }
    if (lines === 0 || row >= rows) {
      column++;
      row = 0;
    }
  }
  return { parts, next: at };
}

/**
 * Lets texts flow through columns, page after page. Their first or last line stands alone in no column where that can be
 * helped, and the columns of the last page are as short as they can be, which makes them alike.
 */
export function flowColumns(all: readonly Flowing[], layout: Columns): FlowedPart[][] {
  const pages: FlowedPart[][] = [];
  for (let at: Place = { of: 0, from: 0 }; at.of < all.length; ) {
    let filled = fillPage(all, at, layout);
    if (filled.next.of === all.length) {
      for (let rows = layout.rows - 1; rows > 0; rows--) {
        const shorter = fillPage(all, at, { ...layout, rows });
        if (shorter.next.of < all.length || isWorse(all, shorter.parts, filled.parts, layout.min)) break;
        filled = shorter;
      }
    }
    pages.push(filled.parts);
    at = filled.next;
  }
  return pages;
}

/** Lines that stand alone at the foot or the head of a column. */
const alone = (all: readonly Flowing[], parts: readonly FlowedPart[], min: number): number =>
  parts.filter(({ of, from, lines }) => {
    const last = from + lines === all[of]!.lines;
    return !all[of]!.whole && lines < min && (from === 0) !== last;
  }).length;

const linesIn = (parts: readonly FlowedPart[]): number => parts.reduce((sum, { lines }) => sum + lines, 0);

/** Whether shorter columns are worse: they cut something that stands whole, or leave a line alone. */
const isWorse = (
  all: readonly Flowing[],
  shorter: readonly FlowedPart[],
  longer: readonly FlowedPart[],
  min = LEAST,
): boolean => linesIn(shorter) < linesIn(longer) || alone(all, shorter, min) > alone(all, longer, min);
