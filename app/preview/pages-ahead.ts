import type { Recipe } from '#core/book/recipe.ts';
import type { Scene } from '#core/scene/index.ts';

/** So many pages are in view, or nearly, when a book is opened. */
export const PAGES_AHEAD = 32;

/** Gives the scene of a page by its place, counted from 0; null for one that is not known. */
export type SceneAt = (at: number) => Scene | null;

const unknown: SceneAt = () => null;

/**
 * What the worker was begun with, as long as it is what is at hand, and its first pages: as the server has drawn them, by
 * their place, and as far as they are at hand here, by their number.
 */
const ahead = { recipe: '', sceneAt: unknown, scenes: new Map<number, Scene>() };

/**
 * Begins to keep the first pages of a book.
 * @returns takes what the server has drawn of them, unless another book is at hand by then
 */
export function beginAhead(recipe: Recipe): (sceneAt: SceneAt) => void {
  const from = JSON.stringify(recipe);
  ahead.recipe = from;
  return (sceneAt) => {
    if (ahead.recipe === from) ahead.sceneAt = sceneAt;
  };
}

/** Whether it is this book that first pages are kept of. */
export const isAhead = (recipe: Recipe): boolean =>
  ahead.recipe !== '' && JSON.stringify(recipe) === ahead.recipe;

/** Forgets them: another book is at hand. */
export function leaveAhead(): void {
  ahead.recipe = '';
  ahead.sceneAt = unknown;
  ahead.scenes.clear();
}

/** A page that need not be drawn anew; null if there is none. @param page its number */
export function sceneAhead(page: number): Scene | null {
  const kept = ahead.scenes.get(page);
  if (kept) return kept;
  const known = ahead.sceneAt(page - 1);
  if (known) ahead.scenes.set(page, known);
  return known;
}

/** Keeps a page as it was drawn, if it is one of the first. @param page its number */
export function keepAhead(page: number, scene: Scene): void {
  if (ahead.recipe && page <= PAGES_AHEAD) ahead.scenes.set(page, scene);
}
