import { eq } from 'drizzle-orm';
import { auth, DEMO_ACCOUNT } from '../auth.ts';
import { keepReadyBanks } from '../banks/ready.ts';
import { createBook } from '../books.ts';
import { closeDatabase, db } from '../db/client.ts';
import { book, member, penName, user } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { stopQueue } from '../jobs.ts';
import { labelBooks } from '../many-books.ts';
import { listResources } from '../resources/resources.ts';
import { DEMO_LABELS, demoBooks } from './books.ts';
import { seedNiches } from './niches.ts';

/** Puts Tin Lantern Press in place; what is there already is left as it is. */
async function seed(): Promise<void> {
  let [account] = await db().select({ id: user.id }).from(user).where(eq(user.email, DEMO_ACCOUNT.email));
  if (!account) {
    const made = await auth().api.signUpEmail({ body: { ...DEMO_ACCOUNT } });
    account = { id: made.user.id };
  }
  const [place] = await db()
    .select({ id: member.workspaceId })
    .from(member)
    .where(eq(member.userId, account.id));
  const workspaceId = place!.id;
  const [any] = await db()
    .select({ id: book.id })
    .from(book)
    .where(eq(book.workspaceId, workspaceId))
    .limit(1);
  if (!any) {
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
  await seedNiches(workspaceId);
}

await seed();
await stopQueue();
await closeDatabase();
