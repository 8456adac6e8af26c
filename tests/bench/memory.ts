import { bookFrom } from '#core/book/index.ts';
import { writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { READY_BANKS } from '#server/banks/ready.ts';
import { recipeOf } from '../support/books.ts';

// A process of its own, so that its peak is that of writing alone.
const book = recipeOf([
  {
    id: 'w',
    kind: 'word-search',
    items: 828,
    options: { words: { lists: [{ words: READY_BANKS[0]!.words }] } },
    solutions: { place: 'none' },
  },
]);
await writeInterior(bookFrom(book), typesetterFromDisk(), () => {});
console.log((process.resourceUsage().maxRSS / 1024).toFixed(0));
