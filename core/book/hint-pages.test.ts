import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { holdsInside } from '../pages/pages.sample.ts';
import type { SudokuItem } from '../pages/sudoku/fill.ts';
import { PRINTED_LANGUAGES } from '../printed-words/index.ts';
import type { TextMark } from '../scene/index.ts';
import { recipeOf } from './book.sample.ts';
import { bookFrom, drawPage, filledItem } from './index.ts';

const type = typesetterFromDisk();

const sudokus = (id: string, solutions: object, options: object = {}) => ({
  ...{ id, kind: 'sudoku', items: 8, solutions },
  options: { level: 1, ...options },
});
const bookOf = (sections: object[], more: object = {}) =>
  bookFrom(
    recipeOf(sections as Record<string, unknown>[], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
const SMALL = { service: 'wrenfair', trim: { width: '5in', height: '8in' } };
type Book = ReturnType<typeof bookOf>;
const rolesOf = ({ plan }: Book) => plan.runs.map(({ section, role }) => `${section} ${role}`);
const textsOn = (book: Book, page: number): string[] =>
  drawPage(book, page, type).layers[0]!.marks.map((mark) =>
    mark.type === 'text' ? (mark as TextMark).text : '',
  );
const hintPages = ({ plan }: Book) => plan.pages.filter(({ role }) => role === 'hints');

describe('pages of hints', () => {
  it('stand before the answers, after their section or before all at the end', () => {
    expect(rolesOf(bookOf([sudokus('a', { place: 'after', hints: 2 })]))).toEqual([
      'a body',
      'a hints',
      'a solutions',
    ]);
    const both = [sudokus('a', { place: 'end', hints: 2 }), sudokus('b', { place: 'end', hints: 2 })];
    expect(rolesOf(bookOf(both))).toEqual(['a body', 'b body', 'a hints', 'a solutions', 'b solutions']);
    expect(rolesOf(bookOf([sudokus('a', { place: 'none', hints: 1 })]))).toEqual(['a body', 'a hints']);
    expect(rolesOf(bookOf([sudokus('a', { place: 'foot' })]))).toEqual(['a body']);
  });

  it('tell so many steps of every puzzle, with the page that it is on, and the first put the digits of the answer', () => {
    const book = bookOf([sudokus('a', { place: 'end', hints: 3 })]);
    const pages = hintPages(book);
    const texts = pages.flatMap(({ number }) => textsOn(book, number));
    expect(texts).toEqual(expect.arrayContaining(['Hints', 'R3C5: row 3, column 5']));
    expect(texts.filter((text) => /^page \d$/.test(text))).toEqual(
      Array.from({ length: 8 }, (_, i) => `page ${i < 4 ? 1 : 2}`),
    );
    expect(texts.filter((text) => text === '3').length).toBeGreaterThanOrEqual(8);
    // A very easy puzzle has nothing but cells for which one digit is left.
    const said = texts.join(' ').matchAll(/Nothing but (\d) is left for R(\d)C(\d)/g);
    const told = [...said].map(([, digit, row, column]) => ({
      digit,
      at: (Number(row) - 1) * 9 + Number(column) - 1,
    }));
    expect(told).toHaveLength(24);
    told.forEach(({ digit, at }, i) => {
      const item = filledItem(book, book.sections.get('a')!, Math.floor(i / 3) + 1) as SudokuItem;
      expect(item.givens[at]).toBe('.');
      expect(item.solution[at]).toBe(digit);
    });
  });

  it('are named at each puzzle where that is wished, beside its answer or below, in every language', () => {
    const named = (more: object, recipe: object = {}) => {
      const book = bookOf([sudokus('a', { place: 'end', hints: 3, ...more })], recipe);
      expect(book.plan.runs.find(({ role }) => role === 'hints')!.first).toBe(3);
      return textsOn(book, 1);
    };
    // The answers of the first two pages are on one page behind that.
    expect(named({ hintsNamed: true })).toContain('Hints on page 3 · Answers on page 4');
    expect(named({})).toContain('Answers on page 4');
    expect(named({ hintsNamed: true, place: 'none' })).toContain('Hints on page 3');
    expect(named({ hintsNamed: true }, { printedWords: 'de' })).toContain(
      'Tipps auf Seite 3 · Lösungen auf Seite 4',
    );
    for (const printedWords of PRINTED_LANGUAGES)
      for (const largePrint of [true, false]) {
        const sections = [sudokus('a', { place: 'after', hints: 5, hintsNamed: true }, { perPage: 1 })];
        const book = bookOf(sections, { ...{ printedWords, style: { largePrint } }, print: SMALL });
        holdsInside(book, type, () => {});
        const [page] = hintPages(book);
        expect(textsOn(book, 1).some((text) => text.includes(` ${page!.number}`))).toBe(true);
      }
    // A group names them for its members, too.
    const group = {
      id: 'g',
      group: {
        members: [sudokus('a', {}), sudokus('b', {})].map(({ solutions: _, items: __, ...one }) => one),
        rounds: 2,
      },
      solutions: { place: 'end', hints: 1, hintsNamed: true },
    };
    expect(textsOn(bookOf([group]), 1).some((text) => text.startsWith('Hints on page 5'))).toBe(true);
  });

  it('are in the contents and numbered; kinds that tell no steps have none', () => {
    const book = bookOf(
      [
        { id: 'c', kind: 'contents' },
        sudokus('a', { place: 'end', hints: 1 }),
        { id: 'm', kind: 'maze', items: 2, solutions: { place: 'end', hints: 1 } },
      ],
      { style: { numbering: { form: '1', place: 'center' } } },
    );
    expect(textsOn(book, 1)).toContain('Hints');
    const [page] = hintPages(book);
    expect(page!.folio).toBe(String(page!.number));
    expect(page!.answers.every(({ section }) => section === 'a')).toBe(true);
  });

  it.each([
    { variant: 'classic', size: 16, level: 3 },
    { variant: 'diagonal', size: 9, level: 4 },
    { variant: 'jigsaw', size: 9, level: 5 },
    { variant: 'killer', size: 9, level: 3 },
  ])('stay inside, small or in large print, in every language: $variant $size × $size', (options) => {
    for (const printedWords of PRINTED_LANGUAGES)
      for (const [width, height, largePrint] of [
        ['5in', '8in', false],
        ['8.5in', '11in', true],
      ] as const) {
        const book = bookOf([sudokus('a', { place: 'after', hints: 5 }, { ...options, perPage: 1 })], {
          ...{ printedWords, style: { largePrint } },
          print: { service: 'wrenfair', trim: { width, height } },
        });
        holdsInside(book, type, () => {});
        for (const page of hintPages(book)) {
          const sizes = drawPage(book, page.number, type).layers[0]!.marks.flatMap((mark) =>
            mark.type === 'text' ? [(mark as TextMark).size] : [],
          );
          expect(Math.min(...sizes)).toBeGreaterThanOrEqual(largePrint ? 10 : 7.5);
        }
      }
  });
});
