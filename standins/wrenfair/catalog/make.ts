import { stream } from './stream.ts';
import {
  AUDIENCES,
  type BookKind,
  EXTRAS,
  FIRST_NAMES,
  KINDS,
  LAST_NAMES,
  NUMBERS,
  SHELVES,
  type Shelf,
  type Topic,
} from './vocabulary.ts';

/** A book as the shop keeps it. Days are counted from 1970-01-01. What it sells is nobody's business but the shop's. */
export interface CatalogBook {
  id: string;
  title: string;
  penName: string;
  category: string;
  trim: { width: number; height: number };
  pages: number;
  ink: 'black' | 'color';
  listPrice: number;
  publishedOn: number;
  /** Copies a day on an ordinary day, once the book is known. */
  dailySales: number;
  /** Day of the year of the topic's peak (0 without a season), and how many times sales rise before it. */
  peak: number;
  lift: number;
  /** Where the book stands in its own ups and downs, 0 to 1. */
  phase: number;
  /** Reviews a copy. */
  reviewRate: number;
}

export const BOOKS = 60_000;
/** The oldest book, and how far ahead books lie ready to come out as days pass, in days. */
const OLDEST = 2400;
const AHEAD = 720;

const dayOfYear = (month: number, day: number): number =>
  (Date.UTC(2025, month - 1, day) - Date.UTC(2025, 0, 1)) / 86_400_000 + 1;

/** A number of the standard normal distribution (Box and Muller 1958). */
export const normal = (unit: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - unit())) * Math.cos(2 * Math.PI * unit());

/** Draws rows by their weights: from a number of 0 to 1 to the row it falls on, by halving. */
function drawer<T extends { weight: number }>(rows: readonly T[]): (at: number) => T {
  let sum = 0;
  const upTo = rows.map(({ weight }) => {
    sum += weight;
    return sum;
  });
  return (at) => {
    let low = 0;
    let high = rows.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (upTo[middle]! > at * sum) high = middle;
      else low = middle + 1;
    }
    return rows[low]!;
  };
}

function titleOf(words: Topic, kind: BookKind, year: number, { unit, pick }: ReturnType<typeof stream>) {
  // Most books say the topic by its usual name.
  const about = unit() < 0.55 ? words.words[0]! : pick(words.words);
  const name = pick(kind.titles);
  const audience = pick(AUDIENCES);
  const extra = pick(EXTRAS);
  const form = unit();
  if (kind.year && form < 0.45) return `${about} ${name} ${year}${audience}`;
  if (form < 0.62) return `${about} ${name}${audience}${extra}`;
  if (form < 0.72) return `The ${about} ${name}${extra}`;
  if (form < 0.82) return `My ${about} ${name}${audience}`;
  if (form < 0.92) return `${pick(NUMBERS)} ${about} ${name}${audience}`;
  return `${about} ${name}${audience}: A Gift for Quiet Hours`;
}

/** A topic in a kind of book: what publishers and buyers are drawn to, each for themselves, so that there are gaps. */
export interface Cell {
  shelf: Shelf;
  about: Topic;
  kind: BookKind;
  /** How much more a book here sells than one elsewhere. */
  wanted: number;
  /** How many books are made here, beside others. */
  weight: number;
}

/** Copies a day of the least book of a cell that is wanted like others. */
const LEAST_SALES = 0.02;
/** Shape of the Pareto distribution of sales within a cell. */
const SHAPE = 1.1;
/** Which seed the cells, and the books in them, are made from. */
export const CATALOG_SEED = 4620;

const cellsFrom = (unit: () => number): Cell[] =>
  SHELVES.flatMap((shelf) =>
    shelf.topics.flatMap((about) =>
      KINDS.map((kind) => {
        const drawn = Math.exp(0.75 * normal(unit));
        const wanted = Math.exp(0.7 * normal(unit)) / drawn ** 0.35;
        return { shelf, about, kind, wanted, weight: about.weight ** 1.3 * kind.weight * drawn };
      }),
    ),
  );

/** The cells of the catalog that is made from a seed. */
export const cellsOf = (seed = CATALOG_SEED): Cell[] => cellsFrom(stream(seed).unit);

/** Copies a day that a book of a cell sells on an ordinary day. @param at from 0 for the least book to 1 for the best */
export const salesAt = ({ wanted }: Pick<Cell, 'wanted'>, dear: number, at: number): number =>
  LEAST_SALES * dear * wanted * (1 - at) ** (-1 / SHAPE);

/** How much sales suffer from a price. @param usual what books of its make cost */
export const dearness = (price: number, usual: number): number => (price / usual) ** -1.2;

/** What books of a make usually cost, in dollars. @param width in inches */
export const usualPrice = (pages: number, width: number, ink: 'black' | 'color'): number =>
  4.6 + pages / 42 + (width > 7 ? 1.3 : 0) + (ink === 'color' ? pages / 28 : 0);

/**
 * Invented books: sales heavy-tailed (Pareto, shape 1.1), prices that follow pages, trim and ink, sales that suffer
 * from a high price, and some books that are yet to come out.
 * @param firstDay the day the shop opens, in days since 1970
 */
export function makeCatalog(firstDay: number, seed = CATALOG_SEED, count = BOOKS): CatalogBook[] {
  const random = stream(seed);
  const { unit, pick } = random;
  const cellFor = drawer(cellsFrom(unit));
  return Array.from({ length: count }, (_, i) => {
    const cell = cellFor(unit());
    const { shelf, about, kind } = cell;
    const [width, height] = pick(kind.trims);
    const ink = unit() < (kind.color ?? 0) ? ('color' as const) : ('black' as const);
    const [min, spread] = kind.pages;
    const pages = 2 * Math.round((min + unit() * spread + unit() ** 4 * 180) / 2);
    // Older books are rarer: the shelf grows every year.
    const age = Math.floor(unit() ** 1.4 * (OLDEST + AHEAD)) - AHEAD;
    const publishedOn = firstDay - age;
    const usual = usualPrice(pages, width, ink);
    const listPrice = Math.max(4.99, Math.round(usual + (unit() - 0.35) * 3.2) - 0.01);
    const [month, day, lift] = about.season ?? [0, 0, 0];
    return {
      id: `wf-${String(i + 1).padStart(6, '0')}`,
      title: titleOf(about, kind, new Date((publishedOn + 120) * 86_400_000).getUTCFullYear(), random),
      penName: `${pick(FIRST_NAMES)} ${pick(LAST_NAMES)}`,
      category: `${kind.id}.${shelf.id}`,
      trim: { width, height },
      pages,
      ink,
      listPrice,
      publishedOn,
      dailySales: salesAt(cell, dearness(listPrice, usual), unit()),
      peak: month ? dayOfYear(month, day) : 0,
      lift,
      phase: unit(),
      reviewRate: 0.01 + 0.05 * unit(),
    };
  });
}
