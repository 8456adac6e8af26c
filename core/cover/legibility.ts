import type { Rect } from '../print/index.ts';
import {
  type Bounds,
  type Color,
  contrast,
  holds,
  isGradient,
  type Mark,
  type Matrix,
  markBounds,
  type PathMark,
  type TextMark,
  type Typesetter,
  textInkOf,
  walk,
} from '../scene/index.ts';

/** How well words stand out from what lies under them. */
export interface Legibility {
  mark: TextMark & { sourceField?: string };
  /** Contrast with the ground, 1 to 21, where it is lowest; null over a picture. */
  contrast: number | null;
  /** Height of the capitals in points. */
  capHeight: number;
  /** Points on the sheet. */
  size: number;
  box: Bounds;
}

/** The colors that a paint may have: a gradient has those of its stops. */
const colorsOf = (mark: PathMark): Color[] =>
  mark.fill ? (isGradient(mark.fill) ? mark.fill.stops.map(({ color }) => color) : [mark.fill]) : [];

/**
 * Looks at every text of a sheet: under the middle of each letter, which fill was painted last before it. Paper is
 * white. Fills are taken as opaque.
 */
export function legibilityOf(marks: readonly Mark[], type: Typesetter): Legibility[] {
  const fills: { mark: PathMark | null; matrix: Matrix; box: Bounds }[] = [];
  /** How many fills had been painted when a text came. */
  const before = new Map<TextMark, number>();
  const paint = (mark: PathMark | null, matrix: Matrix, box: Bounds | null) => {
    if (box) fills.push({ mark, matrix, box });
  };
  walk(marks, {
    path(mark, { matrix, clip }) {
      if (mark.fill)
        paint(mark, matrix, markBounds({ ...mark, stroke: undefined } as PathMark, matrix, type, clip));
    },
    image: (mark, { matrix, clip }) => paint(null, matrix, markBounds(mark, matrix, type, clip)),
    text: (mark) => void before.set(mark, fills.length),
  });
  const lowest = (text: TextMark, letter: Bounds, under: number): number | null => {
    const x = (letter.left + letter.right) / 2;
    const y = (letter.top + letter.bottom) / 2;
    for (let i = under - 1; i >= 0; i--) {
      const { mark, matrix, box } = fills[i]!;
      if (x < box.left || x > box.right || y < box.top || y > box.bottom) continue;
      if (!mark) return null;
      if (!holds(mark.path, mark.rule ?? 'nonzero', matrix, x, y)) continue;
      return Math.min(...colorsOf(mark).map((color) => contrast(color, text.color)));
    }
    return contrast({ gray: 1 }, text.color);
  };
  return textInkOf(marks, type).map(({ mark, letters, capHeight, size, box }) => {
    const under = letters.map((letter) => lowest(mark, letter, before.get(mark) ?? 0));
    const known = under.filter((ratio) => ratio !== null);
    return { mark, box, capHeight, size, contrast: known.length ? Math.min(...known) : null };
  });
}

/** Width of a shop's thumbnail in pixels. */
export const THUMBNAIL = 160;

/** What words need to be read, by where they stand. */
export const READABLE = {
  /** WCAG 2.2, 1.4.3: contrast of text, and of large text. */
  text: 4.5,
  large: 3,
  /** Capitals of 18 pt type, where large text begins (WCAG 2.2, “large scale”), of a usual face. */
  largeCapHeight: 12.5,
  /** Capitals of the title in a thumbnail, in pixels. Common practice, no source. */
  thumbnailCapHeight: 7,
  /** Nobody can read what stands out less. Common practice, no source. */
  min: 1.5,
} as const;

/** The contrast that words need for their size. */
export const contrastNeeded = (capHeight: number): number =>
  capHeight >= READABLE.largeCapHeight ? READABLE.large : READABLE.text;

/** How the title of a front looks in a shop: null where the front has none. @param front on the sheet */
export function titleInShop(
  marks: readonly Mark[],
  front: Pick<Rect, 'x' | 'width'>,
  type: Typesetter,
): { contrast: number | null; capHeight: number; readable: boolean } | null {
  const lines = legibilityOf(marks, type).filter(
    ({ mark, box }) =>
      mark.sourceField === 'title' && box.left >= front.x && box.right <= front.x + front.width,
  );
  if (lines.length === 0) return null;
  const known = lines.flatMap(({ contrast: ratio }) => ratio ?? []);
  const lowest = known.length ? Math.min(...known) : null;
  const capHeight = (Math.min(...lines.map((line) => line.capHeight)) * THUMBNAIL) / front.width;
  return {
    contrast: lowest,
    capHeight,
    readable: (lowest ?? READABLE.text) >= READABLE.text && capHeight >= READABLE.thumbnailCapHeight,
  };
}
