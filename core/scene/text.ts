import type { FaceId } from '../faces/index.ts';
import type { Rect } from '../print/index.ts';
import { BLACK, type Color } from './color.ts';
import { type Direction, directionOf } from './direction.ts';
import type { TextMark } from './marks.ts';
import { eachPlacedGlyph, lineWidth } from './placed-glyphs.ts';
import type { Typesetter } from './typesetter.ts';

export interface TextStyle {
  face: FaceId;
  size: number;
  color: Color;
  tracking?: number;
  /** See TextMark. */
  smallCaps?: boolean;
  /** See TextMark. */
  direction?: Direction;
}

export type Align = 'left' | 'center' | 'right';

/** One line of text at `x` (its left end, middle or right end) with its baseline at `y`. */
export function textLine(
  type: Typesetter,
  text: string,
  style: TextStyle,
  x: number,
  y: number,
  align: Align = 'left',
): TextMark {
  const width = align === 'left' ? 0 : lineWidth(type, text, style);
  return {
    type: 'text',
    text,
    face: style.face,
    size: style.size,
    color: style.color,
    ...(style.tracking ? { tracking: style.tracking } : {}),
    ...(style.smallCaps ? { smallCaps: true } : {}),
    ...(style.direction && style.direction !== directionOf(text) ? { direction: style.direction } : {}),
    x: align === 'center' ? x - width / 2 : align === 'right' ? x - width : x,
    y,
  };
}

/** The edge of a column that lines of a direction begin at, and how they are set from it. */
export const beginningOf = (
  direction: Direction,
  { x, width }: Pick<Rect, 'x' | 'width'>,
): { x: number; align: Align } =>
  direction === 'rtl' ? { x: x + width, align: 'right' } : { x, align: 'left' };

/**
 * Breaks text into lines no wider than `width`, at spaces and at the writer's own line ends. A single word wider
 * than the measure keeps a line of its own.
 */
export function breakLines(
  type: Typesetter,
  text: string,
  face: FaceId,
  size: number,
  width: number,
): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split(/\r?\n/)) {
    let line = '';
    for (const word of paragraph.split(/\s+/).filter(Boolean)) {
      const longer = line ? `${line} ${word}` : word;
      if (line && type.width(longer, face, size) > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    lines.push(line);
  }
  return lines;
}

export interface FittedText {
  size: number;
  lines: string[];
  /** From baseline to baseline, in points. */
  leading: number;
  height: number;
  /** Of the whole text, which its lines are set in. */
  direction: Direction;
  /** False when even the smallest size does not fit. */
  fits: boolean;
}

/** The lines of a fitted text as marks, the first with its baseline at `y`. */
export const fittedLines = (
  type: Typesetter,
  { lines, size, leading, direction }: FittedText,
  { face, color = BLACK }: { face: FaceId; color?: Color },
  x: number,
  y: number,
  align: Align = 'center',
): TextMark[] =>
  lines.map((line, i) => textLine(type, line, { face, size, color, direction }, x, y + i * leading, align));

/** How far the ink of a line reaches beyond the wider of its two ends, in points: the hook of an f, the arm of a W. */
function overhang(type: Typesetter, text: string, face: FaceId, size: number): number {
  const end = lineWidth(type, text, { face, size });
  let max = 0;
  eachPlacedGlyph({ type: 'text', text, face, size, color: BLACK, x: 0, y: 0 }, type, (drawn, glyph, x) => {
    const { minX, maxX } = type.box(drawn, glyph);
    max = Math.max(max, -x - minX * size, x + maxX * size - end);
  });
  return max;
}

/**
 * The largest size, in half points from `max` down to `min`, at which the text stays inside the box, centered or
 * set from either side, the ink that hangs over the ends of its lines included. Lines are balanced: the measure is
 * narrowed as long as no line is added.
 */
export function fitText(
  type: Typesetter,
  text: string,
  face: FaceId,
  box: { width: number; height: number },
  limits: { max: number; min: number; lines: number; leading?: number },
): FittedText {
  const leadingShare = limits.leading ?? 1.1;
  const direction = directionOf(text);
  const attempt = (size: number): FittedText => {
    const lines = breakLines(type, text, face, size, box.width);
    const widest = Math.max(
      ...lines.map((line) => type.width(line, face, size) + 2 * overhang(type, line, face, size)),
    );
    const height = size * (1 + (lines.length - 1) * leadingShare);
    const fits = lines.length <= limits.lines && widest <= box.width + 1e-6 && height <= box.height + 1e-6;
    return { size, lines, leading: size * leadingShare, height, direction, fits };
  };
  let found = attempt(limits.max);
  for (let size = limits.max - 0.5; !found.fits && size >= limits.min; size -= 0.5) found = attempt(size);
  return { ...found, lines: balanced(type, text, face, found, box.width) };
}

function balanced(type: Typesetter, text: string, face: FaceId, fitted: FittedText, width: number): string[] {
  let best = fitted.lines;
  if (best.length < 2) return best;
  for (let measure = width * 0.95; measure > width * 0.3; measure -= width * 0.05) {
    const lines = breakLines(type, text, face, fitted.size, measure);
    const over = lines.some((line) => type.width(line, face, fitted.size) > measure);
    if (over || lines.length > best.length) break;
    best = lines;
  }
  return best;
}
