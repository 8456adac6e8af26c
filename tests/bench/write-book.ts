import { readFileSync } from 'node:fs';
import { HIVE_WORDS } from '#core/book/book.sample.ts';
import { gatherBook, parseRecipe, type Recipe } from '#core/book/index.ts';
import { writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { DESIGNS } from '#core/pages/composed/designs/index.ts';

const recipeOf = (sections: object[]): Recipe =>
  parseRecipe({
    quill: 4,
    id: 'bench',
    seed: 'moth-7',
    title: 'The Hive',
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    sections,
  });

/** Pages of every design in turn, each of the pages another: 250 of them. */
const COMPOSED = 250;
const designs = Object.keys(DESIGNS);

const YEARS = { from: '2027-01-01', to: '2029-12-30' };
const DAYS = { holidays: 'US', observances: true, moon: true, dates: '05-31,A birthday' };

const BOOKS: Record<string, () => Recipe> = {
  searches: () =>
    recipeOf([
      {
        id: 'w',
        kind: 'word-search',
        items: 828,
        options: { words: { lists: [{ words: HIVE_WORDS }] } },
        solutions: { place: 'none' },
      },
    ]),
  ruled: () => recipeOf([{ id: 'r', kind: 'ruled', pages: 828 }]),
  composed: () =>
    recipeOf(
      designs.map((design, i) => {
        const pages = Math.floor(COMPOSED / designs.length) + (i < COMPOSED % designs.length ? 1 : 0);
        const varied = Array.from({ length: pages }, (_, n) => `Page ${n + 1}`).join('\n');
        return { id: `c${i}`, kind: 'composed', pages, options: { design, varied } };
      }),
    ),
  // Three years of weeks on two pages with their months: 390 pages, each another; and the year on two more a year.
  planner: () =>
    recipeOf([
      { id: 'y', kind: 'planner', options: { view: 'year-list', ...YEARS, ...DAYS } },
      { id: 'w', kind: 'planner', options: { view: 'week', months: true, ...YEARS, ...DAYS } },
    ]),
};

// A process of its own, so that its time from the start and its peak are those of one book alone.
const type = typesetterFromDisk();
const book = await gatherBook(
  BOOKS[process.argv[2]!]!(),
  { load: async () => null, decodePicture: undefined as never, pdfReader: undefined as never },
  type,
);
let bytes = 0;
await writeInterior(book, type, (part) => {
  bytes += part.length;
});
// What the process itself took: `resourceUsage` also counts what the one that began it had.
const [, peak] = /^VmHWM:\s+(\d+) kB$/m.exec(readFileSync('/proc/self/status', 'utf8'))!;
console.log(JSON.stringify({ peak: Number(peak) / 1024, bytes }));
