import type { Recipe } from '#core/book/index.ts';
import { demoBooks } from '#server/demo/books.ts';

/** The demo's books with readable ids. */
export const [beekeeper, nightSkies, tidePool, hedgerow, yearAtTheHive] = demoBooks((name) => name) as [
  Recipe,
  Recipe,
  Recipe,
  Recipe,
  Recipe,
];

export { planOf, recipeOf } from '#core/book/book.sample.ts';
