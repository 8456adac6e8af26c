import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { type Recipe, readRecipe } from '#core/book/recipe.ts';
import { recipeFrom, STARTING_POINTS } from '#core/starting-points/index.ts';
import { createBook, openBook } from './books.ts';
import { db } from './db/client.ts';
import { book } from './db/schema.ts';
import { newId } from './ids.ts';
import { usualPenName } from './pen-names.ts';

/** Own starting points that are shown. */
const MOST_SHOWN = 60;

/** Books of a workspace that it begins others from, the one changed last first. */
export async function ownStartingPoints(workspaceId: string): Promise<Recipe[]> {
  const rows = await db()
    .select({ recipe: book.recipe })
    .from(book)
    .where(and(eq(book.workspaceId, workspaceId), eq(book.startingPoint, true), isNull(book.deletedAt)))
    .orderBy(desc(book.updatedAt))
    .limit(MOST_SHOWN);
  return rows.flatMap((row) => readRecipe(row.recipe).recipe ?? []);
}

/** Keeps books as starting points, or no longer. The books themselves stay as they are. */
export async function keepAsStartingPoints(
  workspaceId: string,
  ids: readonly string[],
  kept: boolean,
): Promise<string[]> {
  const rows = await db()
    .update(book)
    .set({ startingPoint: kept })
    .where(and(eq(book.workspaceId, workspaceId), inArray(book.id, [...ids]), isNull(book.deletedAt)))
    .returning({ id: book.id });
  return rows.map(({ id }) => id);
}

/** The year that dated pages of a new book are for: from fall on, the next one. */
export const plannedYear = (today: Date): number => today.getFullYear() + (today.getMonth() >= 6 ? 1 : 0);

/**
 * Begins a book from a starting point: one that ships, or one of the workspace's own books, whose puzzles are made anew.
 * @returns the id of the new book; null where there is no such starting point
 */
export async function beginFrom(
  workspaceId: string,
  press: string,
  from: { shipped: string } | { own: string },
): Promise<string | null> {
  const own = { id: newId(), seed: newId() };
  if ('own' in from) {
    const opened = await openBook(workspaceId, from.own);
    return opened && createBook(workspaceId, { ...opened.recipe, ...own });
  }
  const point = STARTING_POINTS.find(({ id }) => id === from.shipped);
  if (!point) return null;
  const penName = await usualPenName(workspaceId, press);
  const recipe = recipeFrom(point, { ...own, penName, imprint: press, year: plannedYear(new Date()) });
  return createBook(workspaceId, recipe);
}
