/** A gray from 0 (black) to 1 (white), or red, green and blue from 0 to 1. */
export type Color = { gray: number } | { rgb: readonly [number, number, number] };

export const BLACK: Color = { gray: 0 };

/** Reads `#rrggbb`. @throws RangeError on anything else */
export function colorOfHex(hex: string): Color {
  const match = /^#([\da-f]{2})([\da-f]{2})([\da-f]{2})$/i.exec(hex);
  if (!match) throw new RangeError(`“${hex}” is not a color. Write it as #rrggbb.`);
  const part = (at: number) => Number.parseInt(match[at]!, 16) / 255;
  return { rgb: [part(1), part(2), part(3)] };
}

/** How light a color prints in black ink alone, 0 to 1: luma of ITU-R BT.601. */
export const luma = (r: number, g: number, b: number): number => 0.299 * r + 0.587 * g + 0.114 * b;

/** The color as a press with black ink alone prints it. */
export function grayOf(color: Color): { gray: number } {
  return 'gray' in color ? color : { gray: luma(...color.rgb) };
}

/** `#rrggbb`, as SVG and canvas take it. @param gray true: as a press with black ink alone prints it */
export function hexOf(color: Color, gray: boolean): string {
  const seen = gray ? grayOf(color) : color;
  const parts = 'gray' in seen ? [seen.gray, seen.gray, seen.gray] : seen.rgb;
  let hex = '#';
  for (const part of parts)
    hex += Math.round(Math.min(1, Math.max(0, part)) * 255)
      .toString(16)
      .padStart(2, '0');
  return hex;
}

/** A color at a place of a gradient, 0 (start) to 1 (end). Stops stand in order. */
export interface Stop {
  at: number;
  color: Color;
}

/** From one point to another, in the coordinates of the mark; beyond its ends the last color goes on. */
export interface LinearGradient {
  gradient: 'linear';
  from: readonly [x: number, y: number];
  to: readonly [x: number, y: number];
  stops: readonly Stop[];
}

/** From a focus, or the center, out to a circle; beyond it the last color goes on. The focus lies inside the circle. */
export interface RadialGradient {
  gradient: 'radial';
  center: readonly [x: number, y: number];
  radius: number;
  focus?: readonly [x: number, y: number];
  stops: readonly Stop[];
}

export type Gradient = LinearGradient | RadialGradient;

/** What an area or a line is painted with. */
export type Paint = Color | Gradient;

export const isGradient = (paint: Paint): paint is Gradient => 'gradient' in paint;
