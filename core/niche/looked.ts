import type { SalesCurve } from './curve.ts';
import type { Looked } from './verdict.ts';

/** A look, as far as the judgment asks for it. */
export interface LookAt {
  /** ISO 8601. */
  day: string;
  results: number;
  searches: number | null;
  /** Monthly copies of its best sellers by what was seen on the day, by one curve for all looks. */
  copies: number;
}

/** Ranks are averaged over looks that lie so near to the latest, in days. */
export const RANKS_OF_DAYS = 60;
/** From so many months on, the season is taken out. */
export const MONTHS_OF_A_SEASON = 10;

/** A look that is older says less. In days. */
export const OLD_DAYS = 30;

/** Whole days from one ISO 8601 day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / 86_400_000);
const mean = (values: readonly number[]): number => values.reduce((sum, n) => sum + n, 0) / values.length;

/**
 * How many times as much is sold over the year as in the month of the latest look: the mean of the months' demand over
 * that of its own; 1 until the looks cover most of the year.
 */
export function seasonOf(looks: readonly LookAt[]): number {
  const months = new Map<string, number[]>();
  for (const { day, copies } of looks) {
    const month = day.slice(5, 7);
    months.set(month, [...(months.get(month) ?? []), copies]);
  }
  if (months.size < MONTHS_OF_A_SEASON) return 1;
  const now = mean(months.get(looks.at(-1)!.day.slice(5, 7))!);
  return now > 0 ? mean([...months.values()].map(mean)) / now : 1;
}

/**
 * What a verdict rests on beside the books, from all looks at a niche.
 * @param looks oldest first, at least one
 * @param today ISO 8601: how old the latest look is
 */
export function lookedAt(
  looks: readonly LookAt[],
  curve: SalesCurve,
  today: string,
): Omit<Looked, 'comparables'> {
  const latest = looks.at(-1)!;
  const near = looks.filter(({ day }) => daysBetween(day, latest.day) <= RANKS_OF_DAYS);
  return {
    results: latest.results,
    searches: latest.searches,
    day: latest.day,
    curve,
    looks: new Set(near.map(({ day }) => day)).size,
    months: new Set(looks.map(({ day }) => day.slice(5, 7))).size,
    age: Math.max(0, daysBetween(latest.day, today)),
    season: seasonOf(looks),
  };
}

/** A single answer to a phrase, which nothing is known of but that. */
export const lookedOnce = (
  { results, day }: Pick<LookAt, 'results' | 'day'>,
  searches: number | null,
  curve: SalesCurve,
): Omit<Looked, 'comparables'> => lookedAt([{ results, day, searches, copies: 0 }], curve, day);
