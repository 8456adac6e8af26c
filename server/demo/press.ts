import { eq } from 'drizzle-orm';
import { keepReadyBanks } from '../banks/ready.ts';
import { createBook, listBooks } from '../books.ts';
import { db } from '../db/client.ts';
import { penName } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { labelBooks } from '../many-books.ts';
import { listResources } from '../resources/resources.ts';
import { DEMO_LABELS, demoBooks } from './books.ts';

/** Puts the pen names, books and word banks of Tin Lantern Press into a workspace. What is there already stays. */
export async function seedPress(workspaceId: string): Promise<void> {
  if ((await listBooks(workspaceId, { limit: 1 })).total === 0) {
    await db().delete(penName).where(eq(penName.workspaceId, workspaceId));
    await db()
      .insert(penName)
      .values(['Odile Marrow', 'Teodor Vance'].map((name) => ({ workspaceId, name })));
    for (const [i, recipe] of [...demoBooks(() => newId()).entries()].reverse()) {
      await createBook(workspaceId, recipe);
      await labelBooks(workspaceId, [recipe.id], { add: DEMO_LABELS[i] ?? [], remove: [] });
    }
  }
  if ((await listResources(workspaceId)).length === 0) await keepReadyBanks(workspaceId);
}
