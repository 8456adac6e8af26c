import { printCost, printRules, royalty } from '../print/index.ts';
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

/** The sums of a rival in the market of the curve, with the print cost that a book of its make has there. */
export function estimateSales(
  {
    rank: latest,
    usualRank,
    trim,
    pages,
    price,
    ink,
  }: Pick<Comparable, 'rank' | 'usualRank' | 'trim' | 'pages' | 'price' | 'ink'>,
  curve: SalesCurve = DEFAULT_CURVE,
): Estimate {
  const service = printRules(RESEARCH_SERVICE, 'paperback');
  const market = marketOf(curve.market);
  const rank = usualRank ?? latest;
  const copies = rank === null ? null : copiesAMonth(rank, curve);
  const range = rank === null ? null : copiesRange(rank, curve);
  const cost =
    trim && pages !== null
      ? printCost(
          service,
          market,
          {
            trim: { width: inches(trim.width), height: inches(trim.height) },
            bleed: false,
            ink,
            paper: 'white',
          },
          pages,
        )
      : null;
  const each = cost !== null && price !== null ? royalty(market, price, cost) : null;
  return {
    copies,
    copiesLow: range?.low ?? null,
    copiesHigh: range?.high ?? null,
    printCost: cost,
    royalty: each,
    earnings: copies !== null && each !== null ? copies * each : null,
  };
}

/** A rival with its sums. */
export const estimate = (comparable: Comparable, curve?: SalesCurve): EstimatedComparable =>
  Object.assign(estimateSales(comparable, curve), comparable);
