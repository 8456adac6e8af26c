import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { pageKind, pageKinds } from '../pages/index.ts';
import { holdsInside } from '../pages/pages.sample.ts';
import { LARGE_TYPES } from '../print/index.ts';
import { proofBook } from '../proof/index.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { textInkOf, textSizes } from '../scene/index.ts';
import { HIVE_WORDS, PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { bookFrom, drawPage } from './index.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);

const bookWith = (sections: object[], style: object, trim = ['8.5in', '11in']) =>
  bookFrom(
    recipeOf(sections as never, {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: trim[0], height: trim[1] } },
      style: { largePrint: true, ...style },
    }),
  );
type Book = ReturnType<typeof bookWith>;

/** The smallest words on a page, in points as they are seen. */
const leastWords = (book: Book, page: number): number =>
  Math.min(
    ...textInkOf(
      drawPage(book, page, type).layers.flatMap(({ marks }) => marks),
      type,
    ).flatMap(({ mark, size }) => (/[A-Za-z]{2}/.test(mark.text) ? [size] : [])),
  );

const saidOf = (book: Book): string[] =>
  proofBook(book, type).flatMap(({ check, severity, message }) =>
    check === 'large-print' ? [`${severity}: ${message}`] : [],
  );

/** Options of a kind with as few puzzles to a page as it takes. */
function fewest(kind: string): Record<string, unknown> {
  const options = { ...PUZZLE_SOURCES[kind] };
  const alone = { ...options, perPage: 1 };
  return v.is(pageKind(kind).options, alone) ? alone : options;
}

describe('the size of large print (14 pt at the least: common practice, no source)', () => {
  it.each(
    pageKinds()
      .filter(({ family, extent }) => family === 'Puzzles' && extent === 'items')
      .map(({ id }) => id),
  )('%s: words have it, or the proof tells the page', (kind) => {
    const book = bookWith([{ id: 's', kind, items: 1, options: fewest(kind) }], { largeType: 14 });
    const least = leastWords(book, 1);
    expect(saidOf(book)).toHaveLength(least < 14 - 0.01 ? 1 : 0);
    // Clues share the page with the grid, and so many questions with each other.
    if (!['crossword', 'trivia'].includes(kind)) expect(least).toBeGreaterThanOrEqual(14 - 0.01);
  });

  it('is what the rules of a puzzle, page numbers and answers have, and more is room for less', () => {
    const sizes = LARGE_TYPES.map((largeType) => {
      const book = bookWith(
        [
          {
            ...{ id: 's', kind: 'sudoku', items: 2, options: { perPage: 1 } },
            solutions: { place: 'after', perPage: 2, hints: 3 },
          },
        ],
        { largeType, largeAnswers: true, numbering: { form: '1' } },
        ['6in', '9in'],
      );
      holdsInside(book, type);
      expect(saidOf(book)).toEqual([]);
      const of = (role: string) => book.plan.pages.filter((page) => page.role === role);
      for (const page of book.plan.pages.filter(({ role }) => role !== 'blank')) {
        const all = textSizes(drawPage(book, page.number, type));
        expect(all.find(({ text }) => text === page.folio)?.size).toBeGreaterThanOrEqual(largeType - 0.01);
        expect(leastWords(book, page.number)).toBeGreaterThanOrEqual(largeType - 0.01);
      }
      expect(of('hints').length).toBeGreaterThan(0);
      return leastWords(book, 1);
    });
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
    expect(new Set(sizes).size).toBe(LARGE_TYPES.length);
  });

  it('is that of a grid and of its list where a page has room for both', () => {
    const words = { lists: [{ title: 'In the hive', words: HIVE_WORDS.slice(0, 12) }] };
    const clues = HIVE_WORDS.slice(0, 10)
      .map((word, i) => `${word} | What number ${i + 1} is called`)
      .join('\n');
    const book = bookWith(
      [
        { id: 'w', kind: 'word-search', items: 2, options: { words, columns: 12, rows: 12 } },
        { id: 'c', kind: 'crossword', items: 2, options: { clues } },
      ],
      { largeType: 14 },
      ['6in', '9in'],
    );
    expect(saidOf(book)).toEqual([]);
    const puzzles = book.plan.pages.filter(({ role }) => role === 'body');
    expect(puzzles).toHaveLength(4);
    for (const { number } of puzzles) expect(leastWords(book, number)).toBeGreaterThanOrEqual(14 - 0.01);
  });

  it('holds nothing against a book that asks for none, or whose answers are to stay small', () => {
    const dense = { id: 's', kind: 'crossword', items: 1, options: PUZZLE_SOURCES.crossword };
    expect(saidOf(bookWith([dense], {}))).toEqual([]);
    const small = { id: 's', kind: 'sudoku', items: 2, options: { perPage: 1 } };
    const book = bookWith([{ ...small, solutions: { perPage: 12 } }], { largeType: 18 });
    const answers = book.plan.pages.find(({ role }) => role === 'solutions')!;
    expect(leastWords(book, answers.number)).toBeLessThan(14);
    expect(saidOf(book)).toEqual([]);
  });

  it('is told as one thing for all pages of which it is true', () => {
    const options = { ...PUZZLE_SOURCES.crossword, clueSide: 'grid', perPage: 1 };
    const book = bookWith([{ id: 's', kind: 'crossword', items: 2, options }], { largeType: 18 });
    const said = saidOf(book);
    expect(said).toHaveLength(1);
    expect(said[0]).toMatch(
      /^look: Pages 1–2: some words are smaller than \d+ pt; the brief asks for 18 pt or more\. Put fewer/,
    );
  });
});
