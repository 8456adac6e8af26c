import type { FaceId } from '../faces/index.ts';
import type { Color, Paint } from './color.ts';
import type { Direction } from './direction.ts';
import type { Matrix } from './matrix.ts';
import type { Path } from './path.ts';
import type { Raster } from './raster.ts';

/**
 * A page as a display list. Points, origin at the upper left of the sheet, y downwards; later marks paint over
 * earlier ones. Renderers know marks and nothing of books.
 */

/** Which points a path that crosses itself holds (ISO 32000-1 §8.5.3.3). */
export type FillRule = 'nonzero' | 'evenodd';

export interface Stroke {
  width: number;
  paint: Paint;
  /** Lengths of dash and gap in turn, in points; the first dash begins with each subpath. */
  dash?: readonly number[];
  /** How open ends look; `butt` if left out. */
  cap?: 'butt' | 'round' | 'square';
  /** How corners look; `miter` if left out. */
  join?: 'miter' | 'round' | 'bevel';
  /** A miter longer than this many stroke widths is beveled; MITER_LIMIT if left out. */
  miterLimit?: number;
}

/** The limit of ISO 32000-1 §8.4.3.5, written by every renderer, whose own defaults differ: corners under 11.5° are beveled. */
export const MITER_LIMIT = 10;

export interface PathMark {
  type: 'path';
  path: Path;
  fill?: Paint;
  /** `nonzero` if left out. */
  rule?: FillRule;
  /** Painted over the fill. */
  stroke?: Stroke;
}

/** One line of text on its baseline. */
export interface TextMark {
  type: 'text';
  text: string;
  face: FaceId;
  size: number;
  x: number;
  y: number;
  color: Color;
  /** Instead of running text: the x of the middle of each letter, one per grapheme (letters of a grid). */
  centers?: number[];
  /** Space added after each letter, in points. */
  tracking?: number;
  /** Small letters are set as small capitals, where the face has them. */
  smallCaps?: boolean;
  /** Of the paragraph that the line is of; if left out, that of its first letter. */
  direction?: Direction;
}

/** A picture, or a part of it, filling a rectangle. Turned by the group it stands in. */
export interface ImageMark {
  type: 'image';
  image: Raster;
  x: number;
  y: number;
  width: number;
  height: number;
  /** The part of it that is shown, in whole pixels of it; all of it if left out. */
  crop?: { x: number; y: number; width: number; height: number };
}

/** Marks that are moved, turned, cut and faded together. */
export interface GroupMark {
  type: 'group';
  matrix?: Matrix;
  /** Nothing outside it is painted; in the coordinates of the marks inside. */
  clip?: { path: Path; rule?: FillRule };
  /** 0 to 1. The marks are put together first and then faded as one, so that none shows through another. */
  opacity?: number;
  marks: Mark[];
}

/** A drawing that is placed often: drawn once, written once into a file. */
export interface Drawing {
  marks: Mark[];
}

/** A drawing at a place. */
export interface SymbolMark {
  type: 'symbol';
  drawing: Drawing;
  matrix: Matrix;
}

/**
 * A mark with `background` belongs to the ground of the sheet and may leave the safe area. `sourceField` names the
 * recipe field whose words a text repeats, so that a proof can hold them against the recipe.
 */
export type Mark = (PathMark | TextMark | ImageMark | GroupMark | SymbolMark) & {
  background?: boolean;
  sourceField?: string;
};

/** Marks that leave ink themselves. */
export type InkMark = PathMark | TextMark | ImageMark;

/** Marks that are drawn together; layers with an equal key on sheets of one book are equal. */
export interface Layer {
  key?: string;
  marks: Mark[];
}

export interface Scene {
  width: number;
  height: number;
  /** True where the press has black ink alone: every renderer then shows grays, whatever colors were drawn. */
  gray: boolean;
  layers: Layer[];
}
