import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS, DEFAULT_CURVE, estimate } from './index.ts';
import { lookedAt, lookedOnce, seasonOf } from './looked.ts';
import { CASES, copiesAtDepth, fitFalloff, newnessOf, outlook } from './outlook.ts';
import { rival } from './rivals.sample.ts';

const DAY = '2026-11-24';
const books = (ranks: readonly number[], more = {}) =>
  ranks.map((rank, i) => estimate(rival({ id: `b${i}`, rank, pages: 110, price: 8.99, ...more })));
const asked = (comparables = books([9000, 20_000, 50_000, 90_000]), more = {}) => ({
  results: 40,
  searches: 300,
  comparables,
  day: DAY,
  season: 1,
  curve: DEFAULT_CURVE,
  ...more,
});

describe('the fall-off of sales among books', () => {
  it('is found again in sales that follow it, read in part or whole', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 50, noNaN: true }),
        fc.integer({ min: 60, max: 900 }),
        fc.integer({ min: 30, max: 60 }),
        (level, of, read) => {
          const sales = Array.from({ length: read }, (_, i) => level * ((i + 0.5) / of) ** (-1 / 1.1));
          const found = fitFalloff(sales, of);
          // The shape is the usual one here, so what is held near it is not moved.
          expect(found.shape).toBeGreaterThan(0.95);
          expect(found.shape).toBeLessThan(1.25);
          expect(found.level / level).toBeGreaterThan(0.65);
          expect(found.level / level).toBeLessThan(1.5);
        },
      ),
    );
  });

  it('one book gives its own sales at its own place', () => {
    const one = fitFalloff([12], 1);
    expect(copiesAtDepth(one, 0.5)).toBeCloseTo(12, 9);
  });

  it('falls with depth, and twice the sales are twice the level', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 5000, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1, max: 3000 }),
        (values, of) => {
          const sales = values.sort((a, b) => b - a);
          const found = fitFalloff(sales, of);
          const twice = fitFalloff(
            sales.map((value) => 2 * value),
            of,
          );
          expect(twice.level / found.level).toBeCloseTo(2, 9);
          expect(twice.shape).toBeCloseTo(found.shape, 9);
          expect(copiesAtDepth(found, 0.1)).toBeGreaterThan(copiesAtDepth(found, 0.9));
        },
      ),
    );
  });
});

describe('new books beside all', () => {
  it('sell as all do where there are none, and the more there are the more they say', () => {
    expect(newnessOf([5, 9], [])).toBe(1);
    const half = (n: number) => newnessOf(Array(40).fill(10), Array(n).fill(5));
    // n of n + 20 of the step from 1 to a half.
    expect(half(20)).toBeCloseTo(0.5 ** 0.5, 9);
    expect(half(2)).toBeGreaterThan(half(20));
    expect(newnessOf(Array(40).fill(10), Array(400).fill(0.001))).toBe(0.4);
  });
});

describe('what a new book would earn', () => {
  it('is ten cases from the worst to the best, with their mean and middle half', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 100, max: 3_000_000 }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.option(fc.integer({ min: 0, max: 5000 })),
        fc.double({ min: 3, max: 15, noNaN: true }),
        (ranks, results, searches, price) => {
          const found = outlook(asked(books(ranks, { price }), { results, searches }), DEFAULT_ASSUMPTIONS)!;
          expect(found.earnings).toHaveLength(CASES);
          expect(found.earnings).toEqual(found.earnings.slice().sort((a, b) => a - b));
          expect(found.mean).toBeCloseTo(found.earnings.reduce((a, b) => a + b) / CASES, 9);
          expect(found.low).toBeLessThanOrEqual(found.high);
          // By hand: 0.6 of the price less 0.85 + 110 × 0.012; a loss is not made smaller by advertising.
          const each = 0.6 * price - 2.17;
          expect(found.royalty).toBeCloseTo(each, 9);
          const kept = each > 0 ? 0.8 * each : each;
          const copies = found.copies.reduce((a, b) => a + b) / CASES;
          expect(found.mean).toBeCloseTo(copies * kept, 6);
          expect(found.breakEvenClick).toBeCloseTo(Math.max(0, each) / 12, 9);
          expect(found.anHour).toBeCloseTo((12 * found.mean) / 2, 6);
        },
      ),
    );
  });

  it('without books it rests on the searches, and without either there is none', () => {
    const none = outlook(asked([], { results: 0, searches: 400 }), DEFAULT_ASSUMPTIONS)!;
    // 400 searches, one of ten buys, one book: 40 copies at the usual royalty of 2.50, a fifth of it for advertising.
    expect(none).toMatchObject({ books: 0, price: null, royalty: 2.5 });
    expect(none.mean).toBeCloseTo(80, 9);
    expect(outlook(asked([], { results: 0, searches: null }), DEFAULT_ASSUMPTIONS)).toBeNull();
  });

  it('searches count the less the more books there are to judge by', () => {
    const change = (n: number) => {
      const some = books(Array(n).fill(50_000));
      const at = (searches: number) =>
        outlook(asked(some, { searches, results: n }), DEFAULT_ASSUMPTIONS)!.mean;
      return at(4000) / at(400);
    };
    expect(change(2)).toBeGreaterThan(change(10));
    expect(change(10)).toBeGreaterThan(change(50));
    // Ten times the searches, with four of them against 36 books: 10^(4/40).
    expect(change(36)).toBeCloseTo(10 ** 0.1, 9);
  });

  it('follows the season', () => {
    const at = (season: number) => outlook(asked(undefined, { season }), DEFAULT_ASSUMPTIONS)!.mean;
    expect(at(0.5) / at(1)).toBeCloseTo(0.5, 9);
  });
});

describe('what a verdict rests on beside the books', () => {
  const look = (day: string, copies = 100) => ({ day, copies, results: 50, searches: 80 });

  it('the looks of the last weeks, the months of all, and the age of the latest', () => {
    const looks = [
      look('2026-03-01'),
      look('2026-10-01'),
      look('2026-11-20'),
      look('2026-11-20'),
      look('2026-11-24'),
    ];
    expect(lookedAt(looks, DEFAULT_CURVE, '2026-11-30T10:00:00Z')).toMatchObject({
      day: '2026-11-24',
      looks: 3,
      months: 3,
      age: 6,
      season: 1,
    });
    expect(lookedOnce(look(DAY), 7, DEFAULT_CURVE)).toMatchObject({
      searches: 7,
      looks: 1,
      months: 1,
      age: 0,
    });
  });

  it('the season is taken out once most of the year was looked at', () => {
    const month = (n: number) => `2026-${String(n).padStart(2, '0')}-15`;
    const flat = Array.from({ length: 11 }, (_, i) => look(month(i + 1), 100));
    expect(seasonOf(flat)).toBe(1);
    // December sells 320, the eleven other months 100: over the year 1420 ÷ 12, against 320 now.
    expect(seasonOf([...flat, look(month(12), 320)])).toBeCloseTo(1420 / 12 / 320, 9);
    expect(seasonOf([...flat.slice(0, 5), look(month(12), 320)])).toBe(1);
  });
});
