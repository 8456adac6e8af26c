import { movedPath, type PlacedStroke, type Written, write } from '../../letters/index.ts';
import type { Rect } from '../../print/index.ts';
import { buildPath, ellipsePath, type Mark } from '../../scene/index.ts';
import { TAIL } from '../paper/writing-heights.ts';
import { INSET, type Row, unitOf } from './layout.ts';
import type { TracingOptions } from './options.ts';

/** Tenths of a height between copies in a row. */
const COPIES = 7;

/** Top, dashed middle, base line and a paler line for tails, for all rows. */
export function guideLines(
  rows: readonly Row[],
  { x, width }: Pick<Rect, 'x' | 'width'>,
  height: number,
): Mark[] {
  const lines = (offset: number) => {
    const path = buildPath(2 * rows.length);
    for (const { top } of rows) path.move(x, top + offset * height).line(x + width, top + offset * height);
    return path.done();
  };
  return [
    { type: 'path', path: lines(0), stroke: { width: 0.75, paint: { gray: 0.5 } } },
    { type: 'path', path: lines(0.5), stroke: { width: 0.75, paint: { gray: 0.5 }, dash: [4, 3] } },
    // The line that letters stand on is the one a child looks for.
    { type: 'path', path: lines(1), stroke: { width: 1.1, paint: { gray: 0.15 } } },
    { type: 'path', path: lines(1 + TAIL), stroke: { width: 0.75, paint: { gray: 0.75 } } },
  ];
}

/** Strokes at a place, in one path. */
export function together(strokes: readonly PlacedStroke[], x: number, base: number, unit: number) {
  const ops: number[] = [];
  const all: number[] = [];
  for (const { path } of strokes) {
    const { ops: own, points: at } = movedPath(path, x, base, unit, -unit);
    ops.push(...own);
    all.push(...at);
  }
  return { ops: Uint8Array.from(ops), points: Float32Array.from(all) };
}

/** How strong letters to trace are. */
const INK = { full: 0.4, faint: 0.68, first: 0.4 } as const;

/** Letters to trace: dots, dashes, or an outline with paper inside. */
function traced(
  strokes: readonly PlacedStroke[],
  x: number,
  base: number,
  height: number,
  lines: TracingOptions['lines'],
  gray: number,
): Mark[] {
  if (strokes.length === 0) return [];
  const path = together(strokes, x, base, unitOf(height));
  const thick = Math.max(1.2, height * 0.045);
  const round = { cap: 'round', join: 'round' } as const;
  if (lines === 'outlined')
    return [
      { type: 'path', path, stroke: { width: thick * 2.6, paint: { gray }, ...round } },
      { type: 'path', path, stroke: { width: thick * 2.6 - 1.8, paint: { gray: 1 }, ...round } },
    ];
  const dash = lines === 'dotted' ? [0.02, thick * 1.9] : [thick * 2.2, thick * 2];
  return [{ type: 'path', path, stroke: { width: thick, paint: { gray }, dash, ...round } }];
}

export function rowMarks(
  { top, text, look, once }: Row,
  { x, width }: Pick<Rect, 'x' | 'width'>,
  height: number,
  chosen: TracingOptions,
): Mark[] {
  if (look === 'empty' || text === '') return [];
  const unit = unitOf(height);
  const written = write(text, chosen.alphabet);
  const room = width / unit - 2 * INSET;
  if (written.width > room + 1e-6 || written.strokes.length === 0) return [];
  const copies =
    once || look === 'first' ? 1 : Math.max(1, Math.floor((room + COPIES) / (written.width + COPIES)));
  // Spread over the line, but no further apart than belongs together.
  const step = copies > 1 ? Math.min((room - written.width) / (copies - 1), written.width + 2 * COPIES) : 0;
  const base = top + height;
  return Array.from({ length: copies }, (_, i) => {
    const left = x + (INSET + i * step) * unit;
    // Faint letters are dotted, whatever the others are: they are to be seen less.
    const lines = look === 'faint' && chosen.lines === 'dashed' ? 'dotted' : chosen.lines;
    return [
      ...traced(written.strokes, left, base, height, lines, INK[look]),
      ...(chosen.arrows && i === 0 ? startDots(written, left, base, height) : []),
    ];
  }).flat();
}

/** A black dot where each stroke of a word begins. */
function startDots({ strokes }: Written, x: number, base: number, height: number): Mark[] {
  const unit = unitOf(height);
  const radius = Math.max(0.9, height * 0.032);
  return strokes
    .filter(({ goesOn }) => !goesOn)
    .map(({ start }) => ({
      type: 'path',
      path: ellipsePath(x + start[0] * unit, base - start[1] * unit, radius),
      fill: { gray: 0 },
    }));
}
