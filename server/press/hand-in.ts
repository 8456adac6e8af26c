import { eq } from 'drizzle-orm';
import { bookFrom } from '#core/book/book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { listingSheet } from '#core/export/listing.ts';
import { db, isLostConnection } from '../db/client.ts';
import { submission } from '../db/schema.ts';
import type { JobPayload } from '../job-payloads.ts';
import { tellJobs } from '../jobs.ts';
import { patiently, TRIES } from '../services/patience.ts';
import { ServiceRefusal, ServiceTrouble } from '../services/printing-service.ts';
import { printingService } from '../services/printing-services.ts';
import { fileStore, StoreTrouble } from '../store/index.ts';
import { Canceled, type ClaimedJob, finish, progressOf } from './running-job.ts';

/** How often submissions in review are asked after. */
export const WATCH_SUBMISSIONS_SECONDS = 3;

async function note(id: string, change: Partial<typeof submission.$inferInsert>): Promise<void> {
  await db()
    .update(submission)
    .set({ ...change, updatedAt: new Date() })
    .where(eq(submission.id, id));
}

/** Sends listing, interior and wrap, then asks for review. Every step may be made twice without harm. */
export async function handInJob(row: ClaimedJob, { submission: id }: JobPayload<'hand-in'>): Promise<void> {
  const [sent] = await db().select().from(submission).where(eq(submission.id, id));
  if (!sent || sent.workspaceId !== row.workspaceId) {
    await finish(row, 'failed', 'The submission is not there any more.');
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
    return patiently(work, (trouble, attempt) =>
      tell(done, row.of, `${trouble.message} Try ${attempt + 1} of ${TRIES}.`),
    );
  };
  try {
    const sheet = listingSheet(bookFrom(parseRecipe(sent.recipe)));
    /** Opened anew for every try: a stream is read once. */
    const upload = async (part: 'interior' | 'wrap', hash: string) => {
      const file = await stored(hash);
      await service.upload(opened.id, part, { ...file, hash });
    };
    const opened = await step(0, 'Listing', () => service.open(sent.key, sheet));
    await note(id, { remoteId: opened.id });
    if (opened.state === 'draft') {
      await step(1, 'Interior', () => upload('interior', sent.interior));
      await step(2, 'Wrap', () => upload('wrap', sent.wrap));
      await step(3, 'Into review', () => service.submit(opened.id));
    }
    await note(id, { state: 'in review' });
    await finish(row, 'done', 'Handed in; now in review.');
  } catch (error) {
    if (error instanceof Canceled) {
      await note(id, { state: 'failed', reasons: ['Canceled before it was in review.'] });
      return;
    }
    if (isLostConnection(error)) throw error;
    const reasons = reasonsOf(error as Error);
    await note(id, { state: error instanceof ServiceRefusal ? 'rejected' : 'failed', reasons });
    await finish(row, 'failed', reasons.join(' '));
  }
}

/** A made file. @throws Error where it is no longer kept: made files are a cache that somebody may have emptied */
async function stored(hash: string) {
  try {
    const file = await fileStore().open(hash);
    if (file) return file;
  } catch (error) {
    throw error instanceof StoreTrouble ? new ServiceTrouble(error.message) : error;
  }
  throw new Error('The made files are no longer in the store. Make files again, then hand in.');
}

const reasonsOf = (error: Error): string[] =>
  error instanceof ServiceRefusal ? error.reasons : [error.message];

/** Asks once how every submission in review stands. */
export async function watchSubmissions(): Promise<void> {
  const inReview = await db().select().from(submission).where(eq(submission.state, 'in review'));
  for (const { id, remoteId, workspaceId, service: serviceId } of inReview) {
    const service = printingService(serviceId);
    if (!remoteId || !service) continue;
    try {
      const { state, reasons } = await service.state(remoteId);
      if (state !== 'live' && state !== 'rejected') continue;
      await note(id, { state, reasons });
    } catch (error) {
      // The service is asked again with the next round; only what it says itself ends a submission.
      if (!(error instanceof ServiceRefusal)) {
        if (error instanceof ServiceTrouble) continue;
        throw error;
      }
      await note(id, { state: 'failed', reasons: error.reasons });
    }
    await tellJobs(workspaceId);
  }
}
