import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  copiesAMonth,
  copiesRange,
  curveFrom,
  DEFAULT_CURVE,
  estimate,
  fitCurve,
  leastSquares,
} from './index.ts';
import { rival } from './rivals.sample.ts';

/** NIST Statistical Reference Datasets, linear regression, “Norris” (y, x); observed by J. Norris, NIST. */
const NORRIS: [y: number, x: number][] = [
  [0.1, 0.2],
  [338.8, 337.4],
  [118.1, 118.2],
  [888.0, 884.6],
  [9.2, 10.1],
  [228.1, 226.5],
  [668.5, 666.3],
  [998.5, 996.3],
  [449.1, 448.6],
  [778.9, 777.0],
  [559.2, 558.2],
  [0.3, 0.4],
  [0.1, 0.6],
  [778.1, 775.5],
  [668.8, 666.9],
  [339.3, 338.0],
  [448.9, 447.5],
  [10.8, 11.6],
  [557.7, 556.0],
  [228.3, 228.1],
  [998.0, 995.8],
  [888.8, 887.6],
  [119.6, 120.2],
  [0.3, 0.3],
  [0.6, 0.3],
  [557.6, 556.8],
  [339.3, 339.1],
  [888.0, 887.2],
  [998.5, 999.0],
  [778.9, 779.0],
  [10.2, 11.1],
  [117.6, 118.3],
  [228.9, 229.2],
  [668.4, 669.1],
  [449.2, 448.9],
  [0.2, 0.5],
];

describe('least squares', () => {
  it('gives NIST’s certified values for Norris to ten digits and more', () => {
    const line = leastSquares(
      NORRIS.map(([, x]) => x),
      NORRIS.map(([y]) => y),
    );
    const certified: [found: number, value: number][] = [
      [line.intercept, -0.262323073774029],
      [line.slope, 1.00211681802045],
      [line.interceptError, 0.232818234301152],
      [line.slopeError, 0.429796848199937e-3],
      [line.residualDeviation, 0.884796396144373],
      [line.rSquared, 0.999993745883712],
    ];
    for (const [found, value] of certified) expect(Math.abs(found / value - 1)).toBeLessThan(1e-10);
  });

  it('refuses what has no line', () => {
    expect(() => leastSquares([1, 2], [1, 2])).toThrow(/three points/);
    expect(() => leastSquares([2, 2, 2], [1, 2, 3])).toThrow(/All values of x are equal/);
  });
});

describe('the curve of sales by rank', () => {
  it('rank 915 is 6,044 copies and more than $22,000 in 30 days (one observed pair; common practice, no source)', () => {
    const found = estimate(rival());
    expect(found.copies).toBeCloseTo(6044, 6);
    expect(found.royalty).toBeCloseTo(3.764, 3);
    expect(found.earnings).toBeGreaterThan(22_000);
    expect(found.copiesLow! * 2).toBeCloseTo(found.copies!, 6);
    expect(found.copiesHigh! / 2).toBeCloseTo(found.copies!, 6);
  });

  it('copies fall as rank rises, inside their range, and a rank below 1 is refused', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2_000_000 }), (rank) => {
        expect(copiesAMonth(rank + 1)).toBeLessThan(copiesAMonth(rank));
        const { low, high } = copiesRange(rank);
        expect(low).toBeLessThan(copiesAMonth(rank));
        expect(high).toBeGreaterThan(copiesAMonth(rank));
      }),
    );
    expect(() => copiesAMonth(0)).toThrow(/1 or more/);
  });

  it('what is not known is not made up', () => {
    expect(estimate(rival({ rank: null }))).toMatchObject({ copies: null, earnings: null });
    expect(estimate(rival({ rank: null })).royalty).toBeCloseTo(3.764, 3);
    expect(estimate(rival({ pages: null }))).toMatchObject({
      printCost: null,
      royalty: null,
      earnings: null,
    });
  });

  it('is found again in pairs that lie on a power law, whatever its steepness', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: -0.3, noNaN: true }),
        fc.double({ min: 5, max: 16, noNaN: true }),
        fc.uniqueArray(fc.integer({ min: 50, max: 900_000 }), { minLength: 5, maxLength: 30 }),
        (slope, intercept, ranks) => {
          const pairs = ranks.map((rank) => ({ rank, copies: Math.exp(intercept + slope * Math.log(rank)) }));
          const fitted = fitCurve(pairs);
          if ('lacking' in fitted) throw new Error(fitted.lacking);
          expect(fitted.curve.slope).toBeCloseTo(slope, 6);
          expect(fitted.curve.intercept).toBeCloseTo(intercept, 5);
          expect(copiesAMonth(1234, fitted.curve)).toBeCloseTo(
            Math.exp(intercept + slope * Math.log(1234)),
            2,
          );
        },
      ),
    );
  });

  it('its interval is Student’s prediction interval, checked against Norris by the formula’s own parts', () => {
    // Norris as ranks and copies: what is fitted in log space is the line NIST certifies.
    const pairs = NORRIS.map(([y, x]) => ({ rank: Math.exp(x / 100), copies: Math.exp(y / 100) }));
    const fitted = fitCurve(pairs);
    if ('lacking' in fitted) throw new Error(fitted.lacking);
    expect(Math.abs(fitted.curve.slope / 1.00211681802045 - 1)).toBeLessThan(1e-10);
    expect(Math.abs(fitted.curve.intercept / -0.00262323073774029 - 1)).toBeLessThan(1e-9);
    // t of 34 degrees of freedom at 0.95 is 1.6909 (NIST/SEMATECH e-Handbook, table 1.3.6.7.2: 1.691).
    const { sure } = fitted.curve;
    expect(sure.by === 'pairs' && sure.quantile).toBeCloseTo(1.691, 3);
    const middle = Math.exp(fitted.line.meanX);
    const { low, high } = copiesRange(middle, fitted.curve);
    const half = Math.log(high / low) / 2;
    expect(half).toBeCloseTo(1.691 * 0.00884796396144373 * Math.sqrt(1 + 1 / 36), 5);
  });

  it('shows the outlier and keeps it; without own figures the default stays', () => {
    const pairs = [300, 1000, 4000, 9000, 20_000, 60_000, 100_000].map((rank) => ({
      rank,
      copies: copiesAMonth(rank) * (1 + (rank % 7) / 100),
    }));
    pairs[3]!.copies *= 9;
    const fitted = fitCurve(pairs);
    expect('outliers' in fitted && fitted.outliers).toEqual([false, false, false, true, false, false, false]);
    expect(fitCurve(pairs.slice(0, 3))).toEqual({
      lacking: '4 pairs of rank and copies are needed; there are 3.',
    });
    expect(fitCurve(Array(5).fill({ rank: 10, copies: 4 }))).toHaveProperty('lacking');
    expect(curveFrom([])).toEqual(DEFAULT_CURVE);
    expect(curveFrom([1, 2, 3, 4].map((n) => ({ rank: n, copies: n })))).toEqual(DEFAULT_CURVE);
  });
});
