import fc from 'fast-check';
import {
  geometricMean,
  linearRegression,
  median as medianOf,
  quantile as quantileNearby,
  rSquared,
  sampleCorrelation,
} from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import {
  copiesAMonth,
  DEFAULT_ASSUMPTIONS,
  DEFAULT_CURVE,
  estimate,
  fitCurve,
  median,
  newnessOf,
  oddsOf,
  outlook,
} from '#core/niche/index.ts';
import { rival } from '#core/niche/rivals.sample.ts';
import { rankCorrelation } from '../trial/judgment.ts';

/** Numbers that a sum of a few dozen does not lose in rounding. */
const positive = (max: number) => fc.double({ min: 0.01, max, noNaN: true });

describe('estimates against a second computation in another package (simple-statistics 7)', () => {
  it('the curve of own pairs is the regression line of their logarithms, with the same share explained', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 900_000 }), positive(5000)), {
          minLength: 5,
          maxLength: 60,
        }),
        (drawn) => {
          const pairs = drawn.map(([rank, copies]) => ({ rank, copies }));
          fc.pre(new Set(pairs.map(({ rank }) => rank)).size > 2);
          const fitted = fitCurve(pairs);
          if ('lacking' in fitted) throw new Error(fitted.lacking);
          const points = pairs.map(({ rank, copies }) => [Math.log(rank), Math.log(copies)]);
          const { m, b } = linearRegression(points);
          expect(fitted.curve.slope).toBeCloseTo(m, 6);
          expect(fitted.curve.intercept).toBeCloseTo(b, 5);
          const varied = new Set(points.map(([, y]) => y)).size > 1;
          if (varied)
            expect(fitted.line.rSquared).toBeCloseTo(
              rSquared(points, (x) => m * x + b),
              6,
            );
          // Copies at a rank, by the other line.
          expect(Math.log(copiesAMonth(7000, fitted.curve))).toBeCloseTo(m * Math.log(7000) + b, 5);
        },
      ),
    );
  });

  it('medians agree, and odds with a plain count whose middle half lies where nearby quantiles do', () => {
    fc.assert(
      fc.property(fc.array(positive(900), { minLength: 1, maxLength: 90 }), positive(300), (copies, from) => {
        expect(median(copies)).toBeCloseTo(medianOf(copies), 9);
        const books = copies.map((sold, i) => ({ ...estimate(rival({ id: `${i}` })), copies: sold }));
        const odds = oddsOf(books, from);
        expect([odds.sell, odds.of]).toEqual([copies.filter((sold) => sold >= from).length, copies.length]);
        // Kinds of quantile differ by less than a step between neighbors.
        const sorted = [...copies].sort((a, b) => a - b);
        const near = (value: number, q: number) => {
          const other = sorted.indexOf(quantileNearby(sorted, q));
          const at = other < 0 ? Math.floor(q * (sorted.length - 1)) : other;
          expect(value).toBeGreaterThanOrEqual(sorted[Math.max(0, at - 1)]! - 1e-9);
          expect(value).toBeLessThanOrEqual(sorted[Math.min(sorted.length - 1, at + 1)]! + 1e-9);
        };
        near(odds.low, 0.25);
        near(odds.high, 0.75);
      }),
    );
  });

  it('how new books sell beside all is the ratio of geometric means, drawn to 1 by how few they are', () => {
    fc.assert(
      fc.property(
        fc.array(positive(400), { minLength: 1, maxLength: 40 }),
        fc.array(positive(400), { minLength: 1, maxLength: 40 }),
        (all, fresh) => {
          const ratio = geometricMean(fresh) / geometricMean(all);
          const drawn = ratio ** (fresh.length / (fresh.length + 20));
          expect(newnessOf(all, fresh)).toBeCloseTo(Math.max(0.4, Math.min(1.6, drawn)), 6);
        },
      ),
    );
  });

  it('the mean of the ten cases is what the middle half and tails say, and is the mean of earnings', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 500, max: 400_000 }), { minLength: 1, maxLength: 60 }),
        fc.option(fc.integer({ min: 0, max: 5000 }), { nil: null }),
        (ranks, searches) => {
          const comparables = ranks.map((rank, i) =>
            estimate(rival({ id: `${i}`, rank, price: 8.99, pages: 110 })),
          );
          const found = outlook(
            {
              results: ranks.length,
              searches,
              comparables,
              day: '2026-11-24',
              season: 1,
              curve: DEFAULT_CURVE,
            },
            DEFAULT_ASSUMPTIONS,
          )!;
          expect(found.mean).toBeCloseTo(found.earnings.reduce((sum, one) => sum + one, 0) / 10, 6);
          expect(found.low).toBeLessThanOrEqual(medianOf(found.earnings) + 1e-9);
          expect(found.high).toBeGreaterThanOrEqual(medianOf(found.earnings) - 1e-9);
          expect(found.earnings).toEqual([...found.earnings].sort((a, b) => a - b));
        },
      ),
    );
  });

  it('the rank correlation of the trial is Pearson’s of the ranks (without ties)', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: -9999, max: 9999 }), { minLength: 3, maxLength: 60 }),
        fc.integer({ min: 1, max: 1000 }),
        (a, seed) => {
          const b = a.map((value, i) => Math.sin(value * seed) * 1000 + i / 7);
          fc.pre(new Set(b).size === b.length);
          const ranks = (values: number[]) => {
            const sorted = [...values].sort((x, y) => x - y);
            return values.map((value) => sorted.indexOf(value));
          };
          expect(rankCorrelation(a, b)).toBeCloseTo(sampleCorrelation(ranks(a), ranks(b)), 9);
        },
      ),
    );
  });
});
