/**
 * A page as a display list. Points, origin at the upper left of the sheet, y downwards; later marks paint over
 * earlier ones. Renderers know marks and nothing of books.
 */

/** A grey from 0 (black) to 1 (white), or red, green and blue from 0 to 1. */
export type Colour = { grey: number } | { rgb: readonly [number, number, number] };

export const BLACK: Colour = { grey: 0 };

/** Reads `#rrggbb`. @throws RangeError on anything else */
export function colourOfHex(hex: string): Colour {
  const match = /^#([\da-f]{2})([\da-f]{2})([\da-f]{2})$/i.exec(hex);
  if (!match) throw new RangeError(`“${hex}” is not a colour. Write it as #rrggbb.`);
  const part = (at: number) => Number.parseInt(match[at]!, 16) / 255;
  return { rgb: [part(1), part(2), part(3)] };
}

/** Flat path commands: M x y, L x y, C x1 y1 x2 y2 x y, Z. */
export type PathCommand =
  | ['M', number, number]
  | ['L', number, number]
  | ['C', number, number, number, number, number, number]
  | ['Z'];

export interface Stroke {
  width: number;
  colour: Colour;
  /** Lengths of dash and gap, in points. */
  dash?: readonly number[];
  /** Default: butt ends and mitred corners. */
  round?: boolean;
}

export interface PathMark {
  mark: 'path';
  path: PathCommand[];
  fill?: Colour;
  stroke?: Stroke;
}

/** One line of text on its baseline. */
export interface TextMark {
  mark: 'text';
  text: string;
  face: FaceId;
  size: number;
  x: number;
  y: number;
  colour: Colour;
  /** Instead of running text: the x of the middle of each letter, one per grapheme (letters of a grid). */
  centres?: number[];
  /** Space added after each letter, in points. */
  tracking?: number;
}

/** Marks moved and turned together: [a b c d e f] as in ISO 32000-1 §8.3.4, but with y downwards. */
export interface GroupMark {
  mark: 'group';
  matrix: readonly [number, number, number, number, number, number];
  marks: Mark[];
}

/**
 * A mark with `background` belongs to the ground of the sheet and may leave the safe area. `quote` names the
 * recipe field whose words a text repeats, so that a proof can hold them against the recipe.
 */
export type Mark = (PathMark | TextMark | GroupMark) & { background?: boolean; quote?: string };

/** Marks that are drawn together; layers with an equal key on sheets of one book are equal. */
export interface Layer {
  key?: string;
  marks: Mark[];
}

export interface Scene {
  width: number;
  height: number;
  layers: Layer[];
}

export type FaceId =
  | 'alegreya-regular'
  | 'alegreya-bold'
  | 'alegreya-italic'
  | 'alegreya-sans-regular'
  | 'alegreya-sans-medium'
  | 'alegreya-sans-bold'
  | 'noto-sans-regular'
  | 'noto-sans-hebrew-regular';

export const IDENTITY = [1, 0, 0, 1, 0, 0] as const;

export function rectPath(x: number, y: number, width: number, height: number): PathCommand[] {
  return [['M', x, y], ['L', x + width, y], ['L', x + width, y + height], ['L', x, y + height], ['Z']];
}

export const linePath = (x1: number, y1: number, x2: number, y2: number): PathCommand[] => [
  ['M', x1, y1],
  ['L', x2, y2],
];

export function polygonPath(corners: readonly (readonly [number, number])[]): PathCommand[] {
  return [...corners.map(([x, y], i): PathCommand => [i === 0 ? 'M' : 'L', x, y]), ['Z']];
}

/** Quarter of a circle as one cubic Bézier: control points at 4/3 × (√2 − 1) of the radius. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

/** The outline of a line with round ends: a rectangle between two points with half circles on it. */
export function capsulePath(x1: number, y1: number, x2: number, y2: number, r: number): PathCommand[] {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const ux = ((x2 - x1) / length) * r;
  const uy = ((y2 - y1) / length) * r;
  const k = QUARTER;
  // (nx, ny) is (ux, uy) turned a quarter.
  const nx = -uy;
  const ny = ux;
  return [
    ['M', x1 + nx, y1 + ny],
    ['L', x2 + nx, y2 + ny],
    ['C', x2 + nx + ux * k, y2 + ny + uy * k, x2 + ux + nx * k, y2 + uy + ny * k, x2 + ux, y2 + uy],
    ['C', x2 + ux - nx * k, y2 + uy - ny * k, x2 - nx + ux * k, y2 - ny + uy * k, x2 - nx, y2 - ny],
    ['L', x1 - nx, y1 - ny],
    ['C', x1 - nx - ux * k, y1 - ny - uy * k, x1 - ux - nx * k, y1 - uy - ny * k, x1 - ux, y1 - uy],
    ['C', x1 - ux + nx * k, y1 - uy + ny * k, x1 + nx - ux * k, y1 + ny - uy * k, x1 + nx, y1 + ny],
    ['Z'],
  ];
}
