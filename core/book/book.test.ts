import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { fingerprint } from '../fingerprint.ts';
import { pageKind, pageKinds } from '../pages/index.ts';
import { recipeOf as book, planOf, sectionAt, HIVE_WORDS as WORDS } from './book.sample.ts';
import {
  addSection,
  bookFrom,
  changeSection,
  drawPage,
  filledItem,
  jobTicket,
  moveSections,
  parseRecipe,
  type Recipe,
  readRecipe,
  refusal,
  removeSection,
  reroll,
  sectionsOf,
  togglePin,
} from './index.ts';

const puzzles = (items: number, more: Record<string, unknown> = {}) => ({
  id: 'w',
  kind: 'word-search',
  items,
  options: { words: { lists: [{ words: WORDS }] } },
  ...more,
});

const section = fc.oneof(
  fc.record({ kind: fc.constant('ruled'), pages: fc.integer({ min: 1, max: 200 }) }),
  fc.record({
    kind: fc.constant('word-search'),
    items: fc.integer({ min: 1, max: 90 }),
    solutions: fc.record({
      place: fc.constantFrom('end', 'after', 'none'),
      perPage: fc.constantFrom(1, 2, 4, 6, 9, 12),
    }),
  }),
  fc.record({ kind: fc.constantFrom('title-page', 'belongs-to') }),
);
const anyBook = fc
  .array(section, { maxLength: 8 })
  .map((sections) => book(sections.map((one, i) => ({ ...one, id: `s${i}` }))));

describe('the plan', () => {
  it('numbers pages without a gap, alternates sides, is even, and every item has its page and its solution', () => {
    fc.assert(
      fc.property(anyBook, (recipe) => {
        const plan = planOf(recipe);
        expect(plan.pages.length % 2).toBe(0);
        plan.pages.forEach((page, i) => {
          expect(page.number).toBe(i + 1);
          expect(page.side).toBe(i % 2 === 0 ? 'recto' : 'verso');
        });
        for (const one of sectionsOf(recipe.sections).filter(({ items }) => items)) {
          const { pages, solutionPages, count } = plan.items[one.id]!;
          expect(count).toBe(one.items);
          expect(pages).toHaveLength(count);
          for (let item = 1; item <= count; item++) {
            expect(plan.pages[pages[item - 1]! - 1]!.items).toContain(item);
            const solution = solutionPages[item - 1];
            if (one.solutions!.place === 'none') expect(solution).toBeUndefined();
            else
              expect(plan.pages[solution! - 1]).toMatchObject({
                role: 'solutions',
                section: one.id,
                answers: expect.arrayContaining([expect.objectContaining({ section: one.id, item })]),
              });
          }
        }
      }),
      { numRuns: 80 },
    );
  });

  it('lays solutions at the end or after their section, and numbers puzzles through the book', () => {
    const plan = planOf(
      book([
        puzzles(7),
        { id: 'r', kind: 'ruled', pages: 3 },
        { ...puzzles(3), id: 'x', solutions: { place: 'after', perPage: 2 } },
      ]),
    );
    expect(plan.runs.map(({ section: id, role, first, last }) => [id, role, first, last])).toEqual([
      ['w', 'body', 1, 7],
      ['r', 'body', 8, 10],
      ['x', 'body', 11, 13],
      ['x', 'solutions', 14, 15],
      ['w', 'solutions', 16, 17],
    ]);
    expect(plan.items.x!.displayNumbers).toEqual([8, 9, 10]);
    expect(plan.pages.at(-1)!.role).toBe('blank');
  });

  it('prints page numbers in each form, from any number, and none on front matter', () => {
    const numbered = (form: string, from = 1) =>
      planOf(
        book(
          [
            { id: 't', kind: 'title-page' },
            { id: 'r', kind: 'ruled', pages: 3 },
          ],
          { style: { numbering: { form, from } } },
        ),
      ).pages.map(({ folio }) => folio);
    expect(numbered('1')).toEqual(['', '2', '3', '4']);
    expect(numbered('Page 1')).toEqual(['', 'Page 2', 'Page 3', 'Page 4']);
    expect(numbered('1 of 100')).toEqual(['', '2 of 4', '3 of 4', '4 of 4']);
    expect(numbered('Page 1 of 100', 11)).toEqual(['', 'Page 12 of 14', 'Page 13 of 14', 'Page 14 of 14']);
    expect(numbered('none')).toEqual(['', '', '', '']);
  });

  it('gives the gutter of its own page count', () => {
    expect(planOf(book([{ id: 'r', kind: 'ruled', pages: 150 }])).gutter).toBe(27);
    expect(planOf(book([{ id: 'r', kind: 'ruled', pages: 152 }])).gutter).toBe(36);
  });
});

describe('items', () => {
  const grid = (recipe: Recipe, item: number) =>
    (
      filledItem(
        bookFrom(recipe),
        sectionAt(
          recipe,
          recipe.sections.findIndex(({ id }) => id === 'w'),
        ),
        item,
      ) as {
        search: { letters: string[] };
      }
    ).search.letters.join('');

  it('re-rolling one puzzle changes that one alone', () => {
    const before = book([puzzles(12)]);
    const after = reroll(before, 'w', 5);
    for (let item = 1; item <= 12; item++) expect(grid(after, item) === grid(before, item)).toBe(item !== 5);
  });

  it('adding, moving and removing other sections changes no puzzle', () => {
    const before = book([puzzles(6)]);
    const added = addSection(before, pageKind('ruled'), 0);
    const grown = moveSections(added, [added.sections[0]!.id], 2);
    for (let item = 1; item <= 6; item++) expect(grid(grown, item)).toBe(grid(before, item));
    expect(removeSection(grown, grown.sections[1]!.id)).toEqual(before);
  });

  it('a pinned puzzle stays through every change of the settings and cannot be re-rolled', () => {
    const pinned = togglePin(reroll(book([puzzles(6)]), 'w', 2), 'w', 2);
    const held = grid(pinned, 2);
    const changed = changeSection(pinned, 'w', (one) => ({
      ...one,
      options: { ...one.options, columns: 20, rows: 20, wordsPerPuzzle: 10, directions: ['across', 'up'] },
    }));
    expect(grid(changed, 2)).toBe(held);
    expect(grid(changed, 3)).not.toBe(grid(pinned, 3));
    expect(reroll(changed, 'w', 2)).toEqual(changed);
    expect(grid(togglePin(changed, 'w', 2), 2)).not.toBe(held);
    expect(parseRecipe(JSON.parse(JSON.stringify(changed)))).toEqual(changed);
  });

  it('a word returns only when all have been used', () => {
    const recipe = book([
      puzzles(4, { options: { words: { lists: [{ words: WORDS.slice(0, 20) }] }, wordsPerPuzzle: 10 } }),
    ]);
    const words = (item: number) =>
      (filledItem(bookFrom(recipe), sectionAt(recipe), item) as { words: { word: string }[] }).words.map(
        ({ word }) => word,
      );
    expect([...words(1), ...words(2)].sort()).toEqual(WORDS.slice(0, 20).sort());
  });
});

describe('editing', () => {
  it('never changes the recipe it began from', () => {
    const before = book([puzzles(3), { id: 'r', kind: 'ruled', pages: 24 }]);
    const mark = fingerprint(before);
    for (const kind of pageKinds()) addSection(before, kind);
    moveSections(before, ['w'], 2);
    togglePin(before, 'w', 1);
    reroll(before, 'w', 1);
    removeSection(before, 'w');
    expect(fingerprint(before)).toBe(mark);
  });

  it('refuses a book the service does not print', () => {
    expect(refusal(book([{ id: 'r', kind: 'ruled', pages: 828 }]))).toBeNull();
    expect(
      refusal(
        book([
          { id: 'r', kind: 'ruled', pages: 828 },
          { id: 't', kind: 'title-page' },
        ]),
      ),
    ).toMatch(/830 pages\. Wrenfair prints at most 828 on white paper\. Remove 2/);
  });
});

describe('the job ticket', () => {
  it('follows the recipe', () => {
    const thin = jobTicket(bookFrom(book([{ id: 'r', kind: 'ruled', pages: 98 }])));
    expect(thin.spineText).toBe(false);
    const thick = jobTicket(bookFrom(book([{ id: 'r', kind: 'ruled', pages: 100 }])));
    expect(thick).toMatchObject({ pages: 100, spineText: true, gutter: 27 });
    expect(thick.wrap.width / 72).toBeCloseTo(12.4752, 4);
    // 0.6 × 9.99 − (0.85 + 100 × 0.012), worked figures common in the trade, no source.
    expect(thick.markets[0]!.royalty).toBeCloseTo(5.994 - 2.05, 9);
    const unpriced = jobTicket(bookFrom(book([{ id: 'r', kind: 'ruled', pages: 100 }], { listing: {} })));
    expect(unpriced.markets.map(({ royalty }) => royalty)).toEqual([null, null]);
  });
});

describe('drawing', () => {
  it('draws alike pages once a side, and every kind on every usual trim', () => {
    const type = typesetterFromDisk();
    for (const trim of [
      { width: '5in', height: '8in' },
      { width: '8.5in', height: '11in' },
      { width: '8.25in', height: '6in' },
    ]) {
      const recipe = book(
        [
          { id: 't', kind: 'title-page' },
          { id: 'o', kind: 'belongs-to' },
          puzzles(2),
          { id: 'r', kind: 'ruled', pages: 6 },
        ],
        { print: { service: 'wrenfair', trim } },
      );
      const plan = planOf(recipe);
      for (const page of plan.pages.filter(({ role }) => role !== 'blank'))
        expect(drawPage(bookFrom(recipe), page.number, type).layers[0]!.marks.length).toBeGreaterThan(0);
      expect(drawPage(bookFrom(recipe), 5, type).layers[0]!.key).toBe(
        drawPage(bookFrom(recipe), 7, type).layers[0]!.key,
      );
      expect(drawPage(bookFrom(recipe), 5, type).layers[0]!.key).not.toBe(
        drawPage(bookFrom(recipe), 6, type).layers[0]!.key,
      );
    }
    expect(() => drawPage(bookFrom(book([])), 1, type)).toThrow(/There is no page 1/);
  });
});

describe('what the printing service offers', () => {
  const read = (print: object, prices: object = { us: 9.99 }) =>
    readRecipe({
      ...book([{ id: 'r', kind: 'ruled', pages: 30 }]),
      print: { trim: { width: '6in', height: '9in' }, ...print },
      listing: { prices },
    });

  it('is what is taken when a recipe leaves it out, each service its own', () => {
    expect(read({ service: 'wrenfair' }).recipe!.print).toMatchObject({
      binding: 'paperback',
      paper: 'white',
    });
    expect(read({ service: 'thornback' }).recipe!.print).toMatchObject({ binding: 'coil', paper: 'white' });
  });

  it.each([
    [{ service: 'nobody' }, 'print.service', /Allowed: wrenfair, thornback/],
    [{ service: 'wrenfair', binding: 'coil' }, 'print.binding', /Wrenfair has: paperback/],
    [{ service: 'thornback', paper: 'cream' }, 'print.paper', /Thornback Bindery has: white, heavy/],
    [{ service: 'wrenfair', ink: 'gold' }, 'print.ink', /Wrenfair has: black, color/],
    [{ service: 'wrenfair', finish: 'linen' }, 'print.finish', /has: matte, gloss/],
    [{ service: 'wrenfair', paper: 'cream', ink: 'color' }, 'print.paper', /printed in black only/],
  ])('%o is answered with what there is', (print, path, message) => {
    const [problem] = read(print).problems!;
    expect(problem!.path).toBe(path);
    expect(problem!.message).toMatch(message);
  });

  it('a price in a market that the service does not sell in is named', () => {
    expect(read({ service: 'thornback' }, { us: 20, gb: 18 }).problems).toEqual([
      { path: 'listing.prices.gb', message: 'is "gb". Thornback Bindery has: us.' },
    ]);
  });
});
