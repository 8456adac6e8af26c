import { estimateSales, type Rival, type SalesCurve } from '#core/niche/index.ts';

type Row = [
  id: string,
  title: string,
  penName: string,
  price: number | null,
  width: number | null,
  height: number | null,
  pages: number | null,
  ink: Rival['ink'],
  rank: number | null,
  reviews: number | null,
  published: string | null,
  category: string,
  source: Rival['source'],
  hidden: boolean,
  notComparable: boolean,
  watched: boolean,
  usualRank: number | null,
  rating: number | null,
];

/** Rows as the server sends them (server/niches/rivals.ts), with the sums of the workspace's curve. */
export const rivalsFrom = (rows: readonly Row[], curve: SalesCurve): Rival[] =>
  rows.map(
    ([
      id,
      title,
      penName,
      price,
      width,
      height,
      pages,
      ink,
      rank,
      reviews,
      published,
      category,
      source,
      hidden,
      notComparable,
      watched,
      usualRank,
      rating,
    ]) => {
      const trim = width !== null && height !== null ? { width, height } : null;
      const sums = estimateSales({ price, trim, pages, ink, rank, usualRank }, curve);
      // Written out: copying a hundred thousand objects property by property takes seconds.
      return {
        id,
        title,
        penName,
        price,
        trim,
        pages,
        ink,
        rank,
        usualRank,
        reviews,
        rating,
        published,
        category,
        copies: sums.copies,
        copiesLow: sums.copiesLow,
        copiesHigh: sums.copiesHigh,
        printCost: sums.printCost,
        royalty: sums.royalty,
        earnings: sums.earnings,
        source,
        hidden,
        notComparable,
        watched,
      };
    },
  );

const ask = (nicheId: string, signal?: AbortSignal): Promise<Response> =>
  fetch(`/niches/${nicheId}/rivals.json`, signal ? { signal } : {});

let begun: { nicheId: string; response: Promise<Response> } | null = null;

/** Begins to ask for the rivals of a niche that is about to be shown. */
export function beginRivals(nicheId: string): void {
  begun = { nicheId, response: ask(nicheId) };
  // Who takes the answer hears of a failure; nobody may.
  begun.response.catch(() => {});
}

/** Asks for all rivals of a niche that count now, or takes the answer that was begun for it. */
export async function fetchRivals(nicheId: string, curve: SalesCurve, signal: AbortSignal): Promise<Rival[]> {
  const early = begun?.nicheId === nicheId ? begun.response : null;
  begun = null;
  const response = await (early ?? ask(nicheId, signal));
  signal.throwIfAborted();
  if (!response.ok || response.redirected) throw new Error('The rivals could not be loaded.');
  return rivalsFrom((await response.json()) as Row[], curve);
}
