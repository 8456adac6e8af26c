import * as v from 'valibot';
import { expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '#core/book/book.sample.ts';
import { bookFrom, parseRecipe, type Recipe } from '#core/book/index.ts';
import { smallFiles, writeInterior } from '#core/export/files.ts';
import { listingSheet } from '#core/export/listing.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofBook } from '#core/proof/index.ts';
import { type Listing, ListingSchema } from './listing.ts';
import { review } from './reviewer.ts';

// The proof and the reviewer share the published rules and no code: what one lets through, the other may not refuse.

const type = typesetterFromDisk();
const ruled = (pages: number) => ({ id: 'r', kind: 'ruled', pages });
const search = (options: object, more: object = {}) => ({
  id: 'w',
  kind: 'word-search',
  items: 24,
  options: { words: { lists: [{ words: HIVE_WORDS }] }, ...options },
  ...more,
});
const sized = (width: number, height: number, more: object = {}) => ({
  print: { service: 'wrenfair', trim: { width: `${width}in`, height: `${height}in` }, ...more },
});
const priced = (us: number | undefined, gb: number | undefined) => ({
  listing: {
    description: 'A book.',
    keywords: ['book'],
    prices: { ...(us === undefined ? {} : { us }), ...(gb === undefined ? {} : { gb }) },
  },
});
const selling = (more: object) => ({
  listing: { description: 'A book.', keywords: ['book'], prices: { us: 9, gb: 9 }, ...more },
});
const hiding =
  (...ids: string[]) =>
  (recipe: Recipe) =>
    parseRecipe({ ...recipe, cover: { ...recipe.cover, layers: ids.map((id) => ({ id, hidden: true })) } });
const front = { id: 't', kind: 'title-page' };

const books: [name: string, recipe: Recipe][] = [
  ['as it should be', recipeOf([front, ruled(118)])],
  ['with bleed', recipeOf([front, ruled(118)], sized(6, 9, { bleed: true }))],
  ['as thin as can be', recipeOf([ruled(24)])],
  ['two pages too thin', recipeOf([ruled(22)])],
  ['far too thin', recipeOf([ruled(2)])],
  ['as thick as can be', recipeOf([ruled(828)], priced(24, 24))],
  [
    'too thick for its paper',
    recipeOf([ruled(800)], { ...sized(6, 9, { paper: 'cream' }), ...priced(24, 24) }),
  ],
  ['too thick', recipeOf([ruled(828), front, { id: 'o', kind: 'belongs-to' }], priced(24, 24))],
  ['no price', recipeOf([ruled(120)], priced(undefined, undefined))],
  ['no price in one market', recipeOf([ruled(120)], priced(undefined, 9))],
  ['no price in the other', recipeOf([ruled(120)], priced(9, undefined))],
  ['a price below the minimum', recipeOf([ruled(120)], priced(3.5, 9))],
  ['the minimum, in the other market', recipeOf([ruled(120)], priced(9, 1))],
  ['both below', recipeOf([ruled(120)], priced(0.99, 0.99))],
  ['a large trim costs more', recipeOf([ruled(300)], { ...sized(8.5, 11), ...priced(6, 9) })],
  ['no pen name', recipeOf([ruled(120)], { penName: '' })],
  ['no description', recipeOf([ruled(120)], { listing: { prices: { us: 9, gb: 9 } } })],
  ['no title on the cover', hiding('front-title', 'spine-title')(recipeOf([ruled(120)]))],
  ['no pen name on the cover', hiding('front-pen-name', 'spine-pen-name')(recipeOf([ruled(120)]))],
  ['the title on the spine alone', hiding('front-title')(recipeOf([ruled(220)]))],
  ['thin, without words on its spine', recipeOf([ruled(98)])],
  ['words on a spine too small to read', recipeOf([ruled(100)])],
  ['no words on that spine', hiding('spine-title', 'spine-pen-name')(recipeOf([ruled(100)]))],
  ['a title as long as it may be', recipeOf([ruled(120)], { title: 'Bees and Hives '.repeat(13).trim() })],
  ['a title of one long word', recipeOf([ruled(120)], { title: 'W'.repeat(60) })],
  [
    'a long blurb',
    recipeOf([ruled(120)], {
      cover: { composition: 'field', fields: { blurb: 'Bees and more bees. '.repeat(55) } },
    }),
  ],
  ['narrower than is printed', recipeOf([ruled(120)], sized(3.9, 6))],
  ['lower than is printed', recipeOf([ruled(120)], sized(8, 5.5))],
  ['wider than is printed', recipeOf([ruled(120)], { ...sized(9, 9), ...priced(12, 12) })],
  ['higher than is printed', recipeOf([ruled(120)], { ...sized(8.5, 14), ...priced(12, 12) })],
  ['a trim that nobody else has', recipeOf([ruled(120)], sized(6.14, 9.21))],
  ['a keyword that is too long', recipeOf([ruled(120)], selling({ keywords: ['bees '.repeat(11)] }))],
  ['a keyword as long as it may be', recipeOf([ruled(120)], selling({ keywords: ['b'.repeat(50)] }))],
  ['too many keywords', recipeOf([ruled(120)], selling({ keywords: 'abcdefgh'.split('') }))],
  ['a description that is too long', recipeOf([ruled(120)], selling({ description: 'b'.repeat(4001) }))],
  [
    'title and subtitle too long together',
    recipeOf([ruled(120)], { title: 'b '.repeat(80).trim(), subtitle: 'a '.repeat(60).trim() }),
  ],
  [
    'title and subtitle as long as they may be together',
    recipeOf([ruled(120)], { title: 'Bees', subtitle: `${'a '.repeat(97)}a` }),
  ],
  [
    'no front at all',
    hiding('front-title', 'front-pen-name', 'spine-title', 'spine-pen-name')(recipeOf([ruled(120)])),
  ],
  ['nothing but a title page', recipeOf([front])],
  ['puzzles as they should be', recipeOf([search({})])],
  ['puzzles of 30 × 30 on 6 × 9', recipeOf([search({ columns: 30, rows: 30 })])],
  ['puzzles of 30 × 30 on 8.5 × 11', recipeOf([search({ columns: 30, rows: 30 })], sized(8.5, 11))],
  ['puzzles of 40 × 40 on 8.5 × 11', recipeOf([search({ columns: 40, rows: 40 })], sized(8.5, 11))],
  ['puzzles of 30 × 30 on 5 × 8', recipeOf([search({ columns: 30, rows: 30 })], sized(5, 8))],
  ['wide pages', recipeOf([search({})], sized(8.25, 6))],
  ['wide pages, a wide grid', recipeOf([search({ columns: 24, rows: 12 })], sized(8.25, 6))],
  ['wide pages, a high grid', recipeOf([search({ columns: 12, rows: 24 })], sized(8.25, 6))],
  ['wide pages, many words', recipeOf([search({ wordsPerPuzzle: 20 })], sized(8.25, 6))],
  ['square pages', recipeOf([search({ wordsPerPuzzle: 20, columns: 20, rows: 20 })], sized(8.5, 8.5))],
  ['square pages, a large grid', recipeOf([search({ columns: 30, rows: 30 })], sized(8.5, 8.5))],
  ['a high narrow grid', recipeOf([search({ columns: 8, rows: 30 })])],
  ['a low wide grid', recipeOf([search({ columns: 30, rows: 10 })])],
  ['nine solutions to a page', recipeOf([search({ columns: 24, rows: 24 }, { solutions: { perPage: 9 } })])],
  [
    'nine solutions of 30 × 30 to a page',
    recipeOf([search({ columns: 30, rows: 30 }, { solutions: { perPage: 9 } })]),
  ],
  ['four solutions to a page', recipeOf([search({}, { solutions: { perPage: 4 } })])],
  [
    'long words',
    recipeOf([
      search({
        words: { lists: [{ words: ['incomprehensibility', 'counterrevolution', ...HIVE_WORDS] }] },
        columns: 24,
        rows: 24,
      }),
    ]),
  ],
  [
    'a long title over each puzzle',
    recipeOf([
      search({
        words: {
          lists: [
            { title: 'Everything that a keeper of bees may find in a hive in spring', words: HIVE_WORDS },
          ],
        },
      }),
    ]),
  ],
];

it.each(books)('proof and reviewer agree on a book that is: %s', async (_, recipe) => {
  const book = bookFrom(recipe);
  const mustFix = proofBook(book, type)
    .filter(({ severity }) => severity === 'fix')
    .map(({ message }) => message);
  const chunks: Uint8Array[] = [];
  await writeInterior(book, type, (chunk) => void chunks.push(chunk));
  const listing = listingSheet(book);
  const read = v.safeParse(ListingSchema, listing);
  const reasons = read.success
    ? await review(
        listing as unknown as Listing,
        new Uint8Array(Buffer.concat(chunks)),
        (await smallFiles(book, type))['wrap.pdf'],
      )
    : read.issues.map(({ message }) => message);
  // Both by what they say, so that a disagreement tells its reason.
  expect({ mustFix, reasons: reasons.length > 0 }).toEqual({ mustFix, reasons: mustFix.length > 0 });
});
