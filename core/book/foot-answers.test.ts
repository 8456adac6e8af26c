import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { pageKinds } from '../pages/index.ts';
import { holdsInside } from '../pages/pages.sample.ts';
import type { SudokuItem } from '../pages/sudoku/fill.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { boundsOf, type GroupMark, type Mark, type TextMark } from '../scene/index.ts';
import { PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { bookFrom, drawPage, filledItem } from './index.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);

const bookWith = (kind: string, items: number, options: object = {}, more: object = {}) =>
  bookFrom(
    recipeOf(
      [
        {
          id: 's',
          kind,
          items,
          options: { ...PUZZLE_SOURCES[kind], ...options },
          solutions: { place: 'foot' },
        },
      ],
      {
        quill: 4,
        print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
        ...more,
      },
    ),
  );
type Book = ReturnType<typeof bookWith>;

const marksOf = (book: Book, page: number): Mark[] => drawPage(book, page, type).layers[0]!.marks;
/** What stands upside down. */
const isTurned = (mark: Mark): mark is GroupMark => mark.type === 'group' && mark.matrix?.[0] === -1;
const turnedIn = (book: Book, page: number): GroupMark[] => marksOf(book, page).filter(isTurned);
const textOf = (marks: readonly Mark[]): string =>
  marks.map((mark) => (mark.type === 'text' ? (mark as TextMark).text : '')).join(' ');

describe('answers upside down at the foot', () => {
  it('take no pages of their own, and no page is named', () => {
    const book = bookWith('sudoku', 8, { level: 1 });
    expect(book.plan.pages.map(({ role }) => role)).toEqual(['body', 'body']);
    expect(book.plan.items.s!.solutionPages).toEqual([]);
    for (const page of [1, 2]) {
      const [turned] = turnedIn(book, page);
      expect(textOf(marksOf(book, page))).not.toMatch(/page/i);
      const said = textOf(turned!.marks).replaceAll(' ', '');
      for (let item = 4 * page - 3; item <= 4 * page; item++)
        expect(said).toContain((filledItem(book, book.sections.get('s')!, item) as SudokuItem).solution);
      expect(said).not.toMatch(/page/);
    }
  });

  it.each(
    pageKinds()
      .filter(({ solution, extent }) => solution?.box && extent === 'items')
      .map(({ id }) => id),
  )('%s: stand below the puzzles and inside the margins', (kind) => {
    for (const style of [{}, { style: { largePrint: true } }]) {
      const book = bookWith(kind, 2, {}, style);
      // Answers of several in a row may be below what a press prints well; the proof tells of it.
      holdsInside(book, type, (size) => expect(size).toBeGreaterThan(6));
      const last = book.plan.pages.findLast(({ role, items }) => role === 'body' && items.length)!;
      const marks = marksOf(book, last.number);
      const turned = marks.filter(isTurned);
      expect(turned).toHaveLength(1);
      // The line between them is the last of what is not turned.
      const above = marks.filter((mark) => !isTurned(mark)).slice(0, -1);
      const foot = boundsOf(turned, type)!;
      expect(boundsOf(above, type)?.bottom ?? 0).toBeLessThanOrEqual(foot.top + 0.01);
    }
  });

  it('of a puzzle on two pages they are on the second', () => {
    const book = bookWith('crossword', 1, { clueSide: 'facing' });
    const [left, right] = book.plan.pages.filter(({ items }) => items.length);
    expect([turnedIn(book, left!.number).length, turnedIn(book, right!.number).length]).toEqual([0, 1]);
  });

  it('of a group they are on the pages of every member', () => {
    const members = ['sudoku', 'maze'].map((kind) => ({ id: kind, kind, options: { level: 1, perPage: 1 } }));
    const book = bookFrom(
      recipeOf(
        [{ id: 'g', group: { rounds: 2, numbering: 'through', members }, solutions: { place: 'foot' } }],
        {
          quill: 4,
          print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
        },
      ),
    );
    expect(book.plan.pages.map(({ number }) => turnedIn(book, number).length)).toEqual([1, 1, 1, 1]);
  });
});
