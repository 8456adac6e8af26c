import type { PageFrame, Rect } from '../../print/index.ts';
import type { Matrix } from '../../scene/index.ts';

export const PLACES = ['margins', 'trim', 'bleed'] as const;
export type Place = (typeof PLACES)[number];
export const SIZES = ['whole', 'fill', 'true'] as const;
export type Size = (typeof SIZES)[number];

/** Something to put on a page: its size in points, and where it is cut itself. */
export interface Given {
  width: number;
  height: number;
  trim: Rect;
}

/** Where a page that was made elsewhere goes. */
export interface Placed {
  /** From its own coordinates to those of the sheet. */
  matrix: Matrix;
  /** Nothing of it is seen beyond. */
  window: Rect;
  /** Points on the page for one of its own. */
  scale: number;
  /** Share of the window that stays empty, 0 to 1. */
  empty: number;
}

/** A page whose cut lies further inside its sheet, in points, has a bleed of its own. */
const OWN_BLEED = 0.5;

/**
 * Puts a page into the margins, onto the trim or into the bleed: all of it, so that nothing stays empty, or in its true
 * size, always in the middle. One that has a bleed of its own lies with its trim on the trim.
 * @param turned a quarter clockwise first
 */
export function placeOn(
  frame: Pick<PageFrame, 'media' | 'trim'>,
  body: Rect,
  given: Given,
  { place, size, turned }: { place: Place; size: Size; turned: boolean },
): Placed {
  const sheet: Rect = { x: 0, y: 0, ...frame.media };
  const window = place === 'margins' ? body : place === 'trim' ? frame.trim : sheet;
  const hasBleed = given.width - given.trim.width > OWN_BLEED || given.height - given.trim.height > OWN_BLEED;
  const cut: Rect = hasBleed ? given.trim : { x: 0, y: 0, width: given.width, height: given.height };
  const onto = hasBleed && place !== 'margins' ? frame.trim : window;
  const [wide, high] = turned ? [cut.height, cut.width] : [cut.width, cut.height];
  const [across, down] = [onto.width / wide, onto.height / high];
  const scale = size === 'true' ? 1 : size === 'fill' ? Math.max(across, down) : Math.min(across, down);
  const middle = { x: onto.x + onto.width / 2, y: onto.y + onto.height / 2 };
  const [cx, cy] = [cut.x + cut.width / 2, cut.y + cut.height / 2];
  const matrix: Matrix = turned
    ? [0, scale, -scale, 0, middle.x + scale * cy, middle.y - scale * cx]
    : [scale, 0, 0, scale, middle.x - scale * cx, middle.y - scale * cy];
  const covered = Math.min(1, (wide * scale) / onto.width) * Math.min(1, (high * scale) / onto.height);
  return { matrix, window, scale, empty: 1 - covered };
}
