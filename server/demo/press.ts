import { eq } from 'drizzle-orm';
import { keepReadyBanks } from '../banks/ready.ts';
import { createBook, listBooks } from '../books.ts';
import { db } from '../db/client.ts';
import { penName } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { labelBooks } from '../many-books.ts';
import { listResources } from '../resources/resources.ts';
import { begunBooks } from './begun-books.ts';
import { DEMO_LABELS, demoBooks } from './books.ts';
import { puzzleBooks } from './puzzle-books.ts';

/**
 * Puts the pen names, books and word banks of Tin Lantern Press into a workspace. What is there already stays.
 * @param begun with the books that it began from starting points, and those of other puzzles
 */
export async function seedPress(workspaceId: string, { begun = true } = {}): Promise<void> {
  if ((await listBooks(workspaceId, { limit: 1 })).total === 0) {
    await db().delete(penName).where(eq(penName.workspaceId, workspaceId));
    await db()
      .insert(penName)
      .values(['Odile Marrow', 'Teodor Vance'].map((name) => ({ workspaceId, name })));
    const books = [
      ...demoBooks(() => newId()).map((recipe, i) => ({ recipe, labels: DEMO_LABELS[i] ?? [] })),
      ...(begun ? [...begunBooks(() => newId()), ...puzzleBooks(() => newId())] : []),
    ];
    // The first is the one that was changed last.
    for (const { recipe, labels } of books.reverse()) {
      await createBook(workspaceId, recipe);
      await labelBooks(workspaceId, [recipe.id], { add: labels, remove: [] });
    }
  }
  if ((await listResources(workspaceId)).length === 0) await keepReadyBanks(workspaceId);
}
