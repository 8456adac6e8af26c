import { gather, type ResourceLoader } from '../resources/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { type Book, bookFrom } from './book.ts';
import type { Recipe } from './recipe.ts';
import { addTypefaces, faceNeeds } from './typefaces.ts';

/**
 * Reads what a book uses beside its recipe, and makes it ready to be drawn.
 * @param type its typesetter: words of the book are set with no other
 */
export async function gatherBook(recipe: Recipe, loader: ResourceLoader, type: Typesetter): Promise<Book> {
  const resources = await gather(recipe.resources, loader);
  addTypefaces(type, recipe, resources);
  return bookFrom(recipe, resources);
}

/** As gatherBook, for the front of a cover alone, which needs no words or pictures of the pages. */
export async function gatherFront(recipe: Recipe, loader: ResourceLoader, type: Typesetter): Promise<void> {
  const needed = faceNeeds(recipe).map(({ id }) => [id, recipe.resources[id]!] as const);
  if (needed.length) addTypefaces(type, recipe, await gather(Object.fromEntries(needed), loader));
}
