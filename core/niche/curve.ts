import jstat from 'jstat';
import { type Line, leastSquares } from './least-squares.ts';
import { HOME_MARKET, marketOf } from './market.ts';

/**
 * Sales follow rank roughly as a power law: ln copies = intercept + slope × ln rank, copies in 30 days. How sure that
 * is comes either from the publisher's own pairs, or as a factor up and down.
 */
export interface SalesCurve {
  /** Id of the market whose ranks it reads; print costs, royalty and currency are those of the same market. */
  market: string;
  intercept: number;
  slope: number;
  sure:
    | { by: 'factor'; factor: number }
    | { by: 'pairs'; n: number; meanX: number; sumXX: number; deviation: number; quantile: number };
}

/** One observed pair (common practice, no source): rank 915 went with 6,044 copies in 30 days. */
export const OBSERVED_PAIR = { rank: 915, copies: 6044 } as const;
/** From memory: how fast sales fall with rank, and how far off the curve a single book may be. */
const USUAL_SLOPE = -1.1;
const USUAL_FACTOR = 2;

/**
 * The curve of somebody without figures of their own: in the home market through the observed pair, elsewhere as much
 * lower as that market sells less; with a wide range.
 */
export const defaultCurve = (market: string): SalesCurve => ({
  market,
  intercept:
    Math.log(OBSERVED_PAIR.copies * marketOf(market).sales) - USUAL_SLOPE * Math.log(OBSERVED_PAIR.rank),
  slope: USUAL_SLOPE,
  sure: { by: 'factor', factor: USUAL_FACTOR },
});

/** That of the home market. */
export const DEFAULT_CURVE: SalesCurve = defaultCurve(HOME_MARKET);

/** Copies sold in 30 days at a sales rank. @throws RangeError for a rank below 1 */
export function copiesAMonth(rank: number, curve: SalesCurve = DEFAULT_CURVE): number {
  if (!(rank >= 1)) throw new RangeError(`A sales rank is 1 or more, not ${rank}.`);
  return Math.exp(curve.intercept + curve.slope * Math.log(rank));
}

/**
 * Between which numbers of copies a book of this rank sells: a prediction interval, or the factor up and down.
 * @param middle its copies, where they are known already
 */
export function copiesRange(
  rank: number,
  curve: SalesCurve = DEFAULT_CURVE,
  middle = copiesAMonth(rank, curve),
): { low: number; high: number } {
  const { sure } = curve;
  if (sure.by === 'factor') return { low: middle / sure.factor, high: middle * sure.factor };
  const away = Math.log(rank) - sure.meanX;
  const half = sure.quantile * sure.deviation * Math.sqrt(1 + 1 / sure.n + (away * away) / sure.sumXX);
  return { low: middle * Math.exp(-half), high: middle * Math.exp(half) };
}

/** A rank and what was sold in 30 days at it. */
export interface SalesPair {
  rank: number;
  copies: number;
}

/** Pairs below which nothing is fitted, and the level of the interval. */
export const LEAST_PAIRS = 4;
export const INTERVAL_LEVEL = 0.9;
/** Chance that any pair of a sound set is called an outlier. */
const OUTLIER_CHANCE = 0.05;

export interface FittedCurve {
  curve: SalesCurve;
  line: Line;
  /** For each pair, whether it lies further off than chance allows; such pairs still count. */
  outliers: boolean[];
  /** 90 % interval of the slope. */
  slopeRange: { low: number; high: number };
}

/**
 * Fits the curve to own pairs by least squares in log space. Outliers are pairs whose externally studentised residual
 * is beyond the Bonferroni bound (Cook and Weisberg 1982, §2.2.2); they are shown, not dropped. The range of a
 * prediction is Student's (Draper and Smith, §1.4).
 * @returns what is missing, when the pairs do not give a curve
 */
export function fitCurve(
  pairs: readonly SalesPair[],
  market: string = HOME_MARKET,
): FittedCurve | { lacking: string } {
  if (pairs.length < LEAST_PAIRS)
    return { lacking: `${LEAST_PAIRS} pairs of rank and copies are needed; there are ${pairs.length}.` };
  const wrong = pairs.find(({ rank, copies }) => !(rank >= 1) || !(copies > 0));
  if (wrong) return { lacking: `Rank ${wrong.rank} with ${wrong.copies} copies cannot be used.` };
  const x = pairs.map(({ rank }) => Math.log(rank));
  if (new Set(x).size < 2) return { lacking: 'All pairs have the same rank. Add one with another.' };
  const line = leastSquares(
    x,
    pairs.map(({ copies }) => Math.log(copies)),
  );
  const { n, residualDeviation: s } = line;
  const quantile = jstat.studentt.inv((1 + INTERVAL_LEVEL) / 2, n - 2);
  const bound = jstat.studentt.inv(1 - OUTLIER_CHANCE / (2 * n), n - 3);
  const outliers = line.residuals.map((r, i) => {
    const left = (s * s * (n - 2) - (r * r) / (1 - line.leverages[i]!)) / (n - 3);
    const studentised = r / Math.sqrt(Math.max(left, 1e-24) * (1 - line.leverages[i]!));
    return s > 1e-9 && Math.abs(studentised) > bound;
  });
  return {
    line,
    outliers,
    slopeRange: {
      low: line.slope - quantile * line.slopeError,
      high: line.slope + quantile * line.slopeError,
    },
    curve: {
      market,
      intercept: line.intercept,
      slope: line.slope,
      sure: { by: 'pairs', n, meanX: line.meanX, sumXX: line.sumXX, deviation: s, quantile },
    },
  };
}

/** The curve of a market from own pairs where they give one that falls, otherwise its default. */
export function curveFrom(pairs: readonly SalesPair[], market: string = HOME_MARKET): SalesCurve {
  const fitted = fitCurve(pairs, market);
  return 'lacking' in fitted || fitted.curve.slope >= 0 ? defaultCurve(market) : fitted.curve;
}
