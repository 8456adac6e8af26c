import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { pageKinds } from '../pages/index.ts';
import { holdsInside } from '../pages/pages.sample.ts';
import { proofBook } from '../proof/index.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { boundsOf, type Mark, type TextMark } from '../scene/index.ts';
import { PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { bookFrom, changesBetween, drawContext, drawPage, movePages } from './index.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);

const FACTS =
  'Bees dance to tell the way.\nA queen lays two thousand eggs a day. | An old keeper\nHoney keeps.';

const bookWith = (kind: string, section: object, more: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, items: 8, options: PUZZLE_SOURCES[kind] ?? {}, facts: FACTS, ...section }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof bookWith>;
const marksOf = (book: Book, page: number): Mark[] => drawPage(book, page, type).layers[0]!.marks;
const textsOn = (book: Book, page: number): string[] =>
  marksOf(book, page).map((mark) => (mark.type === 'text' ? (mark as TextMark).text : ''));

describe('facts at the foot', () => {
  it('come one after the other, a page each, with who said them, and begin again', () => {
    const book = bookWith('sudoku', { options: { level: 1, perPage: 2 }, solutions: { place: 'none' } });
    const said = [
      'Bees dance to tell the way.',
      'An old keeper',
      'Honey keeps.',
      'Bees dance to tell the way.',
    ];
    expect(book.plan.pages).toHaveLength(4);
    for (const [i, text] of said.entries()) expect(textsOn(book, i + 1)).toContain(text);
    expect(textsOn(book, 2)).toContain('A queen lays two thousand eggs a day.');
  });

  it('stay with their puzzles where these are parted and moved', () => {
    const book = bookWith('sudoku', { options: { level: 1, perPage: 1 }, solutions: { place: 'none' } });
    const { recipe } = movePages(book.recipe, book.plan, [4, 5], 1);
    const moved = bookFrom(recipe);
    for (const [i, from] of [4, 5, 1, 2, 3, 6, 7, 8].entries()) {
      const text = FACTS.split('\n')[(from - 1) % 3]!.split(' | ')[0];
      expect(textsOn(book, from)).toContain(text);
      expect(textsOn(moved, i + 1)).toContain(text);
    }
  });

  it.each(
    pageKinds()
      .filter(({ extent }) => extent === 'items')
      .map(({ id }) => id),
  )('stand below all else, in the same room on every page, small and in large print: %s', (kind) => {
    for (const largePrint of [false, true])
      for (const solutions of [{ place: 'none' }, { place: 'foot' }]) {
        const book = bookWith(kind, { items: 2, solutions }, { style: { largePrint } });
        holdsInside(book, type, () => {});
        const pages = book.plan.pages.filter(
          ({ role, items, part }) => role === 'body' && items.length && part !== 'left',
        );
        const heights = new Set(pages.map((page) => drawContext(book, page, type).body.height.toFixed(3)));
        expect(heights.size).toBe(1);
        for (const { number } of pages) {
          const fact = marksOf(book, number).filter(
            (mark) =>
              mark.type === 'text' &&
              FACTS.includes((mark as TextMark).text) &&
              (mark as TextMark).text.length > 9,
          );
          expect(fact.length).toBeGreaterThan(0);
          const above = drawContext(book, book.plan.pages[number - 1]!, type).body;
          expect(boundsOf(fact, type)!.top).toBeGreaterThan(above.y + above.height);
        }
      }
  });

  it('leave a page as it was where there are none, and stand on the second of two facing pages', () => {
    const plain = bookWith('sudoku', { facts: undefined });
    expect(marksOf(bookWith('sudoku', { facts: ' \n' }), 1)).toEqual(marksOf(plain, 1));
    const facing = bookWith('crossword', {
      items: 1,
      options: { ...PUZZLE_SOURCES.crossword, clueSide: 'facing' },
    });
    const [left, right] = facing.plan.pages.filter(({ part }) => part === 'left' || part === 'right');
    expect(textsOn(facing, left!.number)).not.toContain('Bees dance to tell the way.');
    expect(textsOn(facing, right!.number)).toContain('Bees dance to tell the way.');
  });

  it('that are too long are told, and a change of them is said', () => {
    const long = bookWith('maze', { items: 1, facts: 'Honey and more honey '.repeat(40) });
    const told = proofBook(long, type).map(({ message }) => message);
    expect(told).toContain(
      'Page 1: “Honey and more honey Honey and more hone…” is too long for the foot of the page. Make it shorter.',
    );
    expect(proofBook(bookWith('maze', { items: 2 }), type).filter(({ check }) => check === 'items')).toEqual(
      [],
    );
    const before = bookWith('maze', {}).recipe;
    const after = bookWith('maze', { facts: 'Another.' }).recipe;
    expect(changesBetween(before, after).join()).toMatch(/Facts/);
  });
});
