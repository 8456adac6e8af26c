import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { eachMark, meanScale } from '../scene/index.ts';
import { recipeOf } from './book.sample.ts';
import { drawPage } from './draw.ts';
import { fewerToAPage, withFewerToAPage } from './fewer-to-a-page.ts';
import { bookFrom, finished, pageSteps, readRecipe } from './index.ts';

const type = typesetterFromDisk();
const bookOf = (trim: [string, string], sections: object[], largePrint = true) =>
  bookFrom(
    recipeOf(sections as never, {
      quill: 4,
      style: { largePrint },
      print: { service: 'wrenfair', trim: { width: trim[0], height: trim[1] } },
    }),
  );
const SECTIONS = [
  { id: 'four', kind: 'sudoku', items: 8, options: { perPage: 4, level: 1 } },
  { id: 'one', kind: 'sudoku', items: 2, options: { perPage: 1, level: 1 } },
  { id: 'sums', kind: 'cross-sums', items: 6, options: { perPage: 6, level: 1 } },
  { id: 'games', kind: 'game-sheet', pages: 2, options: { perPage: 6 } },
  { id: 'lines', kind: 'ruled', pages: 2 },
];

/** Notes of 9 pt at 6 × 9 in, half as large again. */
const NOTES = 13.5;

/** The size of the digits in the grids on the first page of a section, whose rows are set in one. */
async function digitsOf(book: ReturnType<typeof bookOf>, section: string): Promise<number> {
  const page = book.plan.pages.find((one) => one.section === section)!;
  await finished(pageSteps(book, page));
  let smallest = Infinity;
  for (const { marks } of drawPage(book, page.number, type).layers)
    eachMark(marks, (mark, { matrix }) => {
      if (mark.type === 'text' && /^[1-9]{2,}$/.test(mark.text))
        smallest = Math.min(smallest, mark.size * meanScale(matrix));
    });
  return smallest;
}

describe('how many items large print has to a page', () => {
  it('is as many as have their digits no smaller than what stands around the puzzles', async () => {
    const book = bookOf(['6in', '9in'], SECTIONS);
    const fewer = await finished(fewerToAPage(book, type));
    expect(fewer.map(({ section }) => section)).not.toContain('one');
    expect(fewer).toContainEqual({ section: 'four', from: 4, to: 2 });
    const so = withFewerToAPage(book.recipe, fewer);
    expect(readRecipe(so).recipe).not.toBeNull();
    for (const [recipe, isLarge] of [
      [book.recipe, false],
      [so, true],
    ] as const)
      expect((await digitsOf(bookFrom(recipe), 'four')) >= NOTES).toBe(isLarge);
    // What has nothing to be set fewer stays as it is.
    const untouched = (id: string) => so.sections.find((one) => one.id === id);
    for (const id of ['one', 'lines'])
      expect(untouched(id)).toBe(book.recipe.sections.find((one) => one.id === id));
  });

  it('is what it was where the page has room, and no more is done when it is done', async () => {
    const large = bookOf(['8.5in', '11in'], SECTIONS.slice(0, 2));
    expect(await finished(fewerToAPage(large, type))).toEqual([]);
    const book = bookOf(['5in', '8in'], SECTIONS);
    const fewer = await finished(fewerToAPage(book, type));
    const so = bookFrom(withFewerToAPage(book.recipe, fewer));
    expect(await finished(fewerToAPage(so, type))).toEqual([]);
  });

  it('looks at the sections that it is told, and leaves alone what was changed meanwhile', async () => {
    const book = bookOf(['5in', '8in'], SECTIONS);
    expect(await finished(fewerToAPage(book, type, ['one', 'lines']))).toEqual([]);
    const fewer = await finished(fewerToAPage(book, type, ['four']));
    expect(fewer).toEqual([{ section: 'four', from: 4, to: 1 }]);
    const changed = withFewerToAPage(book.recipe, [{ section: 'four', from: 4, to: 6 }]);
    expect(withFewerToAPage(changed, fewer)).toBe(changed);
    // No number that the kind does not have.
    expect(withFewerToAPage(book.recipe, [{ section: 'four', from: 4, to: 5 }])).toBe(book.recipe);
  });
});
