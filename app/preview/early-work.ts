import type { Recipe } from '#core/book/recipe.ts';

/** Where the worker that was begun early waits for the program of the page. */
export const EARLY_RENDERER = 'earlyRenderer';

/**
 * What a worker is begun with, as JSON under the name it is given: it has that at once, where the first message waits until
 * the page is at rest.
 */
export interface EarlyWork {
  /** The book that the page is about. */
  begin: Recipe;
  /** Where what the server knows of its first pages is to be had, see `knowFirstPages`. */
  known?: string;
  /** Whether all that is drawn at first are pages of the book. */
  onlyPages?: boolean;
}

/** What a route says of itself. */
export interface RouteHandle {
  /** The book whose pages are drawn in it as soon as it is there, told from what its loader answers. */
  draws?: (loaderData: unknown) => EarlyWork;
  /** Whether all that is drawn in it at first are pages of the book. */
  onlyPages?: boolean;
}
