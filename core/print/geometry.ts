import { innermost, type PageGrid, type PageSetting, pageGrid } from './page-grid.ts';
import { type PrintRules, paperOf } from './service.ts';

/** Height of the strip at the foot of the safe area that is kept for the page number, in points. */
export const FOLIO_STRIP = 20;

export type Side = 'recto' | 'verso';

/** A rectangle in points, origin at the upper left of the sheet, y downwards. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What the geometry needs to know of a book. Trim in points. */
export interface PrintSpec {
  trim: { width: number; height: number };
  bleed: boolean;
  ink: string;
  paper: string;
}

/** What the geometry of pages needs to know besides. */
export interface PageSpec extends PrintSpec {
  setting: PageSetting;
}

/** Where a page may hold what. `media` is the whole sheet of the file, bleed included. */
export interface PageFrame {
  side: Side;
  media: { width: number; height: number };
  trim: Rect;
  safe: Rect;
  /** Where a page may draw that carries a page number, and one that carries none. */
  body: Rect;
  unnumbered: Rect;
  /** Baseline of the page number, in points from the top of the sheet. */
  numberAt: number;
  grid: PageGrid;
}

/** Page 1 is a recto: odd pages are on the right. */
export const sideOf = (page: number): Side => (page % 2 === 1 ? 'recto' : 'verso');

/**
 * The inner margin for a page count. Common practice, no published source; only the row of 167 pages is checked.
 * Beyond the last row the widest gutter holds: the page count itself is then refused elsewhere.
 * @returns points
 */
export function gutterFor(rules: PrintRules, pages: number): number {
  const row = rules.gutters.find((known) => pages <= known.upTo) ?? rules.gutters.at(-1)!;
  return row.gutter;
}

/**
 * The frame of one page: bleed at top, bottom and the outer edge, and at the binding edge where sheets are bound loose;
 * outer edge right on a recto, left on a verso.
 * @param gutter the inner margin in points, for the page count of the book: gutterFor
 */
export function pageFrame(rules: PrintRules, spec: PageSpec, gutter: number, side: Side): PageFrame {
  const bleed = spec.bleed ? rules.bleed.width : 0;
  const inner = rules.bleed.atBinding ? bleed : 0;
  const { width, height } = spec.trim;
  const trim: Rect = { x: side === 'verso' ? bleed : inner, y: bleed, width, height };
  const outside = rules.outsideMargin;
  const safe: Rect = {
    x: trim.x + (side === 'recto' ? gutter : outside),
    y: trim.y + outside,
    width: width - gutter - outside,
    height: height - 2 * outside,
  };
  const grid = pageGrid(spec.trim, spec.setting);
  return {
    side,
    media: { width: width + bleed + inner, height: height + 2 * bleed },
    trim,
    safe,
    ...(spec.setting.margins === 'service'
      ? withinService(safe, grid, spec.setting)
      : withinPage(safe, trim, side, grid, spec.setting)),
    grid,
  };
}

type Bodies = Pick<PageFrame, 'body' | 'unnumbered' | 'numberAt'>;

/** From the foot of the safe area up to the baseline of the page number, or from its top down to the tops of figures. */
const NUMBER_INSET = 3;
const NUMBER_HEIGHT = 7;
/** Of figures, as a share of their size, with some air. */
const FIGURE_HEIGHT = 0.75;

/** The baseline of a page number. @param grid with the size that figures are asked to have, if any */
const numberAt = (safe: Rect, { numbers }: PageSetting, { leastType }: PageGrid): number =>
  numbers === 'top'
    ? safe.y + NUMBER_INSET + Math.max(NUMBER_HEIGHT, leastType * FIGURE_HEIGHT)
    : safe.y + safe.height - NUMBER_INSET;

/** Margins as narrow as they may be: a strip of the safe area is kept for the page number. */
function withinService(safe: Rect, grid: PageGrid, setting: PageSetting): Bodies {
  const height = safe.height - FOLIO_STRIP;
  const top = setting.numbers === 'top';
  return {
    unnumbered: safe,
    body: { ...safe, y: top ? safe.y + FOLIO_STRIP : safe.y, height },
    numberAt: numberAt(safe, setting, grid),
  };
}

/** Margins as set for the trim; the page number stands in the one below or above. */
function withinPage(safe: Rect, trim: Rect, side: Side, grid: PageGrid, setting: PageSetting): Bodies {
  const { margins } = grid;
  const [left, right] = side === 'recto' ? [margins.inner, margins.outer] : [margins.outer, margins.inner];
  // A number above wants the wider margin there.
  const [top, bottom] =
    setting.numbers === 'top' ? [margins.bottom, margins.top] : [margins.top, margins.bottom];
  const body = innermost(safe, {
    x: trim.x + left,
    y: trim.y + top,
    width: trim.width - left - right,
    height: trim.height - top - bottom,
  });
  return {
    body,
    unnumbered: body,
    numberAt: numberAt(safe, setting, grid),
  };
}

/** Spine = pages × paper thickness, in points; 0 for a binding without one. */
export function spineWidth(rules: PrintRules, spec: PrintSpec, pages: number): number {
  if (!rules.cover.spine) return 0;
  const paper = paperOf(rules, spec.paper);
  return pages * (paper.thickness[spec.ink] ?? paper.thickness.black!);
}

/** The front or back of a cover: its trimmed edge, and where words may stand. */
export interface CoverPanel {
  trim: Rect;
  safe: Rect;
}

/** One sheet of a cover: the whole of it, or its front or back alone. */
export interface CoverSheet {
  id: 'wrap' | 'front' | 'back';
  media: { width: number; height: number };
  trim: Rect;
  front: CoverPanel | null;
  back: CoverPanel | null;
  spine: Rect | null;
  /** Where spine text may stand; null when there is no spine, or the book is too thin to carry any. */
  spineText: Rect | null;
  barcode: Rect | null;
}

const inset = (rect: Rect, by: number): Rect => ({
  x: rect.x + by,
  y: rect.y + by,
  width: rect.width - 2 * by,
  height: rect.height - 2 * by,
});

/**
 * The sheets of a cover. In one sheet lie back, spine and front: width = bleed + trim + spine + trim + bleed, height =
 * trim + 2 × bleed. Apart, front and back are trim + 2 × bleed each way.
 */
export function coverSheets(rules: PrintRules, spec: PrintSpec, pages: number): CoverSheet[] {
  const { bleed, safeInsideTrim, parts, spine: spineRules } = rules.cover;
  const { width, height } = spec.trim;
  const panelAt = (x: number): CoverPanel => {
    const trim = { x, y: bleed, width, height };
    return { trim, safe: inset(trim, safeInsideTrim) };
  };
  const tall = 2 * bleed + height;
  if (parts === 'front and back') {
    const panel = panelAt(bleed);
    const sheet = {
      media: { width: width + 2 * bleed, height: tall },
      trim: panel.trim,
      spine: null,
      spineText: null,
    };
    return [
      { ...sheet, id: 'front', front: panel, back: null, barcode: null },
      { ...sheet, id: 'back', front: null, back: panel, barcode: barcodeIn(rules, panel.trim) },
    ];
  }
  const thickness = spineWidth(rules, spec, pages);
  const back = panelAt(bleed);
  const front = panelAt(bleed + width + thickness);
  const spine = { x: bleed + width, y: bleed, width: thickness, height };
  const textWidth = spineRules ? thickness - 2 * spineRules.clear : 0;
  const spineText =
    spineRules && pages >= spineRules.textFromPages && textWidth > 0
      ? {
          x: spine.x + spineRules.clear,
          y: spine.y + safeInsideTrim,
          width: textWidth,
          height: height - 2 * safeInsideTrim,
        }
      : null;
  return [
    {
      id: 'wrap',
      media: { width: 2 * bleed + 2 * width + thickness, height: tall },
      trim: { x: bleed, y: bleed, width: 2 * width + thickness, height },
      front,
      back,
      spine,
      spineText,
      barcode: barcodeIn(rules, back.trim),
    },
  ];
}

/** The barcode's box, at the lower corner of the back by the spine. */
function barcodeIn({ cover: { barcode } }: PrintRules, back: Rect): Rect | null {
  if (!barcode) return null;
  return {
    x: back.x + back.width - barcode.fromSpine - barcode.width,
    y: back.y + back.height - barcode.fromTrim - barcode.height,
    width: barcode.width,
    height: barcode.height,
  };
}
