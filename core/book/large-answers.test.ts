import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { pageKinds } from '../pages/index.ts';
import { holdsInside } from '../pages/pages.sample.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { textInkOf } from '../scene/index.ts';
import { PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { bookFrom, drawPage } from './index.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);

const SMALL = { largePrint: true };
const LARGE = { largePrint: true, largeAnswers: true };

const bookWith = (kind: string, style: object, solutions: object) =>
  bookFrom(
    recipeOf([{ id: 's', kind, items: 4, options: PUZZLE_SOURCES[kind], solutions }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      style,
    }),
  );

/** Sizes of what is printed on the first page of answers, in points, by what it says. */
function sizesOf(book: ReturnType<typeof bookWith>): Map<string, number> {
  const page = book.plan.pages.find(({ role }) => role === 'solutions')!;
  const marks = drawPage(book, page.number, type).layers[0]!.marks;
  const sizes = new Map<string, number>();
  // Digits and letters of an answer come after its number.
  for (const { mark, size } of textInkOf(marks, type)) if (!sizes.has(mark.text)) sizes.set(mark.text, size);
  return sizes;
}

describe('answers in large print', () => {
  it.each(
    pageKinds()
      .filter(({ solution, extent }) => solution?.box && extent === 'items')
      .map(({ id }) => id),
  )('%s: are half as large again, and stay inside the margins', (kind) => {
    const large = bookWith(kind, LARGE, { perPage: 2 });
    holdsInside(large, type);
    const sizes = sizesOf(large);
    const before = sizesOf(bookWith(kind, SMALL, { perPage: 2 }));
    // The number of the first answer, and the page of its puzzle.
    for (const text of ['1', 'page 1']) {
      expect(before.get(text), text).toBeCloseTo(9.5);
      expect(sizes.get(text), text).toBeGreaterThanOrEqual(14);
    }
  });

  it('as lines of text take the room that they need', () => {
    const pages = (style: object) =>
      bookFrom(
        recipeOf(
          [
            {
              id: 's',
              kind: 'trivia',
              items: 90,
              options: PUZZLE_SOURCES.trivia,
              solutions: { form: 'columns' },
            },
          ],
          {
            quill: 4,
            style,
          },
        ),
      ).plan.pages.filter(({ role }) => role === 'solutions').length;
    expect(pages(LARGE)).toBeGreaterThanOrEqual(pages(SMALL));
  });

  it('are as they were where the book is not in large print', () => {
    const plain = bookWith('sudoku', {}, { perPage: 4 });
    expect(sizesOf(bookWith('sudoku', { largeAnswers: true }, { perPage: 4 }))).toEqual(sizesOf(plain));
  });
});
