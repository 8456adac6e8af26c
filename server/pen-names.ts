import { asc, eq } from 'drizzle-orm';
import { db } from './db/client.ts';
import { penName } from './db/schema.ts';

/** The pen names that a workspace keeps beside its books. */
export async function listPenNames(workspaceId: string): Promise<string[]> {
  const rows = await db()
    .select({ name: penName.name })
    .from(penName)
    .where(eq(penName.workspaceId, workspaceId))
    .orderBy(asc(penName.name));
  return rows.map((row) => row.name);
}

/** The pen name that a new book begins with. @param press its name, where there is none yet */
export const usualPenName = async (workspaceId: string, press: string): Promise<string> =>
  (await listPenNames(workspaceId))[0] ?? press;

export async function addPenName(workspaceId: string, name: string): Promise<void> {
  await db().insert(penName).values({ workspaceId, name }).onConflictDoNothing();
}
