import type { Book } from '../book/book.ts';
import type { Recipe } from '../book/recipe.ts';
import { type CoverSheet, coverSheets, printRules, type Rect } from '../print/index.ts';
import type { Mark, Scene, Typesetter } from '../scene/index.ts';
import type { Composition } from './compositions/composition.ts';
import { field } from './compositions/field.ts';
import type { CompositionName } from './names.ts';

export const compositions: Record<CompositionName, Composition> = { field };

const compositionOf = (recipe: Recipe): Composition => compositions[recipe.cover.composition];

export const coverSheetsOf = ({ rules, spec, plan }: Book): CoverSheet[] =>
  coverSheets(rules, spec, plan.pages.length);

/** One sheet of the cover: its ground, and what stands on the panels that it has. */
export function drawSheet({ recipe }: Book, sheet: CoverSheet, type: Typesetter): Scene {
  const composition = compositionOf(recipe);
  const whole: Rect = { x: 0, y: 0, ...sheet.media };
  const { front, back, spineText } = sheet;
  const marks: Mark[] = [...composition.ground(recipe, whole)];
  if (front) marks.push(...composition.front(recipe, { ...front, sheet: whole }, type));
  if (back) {
    const { safe } = back;
    // Without a barcode, the corner of the safe area is all that is kept clear.
    const clear = sheet.barcode ?? {
      x: safe.x + safe.width,
      y: safe.y + safe.height,
      width: 0,
      height: 0,
    };
    marks.push(...composition.back(recipe, { ...back, sheet: whole }, clear, type));
  }
  if (spineText) {
    const { x, y, width, height } = spineText;
    // A quarter turn to the right: the spine reads from top to tail.
    marks.push({
      type: 'group',
      matrix: [0, 1, -1, 0, x + width, y],
      marks: composition.spine(recipe, { length: height, width }, type),
    });
  }
  return { ...sheet.media, gray: false, layers: [{ marks }] };
}

/** All sheets of a cover. */
export const drawCover = (book: Book, type: Typesetter): { sheet: CoverSheet; scene: Scene }[] =>
  coverSheetsOf(book).map((sheet) => ({ sheet, scene: drawSheet(book, sheet, type) }));

/** Between two sheets that are looked at side by side, in points. */
const BETWEEN_SHEETS = 18;

/** The sheets of a cover side by side, the back to the left as on an opened book. */
export interface CoverOverview {
  media: { width: number; height: number };
  sheets: { sheet: CoverSheet; x: number }[];
}

export function coverOverview(book: Book): CoverOverview {
  let x = 0;
  let height = 0;
  const sheets = coverSheetsOf(book)
    .reverse()
    .map((sheet) => {
      const placed = { sheet, x };
      x += sheet.media.width + BETWEEN_SHEETS;
      height = Math.max(height, sheet.media.height);
      return placed;
    });
  return { media: { width: x - BETWEEN_SHEETS, height }, sheets };
}

export function drawCoverOverview(book: Book, type: Typesetter): Scene {
  const { media, sheets } = coverOverview(book);
  const layers = sheets.map(({ sheet, x }) => ({
    marks: [
      {
        type: 'group' as const,
        matrix: [1, 0, 0, 1, x, 0] as const,
        marks: drawSheet(book, sheet, type).layers.flatMap(({ marks }) => marks),
      },
    ],
  }));
  return { ...media, gray: false, layers };
}

/** The front alone, in any proportion: for the e-book's picture and the shelf. Sizes in points. */
export function drawFront(recipe: Recipe, size: { width: number; height: number }, type: Typesetter): Scene {
  const composition = compositionOf(recipe);
  const { safeInsideTrim } = printRules(recipe.print.service, recipe.print.binding).cover;
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
