import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS, type EstimatedComparable, estimate, whatSells } from './index.ts';
import { rival } from './rivals.sample.ts';

const { lists } = DEFAULT_ASSUMPTIONS;
const TITLES = [
  'Beekeeping Word Search for Adults',
  'Beekeeping Word Search Large Print',
  'Beekeeping Journal for Kids',
  'Bees',
];
const TRIMS = [
  { width: 6, height: 9 },
  { width: 8.5, height: 11 },
] as const;

const anyBook = fc.record({
  copies: fc.oneof(fc.constant(null), fc.double({ min: 0.1, max: 400, noNaN: true })),
  pages: fc.integer({ min: 24, max: 300 }),
  price: fc.integer({ min: 3, max: 30 }).map((whole) => whole + 0.99),
  title: fc.constantFrom(...TITLES),
  trim: fc.constantFrom(...TRIMS),
});
const booksFrom = (drawn: readonly (Partial<EstimatedComparable> & { copies: number | null })[]) =>
  drawn.map(
    (book, i): EstimatedComparable => ({
      ...estimate(rival({ id: `b${i}` })),
      ...book,
      rank: book.copies === null ? null : Math.round(1e6 / book.copies),
    }),
  );

describe('what sells', () => {
  it('shares are those of a plain count, whatever the books', () => {
    fc.assert(
      fc.property(fc.array(anyBook, { minLength: 12, maxLength: 80 }), (drawn) => {
        const books = booksFrom(drawn);
        const found = whatSells(books, 'beekeeping word search', 50, lists);
        const selling = books.filter(({ copies }) => copies !== null && copies >= 50);
        if (!found || found.bestOnly) return;
        expect([found.sell, found.others]).toEqual([selling.length, books.length - selling.length]);
        const others = books.filter((book) => !selling.includes(book));
        const sold = selling.reduce((sum, { copies }) => sum + copies!, 0);
        const has = (book: EstimatedComparable, trait: string, value: string | readonly [number, number]) => {
          if (trait === 'trim') return `${book.trim!.width}×${book.trim!.height}` === value;
          if (trait === 'ink') return book.ink === value;
          if (typeof value === 'string') return book.title.toLowerCase().includes(value);
          const number = trait === 'pages' ? book.pages! : book.price!;
          return number >= value[0] - 1e-9 && number <= value[1] + 1e-9;
        };
        for (const { trait, values } of found.traits)
          for (const { value, copies, others: share } of values) {
            const those = selling.filter((book) => has(book, trait, value));
            expect(copies).toBeCloseTo(those.reduce((sum, book) => sum + book.copies!, 0) / sold, 9);
            expect(share).toBeCloseTo(
              others.filter((book) => has(book, trait, value)).length / others.length,
              9,
            );
          }
      }),
    );
  });

  it('says nothing of what all books have, nor of what the phrase itself asks for', () => {
    const books = booksFrom(
      Array.from({ length: 30 }, (_, i) => ({
        copies: i < 8 ? 100 : 2,
        pages: 110,
        price: 8.99,
        title: i % 2 ? 'Beekeeping Word Search for Adults' : 'Beekeeping Word Search Large Print',
        trim: TRIMS[0],
      })),
    );
    const { traits } = whatSells(books, 'beekeeping word search for adults', 50, lists)!;
    expect(traits.map(({ trait, values }) => [trait, values.map(({ value }) => value)])).toEqual([
      ['format', ['large print']],
    ]);
    expect(traits[0]!.values[0]!.filter).toEqual({ words: 'large print' });
  });

  it('where fewer than five sell, the best are compared; with fewer than ten books nothing is', () => {
    const books = (n: number) =>
      booksFrom(
        Array.from({ length: n }, (_, i) => ({
          copies: 30 - i,
          pages: 100 + i,
          price: 8.99,
          title: 'Bees',
          trim: TRIMS[0],
        })),
      );
    expect(whatSells(books(24), 'bees', 50, lists)).toMatchObject({ sell: 10, others: 14, bestOnly: true });
    expect(whatSells(books(9), 'bees', 50, lists)).toBeNull();
  });
});
