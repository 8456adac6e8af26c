import type * as v from 'valibot';
import type { Recipe } from '../../book/recipe.ts';
import type { HouseFaces } from '../../faces/choice.ts';
import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import type { Mark, Matrix, Typesetter } from '../../scene/index.ts';
import type { Versioned } from '../../versions.ts';

/** A panel of the cover: its trimmed edge and where words may stand. */
export interface Panel {
  trim: Rect;
  safe: Rect;
}

/** What a cover is composed for: the panels that a sheet has, of any size and proportion. */
export interface CoverContext<Options, Fields> {
  recipe: Recipe;
  options: Options;
  /** Those of the house style. */
  faces: HouseFaces<FaceId>;
  /** The words that the composition asks for beside those of the book. */
  fields: Fields;
  /** The whole sheet, which the ground must fill. */
  sheet: Rect;
  front: Panel | null;
  /** `clear` is kept free for the barcode; without one, it is the lower outer corner alone. */
  back: (Panel & { clear: Rect }) | null;
  /** The strip for words, drawn as if lying: along x from top to tail. `place` turns it onto the sheet. */
  spine: { length: number; width: number; place: Matrix } | null;
  type: Typesetter;
}

/** A part of a cover that is chosen, changed or hidden as one. */
export interface CoverLayer {
  /** Names it among the layers of its composition, whatever the book. */
  id: string;
  name: string;
  role: 'ground' | 'art' | 'panel' | 'text';
  panel: 'sheet' | 'front' | 'back' | 'spine';
  /** Where on its panel it hangs, so that it keeps its place when the panel grows. */
  anchor: { x: 'left' | 'center' | 'right'; y: 'top' | 'middle' | 'bottom' };
  /** The words that it shows: a field of the recipe, or of the composition. */
  field?: string;
  marks: Mark[];
}

/**
 * How a cover is composed: to the wrap what a kind is to pages. The same composition draws the paperback's front and the
 * taller front of an e-book.
 */
export interface Composition<Options = never, Fields = never> extends Versioned<Composition> {
  name: string;
  /** Each with its default and what the settings say of it; see pages/settings.ts. */
  options: v.GenericSchema<unknown, Options>;
  /** Words that it shows beside those of the book, each a text with its default. */
  fields: v.GenericSchema<unknown, Fields>;
  /** From the ground up. A layer without marks is left out. */
  layers(context: CoverContext<Options, Fields>): CoverLayer[];
}

export const defineComposition = <Options, Fields>(
  composition: Composition<Options, Fields>,
): Composition<Options, Fields> => composition;
