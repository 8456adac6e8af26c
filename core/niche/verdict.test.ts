import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assumptionFields } from './assumptions.ts';
import {
  bestSellers,
  changesBetween,
  changesOfRivals,
  DEFAULT_CHOICES,
  estimate,
  judge,
  newcomerEarnings,
  PARTS,
  quantile,
  scoreOn,
  sharedByBest,
} from './index.ts';
import { rival } from './rivals.sample.ts';

const DAY = '2026-11-24';
const sellers = (best: number, more = {}) =>
  Array.from({ length: 40 }, (_, i) =>
    estimate(rival({ id: `wf-${i}`, rank: best + i * 500, pages: 110, price: 8.99, reviews: 20, ...more })),
  );

describe('quantiles', () => {
  it('interpolate between order statistics (Hyndman and Fan 1996, type 7: R’s default)', () => {
    // R: quantile(c(1, 2, 4, 8), c(0.25, 0.5, 0.9)) gives 1.75, 3, 6.8.
    expect([0.25, 0.5, 0.9].map((q) => quantile([8, 1, 4, 2], q))).toEqual([
      1.75,
      3,
      expect.closeTo(6.8, 12),
    ]);
    expect(quantile([], 0.5)).toBe(0);
  });
});

describe('the verdict', () => {
  it.each([
    [400, 20_000, 'open'],
    [1700, 20_000, 'worth a try'],
    // Over 2,000 results is crowded, under 1,000 sells without advertising (common practice, no source).
    [2001, 20_000, 'crowded'],
    [400, 4_000_000, 'no demand'],
  ])('%i results, best rank %i: %s', (results, rank, word) => {
    expect(judge(results, sellers(rank), DEFAULT_CHOICES, DAY).word).toBe(word);
  });

  it('is the weighted mean of its parts, each between its two thresholds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.integer({ min: 100, max: 2_000_000 }),
        fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 6, maxLength: 6 }),
        (results, rank, weights) => {
          const assumptions = {
            ...DEFAULT_CHOICES,
            weights: Object.fromEntries(PARTS.map((id, i) => [id, weights[i]!])) as never,
          };
          const verdict = judge(results, sellers(rank), assumptions, DAY);
          const sum = weights.reduce((a, b) => a + b, 0);
          const mean = verdict.parts.reduce((a, { score }, i) => a + score * weights[i]!, 0) / (sum || 1);
          expect(verdict.points).toBeCloseTo(10 * mean, 9);
          for (const { score } of verdict.parts) {
            expect(score).toBeGreaterThanOrEqual(0);
            expect(score).toBeLessThanOrEqual(1);
          }
          expect(verdict.newcomer.low).toBeLessThanOrEqual(verdict.newcomer.middle);
          expect(verdict.newcomer.middle).toBeLessThanOrEqual(verdict.newcomer.high);
        },
      ),
    );
  });

  it('the best sellers are those a sort of all would find', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.integer({ min: 1, max: 500 })), { maxLength: 80 }),
        fc.integer({ min: 1, max: 30 }),
        (ranks, max) => {
          const books = ranks.map((rank, i) => estimate(rival({ id: `${i}`, rank })));
          const sorted = books.filter(({ rank }) => rank !== null).sort((a, b) => a.rank! - b.rank!);
          expect(bestSellers(books, max).map(({ id }) => id)).toEqual(
            sorted.slice(0, max).map(({ id }) => id),
          );
        },
      ),
    );
  });

  it('scores run either way between poor and good', () => {
    expect([500, 1000, 1500, 2000, 9000].map((n) => scoreOn(n, { poor: 2000, good: 1000 }))).toEqual([
      1, 1, 0.5, 0, 0,
    ]);
    expect([0, 100, 350, 600].map((n) => scoreOn(n, { poor: 100, good: 600 }))).toEqual([0, 0, 0.5, 1]);
  });

  it('fresh entrants are counted among the sellers alone', () => {
    const books = sellers(2000).map((book, i) => ({
      ...book,
      published: i < 5 ? '2026-08-01' : '2020-01-01',
    }));
    const fresh = judge(10, books, DEFAULT_CHOICES, DAY).parts.find(({ id }) => id === 'fresh')!;
    expect(fresh.value).toBe(0.25);
  });

  it('a newcomer’s earnings follow the assumptions', () => {
    const books = sellers(20_000);
    const usual = newcomerEarnings(books, DEFAULT_CHOICES);
    const bold = newcomerEarnings(books, {
      newcomer: { ...DEFAULT_CHOICES.newcomer, advertisingShare: 0 },
    });
    expect(bold.middle * 0.8).toBeCloseTo(usual.middle, 9);
    expect(usual.price).toBe(8.99);
    // 0.6 × 8.99 − (0.85 + 110 × 0.012): the worked rates of print/, by hand.
    expect(usual.royalty).toBeCloseTo(3.224, 9);
    expect(newcomerEarnings([], DEFAULT_CHOICES)).toMatchObject({ low: 0, high: 0 });
  });

  it('every number of the choices can be asked for in the interface', () => {
    for (const { path, min, max } of assumptionFields) {
      const value = path.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], DEFAULT_CHOICES);
      expect(value, path.join('.')).toBeTypeOf('number');
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
    }
  });
});

describe('what the best sellers share', () => {
  it('is a paragraph whose numbers lead to their rows', () => {
    const books = sellers(1000).map((book, i) => ({
      ...book,
      trim: i < 6 ? { width: 6, height: 9 } : { width: 8.5, height: 11 },
      pages: 100 + i,
    }));
    const pieces = sharedByBest(books, DEFAULT_CHOICES.lists);
    const text = pieces.map((piece) => piece.text).join('');
    expect(text).toMatch(
      /^Of the ten best sellers, six are 6 × 9 in\. Most have 101 to 108 pages and cost \$8\.99/,
    );
    expect(text).toContain('say “word search” in the title');
    const trim = pieces.find((piece) => piece.filter?.trim)!;
    expect(trim.filter).toMatchObject({ trim: '6×9', ids: expect.arrayContaining(['wf-0', 'wf-9']) });
    expect(sharedByBest(books.slice(0, 2), DEFAULT_CHOICES.lists)[0]!.text).toMatch(/too few/);
  });
});

describe('changes between looks', () => {
  const look = (day: string, more: object = {}) => ({
    day,
    results: 100,
    demand: 400,
    rivals: Array.from({ length: 25 }, (_, i) => ({
      id: `b${i}`,
      title: `Book ${i}`,
      price: 8.99,
      rank: 1000 + i,
    })),
    ...more,
  });
  const before = look('2026-11-01');

  it('small moves are not told; a new rival, a price war and doubled demand are', () => {
    expect(changesBetween(before, look('2026-11-02', { demand: 420 }))).toEqual([]);
    const rivals = before.rivals.map((book, i) => (i < 6 ? { ...book, price: 7.49 } : book));
    rivals[10] = { id: 'new', title: 'Late Comer', price: 6.99, rank: 1010 };
    const found = changesBetween(before, look('2026-11-09', { demand: 900, rivals }));
    expect(found.map(({ kind }) => kind)).toEqual(['new rival', 'price war', 'demand up']);
    expect(found[0]!.message).toBe('“Late Comer” is new in the top 20, at rank 1,010.');
    expect(found[1]!.message).toContain('6 of the top 20 cost at least 10% less than on Nov 1, 2026');
  });

  it('a watched rival is told when its rank or price moves, or it is gone', () => {
    const rivals = before.rivals
      .filter(({ id }) => id !== 'b3')
      .map((book) =>
        book.id === 'b1' ? { ...book, rank: 300 } : book.id === 'b2' ? { ...book, price: 9.99 } : book,
      );
    const found = changesOfRivals(before, look('2026-11-09', { rivals }), new Set(['b1', 'b2', 'b3', 'b4']));
    expect(found.map(({ message }) => message)).toEqual([
      '“Book 1”: rank 1,001 → 300.',
      '“Book 2”: price $8.99 → $9.99.',
      '“Book 3” is no longer among the rivals looked at.',
    ]);
  });
});
