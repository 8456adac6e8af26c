import { and, eq } from 'drizzle-orm';
import { db } from '../db/client.ts';
import { job } from '../db/schema.ts';
import { notifyJobs } from './queue.ts';

export type ClaimedJob = typeof job.$inferSelect;

/** Progress is told this often at most. */
const TELL_EVERY_MS = 150;

/** Raised inside a job that was canceled, to leave it at once. */
export class Canceled extends Error {}

/** Takes a queued job for this worker; null when somebody has it, or it was canceled. */
export async function claim(id: string, worker: number): Promise<ClaimedJob | null> {
  const [row] = await db()
    .update(job)
    .set({ state: 'running', worker, startedAt: new Date(), done: 0, message: '' })
    .where(and(eq(job.id, id), eq(job.state, 'queued')))
    .returning();
  if (row) await notifyJobs(row.workspaceId);
  return row ?? null;
}

/** Tells how far a job is, and learns whether it was canceled. */
export function progressOf(
  row: ClaimedJob,
  onCancel: () => void,
): (done: number, of: number, message: string) => void {
  let last = 0;
  let busy = false;
  return (done, of, message) => {
    const now = Date.now();
    if (busy || (now - last < TELL_EVERY_MS && done < of)) return;
    last = now;
    busy = true;
    void (async () => {
      try {
        const going = await db()
          .update(job)
          .set({ done, of, message })
          .where(and(eq(job.id, row.id), eq(job.state, 'running')))
          .returning({ id: job.id });
        if (going.length === 0) onCancel();
        else await notifyJobs(row.workspaceId);
      } finally {
        busy = false;
      }
    })().catch(() => {});
  };
}

/** Ends a job, unless it was canceled meanwhile. @returns false if it was */
export async function finish(row: ClaimedJob, state: 'done' | 'failed', message: string): Promise<boolean> {
  const ended = await db()
    .update(job)
    .set({
      state,
      message,
      finishedAt: new Date(),
      ...(state === 'done' ? { done: row.of || 1, of: row.of || 1 } : {}),
    })
    .where(and(eq(job.id, row.id), eq(job.state, 'running')))
    .returning({ id: job.id });
  await notifyJobs(row.workspaceId);
  return ended.length > 0;
}
