import type { PrintService } from './service.ts';
import { paperOf } from './service.ts';

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

/** Where a page may hold what. `media` is the whole sheet of the file, bleed included. */
export interface PageFrame {
  side: Side;
  media: { width: number; height: number };
  trim: Rect;
  safe: Rect;
}

/** Page 1 is a recto: odd pages are on the right. */
export const sideOf = (page: number): Side => (page % 2 === 1 ? 'recto' : 'verso');

/**
 * The inner margin for a page count. Common practice, no published source; only the row of 167 pages is checked.
 * Beyond the last row the widest gutter holds: the page count itself is then refused elsewhere.
 * @returns points
 */
export function gutterFor(service: PrintService, pages: number): number {
  const row = service.gutters.find((known) => pages <= known.upTo) ?? service.gutters.at(-1)!;
  return row.gutter;
}

/**
 * The frame of one page: bleed at top, bottom and the outer edge, never at the spine; outer edge right on a
 * recto, left on a verso.
 * @param gutter the inner margin in points, for the page count of the book: gutterFor
 */
export function pageFrame(service: PrintService, spec: PrintSpec, gutter: number, side: Side): PageFrame {
  const bleed = spec.bleed ? service.bleed : 0;
  const { width, height } = spec.trim;
  const trim: Rect = { x: side === 'verso' ? bleed : 0, y: bleed, width, height };
  const outside = service.outsideMargin;
  return {
    side,
    media: { width: width + bleed, height: height + 2 * bleed },
    trim,
    safe: {
      x: trim.x + (side === 'recto' ? gutter : outside),
      y: trim.y + outside,
      width: width - gutter - outside,
      height: height - 2 * outside,
    },
  };
}

/** Spine = pages × paper thickness, in points. */
export function spineWidth(service: PrintService, spec: PrintSpec, pages: number): number {
  const paper = paperOf(service, spec.paper);
  return pages * (paper.thickness[spec.ink] ?? paper.thickness.black!);
}

/** The full cover sheet: back, spine, front, with bleed round it. */
export interface WrapFrame {
  media: { width: number; height: number };
  trim: Rect;
  back: Rect;
  spine: Rect;
  front: Rect;
  backSafe: Rect;
  frontSafe: Rect;
  /** Where spine text may stand; null when the book is too thin to carry any. */
  spineText: Rect | null;
  barcode: Rect;
}

const inset = (rect: Rect, by: number): Rect => ({
  x: rect.x + by,
  y: rect.y + by,
  width: rect.width - 2 * by,
  height: rect.height - 2 * by,
});

/** Width = bleed + trim + spine + trim + bleed; height = trim + 2 × bleed. */
export function wrapFrame(service: PrintService, spec: PrintSpec, pages: number): WrapFrame {
  const { bleed, safeInsideTrim, barcode, spineClear, spineTextFromPages } = service.cover;
  const { width, height } = spec.trim;
  const thickness = spineWidth(service, spec, pages);
  const back: Rect = { x: bleed, y: bleed, width, height };
  const spine: Rect = { x: bleed + width, y: bleed, width: thickness, height };
  const front: Rect = { x: spine.x + thickness, y: bleed, width, height };
  const textWidth = thickness - 2 * spineClear;
  return {
    media: { width: 2 * bleed + 2 * width + thickness, height: 2 * bleed + height },
    trim: { x: bleed, y: bleed, width: 2 * width + thickness, height },
    back,
    spine,
    front,
    backSafe: inset(back, safeInsideTrim),
    frontSafe: inset(front, safeInsideTrim),
    spineText:
      pages >= spineTextFromPages && textWidth > 0
        ? {
            x: spine.x + spineClear,
            y: spine.y + safeInsideTrim,
            width: textWidth,
            height: height - 2 * safeInsideTrim,
          }
        : null,
    barcode: {
      x: spine.x - barcode.fromSpine - barcode.width,
      y: back.y + height - barcode.fromTrim - barcode.height,
      width: barcode.width,
      height: barcode.height,
    },
  };
}
