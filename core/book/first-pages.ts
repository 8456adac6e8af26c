/** The first pages of a book on one picture, small, side by side: what an opened flatplan shows at once. */
export const FIRST_PAGES = { pages: 36, across: 12, width: 104 } as const;

/** Column and row of a page on that picture, from 0; null for a page that is not on it. */
export function placeAmongFirst(page: number): { column: number; row: number } | null {
  const { pages, across } = FIRST_PAGES;
  return page <= pages ? { column: (page - 1) % across, row: Math.floor((page - 1) / across) } : null;
}
