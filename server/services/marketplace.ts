import type { Comparable } from '#core/niche/index.ts';

/** One answer to a phrase. */
export interface MarketAnswer {
  /** The marketplace's day, ISO 8601. */
  day: string;
  results: number;
  /** The categories most of the results stand in. */
  categories: { id: string; name: string; count: number }[];
  comparables: Comparable[];
  /** Rows that could not be read; the others are good. */
  unread: number;
}

export interface Suggestion {
  phrase: string;
  /** Times a month it is typed; null where the marketplace does not say. */
  volume: number | null;
}

/** What the application asks of a marketplace. Calls raise TransientServiceError (worth another try) or ServiceRefusal. */
export interface Marketplace {
  /** @param market id of the market that is asked, like those below  @param seconds after which no answer is trouble, when it should be less than usual */
  search(market: string, phrase: string, limit: number, seconds?: number): Promise<MarketAnswer>;
  /** The best sellers of a category, with its name. */
  topOf(market: string, category: string): Promise<{ day: string; name: string; comparables: Comparable[] }>;
  /** What people type that begins like this, most typed first. */
  suggest(market: string, start: string, limit: number, seconds?: number): Promise<Suggestion[]>;
  day(): Promise<string>;
  /** A book's cover, or one of its first pages, as PNG; null where there is none. */
  cover(id: string): Promise<Uint8Array | null>;
  page(id: string, number: number): Promise<Uint8Array | null>;
  pagesShown(id: string): Promise<number>;
}
