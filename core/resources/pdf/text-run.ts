import { type Matrix, multiply } from '../../scene/index.ts';
import type { PdfFont, PdfGlyph } from './glyphs.ts';
import type { GraphicsState } from './graphics-state.ts';

/** The size of a letter's own space, where its font says no other (ISO 32000-1 §9.2.4). */
const THOUSANDTH = 0.001;

/**
 * Places the letters of a text (ISO 32000-1 §9.4.4), across or, where the font is written so, down.
 * @param shown letters, and numbers that move the next one back by thousandths of the size
 * @param each is called with the place of a letter of size 1, y upwards
 * @returns where the pen is afterwards
 */
export function placedGlyphs(
  { matrix, textMatrix, size, stretch, rise, letterSpace, wordSpace, pen: [startX, startY] }: GraphicsState,
  font: PdfFont,
  shown: readonly (PdfGlyph | number)[],
  each: (glyph: PdfGlyph, matrix: Matrix) => void,
): readonly [number, number] {
  // A negative size turns letters round; how far the pen goes is said for a positive one.
  const way = size < 0 ? -1 : 1;
  const height = Math.abs(size);
  const across = stretch * way;
  const unit = (font.fontMatrix?.[0] ?? THOUSANDTH) * height;
  const from = multiply(multiply(matrix, textMatrix), [across, 0, 0, way, startX, startY + rise]);
  let at = 0;
  for (const glyph of shown) {
    if (typeof glyph === 'number') {
      at += ((font.vertical ? 1 : -1) * glyph * height) / 1000;
      continue;
    }
    const space = ((glyph.isSpace ? wordSpace : 0) + letterSpace) * way;
    if (font.vertical) {
      const [down, vx, vy] = glyph.vmetric ?? font.defaultVMetrics ?? [-1000, glyph.width / 2, 880];
      const aside = -(glyph.vmetric ? vx : glyph.width / 2) * unit;
      each(glyph, multiply(from, [height, 0, 0, height, aside, -(at + vy * unit)]));
      at += -down * unit - space;
    } else {
      each(glyph, multiply(from, [height, 0, 0, height, at, 0]));
      at += glyph.width * unit + space;
    }
  }
  return font.vertical ? [startX, startY - at] : [startX + at * across, startY];
}
