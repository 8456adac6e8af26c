import type { Recipe } from '#core/book/recipe.ts';

/** Where the worker that was begun early waits for the program of the page. */
export const EARLY_RENDERER = 'earlyRenderer';

/** What a worker is told when it is begun early: the book that the page is about. */
export interface EarlyWork {
  begin: Recipe;
}

/** What a route says of itself. */
export interface RouteHandle {
  /** The book whose pages are drawn in it as soon as it is there, told from what its loader answers. */
  draws?: (loaderData: unknown) => Recipe;
}
