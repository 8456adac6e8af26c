import type { NicheAssumptions } from './assumptions.ts';
import type { EstimatedComparable } from './estimate.ts';
import { MONTHS_OF_A_SEASON, OLD_DAYS } from './looked.ts';
import { type Evidence, isNew, type Outlook, outlook } from './outlook.ts';
import { inOrder, median, quantileOf } from './quantile.ts';

export const VERDICT_WORDS = ['open', 'worth a try', 'crowded', 'no demand'] as const;
export type VerdictWord = (typeof VERDICT_WORDS)[number];

/** Something that speaks for a word or against it: a number, and the bound it is held against. */
export interface Condition {
  id: ConditionId;
  /** The word that it decides on. */
  word: Exclude<VerdictWord, 'worth a try'>;
  what: string;
  /** Null where it is not known. */
  value: number | null;
  unit: 'books' | 'copies' | 'searches' | 'money' | 'reviews' | 'share';
  bound: number;
  /** True: met from the bound up; false: met from the bound down. */
  from: boolean;
  met: boolean;
}

export type ConditionId =
  | 'searches'
  | 'demand'
  | 'results'
  | 'sells'
  | 'reviews'
  | 'leaders'
  | 'press'
  | 'wanted'
  | 'room'
  | 'judged'
  | 'earnings';

/** Of some books, how many sell, and what the middle half of them sells. */
export interface Odds {
  sell: number;
  of: number;
  low: number;
  high: number;
}

export const CONFIDENCES = ['high', 'fair', 'low'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

export interface Verdict {
  word: VerdictWord;
  /** All that were held against a bound, in the order in which they decide. */
  conditions: Condition[];
  /** What alone stood between the niche and “open”; null where it is open, or more than that is missing. */
  veto: string | null;
  confidence: { level: Confidence; reasons: string[] };
  /** Null where there is neither a book nor a search to judge by. */
  outlook: Outlook | null;
  /** Copies in 30 days of the best sellers. */
  demand: number;
  searches: number | null;
  /** How many of the best sellers sell at all. */
  sellers: number;
  /** Of all books that were read, and of those that are new. */
  odds: { all: Odds; fresh: Odds };
  /** Which press or author holds the most of the copies of the best sellers. */
  press: { name: string; share: number } | null;
}

/** Best sellers that demand is counted from. */
export const TOP = 20;
const LEADERS = 3;
const SEARCHES = ['Searches a month', 'searches'] as const;
const COPIES = [`Copies a month, top ${TOP}`, 'copies'] as const;
const ON_SALE = ['Books on sale', 'books'] as const;
/** Below so many books on sale, shares of them say nothing. */
const LEAST_FOR_SHARES = 10;

/** The rank that a book's sales are estimated from. */
const standingOf = ({ rank, usualRank }: EstimatedComparable): number | null => usualRank ?? rank;

/** The best sellers of some comparables, best first; those without a rank are left out. */
export function bestSellers<T extends EstimatedComparable>(comparables: readonly T[], max: number): T[] {
  // A few of many: kept in order as they are met, since sorting all of them takes longer than the eye waits.
  const best: T[] = [];
  for (const book of comparables) {
    const rank = standingOf(book);
    if (rank === null || (best.length === max && rank >= standingOf(best[max - 1]!)!)) continue;
    let at = best.length;
    while (at > 0 && standingOf(best[at - 1]!)! > rank) at--;
    best.splice(at, 0, book);
    if (best.length > max) best.pop();
  }
  return best;
}

/** How many of some books sell, and what the middle half of them sells. */
export function oddsOf(books: readonly EstimatedComparable[], sellsFrom: number): Odds {
  const copies: number[] = [];
  let sell = 0;
  for (const book of books) {
    if (book.copies === null) continue;
    copies.push(book.copies);
    if (book.copies >= sellsFrom) sell++;
  }
  const sorted = inOrder(copies);
  return { sell, of: copies.length, low: quantileOf(sorted, 0.25), high: quantileOf(sorted, 0.75) };
}

/** What a verdict rests on beside the books: how it was looked at. */
export interface Looked extends Evidence {
  /** Looks that ranks are averaged over, and the months of the year that they cover. */
  looks: number;
  months: number;
  /** Days since the latest look. */
  age: number;
}

/**
 * Judges a phrase: demand against supply, and what a new book would earn. The word follows from named conditions:
 * “no demand” where buyers neither search nor buy; “crowded” where any condition of a crowd is met; “open” where all of its
 * own are; otherwise “worth a try”. docs/judgment.md tells how far it can be trusted.
 */
export function judge(looked: Looked, assumptions: NicheAssumptions): Verdict {
  const { comparables, results, searches, day } = looked;
  const { thresholds, sellsFrom, newcomer } = assumptions;
  const top = bestSellers(comparables, TOP);
  const copies = top.map((book) => book.copies ?? 0);
  const demand = copies.reduce((sum, n) => sum + n, 0);
  const expected = outlook(looked, assumptions);
  const odds = {
    all: oddsOf(comparables, sellsFrom),
    fresh: oddsOf(comparables.filter(isNew(day, newcomer.freshDays)), sellsFrom),
  };
  const onSale = Math.max(results, odds.all.of);
  const press = pressOf(top, demand);
  const many = onSale >= LEAST_FOR_SHARES;
  const reviews = top.flatMap((book) => (book.reviews === null ? [] : [book.reviews]));

  const conditions: Condition[] = [];
  const hold = (
    word: Condition['word'],
    id: ConditionId,
    [what, unit]: readonly [what: string, unit: Condition['unit']],
    value: number | null,
    way: 'from' | 'to',
    bound: number,
    unknown = false,
  ) => {
    const from = way === 'from';
    const met = value === null ? unknown : from ? value >= bound : value <= bound;
    conditions.push({ word, id, what, unit, value, bound, from, met });
    return met;
  };
  // Nobody is known to search where nobody says so.
  const fewSearches = hold('no demand', 'searches', SEARCHES, searches, 'to', thresholds.searches, true);
  const fewCopies = hold('no demand', 'demand', COPIES, demand, 'to', thresholds.copies);
  const crowd = [
    hold('crowded', 'results', ON_SALE, onSale, 'from', thresholds.manyResults),
    hold(
      'crowded',
      'sells',
      ['Books that sell', 'share'],
      many ? odds.all.sell / onSale : null,
      'to',
      thresholds.sellShare,
    ),
    hold(
      'crowded',
      'reviews',
      ['Reviews, median', 'reviews'],
      reviews.length ? median(reviews) : null,
      'from',
      thresholds.reviews,
    ),
    hold(
      'crowded',
      'press',
      ['Largest press', 'share'],
      many && demand > 0 ? (press?.share ?? 0) : null,
      'from',
      thresholds.press,
    ),
  ];
  const leaders = copies.slice(0, LEADERS).reduce((sum, n) => sum + n, 0);
  // Either is enough: the one that comes nearer is shown.
  const searched = (searches ?? 0) / thresholds.wantedSearches > demand / thresholds.wantedCopies;
  const wants = [
    searched
      ? hold('open', 'wanted', SEARCHES, searches, 'from', thresholds.wantedSearches)
      : hold('open', 'wanted', COPIES, demand, 'from', thresholds.wantedCopies),
    hold('open', 'room', ON_SALE, onSale, 'to', thresholds.fewResults),
    hold(
      'open',
      'leaders',
      [`Share of the top ${LEADERS}`, 'share'],
      demand > 0 ? leaders / demand : null,
      'to',
      thresholds.leaders,
    ),
    hold('open', 'judged', ['Books to judge by', 'books'], odds.all.of, 'from', thresholds.books),
    hold(
      'open',
      'earnings',
      ['Monthly earnings', 'money'],
      expected?.books ? expected.mean : null,
      'from',
      thresholds.earnings,
    ),
  ];
  const word: VerdictWord =
    fewSearches && fewCopies
      ? 'no demand'
      : crowd.some(Boolean)
        ? 'crowded'
        : wants.every(Boolean)
          ? 'open'
          : 'worth a try';
  const missing = conditions.filter((one) => one.word === 'open' && !one.met);
  return {
    word,
    conditions,
    veto: word === 'worth a try' && missing.length === 1 ? missing[0]!.what : null,
    confidence: confidenceOf(looked, odds.all.of),
    outlook: expected,
    demand,
    searches,
    sellers: copies.filter((n) => n >= sellsFrom).length,
    odds,
    press,
  };
}

/** A press holds a niche with several books; a single one that sells is no press. */
const BOOKS_OF_A_PRESS = 3;

function pressOf(top: readonly EstimatedComparable[], demand: number): Verdict['press'] {
  if (!(demand > 0)) return null;
  const presses = new Map<string, { books: number; copies: number }>();
  for (const { penName, copies } of top) {
    if (!penName) continue;
    const known = presses.get(penName) ?? { books: 0, copies: 0 };
    presses.set(penName, { books: known.books + 1, copies: known.copies + (copies ?? 0) });
  }
  const [largest] = [...presses]
    .filter(([, { books }]) => books >= BOOKS_OF_A_PRESS)
    .sort((a, b) => b[1].copies - a[1].copies);
  return largest ? { name: largest[0], share: largest[1].copies / demand } : null;
}

/** From memory: what lowers confidence, and how far. */
const FEW_BOOKS = 15;
const VERY_FEW_BOOKS = 5;
const VERY_OLD_DAYS = 120;
/** A rank so far beyond those of the publisher's own pairs is outside of what they tell. */
const OUTSIDE = 3;

/** How sure a verdict is: as sure as its weakest ground, each told. */
function confidenceOf(
  { results, comparables, curve, looks, months, age, day }: Looked,
  read: number,
): Verdict['confidence'] {
  const low: string[] = [];
  const fair: string[] = [];
  if (read === 0) low.push('There are no books to judge by.');
  else if (read < VERY_FEW_BOOKS)
    low.push(`Only ${read} ${read === 1 ? 'book has' : 'books have'} a known rank.`);
  else if (read < FEW_BOOKS) fair.push(`Only ${read} books have a known rank.`);
  if (read > 0 && results > 2 * read)
    fair.push(
      `The best ${read} of ${results.toLocaleString('en-US')} books were read; the others are estimated.`,
    );
  if (age > VERY_OLD_DAYS) low.push(`The latest look is ${age} days old.`);
  else if (age > OLD_DAYS) fair.push(`The latest look is ${age} days old.`);
  if (looks < 2) fair.push('It rests on a single look.');
  if (months < MONTHS_OF_A_SEASON)
    fair.push(
      `Your looks cover ${months === 1 ? MONTH.format(new Date(`${day}T12:00:00Z`)) : `${months} months of the year`}; the season is not taken out.`,
    );
  if (curve.sure.by === 'factor')
    fair.push('Copies are estimated from the default curve, not from your own sales.');
  else {
    const { meanX, sumXX, n } = curve.sure;
    const reach = 2 * Math.sqrt(sumXX / n);
    const outside = comparables.filter(
      ({ rank }) => rank !== null && Math.abs(Math.log(rank) - meanX) > reach + Math.log(OUTSIDE),
    );
    if (outside.length > read / 2) fair.push('Most ranks here lie outside those of your own sales.');
  }
  return { level: low.length ? 'low' : fair.length ? 'fair' : 'high', reasons: [...low, ...fair] };
}

const MONTH = new Intl.DateTimeFormat('en-US', { month: 'long', timeZone: 'UTC' });
