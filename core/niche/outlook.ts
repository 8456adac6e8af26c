import { royalty } from '../print/index.ts';
import type { NicheAssumptions } from './assumptions.ts';
import type { SalesCurve } from './curve.ts';
import type { EstimatedComparable } from './estimate.ts';
import { marketOf } from './market.ts';
import { inOrder, median, quantile } from './quantile.ts';

/** What a new book would earn in 30 days, place by place; money in the currency of the market. */
export interface Outlook {
  /**
   * Earnings of ten equally likely new books, worst first, after advertising. Losses are negative.
   */
  earnings: number[];
  /** Copies of the same ten. */
  copies: number[];
  /** Mean of the ten: what a new book earns over many tries. */
  mean: number;
  /** Between these lies the middle half. */
  low: number;
  high: number;
  /** How many books it rests on; none where searches alone speak for it. */
  books: number;
  /** Null without a book whose price and make are known. */
  price: number | null;
  printCost: number | null;
  /** Of one copy; negative when books here sell under their cost. */
  royalty: number;
  /** What a click may cost at most before advertising eats the whole royalty. */
  breakEvenClick: number;
  /** For an hour of making the book, over its first 12 months. */
  anHour: number;
  /** How many times as much a new book sells as books here do. */
  newness: number;
}

/** How many equally likely cases an outlook is made of. */
export const CASES = 10;

const present = <T>(values: readonly (T | null)[]): T[] => values.filter((value) => value !== null);

/**
 * Sales of books fall off as a power of their place (Pareto; Brynjolfsson, Hu and Smith 2003 fitted it to a bookshop):
 * of n books the one at place k sells level · (k/n)^(−1/shape). From memory: what the shape usually is.
 */
const USUAL_SHAPE = 1.1;
/** A shape that was fitted is held near the usual one as by so many books. */
const SHAPE_WEIGHT = 30;
/** A step from new books to all counts in full only with many new ones: as if so many of all were among them. */
const NEW_WEIGHT = 20;
/** More or less than this is chance. */
const NEWNESS = [0.4, 1.6] as const;
/** What is known from searches counts like so many books. */
const SEARCHES_WEIGHT = 4;
/** Copies a month of a book of which nothing is known. From memory. */
const USUAL_COPIES = 4;

/** How sales fall off among the books of a niche. */
export interface Falloff {
  /** Copies of the last of them. */
  level: number;
  shape: number;
}

/**
 * Fits the fall-off to the best of some books: the shape by Hill (1975), near the usual one while there are few; the
 * level so that the logarithms agree on average.
 * @param sales copies of those that were read, best first; all above 0, at least one
 * @param of how many books there are in all; the others sell less than those read
 */
export function fitFalloff(sales: readonly number[] | Float64Array, of: number): Falloff {
  const n = sales.length;
  const all = Math.max(of, n);
  const least = sales[n - 1]!;
  let logs = 0;
  for (const value of sales) logs += Math.log(value / least);
  const shape = (n - 1 + SHAPE_WEIGHT) / (logs + SHAPE_WEIGHT / USUAL_SHAPE);
  let level = 0;
  for (let i = 0; i < n; i++) level += Math.log(sales[i]!) + Math.log((i + 0.5) / all) / shape;
  return { level: Math.exp(level / n), shape };
}

/** Copies at a depth: near 0 for the best of all, 1 for the last. */
export const copiesAtDepth = ({ level, shape }: Falloff, depth: number): number =>
  level * depth ** (-1 / shape);

/** How many times as much new books sell as all do: the ratio of their geometric means, nearer to 1 the fewer they are. */
export function newnessOf(all: readonly number[] | Float64Array, fresh: readonly number[]): number {
  if (fresh.length === 0) return 1;
  const mean = (values: readonly number[] | Float64Array) => {
    let sum = 0;
    for (const value of values) sum += Math.log(value);
    return sum / values.length;
  };
  const ratio = Math.exp((fresh.length / (fresh.length + NEW_WEIGHT)) * (mean(fresh) - mean(all)));
  return Math.max(NEWNESS[0], Math.min(NEWNESS[1], ratio));
}

/** Whether a book was published within the days that count as new. @param day of the look, ISO 8601 */
export function isNew(day: string, freshDays: number) {
  // ISO 8601 days in the order of time are in the order of letters.
  const from = new Date(Date.parse(day) - freshDays * 86_400_000).toISOString().slice(0, 10);
  return ({ published }: Pick<EstimatedComparable, 'published'>): boolean =>
    published !== null && published >= from;
}

export interface Evidence {
  /** How many books are on sale, as the marketplace says; those that were read are the best sellers of them. */
  results: number;
  /** Times a month the phrase is typed; null where nobody says. */
  searches: number | null;
  comparables: readonly EstimatedComparable[];
  /** By which copies were estimated, and in which market. */
  curve: SalesCurve;
  /** Day of the look, ISO 8601. */
  day: string;
  /** How many times as much is sold over the year as at that time of it; 1 where that is not known. */
  season: number;
}

/**
 * What a new book would earn that is made like those on sale (at their median price and print cost), in ten equally
 * likely cases. Two things speak for it: what books here sell, read from the best of them to the last, and how often
 * the phrase is searched for each book there is; the more books were read, the less the second counts.
 * @returns null where there is neither a book nor a search
 */
export function outlook(
  { results, searches, comparables, day, season, curve }: Evidence,
  { newcomer }: Pick<NicheAssumptions, 'newcomer'>,
): Outlook | null {
  const ranked = comparables.filter(({ copies }) => copies !== null && copies > 0);
  if (ranked.length === 0 && !searches) return null;
  const sales = inOrder(ranked.map(({ copies }) => copies!)).reverse();
  const fresh = ranked.filter(isNew(day, newcomer.freshDays)).map(({ copies }) => copies!);
  const newness = sales.length ? newnessOf(sales, fresh) : 1;
  const falloff = sales.length ? fitFalloff(sales, results) : { level: 1, shape: USUAL_SHAPE };
  const cases = Array.from(
    { length: CASES },
    (_, i) => newness * copiesAtDepth(falloff, 1 - (i + 0.5) / CASES),
  );
  const byBooks = mean(cases);
  const bySearches =
    searches === null
      ? USUAL_COPIES
      : (searches * newcomer.buysPerSearch) / (Math.max(results, ranked.length) + 1);
  const books = sales.length / (sales.length + SEARCHES_WEIGHT);
  const expected = byBooks ** books * Math.max(bySearches, LEAST_COPIES) ** (1 - books);
  const copies = cases.map((n) => (season * n * expected) / byBooks);

  const prices = present(comparables.map((book) => book.price));
  const costs = present(comparables.map((book) => book.printCost));
  const known = prices.length > 0 && costs.length > 0;
  const price = known ? median(prices) : null;
  const printCost = known ? median(costs) : null;
  const each = known ? royalty(marketOf(curve.market), price!, printCost!) : newcomer.usualRoyalty;
  const kept = keptOf(each, newcomer);
  const earnings = copies.map((n) => n * kept).sort((a, b) => a - b);
  return {
    earnings,
    copies,
    mean: mean(earnings),
    low: quantile(earnings, 0.25),
    high: quantile(earnings, 0.75),
    books: ranked.length,
    price,
    printCost,
    royalty: each,
    breakEvenClick: Math.max(0, each) / newcomer.clicksPerSale,
    anHour: (12 * mean(earnings)) / newcomer.hours,
    newness,
  };
}

/** What a new book sells and earns a month at a price of the publisher's choice. */
export interface AtPrice {
  price: number;
  royalty: number;
  copies: number;
  /** After advertising. */
  earnings: number;
}

/**
 * The outlook at another price: copies fall as the price to the power of the response (a constant elasticity).
 * @returns null where no book says what one costs to buy and to print
 */
export function atPrice(
  { copies, price: usual, printCost }: Outlook,
  price: number,
  { market }: Pick<SalesCurve, 'market'>,
  { newcomer }: Pick<NicheAssumptions, 'newcomer'>,
): AtPrice | null {
  if (usual === null || printCost === null) return null;
  const each = royalty(marketOf(market), price, printCost);
  const sold = mean(copies) * (price / usual) ** -newcomer.priceResponse;
  return { price, royalty: each, copies: sold, earnings: sold * keptOf(each, newcomer) };
}

/** Advertising takes its share of what there is; a loss on each copy is not made smaller by it. */
const keptOf = (each: number, { advertisingShare }: NicheAssumptions['newcomer']): number =>
  each > 0 ? each * (1 - advertisingShare) : each;

const mean = (values: readonly number[]): number => values.reduce((sum, n) => sum + n, 0) / values.length;
/** A book that nobody searches for is sold now and then. */
const LEAST_COPIES = 0.05;
