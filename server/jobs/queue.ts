import { and, count, desc, eq, inArray, sql as raw } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { db, sql } from '../db/client.ts';
import { book, type JobKind, type JobState, job, niche } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { settings } from '../settings.ts';
import { type JobPayload, priorityOf, type Urgency } from './payloads.ts';

export const QUEUES = {
  'make-files': 'make-files',
  submit: 'submit',
  look: 'look',
  expand: 'expand',
  'watch-submissions': 'watch-submissions',
  'watch-niches': 'watch-niches',
  'forget-tries': 'forget-tries',
  'remove-deleted': 'remove-deleted',
  recalculate: 'recalculate',
} as const;
/** Channel on which a change of a job is told; the payload is the workspace. */
export const JOB_CHANNEL = 'quill_jobs';
const JOBS_LISTED = 30;

let boss: Promise<PgBoss> | undefined;

/** The queue of this process. */
export function queue(): Promise<PgBoss> {
  boss ??= (async () => {
    const started = new PgBoss({ connectionString: settings().DATABASE_URL, max: 4 });
    // A lost connection is found again by the library; without a listener it would end the process.
    started.on('error', (error) => console.error(`Queue: ${error.message}`));
    await started.start();
    for (const name of Object.values(QUEUES)) await started.createQueue(name);
    return started;
  })();
  boss.catch(() => {
    boss = undefined;
  });
  return boss;
}

export async function stopQueue(): Promise<void> {
  await (await boss)?.stop({ graceful: true, timeout: 5000 });
  boss = undefined;
}

export interface JobRow {
  id: string;
  bookId: string | null;
  nicheId: string | null;
  /** What it works on: the title of a book, or the phrase of a niche. */
  about: string | null;
  kind: JobKind;
  state: JobState;
  done: number;
  of: number;
  message: string;
  createdAt: Date;
  startedAt: Date | null;
  finishedAt: Date | null;
}

const columns = {
  id: job.id,
  bookId: job.bookId,
  nicheId: job.nicheId,
  about: raw<string | null>`coalesce(${book.recipe} ->> 'title', ${niche.phrase})`,
  kind: job.kind,
  state: job.state,
  done: job.done,
  of: job.of,
  message: job.message,
  createdAt: job.createdAt,
  startedAt: job.startedAt,
  finishedAt: job.finishedAt,
};

export const listJobs = (workspaceId: string): Promise<JobRow[]> =>
  db()
    .select(columns)
    .from(job)
    .leftJoin(book, eq(book.id, job.bookId))
    .leftJoin(niche, eq(niche.id, job.nicheId))
    .where(eq(job.workspaceId, workspaceId))
    .orderBy(desc(job.createdAt))
    .limit(JOBS_LISTED);

export const notifyJobs = (workspaceId: string): Promise<unknown> => sql().notify(JOB_CHANNEL, workspaceId);

/** Asks for the files of a book as it was saved. The same request twice is one job. @returns its id */
export const enqueueFiles = (workspaceId: string, bookId: string, revision: number): Promise<string> =>
  enqueueJob(workspaceId, { bookId }, 'make-files', { revision }, { key: `${bookId} ${revision}` });

/**
 * Queues a piece of work; one that is queued or running under the same key is that work.
 * @param key names what it makes
 * @returns its id
 */
export async function enqueueJob<Kind extends JobKind>(
  workspaceId: string,
  about: { bookId: string } | { nicheId: string },
  kind: Kind,
  payload: JobPayload<Kind>,
  { key, urgency = 'person' }: { key: string; urgency?: Urgency },
): Promise<string> {
  const id = newId();
  const [queued] = await db()
    .insert(job)
    .values({ id, workspaceId, ...about, kind, key, payload })
    .onConflictDoNothing()
    .returning({ id: job.id });
  const open = and(eq(job.workspaceId, workspaceId), inArray(job.state, ['queued', 'running']));
  if (!queued) {
    const [running] = await db()
      .select({ id: job.id })
      .from(job)
      .where(and(open, eq(job.key, key)));
    // It may have ended between the two questions: then this request is a new one.
    return running?.id ?? enqueueJob(workspaceId, about, kind, payload, { key, urgency });
  }
  const [others] = await db().select({ open: count() }).from(job).where(open);
  const priority = priorityOf(urgency, (others?.open ?? 1) - 1);
  await (await queue()).send(QUEUES[kind], { job: id }, { priority });
  await notifyJobs(workspaceId);
  return id;
}

/** What a canceled job leaves. Whether a service had begun its review by then, only the submission tells. */
const LEFT_BY: Record<JobKind, string> = {
  'make-files': 'Files made earlier are kept.',
  submit: 'Submissions shows how the book stands.',
  look: 'Earlier looks are kept.',
  expand: 'Phrases found so far are kept.',
};

/** Stops a job that has not ended. The worker sees it at its next step. */
export async function cancelJob(workspaceId: string, id: string): Promise<boolean> {
  const open = and(
    ...[eq(job.workspaceId, workspaceId), eq(job.id, id)],
    inArray(job.state, ['queued', 'running']),
  );
  const [asked] = await db().select({ kind: job.kind }).from(job).where(open);
  if (!asked) return false;
  const stopped = await db()
    .update(job)
    .set({ state: 'canceled', message: `Canceled. ${LEFT_BY[asked.kind]}`, finishedAt: new Date() })
    .where(open)
    .returning({ id: job.id });
  if (stopped.length) await notifyJobs(workspaceId);
  return stopped.length > 0;
}
