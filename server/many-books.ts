import { and, count, eq, inArray, isNotNull, isNull, lt, notExists, sql as raw } from 'drizzle-orm';
import { changedLabels, type LabelChange } from '#core/labels.ts';
import { createBook, openBook } from './books.ts';
import { db } from './db/client.ts';
import { book, submission } from './db/schema.ts';
import { newId } from './ids.ts';

/** Letters of a title, as a recipe allows them. */
const MOST_TITLE = 200;
const COPY = ' (copy)';
/** How long a deleted book can be restored. */
export const DAYS_KEPT = 30;
/** How often it is looked for books that were deleted long ago. */
export const REMOVE_DELETED_SECONDS = 3600;

const these = (workspaceId: string, ids: readonly string[]) =>
  and(eq(book.workspaceId, workspaceId), inArray(book.id, [...ids]));

/** Copies books as they are, words and pinned puzzles too; what was made of them or submitted is not copied. @returns ids */
export async function duplicateBooks(workspaceId: string, ids: readonly string[]): Promise<string[]> {
  const made: string[] = [];
  for (const id of ids) {
    const opened = await openBook(workspaceId, id);
    if (!opened) continue;
    const title = [...opened.recipe.title].slice(0, MOST_TITLE - COPY.length).join('') + COPY;
    made.push(await createBook(workspaceId, { ...opened.recipe, id: newId(), title }));
    const [{ labels } = { labels: [] }] = await db()
      .select({ labels: book.labels })
      .from(book)
      .where(these(workspaceId, [id]));
    await db()
      .update(book)
      .set({ labels })
      .where(these(workspaceId, [made.at(-1)!]));
  }
  return made;
}

/** Takes books out of sight. One whose answer is awaited from a service stays. @returns ids of those that went */
export async function deleteBooks(workspaceId: string, ids: readonly string[]): Promise<string[]> {
  const awaited = db()
    .select({ id: submission.id })
    .from(submission)
    .where(
      and(eq(submission.bookId, book.id), inArray(submission.state, ['sending', 'unanswered', 'in review'])),
    );
  const gone = await db()
    .update(book)
    .set({ deletedAt: new Date() })
    .where(and(these(workspaceId, ids), isNull(book.deletedAt), notExists(awaited)))
    .returning({ id: book.id });
  return gone.map(({ id }) => id);
}

export async function restoreBooks(workspaceId: string, ids: readonly string[]): Promise<void> {
  await db().update(book).set({ deletedAt: null }).where(these(workspaceId, ids));
}

export const countDeleted = async (workspaceId: string): Promise<number> => {
  const [row] = await db()
    .select({ deleted: count() })
    .from(book)
    .where(and(eq(book.workspaceId, workspaceId), isNotNull(book.deletedAt)));
  return row?.deleted ?? 0;
};

/**
 * Removes for good what was deleted longer ago than it is kept, of all workspaces. A book that was ever submitted stays:
 * its service may have it live.
 */
export async function removeLongDeleted(now = new Date()): Promise<void> {
  const before = new Date(now.getTime() - DAYS_KEPT * 86_400_000);
  const submitted = db().select({ id: submission.id }).from(submission).where(eq(submission.bookId, book.id));
  await db()
    .delete(book)
    .where(and(lt(book.deletedAt, before), notExists(submitted)));
}

/** Labels of the books of a workspace, each with how many have it, by name. */
export async function listLabels(workspaceId: string): Promise<{ label: string; books: number }[]> {
  const label = raw<string>`unnest(${book.labels})`.as('label');
  const each = db()
    .select({ label })
    .from(book)
    .where(and(eq(book.workspaceId, workspaceId), isNull(book.deletedAt)))
    .as('each');
  return db()
    .select({ label: each.label, books: count() })
    .from(each)
    .groupBy(each.label)
    .orderBy(each.label);
}

/** Gives labels to books and takes others from them. A book has MOST_LABELS at most; further ones are not added. */
export async function labelBooks(
  workspaceId: string,
  ids: readonly string[],
  change: LabelChange,
): Promise<void> {
  await db().transaction(async (tx) => {
    const rows = await tx
      .select({ id: book.id, labels: book.labels })
      .from(book)
      .where(and(these(workspaceId, ids), isNull(book.deletedAt)))
      .for('update');
    for (const { id, labels } of rows) {
      await tx
        .update(book)
        .set({ labels: changedLabels(labels, change) })
        .where(eq(book.id, id));
    }
  });
}
