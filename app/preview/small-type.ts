import type { FaceId } from '#core/scene/index.ts';

/** Type up to this many pixels is set from masks; larger type is filled from its outlines. */
export const SMALL_TYPE_PIXELS = 12;
/** A glyph is kept at this many places between two pixels, so that letters stay evenly set. */
const STEPS = 4;
const MASKS_KEPT = 6000;

/** Where ink lies in a glyph, cut to its edges. Its place is counted from the pixel of the glyph's origin. */
interface Mask {
  left: number;
  top: number;
  width: number;
  height: number;
  /** Cover of each pixel, 0 to 255. */
  alpha: Uint8Array;
}

export interface SmallGlyph {
  mask: Mask;
  x: number;
  y: number;
  gray: number;
}

interface Awaited {
  mask: Mask;
  outline: Path2D;
  size: number;
  dx: number;
  dy: number;
}

/** By face and size, then by glyph and place between pixels: thousands of glyphs a spread are looked up in it. */
const masks = new Map<FaceId, Map<number, Map<number, Mask>>>();
let kept = 0;
/** Masks asked for since letters were last set, still without their pixels. */
let awaited: Awaited[] = [];

function masksOf(face: FaceId, size: number): Map<number, Mask> {
  let sizes = masks.get(face);
  if (!sizes) {
    sizes = new Map();
    masks.set(face, sizes);
  }
  const hundredths = Math.round(size * 100);
  let found = sizes.get(hundredths);
  if (!found) {
    found = new Map();
    sizes.set(hundredths, found);
  }
  return found;
}

/**
 * The mask of a glyph at a size and a place between pixels, made once from its outline. A spread of word searches has
 * some thousand small letters of which few are different: setting masks costs a tenth of filling outlines.
 */
export function smallGlyph(
  outline: Path2D,
  face: FaceId,
  glyph: number,
  size: number,
  x: number,
  y: number,
  gray: number,
): SmallGlyph {
  const px = Math.floor(x);
  const py = Math.floor(y);
  const sx = Math.floor((x - px) * STEPS);
  const sy = Math.floor((y - py) * STEPS);
  const key = (glyph * STEPS + sx) * STEPS + sy;
  let mask = masksOf(face, size).get(key);
  if (!mask) {
    if (kept >= MASKS_KEPT) {
      masks.clear();
      kept = 0;
    }
    mask = { left: 0, top: 0, width: 0, height: 0, alpha: new Uint8Array() };
    awaited.push({ mask, outline, size, dx: (sx + 0.5) / STEPS, dy: (sy + 0.5) / STEPS });
    masksOf(face, size).set(key, mask);
    kept++;
  }
  return { mask, x: px, y: py, gray };
}

/** Side of a cell that takes any small glyph, with room for ascenders, descenders and overhang. */
const CELL = Math.ceil(SMALL_TYPE_PIXELS * 1.6) + 3;
const ORIGIN = { x: Math.ceil(SMALL_TYPE_PIXELS * 0.2) + 1, y: Math.ceil(SMALL_TYPE_PIXELS * 1.1) + 1 };
const CELLS_ACROSS = 22;
/** Side of the square that masks are made in, in pixels. */
export const SHEET = CELL * CELLS_ACROSS;

/** Where masks are made: a square of SHEET by SHEET pixels at the left edge of a canvas, overwritten every time. */
export interface MaskSheet {
  context: OffscreenCanvasRenderingContext2D;
  /** The upper edge of the square, in pixels. */
  top: number;
}

/** Draws the awaited masks side by side, since reading a canvas costs the same for one as for hundreds. */
function makeAwaited({ context, top: sheetTop }: MaskSheet): void {
  const all = awaited;
  awaited = [];
  // What is drawn above goes on as it was.
  context.save();
  for (let from = 0; from < all.length; from += CELLS_ACROSS ** 2) {
    const batch = all.slice(from, from + CELLS_ACROSS ** 2);
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, sheetTop, SHEET, SHEET);
    context.fillStyle = '#000000';
    batch.forEach(({ outline, size, dx, dy }, i) => {
      const x = (i % CELLS_ACROSS) * CELL + ORIGIN.x + dx;
      const y = sheetTop + Math.floor(i / CELLS_ACROSS) * CELL + ORIGIN.y + dy;
      context.setTransform(size, 0, 0, -size, x, y);
      context.fill(outline);
    });
    const { data } = context.getImageData(0, sheetTop, SHEET, Math.ceil(batch.length / CELLS_ACROSS) * CELL);
    batch.forEach(({ mask }, i) => {
      cutOut(mask, data, (i % CELLS_ACROSS) * CELL, Math.floor(i / CELLS_ACROSS) * CELL);
    });
  }
  context.restore();
}

/** Takes a cell's ink, as far as there is any, into a mask. */
function cutOut(mask: Mask, data: Uint8ClampedArray, cellX: number, cellY: number): void {
  let left = CELL;
  let right = -1;
  let top = CELL;
  let bottom = -1;
  const cover = (column: number, row: number) => data[((cellY + row) * SHEET + cellX + column) * 4 + 3]!;
  for (let row = 0; row < CELL; row++) {
    for (let column = 0; column < CELL; column++) {
      if (cover(column, row) === 0) continue;
      left = Math.min(left, column);
      right = Math.max(right, column);
      top = Math.min(top, row);
      bottom = row;
    }
  }
  const width = Math.max(0, right - left + 1);
  const height = Math.max(0, bottom - top + 1);
  const alpha = Uint8Array.from({ length: width * height }, (_, i) =>
    cover(left + (i % width), top + Math.floor(i / width)),
  );
  Object.assign(mask, { left: left - ORIGIN.x, top: top - ORIGIN.y, width, height, alpha });
}

/** Lays glyphs over the pixels of a picture. */
export function setSmallGlyphs(
  { data, width, height }: ImageData,
  glyphs: readonly SmallGlyph[],
  sheet: MaskSheet,
): void {
  makeAwaited(sheet);
  for (const { mask, x, y, gray } of glyphs) {
    const value = gray * 255;
    for (let row = 0; row < mask.height; row++) {
      const py = y + mask.top + row;
      if (py < 0 || py >= height) continue;
      for (let column = 0; column < mask.width; column++) {
        const cover = mask.alpha[row * mask.width + column]!;
        const px = x + mask.left + column;
        if (cover === 0 || px < 0 || px >= width) continue;
        const at = (py * width + px) * 4;
        const keep = 255 - cover;
        data[at] = (data[at]! * keep + value * cover) / 255;
        data[at + 1] = (data[at + 1]! * keep + value * cover) / 255;
        data[at + 2] = (data[at + 2]! * keep + value * cover) / 255;
      }
    }
  }
}
