import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { HIVE_WORDS, recipeOf } from './book.sample.ts';
import { bookFrom, drawPage, frameOf, placedItem } from './index.ts';
import { romanNumeral } from './numbers.ts';

const type = typesetterFromDisk();
const front = [
  { id: 't', kind: 'title-page' },
  { id: 'o', kind: 'belongs-to' },
];
const bookOf = (sections: object[], numbering: object, more: object = {}) =>
  bookFrom(recipeOf(sections, { quill: 4, style: { numbering }, ...more }));
const folios = (sections: object[], numbering: object) =>
  bookOf(sections, numbering).plan.pages.map(({ folio }) => folio);

describe('roman numerals', () => {
  it('as tables have them', () => {
    expect([1, 2, 3, 4, 5, 9, 14, 19, 40, 49, 90, 99, 400, 944, 1999].map(romanNumeral)).toEqual(
      'i ii iii iv v ix xiv xix xl xlix xc xcix cd cmxliv mcmxcix'.split(' '),
    );
  });

  it('read back, they are the number', () => {
    const worth = { i: 1, v: 5, x: 10, l: 50, c: 100, d: 500, m: 1000 } as Record<string, number>;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3999 }), (n) => {
        const values = [...romanNumeral(n)].map((letter) => worth[letter]!);
        // A letter before a greater one is taken away.
        const sum = values.reduce(
          (all, value, i) => all + (value < (values[i + 1] ?? 0) ? -value : value),
          0,
        );
        expect(sum).toBe(n);
      }),
    );
  });
});

describe('page numbers', () => {
  const pages = { id: 'r', kind: 'ruled', pages: 3 };

  it('are left off front matter, which is counted', () => {
    expect(folios([...front, pages], {})).toEqual(['', '', '3', '4', '5', '']);
  });

  it('with roman front matter, the book itself begins to count; a title page shows none', () => {
    expect(folios([...front, pages], { front: 'roman' })).toEqual(['', 'ii', '1', '2', '3', '']);
    expect(folios([...front, pages], { front: 'roman', form: '1 of 100', from: 7 })).toEqual([
      '',
      'ii',
      '7 of 10',
      '8 of 10',
      '9 of 10',
      '',
    ]);
    expect(folios([...front], { front: 'roman' })).toEqual(['', 'ii']);
    expect(folios([...front, pages], { front: 'roman', form: 'none' }).every((folio) => folio === '')).toBe(
      true,
    );
  });

  it('are hidden on chosen sections, and counted all the same', () => {
    const hidden = { ...pages, pageNumbers: false };
    expect(folios([pages, { ...hidden, id: 'h' }, { ...pages, id: 'z', pages: 2 }], {})).toEqual([
      '1',
      '2',
      '3',
      '',
      '',
      '',
      '7',
      '8',
    ]);
  });

  it('references of puzzles and answers are the numbers that are printed', () => {
    const book = bookOf(
      [
        ...front,
        {
          id: 'w',
          kind: 'word-search',
          items: 2,
          options: { words: { lists: [{ words: HIVE_WORDS }] } },
          solutions: { place: 'end', perPage: 2 },
        },
      ],
      { front: 'roman' },
    );
    const placed = placedItem(book, book.sections.get('w')!, 2);
    expect(placed).toMatchObject({ page: 2, solutionPage: 3 });
    expect(book.plan.pages[placed.page! + 1]!.folio).toBe('2');
    expect(book.plan.pages[placed.solutionPage! + 1]!.folio).toBe('3');
  });

  it.each(['bottom', 'top'] as const)(
    'at the %s they stand clear of what the page may draw, inside the safe area',
    (edge) => {
      for (const margins of ['page', 'service'])
        for (const place of ['outer', 'center']) {
          const book = bookFrom(
            recipeOf([pages], { quill: 4, style: { margins, numbering: { edge, place } } }),
          );
          for (const page of book.plan.pages.slice(0, 2)) {
            const { body, safe } = frameOf(book, page);
            const marks = drawPage(book, page.number, type).layers[1]!.marks;
            const folio = marks[0]!;
            if (folio.type !== 'text') throw new Error('A page number is a text.');
            const tall = type.capHeight(folio.face) * folio.size;
            expect(folio.y - tall).toBeGreaterThanOrEqual(safe.y);
            expect(folio.y).toBeLessThanOrEqual(safe.y + safe.height);
            if (edge === 'top') expect(folio.y).toBeLessThanOrEqual(body.y);
            else expect(folio.y - tall).toBeGreaterThanOrEqual(body.y + body.height);
          }
        }
    },
  );
});
