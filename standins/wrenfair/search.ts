import { Index } from 'flexsearch';
import { stem as porter2 } from 'porter2';
import type { CatalogBook } from './catalog/make.ts';
import type { Market, ShownBook } from './market.ts';

const PASSED_OVER = new Set(['a', 'an', 'the', 'for', 'and', 'of', 'to', 'in', 'with', 'my']);
/** Phrases whose answers are kept. */
const PHRASES_KEPT = 500;
/** Most-named categories told with an answer. */
const CATEGORIES_TOLD = 5;

export const SORTS = ['best sellers', 'newest', 'price', 'reviews'] as const;
export type Sort = (typeof SORTS)[number];

const stems = new Map<string, string>();

/** A word as the index knows it: its stem (Porter’s second stemmer, Snowball), without a possessive. */
function stem(word: string): string | null {
  const bare = word.toLowerCase().replace(/[’']s?$/, '');
  if (!bare || PASSED_OVER.has(bare)) return null;
  const found = stems.get(bare) ?? porter2(bare);
  stems.set(bare, found);
  return found;
}

/** The words of a text, as stems, each once. */
export const wordsOf = (text: string): string[] => [
  ...new Set((text.match(/[\p{L}\p{N}’']+/gu) ?? []).flatMap((word) => stem(word) ?? [])),
];

export interface Found {
  results: number;
  books: ShownBook[];
  /** The categories most of the results stand in, with how many. */
  categories: { id: string; count: number }[];
}

/** Full-text search over titles and authors: every word of the phrase must be there. Best sellers are a market's. */
export function makeSearch(catalog: readonly CatalogBook[]) {
  const index = new Index({ tokenize: 'strict', encode: wordsOf, resolution: 1 });
  catalog.forEach(({ title, penName }, at) => {
    index.add(at, `${title} ${penName}`);
  });
  const kept = new Map<string, Int32Array>();

  function matching(phrase: string): Int32Array {
    const key = wordsOf(phrase).sort().join(' ');
    let found = kept.get(key);
    if (!found) {
      found = Int32Array.from(key ? (index.search(phrase, { limit: catalog.length }) as number[]) : []);
      if (kept.size >= PHRASES_KEPT) kept.delete(kept.keys().next().value!);
      kept.set(key, found);
    }
    return found;
  }

  return (
    market: Market,
    phrase: string,
    day: number,
    ask: { limit: number; page: number; sort: Sort },
  ): Found => {
    const ranks = market.ranksOn(day);
    const out = matching(phrase).filter((at) => market.isOut(at, day));
    const key: Record<Sort, (at: number) => number> = {
      'best sellers': (at) => ranks[at]!,
      newest: (at) => -catalog[at]!.publishedOn,
      price: (at) => market.shown(at, day).price,
      reviews: (at) => -market.shown(at, day).reviews,
    };
    const keys = new Map(Array.from(out, (at) => [at, key[ask.sort](at)]));
    out.sort((a, b) => keys.get(a)! - keys.get(b)! || a - b);
    const counts = new Map<string, number>();
    for (const at of out) {
      const { category } = catalog[at]!;
      counts.set(category, (counts.get(category) ?? 0) + 1);
    }
    const from = (ask.page - 1) * ask.limit;
    return {
      results: out.length,
      books: Array.from(out.slice(from, from + ask.limit), (at) => market.shown(at, day)),
      categories: [...counts]
        .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
        .slice(0, CATEGORIES_TOLD)
        .map(([id, count]) => ({ id, count })),
    };
  };
}

/** The best sellers of a category and those below it. */
export function topOf(
  catalog: readonly CatalogBook[],
  market: Market,
  category: string,
  day: number,
  limit: number,
): ShownBook[] {
  const ranks = market.ranksOn(day);
  const inside: number[] = [];
  catalog.forEach((book, at) => {
    if (
      ranks[at] &&
      (category === 'all' || book.category === category || book.category.startsWith(`${category}.`))
    )
      inside.push(at);
  });
  return inside
    .sort((a, b) => ranks[a]! - ranks[b]!)
    .slice(0, limit)
    .map((at) => market.shown(at, day));
}
