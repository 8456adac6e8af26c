import { type CostParts, costOf, costParts, printRules, royalty } from '../print/index.ts';
import { inches } from '../units.ts';
import type { Comparable } from './comparable.ts';
import { copiesAMonth, copiesRange, DEFAULT_CURVE, type SalesCurve } from './curve.ts';
import { marketOf, RESEARCH_SERVICE } from './market.ts';

/** Estimates for a rival; null where it would rest on something that is not known. */
export interface Estimate {
  /** Copies in 30 days, and between which numbers. */
  copies: number | null;
  copiesLow: number | null;
  copiesHigh: number | null;
  printCost: number | null;
  /** Of one copy, in the market's currency like all money here; negative when the book sells under its cost. */
  royalty: number | null;
  /** In 30 days. */
  earnings: number | null;
}

export type EstimatedComparable = Comparable & Estimate;

type Estimated = Pick<Comparable, 'rank' | 'usualRank' | 'trim' | 'pages' | 'price' | 'ink'>;

/**
 * What works out the sums of rivals in the market of a curve, with the print cost that a book of each one's make has there.
 * What they have in common is looked up once: a page works out a hundred thousand of them while somebody waits.
 */
export function estimator(curve: SalesCurve = DEFAULT_CURVE): (rival: Estimated) => Estimate {
  const rules = printRules(RESEARCH_SERVICE, 'paperback');
  const market = marketOf(curve.market);
  const parts = new Map<number, CostParts>();
  const partsOf = (
    { width, height }: { width: number; height: number },
    ink: Comparable['ink'],
  ): CostParts => {
    // No book is a thousand inches high.
    const key = (width * 1e6 + height) * (ink === 'color' ? -1 : 1);
    let found = parts.get(key);
    if (!found) {
      const trim = { width: inches(width), height: inches(height) };
      found = costParts(rules, market, { trim, bleed: false, ink, paper: 'white' });
      parts.set(key, found);
    }
    return found;
  };
  return ({ rank: latest, usualRank, trim, pages, price, ink }) => {
    const rank = usualRank ?? latest;
    const copies = rank === null ? null : copiesAMonth(rank, curve);
    const range = rank === null ? null : copiesRange(rank, curve, copies!);
    const cost = trim && pages !== null ? costOf(partsOf(trim, ink), pages) : null;
    const each = cost !== null && price !== null ? royalty(market, price, cost) : null;
    return {
      copies,
      copiesLow: range?.low ?? null,
      copiesHigh: range?.high ?? null,
      printCost: cost,
      royalty: each,
      earnings: copies !== null && each !== null ? copies * each : null,
    };
  };
}

/** The sums of a single rival. */
export const estimateSales = (rival: Estimated, curve?: SalesCurve): Estimate => estimator(curve)(rival);

/** A rival with its sums. */
export const estimate = (comparable: Comparable, curve?: SalesCurve): EstimatedComparable =>
  Object.assign(estimateSales(comparable, curve), comparable);
