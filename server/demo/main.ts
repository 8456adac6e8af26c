import { eq } from 'drizzle-orm';
import { auth, DEMO_ACCOUNT, workspaceOf } from '../auth.ts';
import { closeDatabase, db } from '../db/client.ts';
import { user } from '../db/schema.ts';
import { stopQueue } from '../jobs/queue.ts';
import { seedNiches } from './niches.ts';
import { seedPress } from './press.ts';

/** Puts Tin Lantern Press in place; what is there already is left as it is. */
async function seed(): Promise<void> {
  let [account] = await db().select({ id: user.id }).from(user).where(eq(user.email, DEMO_ACCOUNT.email));
  if (!account) {
    const made = await auth().api.signUpEmail({ body: { ...DEMO_ACCOUNT } });
    account = { id: made.user.id };
  }
  const workspace = await workspaceOf(account.id);
  await seedPress(workspace!.id);
  await seedNiches(workspace!.id);
}

await seed();
await stopQueue();
await closeDatabase();
