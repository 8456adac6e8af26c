import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assumptionFields } from './assumptions.ts';
import {
  bestSellers,
  changesBetween,
  changesOfRivals,
  DEFAULT_ASSUMPTIONS,
  DEFAULT_CURVE,
  estimate,
  judge,
  type Looked,
  quantile,
} from './index.ts';
import { rival } from './rivals.sample.ts';

const DAY = '2026-11-24';
const MADE = { pages: 110, price: 8.99, reviews: 20 };
/** Forty books by ten authors. */
const sellers = (best: number, more = {}) =>
  Array.from({ length: 40 }, (_, i) =>
    estimate(rival({ id: `wf-${i}`, rank: best + i * 500, penName: `Author ${i % 10}`, ...MADE, ...more })),
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

/** Looked at often, lately and over the year, by pairs of one's own: nothing lowers confidence but the books. */
const sure = {
  ...DEFAULT_CURVE,
  sure: { by: 'pairs', n: 12, meanX: 10, sumXX: 40, deviation: 0.3, quantile: 1.8 },
} as const;
const looked = (more: Partial<Looked> = {}): Looked => ({
  results: 70,
  searches: 900,
  comparables: sellers(20_000),
  day: DAY,
  season: 1,
  curve: sure,
  looks: 6,
  months: 12,
  age: 0,
  ...more,
});
const judged = (more: Partial<Looked> = {}, assumptions = DEFAULT_ASSUMPTIONS) =>
  judge(looked(more), assumptions);
const met = ({ conditions }: ReturnType<typeof judge>, word: string) =>
  conditions.filter((one) => one.word === word && one.met).map(({ id }) => id);

describe('the verdict', () => {
  it('follows from named conditions, each with its number and its bound', () => {
    const open = judged();
    expect(open.word).toBe('open');
    expect(open.veto).toBeNull();
    expect(met(open, 'open')).toEqual(['wanted', 'room', 'leaders', 'judged', 'earnings']);
    expect(met(open, 'crowded')).toEqual([]);
    expect(open.conditions.find(({ id }) => id === 'room')).toMatchObject({
      value: 70,
      bound: 1000,
      from: false,
    });
  });

  it.each<[string, Partial<Looked>, string]>([
    ['over 2,000 results are a crowd (common practice, no source)', { results: 2001 }, 'crowded'],
    ['between 1,000 and 2,000 it can be tried', { results: 1700 }, 'worth a try'],
    ['nobody buys and nobody searches', { comparables: sellers(4_000_000), searches: 20 }, 'no demand'],
    [
      'searched for, and hardly bought: that is not no demand',
      { comparables: sellers(4_000_000).slice(0, 8), results: 8, searches: 328 },
      'worth a try',
    ],
    [
      'searched for, and no book there: a chance',
      { comparables: [], results: 0, searches: 328 },
      'worth a try',
    ],
    ['no book and nobody who asks', { comparables: [], results: 0, searches: null }, 'no demand'],
    ['every book has hundreds of reviews', { comparables: sellers(20_000, { reviews: 900 }) }, 'crowded'],
    [
      'hardly any of many books sells',
      { comparables: sellers(1_500_000), results: 900, searches: 5000 },
      'crowded',
    ],
    ['one press holds the top', { comparables: sellers(20_000, { penName: 'Una Gossard' }) }, 'crowded'],
    [
      'one book holds the top, which is no press',
      { comparables: [...sellers(90_000), estimate(rival({ id: 'x', rank: 300 }))] },
      'worth a try',
    ],
  ])('%s', (_, more, word) => {
    expect(judged(more).word).toBe(word);
  });

  it('low earnings alone keep a niche from being open, and are named', () => {
    const cheap = judged({ comparables: sellers(20_000, { price: 3.7 }) });
    expect(cheap).toMatchObject({ word: 'worth a try', veto: 'Monthly earnings' });
  });

  it('the same number on both sides of a bound never gives two words for one condition', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4000 }),
        fc.option(fc.integer({ min: 0, max: 3000 })),
        fc.integer({ min: 100, max: 3_000_000 }),
        (results, searches, rank) => {
          const verdict = judged({ results, searches, comparables: sellers(rank) });
          for (const { value, bound, from, met: isMet } of verdict.conditions)
            if (value !== null) expect(isMet).toBe(from ? value >= bound : value <= bound);
          const has = (word: string, how: 'some' | 'every') =>
            verdict.conditions.filter((one) => one.word === word)[how]((one) => one.met);
          const word = has('no demand', 'every')
            ? 'no demand'
            : has('crowded', 'some')
              ? 'crowded'
              : has('open', 'every')
                ? 'open'
                : 'worth a try';
          expect(verdict.word).toBe(word);
        },
      ),
    );
  });

  it('two more books never turn an open niche into a crowded one', () => {
    let open = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1000 }),
        fc.integer({ min: 1000, max: 90_000 }),
        fc.integer({ min: 0, max: 400 }),
        fc.tuple(fc.integer({ min: 50, max: 900_000 }), fc.integer({ min: 50, max: 900_000 })),
        fc.integer({ min: 0, max: 5000 }),
        (results, best, reviews, ranks, more) => {
          const comparables = sellers(best, { reviews });
          if (judged({ results, comparables }).word !== 'open') return;
          open++;
          const came = ranks.map((rank, i) =>
            estimate(rival({ id: `came-${i}`, rank, penName: 'Una Gossard', ...MADE, reviews: more })),
          );
          expect(judged({ results: results + 2, comparables: [...comparables, ...came] }).word).not.toBe(
            'crowded',
          );
        },
      ),
      { numRuns: 400 },
    );
    expect(open).toBeGreaterThan(100);
  });

  it('the best sellers are those a sort of all would find', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.option(fc.integer({ min: 1, max: 500 })), fc.option(fc.integer({ min: 1, max: 500 }))),
          {
            maxLength: 80,
          },
        ),
        fc.integer({ min: 1, max: 30 }),
        (ranks, max) => {
          const books = ranks.map(([rank, usual], i) => ({
            ...estimate(rival({ id: `${i}`, rank, usualRank: rank === null ? null : usual })),
          }));
          const standing = (book: (typeof books)[number]) => book.usualRank ?? book.rank;
          const sorted = books
            .filter((book) => book.rank !== null)
            .sort((a, b) => standing(a)! - standing(b)!);
          expect(bestSellers(books, max).map(({ id }) => id)).toEqual(
            sorted.slice(0, max).map(({ id }) => id),
          );
        },
      ),
    );
  });

  it('odds are counted among all books and among the new ones', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 100, max: 2_000_000 }), fc.boolean()), { maxLength: 40 }),
        (books) => {
          const comparables = books.map(([rank, fresh], i) =>
            estimate(rival({ id: `${i}`, rank, published: fresh ? '2026-08-01' : '2020-01-01' })),
          );
          const { odds } = judged({ comparables });
          const sells = ({ copies }: { copies: number | null }) => copies! >= DEFAULT_ASSUMPTIONS.sellsFrom;
          const fresh = comparables.filter((_, i) => books[i]![1]);
          expect([odds.all.sell, odds.all.of]).toEqual([
            comparables.filter(sells).length,
            comparables.length,
          ]);
          expect([odds.fresh.sell, odds.fresh.of]).toEqual([fresh.filter(sells).length, fresh.length]);
        },
      ),
    );
  });

  it('confidence is as high as its weakest ground, and each is told', () => {
    expect(judged().confidence).toEqual({ level: 'high', reasons: [] });
    const told = (more: Partial<Looked>) => judged(more).confidence;
    expect(told({ comparables: sellers(20_000).slice(0, 3) })).toEqual({
      level: 'low',
      reasons: [
        'Only 3 books have a known rank.',
        'The best 3 of 70 books were read; the others are estimated.',
      ],
    });
    expect(told({ comparables: [], results: 0 }).reasons).toEqual(['There are no books to judge by.']);
    expect(told({ age: 40 })).toEqual({ level: 'fair', reasons: ['The latest look is 40 days old.'] });
    expect(told({ age: 200 }).level).toBe('low');
    expect(told({ looks: 1, months: 1 }).reasons).toEqual([
      'It rests on a single look.',
      'Your looks cover November; the season is not taken out.',
    ]);
    expect(told({ curve: DEFAULT_CURVE }).reasons[0]).toMatch(/default curve/);
    // Own sales between ranks of about 7,000 and 70,000 say little of the best sellers of a shop.
    expect(told({ comparables: sellers(3).map((book) => ({ ...book, rank: 40 })) }).reasons).toEqual([
      'Most ranks here lie outside those of your own sales.',
    ]);
  });

  it('every number of the assumptions can be asked for in the interface', () => {
    for (const { path, min, max } of assumptionFields) {
      const value = path.reduce<unknown>(
        (at, key) => (at as Record<string, unknown>)[key],
        DEFAULT_ASSUMPTIONS,
      );
      expect(value, path.join('.')).toBeTypeOf('number');
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
    }
    const { thresholds, newcomer, lead } = DEFAULT_ASSUMPTIONS;
    const asked = (group: string) => assumptionFields.filter(({ path }) => path[0] === group).length;
    expect([asked('thresholds'), asked('newcomer'), asked('lead')]).toEqual(
      [thresholds, newcomer, lead].map((group) => Object.keys(group).length),
    );
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
    const found = changesOfRivals(
      before,
      look('2026-11-09', { rivals }),
      new Set(['b1', 'b2', 'b3', 'b4']),
      'USD',
    );
    expect(found.map(({ message }) => message)).toEqual([
      '“Book 1”: rank 1,001 → 300.',
      '“Book 2”: price $8.99 → $9.99.',
      '“Book 3” is no longer among the rivals looked at.',
    ]);
  });
});
