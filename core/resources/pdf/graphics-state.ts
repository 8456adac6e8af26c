import { BLACK, type Color, IDENTITY, type Mark, type Matrix, type Stroke } from '../../scene/index.ts';
import type { Shading } from './colors.ts';
import type { PdfFont } from './glyphs.ts';

/** A shading with the coordinates that it is in, on the sheet. */
export interface PlacedShading extends Shading {
  matrix: Matrix;
}

export type PdfPaint = Color | PlacedShading | null;

/** What holds at a place of a page (ISO 32000-1 §8.4.1 and §9.3). `save` copies it. */
export interface GraphicsState {
  /** From where the page draws to the sheet. */
  matrix: Matrix;
  /** From where patterns are placed to the sheet: the page, or the form that is drawn. */
  base: Matrix;
  /** Where marks go: the sheet, or the group that was cut out last. */
  into: Mark[];
  fill: PdfPaint;
  stroke: PdfPaint;
  fillOpacity: number;
  strokeOpacity: number;
  width: number;
  cap: NonNullable<Stroke['cap']>;
  join: NonNullable<Stroke['join']>;
  miterLimit: number;
  dash: readonly number[];
  font: PdfFont | null;
  size: number;
  letterSpace: number;
  wordSpace: number;
  /** Across, 1 as it is. */
  stretch: number;
  leading: number;
  rise: number;
  mode: number;
  textMatrix: Matrix;
  /** Where the next letter and where the line begin, in the coordinates of the text matrix. */
  pen: readonly [number, number];
  line: readonly [number, number];
}

export const initialState = (matrix: Matrix, into: Mark[]): GraphicsState => ({
  matrix,
  base: matrix,
  into,
  fill: BLACK,
  stroke: BLACK,
  fillOpacity: 1,
  strokeOpacity: 1,
  width: 1,
  cap: 'butt',
  join: 'miter',
  miterLimit: 10,
  dash: [],
  font: null,
  size: 0,
  letterSpace: 0,
  wordSpace: 0,
  stretch: 1,
  leading: 0,
  rise: 0,
  mode: 0,
  textMatrix: IDENTITY,
  pen: [0, 0],
  line: [0, 0],
});

export const isShading = (paint: PdfPaint): paint is PlacedShading => paint !== null && 'gradient' in paint;

/** @returns null for a matrix that flattens everything */
export function inverted([a, b, c, d, e, f]: Matrix): Matrix | null {
  const by = a * d - b * c;
  if (!by || !Number.isFinite(by)) return null;
  return [d / by, -b / by, -c / by, a / by, (c * f - d * e) / by, (b * e - a * f) / by];
}

/** Whether circles stay circles: strokes are then as wide in every direction. */
export function isEven([a, b, c, d]: Matrix): boolean {
  const size = Math.abs(a * d - b * c);
  return Math.abs(a * a + b * b - (c * c + d * d)) < 1e-3 * size && Math.abs(a * c + b * d) < 1e-3 * size;
}
