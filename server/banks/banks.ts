import { and, asc, eq, inArray, isNull, sql as raw } from 'drizzle-orm';
import { words } from '#core/resources/index.ts';
import { openBook, saveBook } from '../books.ts';
import { db } from '../db/client.ts';
import { book, resource } from '../db/schema.ts';
import { onOffer } from '../resources/resources.ts';

export interface BankRow {
  hash: string;
  name: string;
  words: number;
  /** That use it. */
  books: number;
  createdAt: Date;
}

/** The word banks of a workspace, by name. */
export async function listBanks(workspaceId: string): Promise<BankRow[]> {
  const [banks, uses] = await Promise.all([
    db()
      .select({
        hash: resource.hash,
        name: resource.name,
        words: raw<number>`(${resource.facts}->>'words')::int`,
        createdAt: resource.createdAt,
      })
      .from(resource)
      .where(and(onOffer(workspaceId), eq(resource.type, words.id)))
      .orderBy(asc(resource.name), asc(resource.hash)),
    db()
      .select({ hash: raw<string>`used.value->>'hash'`, books: raw<number>`count(distinct ${book.id})::int` })
      .from(
        // One that cannot be read may hold anything.
        raw`${book}, jsonb_each(case jsonb_typeof(${book.recipe}->'resources') when 'object' then ${book.recipe}->'resources' else '{}' end) as used`,
      )
      .where(and(eq(book.workspaceId, workspaceId), isNull(book.deletedAt)))
      .groupBy(raw`used.value->>'hash'`),
  ]);
  const books = new Map(uses.map((use) => [use.hash, use.books]));
  return banks.map((bank) => ({ ...bank, books: books.get(bank.hash) ?? 0 }));
}

/** Takes banks off offer, or puts them back. Books that use them keep them. */
export async function setBanksRemoved(
  workspaceId: string,
  hashes: readonly string[],
  removed: boolean,
): Promise<void> {
  await db()
    .update(resource)
    .set({ removedAt: removed ? new Date() : null })
    .where(
      and(
        eq(resource.workspaceId, workspaceId),
        eq(resource.type, words.id),
        inArray(resource.hash, [...hashes]),
      ),
    );
}

/**
 * Lets every book that uses a bank use another in its place, each as a save of its own that can be gone back to. One that is
 * saved by somebody at that moment is left as it is.
 * @returns how many were changed
 */
export async function replaceBank(workspaceId: string, from: string, to: string): Promise<number> {
  const [bank] = await db()
    .select({ hash: resource.hash, name: resource.name, facts: resource.facts, rights: resource.rights })
    .from(resource)
    .where(and(onOffer(workspaceId), eq(resource.type, words.id), eq(resource.hash, to)));
  if (!bank || from === to) return 0;
  const rows = await db()
    .select({ id: book.id })
    .from(book)
    .where(
      and(
        eq(book.workspaceId, workspaceId),
        isNull(book.deletedAt),
        raw`jsonb_path_exists(${book.recipe}, '$.resources.*.hash ? (@ == $from)', jsonb_build_object('from', ${from}::text))`,
      ),
    );
  let changed = 0;
  for (const { id } of rows) {
    const opened = await openBook(workspaceId, id);
    if (!opened) continue;
    const { recipe, revision } = opened;
    const resources = Object.fromEntries(
      Object.entries(recipe.resources).map(([name, one]) => [
        name,
        one.hash === from ? { ...one, hash: bank.hash, name: bank.name, facts: bank.facts } : one,
      ]),
    );
    const answer = await saveBook(workspaceId, id, revision, { ...recipe, resources });
    if (answer.saved) changed++;
  }
  return changed;
}
