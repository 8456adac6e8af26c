import * as v from 'valibot';
import { lowestPrice, printCost, printRules } from '../print/index.ts';
import { enumOf, exactObject, integerBetween, numberBetween, text } from '../schema.ts';
import { inches } from '../units.ts';
import type { EstimatedComparable } from './estimate.ts';
import { HOME_MARKET, marketOf } from './market.ts';
import { BRIEF_KINDS, type BriefKind, pagesFor } from './pages-for.ts';
import { type PhraseLists, partsOf } from './phrases/index.ts';
import { median } from './quantile.ts';
import { titleIdeas } from './titles.ts';
import { bestSellers } from './verdict.ts';

const KIND_IDS = Object.keys(BRIEF_KINDS) as BriefKind[];

const service = printRules('wrenfair', 'paperback');
/** Keyword candidates of a brief, and letters of one: the listing takes no longer ones. */
export const MOST_KEYWORDS = 40;
export const KEYWORD_LETTERS = service.listing.keywordLength;
/** Of title and subtitle together. */
export const TITLE_LETTERS = service.listing.titleAndSubtitle;
const isoDay = v.union([v.literal(''), v.pipe(v.string(), v.isoDate('should be a day such as 2027-05-20.'))]);

/** What was decided from a niche: a new book starts from it. */
export const BriefSchema = exactObject({
  phrase: text(1, 100),
  title: v.optional(text(0, 200), ''),
  subtitle: v.optional(text(0, 200), ''),
  kinds: v.pipe(
    v.array(enumOf(KIND_IDS)),
    v.minLength(1, 'is empty. Choose what the pages hold.'),
    v.maxLength(KIND_IDS.length),
  ),
  audience: v.optional(text(0, 60), ''),
  /** The name of one of the service's trims. */
  trim: enumOf(service.trims.map(({ name }) => name)),
  pages: integerBetween(24, 828),
  ink: v.optional(enumOf(service.inks.map(({ id }) => id)), 'black'),
  prices: v.record(enumOf(service.markets.map(({ id }) => id)), numberBetween(0.99, 250)),
  keywords: v.optional(v.pipe(v.array(text(1, KEYWORD_LETTERS)), v.maxLength(MOST_KEYWORDS)), []),
  occasion: v.optional(text(0, 100), ''),
  publishBy: v.optional(isoDay, ''),
  notes: v.optional(text(0, 4000), ''),
  /** Ids of the rivals to look at while the book is made. */
  rivals: v.optional(v.pipe(v.array(text(1, 64)), v.maxLength(50)), []),
});

export type Brief = v.InferOutput<typeof BriefSchema>;

/** The best sellers a brief follows. */
const FOLLOWED = 10;
/** What a dollar is worth in each currency before a price is rounded to its habit; from memory, editable in the listing. */
const DOLLAR: Record<string, number> = { USD: 1, GBP: 0.8 };
const USUAL = { pages: 112, price: 8.99, trim: '6 × 9 in' };

/** The nearest price that ends in .99, not under a floor. */
function toHabit(price: number, floor = 0): number {
  const near = Math.max(0.99, Math.round(price) - 0.01);
  return near >= floor ? near : Math.ceil(floor + 0.01) - 0.01;
}

/** The phrase itself, then what the best sellers' titles say most often beside it. */
function keywordsFrom(phrase: string, best: readonly EstimatedComparable[]): string[] {
  const own = new Set(phrase.toLowerCase().split(/\W+/));
  const tally = new Map<string, number>();
  for (const { title } of best) {
    for (const word of new Set(title.toLowerCase().match(/[a-z]{4,}/g) ?? []))
      if (!own.has(word)) tally.set(word, (tally.get(word) ?? 0) + 1);
  }
  const extra = [...tally]
    .filter(([, n]) => n > 1)
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, 4);
  return [phrase, ...extra.map(([word]) => `${phrase} ${word}`)].filter(
    (keyword) => keyword.length <= KEYWORD_LETTERS,
  );
}

const present = (values: (number | null)[]): number[] => values.filter((value) => value !== null);

/** Print cost in each market of a book as the brief has it; money in the market's currency. */
export function briefCosts({ trim: name, pages, ink }: Pick<Brief, 'trim' | 'pages' | 'ink'>) {
  const trim = service.trims.find((row) => row.name === name)!;
  return service.markets.map((market) => {
    const spec = { trim: trim.points, bleed: false, ink, paper: 'white' };
    const cost = printCost(service, market, spec, pages);
    return { market, cost, lowestPrice: lowestPrice(market, cost) };
  });
}

/**
 * Decides kind, trim, pages and price from what the best sellers of a phrase have in common.
 * @param market where they are sold: their price is taken there, and that of other markets from it
 */
export function briefFrom(
  phrase: string,
  comparables: readonly EstimatedComparable[],
  lists: PhraseLists,
  keywords: readonly string[] = [],
  market: string = HOME_MARKET,
): Brief {
  const best = bestSellers(comparables, FOLLOWED);
  const tally = new Map<string, number>();
  for (const { trim } of best) {
    const known = service.trims.find(
      ({ points }) =>
        trim &&
        Math.abs(points.width - inches(trim.width)) < 1 &&
        Math.abs(points.height - inches(trim.height)) < 1,
    );
    if (known) tally.set(known.name, (tally.get(known.name) ?? 0) + 1);
  }
  const [favorite] = [...tally].sort((a, b) => b[1] - a[1])[0] ?? [USUAL.trim];
  const middle = median(present(best.map((book) => book.pages))) || USUAL.pages;
  const made = {
    trim: favorite as Brief['trim'],
    pages: Math.min(400, Math.max(24, Math.round(middle / 2) * 2)),
    ink: 'black' as Brief['ink'],
  };
  const dollars =
    median(present(best.map((book) => book.price))) / DOLLAR[marketOf(market).currency]! || USUAL.price;
  const taken = new Set(comparables.map((book) => book.title.toLowerCase()));
  const ideas = titleIdeas(phrase, lists, TITLE_LETTERS);
  const { audience, number } = partsOf(phrase, lists);
  // A number is promised only where the phrase asks for one: how many there will be is decided later.
  const free = ideas.find((idea) => !taken.has(idea.toLowerCase()) && (number || !/\d/.test(idea)));
  const title = free ?? ideas[0] ?? '';
  const kind = pagesFor(phrase);
  return {
    phrase,
    title,
    subtitle: kind === 'word-search' && number ? `${number} puzzles with solutions` : '',
    kinds: [kind],
    audience,
    ...made,
    prices: Object.fromEntries(
      briefCosts(made).map(({ market: { id, currency }, lowestPrice: floor }) => [
        id,
        toHabit(dollars * DOLLAR[currency]!, floor),
      ]),
    ) as Brief['prices'],
    keywords: [...new Set([...keywords, ...keywordsFrom(phrase, best)])].slice(0, MOST_KEYWORDS),
    occasion: '',
    publishBy: '',
    notes: '',
    rivals: best.slice(0, 3).map(({ id }) => id),
  };
}
