import type { Book } from '../book/book.ts';
import type { Recipe } from '../book/recipe.ts';
import { houseFaces } from '../faces/choice.ts';
import { type CoverSheet, coverSheets, printRules, type Rect } from '../print/index.ts';
import { boundsOf, type Scene, type Typesetter } from '../scene/index.ts';
import { type CoverContext, type CoverLayer, compositionOf } from './compositions/index.ts';

export const coverSheetsOf = ({ rules, spec, plan }: Book): CoverSheet[] =>
  coverSheets(rules, spec, plan.pages.length);

type Panels = Pick<CoverContext<never, never>, 'sheet' | 'front' | 'back' | 'spine'>;

/** What the composition of a recipe puts on the panels, from the ground up, those that are hidden too. */
function layersOn(recipe: Recipe, panels: Panels, type: Typesetter): CoverLayer[] {
  const { cover } = recipe;
  const faces = houseFaces(recipe, type);
  const context = { ...panels, recipe, type, faces, options: cover.options, fields: cover.fields };
  return compositionOf(cover)
    .layers(context as CoverContext<never, never>)
    .filter(({ marks }) => marks.length > 0);
}

export const isHidden = ({ cover }: Recipe, layer: string): boolean =>
  cover.layers.some(({ id, hidden }) => id === layer && hidden);

const shown = (recipe: Recipe, layers: readonly CoverLayer[]): Scene['layers'] => [
  { marks: layers.filter(({ id }) => !isHidden(recipe, id)).flatMap(({ marks }) => marks) },
];

/** All layers of one sheet of a cover, from the ground up. */
export function sheetLayers({ recipe }: Book, sheet: CoverSheet, type: Typesetter): CoverLayer[] {
  const { front, back, spineText, barcode } = sheet;
  // Without a barcode, the corner of the safe area is all that is kept clear.
  const corner = (safe: Rect): Rect => ({
    x: safe.x + safe.width,
    y: safe.y + safe.height,
    width: 0,
    height: 0,
  });
  return layersOn(
    recipe,
    {
      sheet: { x: 0, y: 0, ...sheet.media },
      front: front ?? null,
      back: back ? { ...back, clear: barcode ?? corner(back.safe) } : null,
      // A quarter turn to the right: the spine reads from top to tail.
      spine: spineText
        ? {
            length: spineText.height,
            width: spineText.width,
            place: [0, 1, -1, 0, spineText.x + spineText.width, spineText.y],
          }
        : null,
    },
    type,
  );
}

/** One sheet of the cover: its ground, and what stands on the panels that it has. */
export const drawSheet = (book: Book, sheet: CoverSheet, type: Typesetter): Scene => ({
  ...sheet.media,
  gray: false,
  layers: shown(book.recipe, sheetLayers(book, sheet, type)),
});

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

/** A layer as it lies on the overview of a cover: its box in points. */
export interface PlacedLayer extends Omit<CoverLayer, 'marks'> {
  hidden: boolean;
  box: Rect;
}

/** The layers of all sheets where the overview shows them, from the ground up. */
export function placedLayers(book: Book, type: Typesetter): PlacedLayer[] {
  return coverOverview(book).sheets.flatMap(({ sheet, x }) =>
    sheetLayers(book, sheet, type).flatMap(({ marks, ...layer }) => {
      const bounds = boundsOf(marks, type);
      if (!bounds) return [];
      // What runs off the sheet is not seen.
      const left = Math.max(0, bounds.left);
      const top = Math.max(0, bounds.top);
      const width = Math.min(sheet.media.width, bounds.right) - left;
      const height = Math.min(sheet.media.height, bounds.bottom) - top;
      const box = { x: left + x, y: top, width, height };
      return [{ ...layer, hidden: isHidden(book.recipe, layer.id), box }];
    }),
  );
}

/** The uppermost layer that is seen at a point of the overview; null beside the sheets. */
export const layerAt = (layers: readonly PlacedLayer[], x: number, y: number): PlacedLayer | null =>
  layers.findLast(
    ({ hidden, box }) =>
      !hidden && x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height,
  ) ?? null;

/** The front alone, in any proportion: for the e-book's picture and the shelf. Sizes in points. */
export function drawFront(recipe: Recipe, size: { width: number; height: number }, type: Typesetter): Scene {
  const { safeInsideTrim } = printRules(recipe.print.service, recipe.print.binding).cover;
  const sheet: Rect = { x: 0, y: 0, ...size };
  const safe: Rect = {
    x: safeInsideTrim,
    y: safeInsideTrim,
    width: size.width - 2 * safeInsideTrim,
    height: size.height - 2 * safeInsideTrim,
  };
  const layers = layersOn(recipe, { sheet, front: { trim: sheet, safe }, back: null, spine: null }, type);
  return { ...size, gray: false, layers: shown(recipe, layers) };
}
