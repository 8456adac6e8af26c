import { bookFrom } from '#core/book/book.ts';
import { gatherBook, prepareKinds } from '#core/book/gather-book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { firstPagesPng } from '#core/export/first-pages.ts';
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
await firstPagesPng(bookFrom(nobody), type);

/**
 * Draws the first pages of a book. Runs in a worker thread, where the typefaces stay unfolded.
 * @param own hashes of the contents that the workspace has
 */
export default async ({
  recipe: value,
  own,
}: {
  recipe: unknown;
  own: string[];
}): Promise<Uint8Array | null> =>
  firstPagesPng(await gatherBook(parseRecipe(value), storeLoader(own), type), type);
