import type { Book } from '../book/book.ts';
import type { Recipe } from '../book/recipe.ts';
import { printService, type Rect, type WrapFrame, wrapFrame } from '../print/index.ts';
import type { Scene, Typesetter } from '../scene/index.ts';
import type { Composition } from './compositions/composition.ts';
import { field } from './compositions/field.ts';
import type { CompositionName } from './names.ts';

export const compositions: Record<CompositionName, Composition> = { field };

const compositionOf = (recipe: Recipe): Composition => compositions[recipe.cover.composition];

export const frameOfWrap = ({ service, spec, plan }: Book): WrapFrame =>
  wrapFrame(service, spec, plan.pages.length);

/** The full cover sheet. Spine words only where the service allows any. */
export function drawWrap(book: Book, type: Typesetter): Scene {
  const { recipe } = book;
  const frame = frameOfWrap(book);
  const composition = compositionOf(recipe);
  const sheet: Rect = { x: 0, y: 0, ...frame.media };
  const marks = [
    ...composition.ground(recipe, sheet),
    ...composition.front(recipe, { trim: frame.front, safe: frame.frontSafe, sheet }, type),
    ...composition.back(recipe, { trim: frame.back, safe: frame.backSafe, sheet }, frame.barcode, type),
  ];
  if (frame.spineText) {
    const { x, y, width, height } = frame.spineText;
    // A quarter turn to the right: the spine reads from top to tail.
    marks.push({
      type: 'group',
      matrix: [0, 1, -1, 0, x + width, y],
      marks: composition.spine(recipe, { length: height, width }, type),
    });
  }
  return { ...frame.media, gray: false, layers: [{ marks }] };
}

/** The front alone, in any proportion: for the e-book's picture and the shelf. Sizes in points. */
export function drawFront(recipe: Recipe, size: { width: number; height: number }, type: Typesetter): Scene {
  const composition = compositionOf(recipe);
  const { safeInsideTrim } = printService(recipe.print.service).cover;
  const sheet: Rect = { x: 0, y: 0, ...size };
  const safe: Rect = {
    x: safeInsideTrim,
    y: safeInsideTrim,
    width: size.width - 2 * safeInsideTrim,
    height: size.height - 2 * safeInsideTrim,
  };
  return {
    ...size,
    gray: false,
    layers: [
      {
        marks: [
          ...composition.ground(recipe, sheet),
          ...composition.front(recipe, { trim: sheet, safe, sheet }, type),
        ],
      },
    ],
  };
}
