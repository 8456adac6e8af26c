// A mixed puzzle book: its first pages, its whole PDF, and what a change on one section makes anew. A process of its own.
import { PUZZLE_SOURCES } from '#core/book/book.sample.ts';
import { drawPage, finished, gatherBook, pageSteps, parseRecipe, type Recipe } from '#core/book/index.ts';
import { writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';

const FIRST_PAGES = 4;
const TEXTS = Array.from(
  { length: 24 },
  (_, i) =>
    `The keeper of hive ${'one two three four five six'.split(' ')[i % 6]} waits for clover and for rain`,
).join('\n');

const recipeOf = (maze: object): Recipe =>
  parseRecipe({
    quill: 4,
    id: 'mixed',
    seed: 'tide-7',
    title: 'The Mixed Hive',
    print: { service: 'wrenfair', trim: { width: '8.5in', height: '11in' } },
    sections: [
      { id: 't', kind: 'title-page' },
      {
        id: 'w',
        kind: 'word-search',
        items: 40,
        options: PUZZLE_SOURCES['word-search'],
        solutions: { perPage: 4 },
      },
      {
        id: 's',
        kind: 'sudoku',
        items: 80,
        options: { perPage: 2, level: 'rising' },
        solutions: { perPage: 12 },
      },
      { id: 'm', kind: 'maze', items: 30, options: maze, solutions: { perPage: 6 } },
      { id: 'c', kind: 'crossword', items: 26, options: PUZZLE_SOURCES.crossword, solutions: { perPage: 4 } },
      {
        id: 'y',
        kind: 'cryptogram',
        items: 24,
        options: { texts: TEXTS, given: 3 },
        solutions: { perPage: 12 },
      },
    ],
  });

const resources = {
  load: async () => null,
  decodePicture: undefined as never,
  pdfReader: undefined as never,
};
const type = typesetterFromDisk();
const plain = { columns: 30, rows: 38, level: 'rising' };

/** The program is there, as it is where a book is being worked on. */
const begun = performance.now();
const book = await gatherBook(recipeOf(plain), resources, type);
const { pages } = book.plan;
for (const page of pages.slice(0, FIRST_PAGES)) {
  await finished(pageSteps(book, page));
  drawPage(book, page.number, type);
}
const drawn = performance.now();
await writeInterior(book, type, () => {});
const whole = performance.now();
// Everything else is found as it was: only mazes are made.
const changed = await gatherBook(recipeOf({ ...plain, columns: 29 }), resources, type);
for (const page of changed.plan.pages) await finished(pageSteps(changed, page));
const again = performance.now() - whole;
console.log(JSON.stringify({ pages: pages.length, first: drawn - begun, fromStart: drawn, whole, again }));
