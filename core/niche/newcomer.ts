import { royalty } from '../print/index.ts';
import { printService } from '../print/service.ts';
import type { NicheAssumptions } from './assumptions.ts';
import type { EstimatedComparable } from './estimate.ts';
import { median, quantile } from './quantile.ts';

/** What a typical newcomer earns in 30 days, and what that rests on. Money in the home market's currency. */
export interface Newcomer {
  low: number;
  middle: number;
  high: number;
  /** The ranks it comes to stand at, best first. */
  ranks: { best: number; worst: number };
  price: number;
  printCost: number;
  royalty: number;
  advertisingShare: number;
}

const present = <T>(values: (T | null)[]): T[] => values.filter((value) => value !== null);

/**
 * A newcomer of middling make (the median price and print cost of the rivals) that comes to stand between two places
 * among them. Low: the worse place, at the low end of its copies; high: the better place, at the high end.
 */
export function newcomerEarnings(
  comparables: readonly EstimatedComparable[],
  { newcomer }: Pick<NicheAssumptions, 'newcomer'>,
): Newcomer {
  const ranked = comparables.filter(({ rank, copies }) => rank !== null && copies !== null);
  const ranks = present(ranked.map(({ rank }) => rank));
  const better = Math.min(newcomer.reachesBest, newcomer.reachesWorst);
  const worse = Math.max(newcomer.reachesBest, newcomer.reachesWorst);
  const price = median(present(comparables.map((book) => book.price)));
  const printCost = median(present(comparables.map((book) => book.printCost)));
  const [home] = printService('wrenfair').markets;
  const each = price ? royalty(home!, price, printCost) : 0;
  const kept = Math.max(0, each) * (1 - newcomer.advertisingShare);
  // Sales fall with rank, so the worse place is the lower quantile of copies.
  const copiesAt = (key: 'copies' | 'copiesLow' | 'copiesHigh', place: number) =>
    quantile(present(ranked.map((book) => book[key])), 1 - place);
  return {
    low: kept * copiesAt('copiesLow', worse),
    middle: kept * copiesAt('copies', (better + worse) / 2),
    high: kept * copiesAt('copiesHigh', better),
    ranks: { best: Math.round(quantile(ranks, better)), worst: Math.round(quantile(ranks, worse)) },
    price,
    printCost,
    royalty: each,
    advertisingShare: newcomer.advertisingShare,
  };
}
