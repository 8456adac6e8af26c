import { and, eq, inArray, lt, ne, notExists, or } from 'drizzle-orm';
import { bookFrom } from '#core/book/book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { listingSheet } from '#core/export/listing.ts';
import { db, isLostConnection } from '../db/client.ts';
import { job, submission } from '../db/schema.ts';
import { withRetries } from '../services/patience.ts';
import {
  type Entry,
  type PrintingService,
  ServiceRefusal,
  TransientServiceError,
} from '../services/printing-service.ts';
import { printingService } from '../services/printing-services.ts';
import { fileStore, StoreTrouble } from '../store/index.ts';
import type { JobPayload } from './payloads.ts';
import { notifyJobs } from './queue.ts';
import { Canceled, type ClaimedJob, finish, progressOf } from './running-job.ts';

/** How often submissions are asked after whose answer is still to come. */
export const WATCH_SUBMISSIONS_SECONDS = 3;

/** A submission gets its job at once; one without a job after so long was left. */
const LEFT_MS = 30_000;

type Sent = typeof submission.$inferSelect;

async function note(id: string, change: Partial<typeof submission.$inferInsert>): Promise<void> {
  await db()
    .update(submission)
    .set({ ...change, updatedAt: new Date() })
    .where(eq(submission.id, id));
}

/** Takes over how the service says that a submission stands. A book that is live anew takes the place of the old one. */
async function noteEntry(sent: Sent, { id, state, reasons }: Entry): Promise<void> {
  await note(sent.id, { remoteId: id, state: state === 'draft' ? 'failed' : state, reasons });
  if (state === 'live')
    await db()
      .update(submission)
      .set({ state: 'replaced' })
      .where(
        and(
          ...[eq(submission.workspaceId, sent.workspaceId), eq(submission.key, sent.key)],
          ...[eq(submission.state, 'live'), ne(submission.id, sent.id)],
        ),
      );
}

/**
 * The book at the service with a draft of what is to be sent: a new one only where the service knows none of this key,
 * and the one that an earlier try left behind where there is one.
 */
async function draftAt(service: PrintingService, sent: Sent): Promise<Entry> {
  const sheet = listingSheet(bookFrom(parseRecipe(sent.recipe)));
  const entry = (await service.find(sent.key)) ?? (await service.open(sent.key, sent.id, sheet));
  if (entry.revision === sent.id) return entry;
  if (entry.state === 'in review') throw new EarlierInReview(entry);
  await follow(sent, entry);
  return service.revise(entry.id, sent.id, sheet);
}

class EarlierInReview extends Error {
  constructor(readonly entry: Entry) {
    super('What was submitted earlier is in review there. Submit again when its answer has come.');
  }
}

/** An earlier submission that was given up, and had arrived there all the same: it stands as the service says. */
async function follow({ workspaceId, bookId }: Sent, entry: Entry): Promise<void> {
  if (entry.state === 'draft') return;
  await db()
    .update(submission)
    .set({ state: entry.state, reasons: entry.reasons, remoteId: entry.id, updatedAt: new Date() })
    .where(
      and(
        ...[eq(submission.workspaceId, workspaceId), eq(submission.bookId, bookId)],
        ...[eq(submission.id, entry.revision), eq(submission.state, 'failed')],
      ),
    );
}

/** Sends listing, interior and wrap, then asks for review. Every step may be made twice without harm. */
export async function submitJob(row: ClaimedJob, { submission: id }: JobPayload<'submit'>): Promise<void> {
  const [sent] = await db().select().from(submission).where(eq(submission.id, id));
  if (!sent || sent.workspaceId !== row.workspaceId) {
    await finish(row, 'failed', 'The submission no longer exists.');
    return;
  }
  const service = printingService(sent.service);
  if (!service) {
    await finish(row, 'failed', `Nothing is sent to “${sent.service}” from here.`);
    return;
  }
  const stop = new AbortController();
  const tell = progressOf(row, () => stop.abort());
  row.of = 4;
  const step = async <T>(done: number, message: string, work: () => Promise<T>): Promise<T> => {
    if (stop.signal.aborted) throw new Canceled();
    tell(done, row.of, message);
    return withRetries(work, (told) => tell(done, row.of, told));
  };
  let askedForReview = false;
  try {
    let entry = await step(0, 'Listing', () => draftAt(service, sent));
    await note(id, { remoteId: entry.id });
    if (entry.state === 'draft') {
      /** Opened anew for every try: a stream is read once. */
      const upload = async (part: 'interior' | 'wrap', hash: string) =>
        service.upload(entry.id, part, { ...(await stored(hash)), hash });
      await step(1, 'Interior', () => upload('interior', sent.interior));
      await step(2, 'Wrap', () => upload('wrap', sent.wrap));
      entry = await step(3, 'Into review', () => {
        askedForReview = true;
        return service.sendToReview(entry.id);
      });
    }
    await noteEntry(sent, entry);
    await finish(row, 'done', 'Submitted; now in review.');
  } catch (error) {
    if (isLostConnection(error)) throw error;
    // The review may have begun though its answer never came: only the service knows, and is asked until it says.
    const unanswered = askedForReview && !(error instanceof ServiceRefusal);
    if (unanswered && (await settle(sent, service))) {
      await finish(row, 'done', 'Submitted; now in review.');
      return;
    }
    const reasons =
      error instanceof Canceled ? ['Canceled before it was in review.'] : reasonsOf(error as Error);
    if (!unanswered)
      await note(id, { state: error instanceof ServiceRefusal ? 'rejected' : 'failed', reasons });
    // Not before: a book has one submission under way.
    if (error instanceof EarlierInReview) await follow(sent, error.entry);
    await finish(row, 'failed', reasons.join(' '));
  }
}

/**
 * Asks the service by its key whether a submission arrived whose answer did not come, and takes over what it says.
 * @returns whether it arrived; while nobody can say, the submission is unanswered and is asked after again
 */
async function settle(sent: Sent, service: PrintingService): Promise<boolean> {
  let entry: Entry | null;
  try {
    entry = await service.find(sent.key);
  } catch (error) {
    if (!(error instanceof TransientServiceError || error instanceof ServiceRefusal)) throw error;
    await note(sent.id, {
      state: 'unanswered',
      reasons: ['Its answer did not come. The service is asked until it says whether the book arrived.'],
    });
    return false;
  }
  if (entry?.revision === sent.id && entry.state !== 'draft') {
    await noteEntry(sent, entry);
    return true;
  }
  await note(sent.id, {
    state: 'failed',
    reasons: ['It did not arrive. Submit again; nothing is sent twice.'],
  });
  return false;
}

/** A made file. @throws Error where it is no longer kept: made files are a cache that somebody may have emptied */
async function stored(hash: string) {
  try {
    const file = await fileStore().open(hash);
    if (file) return file;
  } catch (error) {
    throw error instanceof StoreTrouble ? new TransientServiceError(error.message) : error;
  }
  throw new Error('The made files are no longer in the store. Make files again, then submit.');
}

const reasonsOf = (error: Error): string[] =>
  error instanceof ServiceRefusal ? error.reasons : [error.message];

/** Asks once how every submission stands whose answer is still to come. */
export async function watchSubmissions(): Promise<void> {
  const waiting = await db()
    .select()
    .from(submission)
    .where(
      or(
        inArray(submission.state, ['in review', 'unanswered']),
        // Its job ended, or was canceled, without a word.
        and(
          eq(submission.state, 'sending'),
          lt(submission.updatedAt, new Date(Date.now() - LEFT_MS)),
          notExists(
            db()
              .select()
              .from(job)
              .where(and(eq(job.key, submission.id), inArray(job.state, ['queued', 'running']))),
          ),
        ),
      ),
    );
  for (const sent of waiting) {
    const service = printingService(sent.service);
    if (!service) continue;
    try {
      if (sent.state !== 'in review') await settle(sent, service);
      else if (sent.remoteId) {
        const entry = await service.entry(sent.remoteId);
        if (entry.state !== 'live' && entry.state !== 'rejected') continue;
        await noteEntry(sent, entry);
      }
    } catch (error) {
      // The service is asked again with the next round; only what it says itself ends a submission.
      if (!(error instanceof ServiceRefusal)) {
        if (error instanceof TransientServiceError) continue;
        throw error;
      }
      await note(sent.id, { state: 'failed', reasons: error.reasons });
    }
    await notifyJobs(sent.workspaceId);
  }
}
