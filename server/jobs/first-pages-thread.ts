import { bookFrom } from '#core/book/book.ts';
import { gatherBook, prepareKinds } from '#core/book/gather-book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { firstPages } from '#core/export/first-pages.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { storeLoader } from '../resources/loader.ts';

const type = typesetterFromDisk();

// The first drawings unfold the typefaces and warm the program: nobody waits for those of this book, which is nobody's.
const nobody = parseRecipe({
  quill: 4,
  id: 'nobody',
  seed: 'first',
  title: 'First Pages',
  penName: 'Nobody',
  print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
  sections: [
    { id: 'title', kind: 'title-page' },
    { id: 'owner', kind: 'belongs-to' },
    { id: 'words', kind: 'word-search', items: 30, options: { words: { lists: [{ words: ['QUILL'] }] } } },
  ],
});
await prepareKinds(nobody);
await firstPages(bookFrom(nobody), type);

/** The first pages of a book, to be sent. */
export interface SentPages {
  picture: Uint8Array;
  /** The rest of what FirstPages has, as JSON. */
  known: string;
}

/**
 * Draws the first pages of a book. Runs in a worker thread, where the typefaces stay unfolded.
 * @param own hashes of the contents that the workspace has
 * @returns null for a book without pages
 */
export default async function draw({
  recipe: value,
  own,
}: {
  recipe: unknown;
  own: string[];
}): Promise<SentPages | null> {
  const book = await gatherBook(parseRecipe(value), storeLoader(own), type);
  const first = await firstPages(book, type);
  if (!first) return null;
  const { picture, ...known } = first;
  return { picture, known: JSON.stringify(known) };
}
