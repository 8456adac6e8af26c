/** A rival book as a marketplace shows it, or as the publisher wrote it down. What is not known is null. */
export interface Comparable {
  id: string;
  title: string;
  penName: string;
  /** In the market's currency. */
  price: number | null;
  /** Inches. */
  trim: { width: number; height: number } | null;
  pages: number | null;
  ink: 'black' | 'color';
  /** Sales rank: 1 is the best seller of the whole shop. */
  rank: number | null;
  /** The geometric mean of its ranks over recent looks, where there are several: sales are estimated from it. */
  usualRank?: number | null;
  reviews: number | null;
  /** Mean of its ratings, 1 to 5. */
  rating: number | null;
  /** ISO 8601 day. */
  published: string | null;
  /** From the root of the shop's tree down, parted by “ › ”; empty when unknown. */
  category: string;
}
