import {
  type Align,
  BLACK,
  type FaceId,
  lineWidth,
  type TextMark,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';

/** Nothing is set smaller than this, in points. */
const LEAST = 7;

/**
 * Words on one line, as large as asked for and no wider than a measure.
 * @returns null where they do not fit at the least size either
 */
export function oneLine(
  type: Typesetter,
  words: string,
  { face, size }: { face: FaceId; size: number },
  { x, y, width, align = 'left' }: { x: number; y: number; width: number; align?: Align },
): TextMark | null {
  const said = words.replace(/\s+/g, ' ').trim();
  const wide = lineWidth(type, said, { face, size });
  // In tenths of a point, downwards.
  const fitted = wide > width ? Math.floor(10 * size * (width / wide)) / 10 : size;
  if (fitted < LEAST) return null;
  return textLine(type, said, { face, size: fitted, color: BLACK }, x, y, align);
}
