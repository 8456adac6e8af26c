import {
  type Color,
  IDENTITY,
  type Mark,
  meanScale,
  multiply,
  rectPath,
  type Stroke,
} from '../../scene/index.ts';
import { type GraphicsState, inverted, isEven, isShading, type PlacedShading } from './graphics-state.ts';
import { movedPath, outlineOf } from './outlines.ts';
import { BeyondMarks, type OpenedPage, type PageSheet } from './page-sheet.ts';

/** A path as pdf.js writes it. */
type Steps = ArrayLike<number>;
type Rule = 'nonzero' | 'evenodd';

/** The thinnest line that a device can make (ISO 32000-1 §8.4.3.2) is as thin as this here, in points. */
const HAIRLINE = 0.25;

export const strokeOf = (state: GraphicsState, paint: Color, scale: number): Stroke => ({
  width: Math.max(state.width * scale, HAIRLINE),
  paint,
  cap: state.cap,
  join: state.join,
  miterLimit: state.miterLimit,
  ...(state.dash.some((length) => length > 0) ? { dash: state.dash.map((length) => length * scale) } : {}),
});

/** An outline on the sheet, shaded in the coordinates of the shading. */
function shaded(state: GraphicsState, steps: Steps, rule: Rule, paint: PlacedShading): Mark[] {
  const back = inverted(paint.matrix);
  if (!back) return [];
  const path = outlineOf(steps, multiply(back, state.matrix));
  const clip = paint.clip ? { clip: { path: paint.clip } } : {};
  const fill: Mark = { type: 'path', path, rule, fill: paint.gradient };
  return [{ type: 'group', matrix: paint.matrix, ...clip, marks: [fill] }];
}

/** The whole sheet, shaded. Nothing where the shading flattens everything. */
export function shadedSheet(
  { width, height }: OpenedPage,
  { matrix, gradient, clip }: PlacedShading,
): Mark[] {
  const back = inverted(matrix);
  if (!back) return [];
  const path = movedPath(rectPath(0, 0, width, height), back);
  return [
    {
      type: 'group',
      matrix,
      ...(clip ? { clip: { path: clip } } : {}),
      marks: [{ type: 'path', path, fill: gradient }],
    },
  ];
}

/** Fills a path with what holds for fills. */
export function fillPath(sheet: PageSheet, steps: Steps, rule: Rule): void {
  const { state } = sheet;
  const { fill, matrix, fillOpacity } = state;
  sheet.seen(fill);
  if (!fill) return;
  const marks: Mark[] = isShading(fill)
    ? shaded(state, steps, rule, fill)
    : [{ type: 'path', path: outlineOf(steps, matrix), rule, fill }];
  sheet.put(marks, fillOpacity);
}

/** Draws a path as a line. @throws BeyondMarks for a line in several colors */
export function strokePath(sheet: PageSheet, steps: Steps): void {
  const { state } = sheet;
  const { stroke, matrix, strokeOpacity } = state;
  sheet.seen(stroke);
  if (!stroke) return;
  if (isShading(stroke)) throw new BeyondMarks('lines in several colors');
  const scale = meanScale(matrix);
  if (isEven(matrix)) {
    const line = strokeOf(state, stroke, scale);
    sheet.put([{ type: 'path', path: outlineOf(steps, matrix), stroke: line }], strokeOpacity);
    return;
  }
  // A line that is wider one way than the other is drawn where it was, and moved with what it is on.
  const line = { ...strokeOf(state, stroke, 1), width: state.width || HAIRLINE / (scale || 1) };
  const mark: Mark = { type: 'path', path: outlineOf(steps, IDENTITY), stroke: line };
  sheet.put([{ type: 'group', matrix, marks: [mark] }], strokeOpacity);
}
