import type { NicheAssumptions, PartId } from './assumptions.ts';
import type { EstimatedComparable } from './estimate.ts';
import { type Newcomer, newcomerEarnings } from './newcomer.ts';
import { median } from './quantile.ts';

export interface VerdictPart {
  id: PartId;
  what: string;
  value: number;
  unit: 'books' | 'copies' | 'money' | 'reviews' | 'share';
  /** How much of the part counts, 0 to 1. */
  score: number;
  weight: number;
  poor: number;
  good: number;
}

export const VERDICT_WORDS = ['open', 'worth a try', 'crowded', 'no demand'] as const;
export type VerdictWord = (typeof VERDICT_WORDS)[number];

export interface Verdict {
  word: VerdictWord;
  /** Weighted mean of the parts, 0 to 10. */
  points: number;
  parts: VerdictPart[];
  newcomer: Newcomer;
  /** Copies in 30 days of the best sellers the verdict rests on. */
  demand: number;
  /** How many of those best sellers sell at all. */
  sellers: number;
}

/** Best sellers a verdict rests on. */
export const TOP = 20;
const LEADERS = 3;
/** A niche with so many rivals that this part of the verdict is lower sells with advertising only: it is not open. */
const ROOM_OF_AN_OPEN_NICHE = 0.5;

const NAMES: Record<PartId, [what: string, unit: VerdictPart['unit']]> = {
  results: ['Search results', 'books'],
  demand: [`Monthly sales of the top ${TOP}`, 'copies'],
  earnings: ['A new title could earn', 'money'],
  reviews: [`Reviews in the top ${TOP}`, 'reviews'],
  leaders: [`Share of the top ${LEADERS}`, 'share'],
  fresh: ['New titles that sell', 'share'],
};

/** 0 at `poor` and beyond, 1 at `good` and beyond, even in between, whichever of the two is the larger. */
export function scoreOn(value: number, { poor, good }: { poor: number; good: number }): number {
  return Math.max(0, Math.min(1, (value - poor) / (good - poor)));
}

/** The best sellers of some comparables, best first; those without a rank are left out. */
export function bestSellers<T extends EstimatedComparable>(comparables: readonly T[], max: number): T[] {
  // A few of many: kept in order as they are met, since sorting all of them takes longer than the eye waits.
  const best: T[] = [];
  for (const book of comparables) {
    const { rank } = book;
    if (rank === null || (best.length === max && rank >= best[max - 1]!.rank!)) continue;
    let at = best.length;
    while (at > 0 && best[at - 1]!.rank! > rank) at--;
    best.splice(at, 0, book);
    if (best.length > max) best.pop();
  }
  return best;
}

/**
 * Judges a phrase by its result count and its comparables. Every part is given with its weight and its two
 * thresholds.
 * @param day the day of the look, as ISO 8601: what is new is counted from it
 */
export function judge(
  results: number,
  comparables: readonly EstimatedComparable[],
  assumptions: NicheAssumptions,
  day: string,
): Verdict {
  const top = bestSellers(comparables, TOP);
  const copies = top.map((book) => book.copies ?? 0);
  const demand = copies.reduce((sum, n) => sum + n, 0);
  const leaders = copies.slice(0, LEADERS).reduce((sum, n) => sum + n, 0);
  const sellers = top.filter((book) => (book.copies ?? 0) >= assumptions.sellsFrom);
  const since = Date.parse(day) - assumptions.newcomer.freshDays * 86_400_000;
  const fresh = sellers.filter(({ published }) => published !== null && Date.parse(published) >= since);
  const newcomer = newcomerEarnings(comparables, assumptions);
  const values: Record<PartId, number> = {
    results,
    demand,
    earnings: newcomer.middle,
    reviews: median(top.flatMap(({ reviews }) => (reviews === null ? [] : [reviews]))),
    leaders: demand > 0 ? leaders / demand : 1,
    fresh: sellers.length ? fresh.length / sellers.length : 0,
  };
  const parts = (Object.keys(NAMES) as PartId[]).map((id): VerdictPart => {
    const [what, unit] = NAMES[id];
    const { poor, good } = assumptions.scales[id];
    return {
      id,
      what,
      unit,
      value: values[id],
      score: scoreOn(values[id], assumptions.scales[id]),
      weight: assumptions.weights[id],
      poor,
      good,
    };
  });
  const weights = parts.reduce((sum, { weight }) => sum + weight, 0);
  const points = weights
    ? (10 * parts.reduce((sum, { score, weight }) => sum + score * weight, 0)) / weights
    : 0;
  const wanted = parts.find(({ id }) => id === 'demand')!.score > 0;
  const room = parts.find(({ id }) => id === 'results')!.score;
  const word: VerdictWord = !wanted
    ? 'no demand'
    : room === 0 || points < assumptions.words.tryFrom
      ? 'crowded'
      : points >= assumptions.words.openFrom && room >= ROOM_OF_AN_OPEN_NICHE
        ? 'open'
        : 'worth a try';
  return { word, points, parts, newcomer, demand, sellers: sellers.length };
}
