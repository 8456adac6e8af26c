import type { EstimatedComparable } from './estimate.ts';
import { niceStep } from './histogram.ts';
import { type PhraseLists, partsOf } from './phrases/index.ts';
import { quantile } from './quantile.ts';
import { type RivalFilter, trimName } from './rivals.ts';
import { bestSellers } from './verdict.ts';

/** What books can have in common. */
export const TRAITS = {
  trim: 'Trim',
  pages: 'Pages',
  price: 'Price',
  ink: 'Ink',
  kind: 'Kind in the title',
  format: 'Format in the title',
  audience: 'Audience in the title',
} as const;
export type Trait = keyof typeof TRAITS;

/** A value of a trait: how much of what is sold has it, and how many of the books that do not sell. */
export interface TraitValue {
  /** What it is, as a name (`6×9`, `color`, `large print`), or the range of a number; both ends belong to it. */
  value: string | readonly [from: number, to: number];
  /** Of the copies of the books that sell, 0 to 1. */
  copies: number;
  /** Of the number of the books that do not, 0 to 1. */
  others: number;
  /** Which rivals have it. */
  filter: RivalFilter;
}

export interface WhatSells {
  /** How many sell, and how many do not. */
  sell: number;
  others: number;
  /** Whether the first are no more than the best of those that sell too little. */
  bestOnly: boolean;
  traits: { trait: Trait; values: TraitValue[] }[];
}

/** Where fewer sell, so many of the best are compared with the others. */
const LEAST = 5;
const BEST = 10;
/** Bands that a number is parted into, and values told of each trait. */
const BANDS = 5;
const TOLD = 3;
/** Of many thousands, so many are compared: the best that sell, and evenly spread ones of the others. */
const COMPARED = 2000;
/** A share is a sum of many, and hardly ever exact. */
const ALL = 1 - 1e-9;
/** A value of a smaller part of the copies is not worth a line. */
const LEAST_SHARE = 0.1;

/**
 * What the books that sell have in common, by copies, beside those that do not. Nothing is said of what all books have,
 * nor of what the phrase itself asks for.
 * @param sellsFrom copies a month from which a book sells
 * @returns null with too few books to compare
 */
export function whatSells(
  comparables: readonly EstimatedComparable[],
  phrase: string,
  sellsFrom: number,
  lists: PhraseLists,
): WhatSells | null {
  const ranked = comparables.filter(({ copies }) => copies !== null && copies > 0);
  const enough = ranked.filter(({ copies }) => copies! >= sellsFrom);
  const bestOnly = enough.length < LEAST;
  const best = bestOnly ? bestSellers(ranked, Math.min(BEST, Math.floor(ranked.length / 2))) : enough;
  const those = new Set(best);
  const rest = comparables.filter((book) => !those.has(book));
  if (best.length < LEAST || rest.length === 0) return null;
  const selling = best.length > COMPARED ? bestSellers(best, COMPARED) : best;
  const every = Math.ceil(rest.length / COMPARED);
  const others = rest.filter((_, i) => i % every === 0);
  const compared = [...selling, ...others];
  const asked = partsOf(phrase, lists);
  const titles = new Map(compared.map((book) => [book, partsOf(book.title, lists)]));
  const banded = (of: (book: EstimatedComparable) => number | null, unit: number) => {
    const band = bandsOf(
      compared.flatMap((book) => of(book) ?? []),
      unit,
    );
    return (book: EstimatedComparable) => {
      const value = of(book);
      return value === null ? null : band(value);
    };
  };
  const inTitle = (part: 'kind' | 'format' | 'audience') => (book: EstimatedComparable) => {
    const said = titles.get(book)![part];
    return said === asked[part] ? null : said || null;
  };
  const traitOf: Record<Trait, (book: EstimatedComparable) => TraitValue['value'] | null> = {
    trim: (book) => trimName(book) || null,
    pages: banded((book) => book.pages, 1),
    price: banded((book) => book.price, 0.01),
    ink: (book) => book.ink,
    kind: inTitle('kind'),
    format: inTitle('format'),
    audience: inTitle('audience'),
  };
  const sold = selling.reduce((sum, { copies }) => sum + copies!, 0);
  const traits = (Object.keys(TRAITS) as Trait[]).flatMap((trait) => {
    const tally = new Map<string, TraitValue>();
    const add = (book: EstimatedComparable, key: 'copies' | 'others', part: number) => {
      const value = traitOf[trait](book);
      if (value === null) return;
      const known = tally.get(String(value)) ?? {
        value,
        copies: 0,
        others: 0,
        filter: filterOf(trait, value),
      };
      known[key] += part;
      tally.set(String(value), known);
    };
    for (const book of selling) add(book, 'copies', book.copies! / sold);
    for (const book of others) add(book, 'others', 1 / others.length);
    const values = [...tally.values()]
      .filter(({ copies }) => copies >= LEAST_SHARE)
      .sort((a, b) => b.copies - a.copies)
      .slice(0, TOLD);
    // What every book has tells nothing.
    const [only] = tally.values();
    const same = tally.size === 1 && only!.copies > ALL && only!.others > ALL;
    return values.length && !same ? [{ trait, values }] : [];
  });
  return { sell: best.length, others: rest.length, bestOnly, traits };
}

/** Parts numbers into bands of a round width. @param unit the smallest step between two numbers */
function bandsOf(values: readonly number[], unit: number): (value: number) => readonly [number, number] {
  // The few that lie far off do not widen the bands of all.
  const [low, high] = [quantile(values, 0.05), quantile(values, 0.95)];
  const step = Math.max(unit, high > low ? niceStep(high - low, BANDS) : 1);
  const first = Math.floor(low / step) * step;
  const last = Math.floor(high / step) * step;
  const least = quantile(values, 0);
  const most = quantile(values, 1);
  return (value) => {
    const from = Math.max(first, Math.min(last, Math.floor((value + unit / 2) / step) * step));
    const to = from + step - unit;
    return [from === first ? Math.min(from, least) : from, from === last ? Math.max(to, most) : to];
  };
}

const filterOf = (trait: Trait, value: TraitValue['value']): RivalFilter => {
  if (trait === 'trim') return { trim: value as string };
  if (trait === 'ink') return { ink: value as 'black' | 'color' };
  return typeof value === 'string' ? { words: value } : { [trait]: value };
};
