import { prepareKinds } from '#core/book/gather-book.ts';
import { bookFrom, drawPage, parseRecipe, type Recipe } from '#core/book/index.ts';
import { drawFront, MOTIF_NAMES } from '#core/cover/index.ts';
import { scenePng } from '#core/export/picture.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { parseLength } from '#core/units.ts';
import type { CatalogBook } from './catalog/make.ts';

const COVER_WIDTH = 160;
const PAGE_WIDTH = 320;
/** Pages a book shows before it is bought. */
export const PAGES_SHOWN = 4;
const PICTURES_KEPT = 1500;

const PALETTES = [
  ['#17323d', '#efbf45', '#c8861b', '#f6ead0'],
  ['#5a2233', '#f2c9b5', '#c96f6f', '#fbf0e6'],
  ['#f3e3c3', '#7a3b1d', '#c98b3a', '#33241a'],
  ['#2c4a3a', '#e6d7a3', '#8fae6b', '#f6f2e2'],
  ['#e9eef0', '#24445c', '#7fa2b8', '#1b2733'],
  ['#3a2c52', '#f0b7d2', '#9d83c9', '#f5eefa'],
  ['#f7d8c8', '#8a2f3c', '#e08b6d', '#4a1d22'],
  ['#123f46', '#f6e27a', '#5fb7a5', '#eef7f3'],
] as const;

const WORDS =
  'acorn amber apron basket beacon blossom bramble breeze cabin candle canvas cedar clover cobble copper cottage cricket daisy dapple ember fathom feather fennel garland ginger harbour hazel heather hollow juniper kettle lantern linen maple marble meadow mitten nettle orchard paddle parsley pebble pepper pillow pocket quarry ribbon saddle saffron satchel shingle spindle sparrow thicket thimble timber trellis tulip velvet walnut willow'.split(
    ' ',
  );

/** A small recipe that looks like the book: its front, and the first of its pages. */
function recipeOf(book: CatalogBook): Recipe {
  const choice = Math.floor(book.phase * 1_000_000);
  const [ground, accent, second, light] = PALETTES[choice % PALETTES.length]!;
  const [title, subtitle = ''] = book.title.split(/: | – /);
  const kind = book.category.split('.')[0]!;
  const ruling = ['wide', 'college', 'narrow'][choice % 3]!;
  const inside =
    kind === 'word-search'
      ? [{ id: 'w', kind: 'word-search', items: 20, options: { words: { lists: [{ words: WORDS }] } } }]
      : [
          {
            id: 'r',
            kind: 'ruled',
            pages: 30,
            options: { ruling, heading: kind === 'log' || kind === 'planner' ? 'date' : 'none' },
          },
        ];
  return parseRecipe({
    quill: 4,
    id: book.id,
    seed: book.id,
    title,
    subtitle,
    penName: book.penName,
    print: { service: 'wrenfair', trim: { width: `${book.trim.width}in`, height: `${book.trim.height}in` } },
    style: { palette: { ground, accent, second, light }, motif: MOTIF_NAMES[choice % MOTIF_NAMES.length] },
    sections: [
      { id: 't', kind: 'title-page' },
      { id: 'o', kind: 'belongs-to' },
      // Of kinds of book the core cannot draw yet, only the front matter is shown.
      ...(['word-search', 'journal', 'log', 'planner'].includes(kind) ? inside : []),
    ],
  });
}

/** Pictures of a book as the shop shows them: its cover, and its first pages. */
export function openPictures() {
  const type = typesetterFromDisk();
  const kept = new Map<string, Uint8Array | null>();
  const picture = (key: string, draw: () => Uint8Array | null): Uint8Array | null => {
    let found = kept.get(key);
    if (found === undefined) {
      if (kept.size >= PICTURES_KEPT) kept.delete(kept.keys().next().value!);
      found = draw();
      kept.set(key, found);
    }
    return found;
  };
  return {
    cover: (book: CatalogBook) =>
      picture(book.id, () => {
        const recipe = recipeOf(book);
        const { width, height } = recipe.print.trim;
        const size = { width: parseLength(width), height: parseLength(height) };
        return scenePng(drawFront(recipe, size, type), type, COVER_WIDTH);
      }),
    /** Null for a page the book does not show. */
    async page(book: CatalogBook, number: number): Promise<Uint8Array | null> {
      const recipe = recipeOf(book);
      await prepareKinds(recipe);
      return picture(`${book.id} ${number}`, () => {
        const shown = bookFrom(recipe);
        if (!(number >= 1 && number <= Math.min(PAGES_SHOWN, shown.plan.pages.length))) return null;
        return scenePng(drawPage(shown, number, type), type, PAGE_WIDTH);
      });
    },
    pagesShown: (book: CatalogBook) => Math.min(PAGES_SHOWN, bookFrom(recipeOf(book)).plan.pages.length),
  };
}
