import { and, desc, eq } from 'drizzle-orm';
import { bookFrom } from '#core/book/book.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { fingerprintsOf } from '#core/export/fingerprints.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { frozenChange, printService } from '#core/print/index.ts';
import { db } from './db/client.ts';
import { book, type SubmissionState, submission } from './db/schema.ts';
import { madeFiles } from './files.ts';
import { newId } from './ids.ts';
import { enqueueJob } from './jobs/queue.ts';
import { printingService } from './services/printing-services.ts';

export interface SubmissionRow {
  id: string;
  bookId: string;
  /** The book was deleted: its pages are not to be had until it is restored. */
  deleted: boolean;
  service: string;
  state: SubmissionState;
  reasons: string[];
  title: string;
  penName: string;
  madeFrom: string;
  createdAt: Date;
  updatedAt: Date;
}

const rowOf = (
  { recipe, ...row }: typeof submission.$inferSelect,
  deletedAt: Date | null,
): SubmissionRow => ({
  id: row.id,
  bookId: row.bookId,
  deleted: deletedAt !== null,
  service: row.service,
  state: row.state,
  reasons: row.reasons,
  title: recipe.title,
  penName: recipe.penName,
  madeFrom: row.madeFrom,
  createdAt: row.createdAt,
  updatedAt: row.updatedAt,
});

export async function listSubmissions(workspaceId: string, bookId?: string): Promise<SubmissionRow[]> {
  const rows = await db()
    .select({ row: submission, deletedAt: book.deletedAt })
    .from(submission)
    .innerJoin(book, eq(book.id, submission.bookId))
    .where(and(eq(submission.workspaceId, workspaceId), bookId ? eq(submission.bookId, bookId) : undefined))
    .orderBy(desc(submission.createdAt))
    .limit(500);
  return rows.map(({ row, deletedAt }) => rowOf(row, deletedAt));
}

const UNDER_WAY_STATES: readonly SubmissionState[] = ['sending', 'unanswered', 'in review'];
const UNDER_WAY = {
  refused: 'This book is being submitted or is in review already. Wait for the answer.',
};

/**
 * Submits a book: the interior and cover that the book has now, and no older ones. A book that is live is updated; it
 * never becomes a second one.
 * @returns why not, or the id of the submission
 */
export async function submitBook(
  workspaceId: string,
  bookId: string,
  recipe: Recipe,
): Promise<{ refused: string } | { id: string }> {
  const { service } = recipe.print;
  const { name } = printService(service);
  if (!printingService(service))
    return {
      refused: `${name} takes no submissions from here yet. Download the files and bring them there.`,
    };
  const prints = fingerprintsOf(bookFrom(recipe));
  // What is sent: interior, cover and listing. A note in the brief makes no other book.
  const madeFrom = fingerprint(prints);
  const files = await madeFiles(workspaceId, bookId);
  const part = (name: string) => files.find((file) => file.name === name);
  const interior = part('interior.pdf');
  const wrap = part('wrap.pdf');
  if (!interior || !wrap) return { refused: 'There are no files yet. Make files first.' };
  if (interior.madeFrom !== prints.interior || wrap.madeFrom !== prints.cover)
    return { refused: 'The files are older than the book. Make files again, then submit.' };
  const earlier = await db()
    .select()
    .from(submission)
    .where(
      and(
        ...[eq(submission.workspaceId, workspaceId), eq(submission.bookId, bookId)],
        eq(submission.service, service),
      ),
    )
    .orderBy(desc(submission.createdAt));
  if (earlier.some(({ state }) => UNDER_WAY_STATES.includes(state))) return UNDER_WAY;
  const live = earlier.find(({ state }) => state === 'live');
  if (live?.madeFrom === madeFrom) return { refused: 'This very book is live already.' };
  const changed =
    live && frozenChange({ service, title: live.recipe.title, penName: live.recipe.penName }, recipe);
  if (changed) return { refused: `${changed} Change it back, then submit the update.` };
  const id = newId();
  const [sent] = await db()
    .insert(submission)
    .values({
      id,
      workspaceId,
      bookId,
      service,
      key: earlier[0]?.key ?? `quill-${id}`,
      madeFrom,
      recipe,
      interior: interior.hash,
      wrap: wrap.hash,
    })
    .onConflictDoNothing()
    .returning({ id: submission.id });
  if (!sent) return UNDER_WAY;
  await enqueueJob(workspaceId, { bookId }, 'submit', { submission: id }, { key: id });
  return { id };
}
