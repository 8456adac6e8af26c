import { asc, eq } from 'drizzle-orm';
import { db } from './db/client.ts';
import { penName, wordBank } from './db/schema.ts';
import { newId } from './ids.ts';

/** What a workspace keeps beside its books: pen names and word banks. */

export async function listPenNames(workspaceId: string): Promise<string[]> {
  const rows = await db()
    .select({ name: penName.name })
    .from(penName)
    .where(eq(penName.workspaceId, workspaceId))
    .orderBy(asc(penName.name));
  return rows.map((row) => row.name);
}

export async function addPenName(workspaceId: string, name: string): Promise<void> {
  await db().insert(penName).values({ workspaceId, name }).onConflictDoNothing();
}

export interface WordBank {
  id: string;
  name: string;
  words: string[];
}

export async function listWordBanks(workspaceId: string): Promise<WordBank[]> {
  return db()
    .select({ id: wordBank.id, name: wordBank.name, words: wordBank.words })
    .from(wordBank)
    .where(eq(wordBank.workspaceId, workspaceId))
    .orderBy(asc(wordBank.name));
}

export async function keepWordBank(
  workspaceId: string,
  name: string,
  words: string[],
  id: string = newId(),
): Promise<string> {
  await db()
    .insert(wordBank)
    .values({ id, workspaceId, name, words })
    .onConflictDoUpdate({ target: [wordBank.workspaceId, wordBank.id], set: { name, words } });
  return id;
}
