import { and, desc, eq, inArray } from 'drizzle-orm';
import { bookFrom } from '#core/book/book.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { fingerprintsOf } from '#core/export/fingerprints.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { printService } from '#core/print/index.ts';
import { db } from './db/client.ts';
import { type SubmissionState, submission } from './db/schema.ts';
import { madeFiles } from './files.ts';
import { newId } from './ids.ts';
import { enqueueJob } from './jobs.ts';
import { printingService } from './services/printing-services.ts';

export interface SubmissionRow {
  id: string;
  bookId: string;
  service: string;
  state: SubmissionState;
  reasons: string[];
  title: string;
  madeFrom: string;
  createdAt: Date;
  updatedAt: Date;
}

const rowOf = ({ recipe, ...row }: typeof submission.$inferSelect): SubmissionRow => ({
  id: row.id,
  bookId: row.bookId,
  service: row.service,
  state: row.state,
  reasons: row.reasons,
  title: recipe.title,
  madeFrom: row.madeFrom,
  createdAt: row.createdAt,
  updatedAt: row.updatedAt,
});

export async function listSubmissions(workspaceId: string, bookId?: string): Promise<SubmissionRow[]> {
  const rows = await db()
    .select()
    .from(submission)
    .where(and(eq(submission.workspaceId, workspaceId), bookId ? eq(submission.bookId, bookId) : undefined))
    .orderBy(desc(submission.createdAt))
    .limit(500);
  return rows.map(rowOf);
}

const UNDER_WAY = {
  refused: 'This book is being handed in or is in review already. Wait for the answer.',
};

/**
 * Hands a book in: the interior and cover that the book has now, and no older ones.
 * @returns why not, or the id of the submission
 */
export async function handIn(
  workspaceId: string,
  bookId: string,
  recipe: Recipe,
): Promise<{ refused: string } | { id: string }> {
  const { name } = printService(recipe.print.service);
  if (!printingService(recipe.print.service))
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
    return { refused: 'The files are older than the book. Make files again, then hand in.' };
  const [open] = await db()
    .select({ id: submission.id, state: submission.state, madeFrom: submission.madeFrom })
    .from(submission)
    .where(
      and(
        eq(submission.workspaceId, workspaceId),
        eq(submission.bookId, bookId),
        inArray(submission.state, ['sending', 'in review', 'live']),
      ),
    );
  if (open && (open.madeFrom === madeFrom || open.state !== 'live'))
    return open.state === 'live' ? { refused: 'This very book is live already.' } : UNDER_WAY;
  const id = newId();
  const [sent] = await db()
    .insert(submission)
    .values({
      id,
      workspaceId,
      bookId,
      service: recipe.print.service,
      key: `quill-${id}`,
      madeFrom,
      recipe,
      interior: interior.hash,
      wrap: wrap.hash,
    })
    .onConflictDoNothing()
    .returning({ id: submission.id });
  if (!sent) return UNDER_WAY;
  await enqueueJob(workspaceId, { bookId }, 'hand-in', { submission: id }, { key: id });
  return { id };
}
