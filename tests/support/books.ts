import { type Book, gatherBook, type Recipe } from '#core/book/index.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import type { ResourceLoader } from '#core/resources/index.ts';
import { READY_BANKS } from '#server/banks/ready.ts';
import { demoBooks } from '#server/demo/books.ts';

/** The demo's books with readable ids. */
export const [beekeeper, nightSkies, tidePool, hedgerow, yearAtTheHive] = demoBooks((name) => name) as [
  Recipe,
  Recipe,
  Recipe,
  Recipe,
  Recipe,
];

const banks = new Map(READY_BANKS.map(({ hash, content }) => [hash, content]));

/** The word banks of the demo, and no pictures. */
const demoLoader: ResourceLoader = {
  load: async (hash) => banks.get(hash) ?? null,
  decodePicture: () => Promise.reject(new Error('The demo has no pictures.')),
  pdfReader: () => Promise.reject(new Error('The demo has no PDFs.')),
};

/** A book of the demo with its words, or any book that needs nothing. */
export const gathered = (recipe: Recipe): Promise<Book> =>
  gatherBook(recipe, demoLoader, typesetterFromDisk());

export { planOf, recipeOf } from '#core/book/book.sample.ts';
