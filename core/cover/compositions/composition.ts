import type { Recipe } from '../../book/recipe.ts';
import type { Rect } from '../../print/index.ts';
import type { Mark, Typesetter } from '../../scene/index.ts';

/** A panel of the cover: its trimmed edge, where words may stand, and how far its ground runs over the edge. */
export interface Panel {
  trim: Rect;
  safe: Rect;
  /** The whole sheet, which the ground must fill. */
  sheet: Rect;
}

/**
 * How a cover is composed. Panels of any size and proportion: the same composition draws the paperback's front and
 * the taller front of an e-book.
 */
export interface Composition {
  name: string;
  ground(recipe: Recipe, sheet: Rect): Mark[];
  front(recipe: Recipe, panel: Panel, type: Typesetter): Mark[];
  back(recipe: Recipe, panel: Panel, keepClear: Rect, type: Typesetter): Mark[];
  /** Drawn as if lying: along x from top to tail of the spine. */
  spine(recipe: Recipe, box: { length: number; width: number }, type: Typesetter): Mark[];
}
