import type { CatalogBook } from './catalog/make.ts';

/** A book as the shop shows it on one day. */
export interface ShownBook {
  id: string;
  title: string;
  penName: string;
  category: string;
  price: number;
  currency: string;
  trim: { width: number; height: number };
  pages: number;
  ink: 'black' | 'color';
  rank: number;
  reviews: number;
  /** Mean of its ratings, 1 to 5; null without a review. */
  rating: number | null;
  /** ISO 8601 day. */
  published: string;
}

/** The countries the shop sells in: how much of what the first one sells, and what a dollar is there. */
const COUNTRIES = {
  us: { share: 1, currency: 'USD', dollar: 1 },
  gb: { share: 0.2, currency: 'GBP', dollar: 0.8 },
} as const;
export type Country = keyof typeof COUNTRIES;
export const COUNTRY_IDS = Object.keys(COUNTRIES) as Country[];
/** How far tastes differ from the first country: of most books, the logarithm of what is sold there, by so much. */
const TASTE = 0.7;

/** How much of what is sold or searched in the first country is in another, by a name: its size, and its taste. */
export function shareIn(country: Country, name: string): number {
  const { share } = COUNTRIES[country];
  return share === 1 ? 1 : share * Math.exp(2 * TASTE * (phaseOf(`${country} ${name}`) - 0.5));
}

const DAY = 86_400_000;
/** Days before a peak at which sales have fallen to e⁻¹ of their rise, and after it: people buy before. */
const BEFORE = 26;
const AFTER = 7;
/** A book is known after about so many days. */
const KNOWN = 25;
/** Price promotions: their rhythm and length in days, and how many books hold them. */
const PROMOTION = { every: 63, days: 9, share: 0.25, off: 0.2 };
/** Price wars: in a category, for some weeks, most books are cut. */
const WAR = { every: 210, days: 24, share: 0.6, off: 0.25 };

export const isoDay = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);
export const dayNumber = (iso: string): number => Math.floor(Date.parse(`${iso}T00:00:00Z`) / DAY);

/** Lift of the season on a day, 1 without one. */
function season(book: CatalogBook, yearDay: number): number {
  if (!book.lift) return 1;
  const days = ((book.peak - yearDay + 547) % 365) - 182;
  const reach = days >= 0 ? BEFORE : AFTER;
  return 1 + book.lift * Math.exp(-((days / reach) ** 2));
}

/** Slow waves of a book's own, so that ranks move from day to day without jumping. */
const waves = ({ phase }: CatalogBook, day: number): number =>
  Math.exp(
    0.22 * Math.sin(day / 4.1 + phase * 40) +
      0.25 * Math.sin(day / 11.7 + phase * 97) +
      0.3 * Math.sin(day / 37 + phase * 211),
  );

function salesOn(book: CatalogBook, day: number, yearDay: number): number {
  const age = day - book.publishedOn;
  const known = 0.25 + 0.75 * (1 - Math.exp(-age / KNOWN));
  return book.dailySales * known * Math.exp(-age / 2600) * season(book, yearDay) * waves(book, day);
}

const within = (day: number, phase: number, { every, days }: { every: number; days: number }) =>
  (day + Math.floor(phase * every)) % every < days;

/** A number from 0 to 1 for a name (FNV-1a, Fowler, Noll and Vo). */
function phaseOf(name: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 0x01000193);
  return (hash >>> 0) / 4294967296;
}

function priceOn(book: CatalogBook, day: number): number {
  const habit = (price: number) => Math.max(4.99, Math.round(price) - 0.01);
  const own = (book.phase * 7919) % 1;
  if (own < WAR.share && within(day, phaseOf(book.category), WAR))
    return habit(book.listPrice * (1 - WAR.off));
  if ((own * 31) % 1 < PROMOTION.share && within(day, book.phase, PROMOTION))
    return habit(book.listPrice * (1 - PROMOTION.off));
  return book.listPrice;
}

/** Most books please: from 3.6 to 4.9, in tenths; a few reviews say more, or less, than they should. */
const ratingOf = ({ phase }: CatalogBook, reviews: number): number => {
  const usual = 3.6 + 1.3 * ((phase * 613) % 1);
  const chance = (((phase * 97) % 1) - 0.5) * 2;
  return Math.round(10 * Math.max(1, Math.min(5, usual + chance / Math.sqrt(reviews)))) / 10;
};

/** Days whose ranks are kept. */
const DAYS_KEPT = 4;

/**
 * The shop from day to day: which books are out, their ranks, prices and reviews. Ranks follow the day's sales; the
 * shop sells more than these books, so their ranks stand apart, wider and wider further down.
 */
export function openMarket(catalog: readonly CatalogBook[], country: Country = 'us') {
  const { currency, dollar } = COUNTRIES[country];
  const kept = new Map<number, Int32Array>();
  const shares = Float64Array.from(catalog, ({ id }) => shareIn(country, id));
  /** The first country's prices as they are; others in their money, ending as prices do. */
  const priceIn = (price: number) =>
    dollar === 1 ? price : Math.max(3.99, Math.round(price * dollar) - 0.01);

  function ranksOn(day: number): Int32Array {
    const known = kept.get(day);
    if (known) return known;
    const date = new Date(day * DAY);
    const yearDay =
      (Date.UTC(date.getUTCFullYear(), date.getUTCMonth(), date.getUTCDate()) -
        Date.UTC(date.getUTCFullYear(), 0, 1)) /
        DAY +
      1;
    const sales = new Float64Array(catalog.length);
    const out: number[] = [];
    catalog.forEach((book, at) => {
      if (book.publishedOn > day) return;
      sales[at] = salesOn(book, day, yearDay) * shares[at]!;
      out.push(at);
    });
    const places = Int32Array.from(out).sort((a, b) => sales[b]! - sales[a]! || a - b);
    const ranks = new Int32Array(catalog.length);
    places.forEach((at, place) => {
      ranks[at] = Math.round(400 + place * 42 + place ** 1.18 * 3);
    });
    if (kept.size >= DAYS_KEPT) kept.delete(kept.keys().next().value!);
    kept.set(day, ranks);
    return ranks;
  }

  return {
    /** Rank of each book of the catalog on a day; 0 while it is not out. */
    ranksOn,
    isOut: (at: number, day: number): boolean => catalog[at]!.publishedOn <= day,
    shown(at: number, day: number): ShownBook {
      const book = catalog[at]!;
      const { id, title, penName, category, trim, pages, ink } = book;
      const sold = book.dailySales * shares[at]! * Math.max(0, day - book.publishedOn);
      const reviews = Math.floor(sold * book.reviewRate + book.phase * 3);
      return {
        id,
        title,
        penName,
        category,
        price: priceIn(priceOn(book, day)),
        currency,
        trim,
        pages,
        ink,
        rank: ranksOn(day)[at]!,
        reviews,
        rating: reviews ? ratingOf(book, reviews) : null,
        published: isoDay(book.publishedOn),
      };
    },
  };
}

export type Market = ReturnType<typeof openMarket>;
