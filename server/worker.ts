import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { closeDatabase, isLostConnection } from './db/client.ts';
import type { JobKind } from './db/schema.ts';
import { expandJob } from './jobs/expand-job.ts';
import { registerWorker, rescueLostJobs } from './jobs/liveness.ts';
import { lookJob } from './jobs/look-job.ts';
import { makeFiles } from './jobs/make-files.ts';
import { type JobPayload, readPayload } from './jobs/payloads.ts';
import { QUEUES, queue, stopQueue } from './jobs/queue.ts';
import { type ClaimedJob, claim, finish } from './jobs/running-job.ts';
import { submitJob, WATCH_SUBMISSIONS_SECONDS, watchSubmissions } from './jobs/submit-job.ts';
import { WATCH_NICHES_SECONDS, watchNiches } from './jobs/watch-niches.ts';
import { REMOVE_DELETED_SECONDS, removeLongDeleted } from './many-books.ts';
import { recalculateNiche } from './niches/looks.ts';
import { FORGET_TRIES_SECONDS, forgetOldTries } from './sign-in-tries.ts';

/** How often jobs of lost workers are looked for. */
const RESCUE_SECONDS = 3;

const threads = new Piscina({
  filename: new URL('./files-thread.mjs', import.meta.url).href,
  minThreads: 0,
  maxThreads: Math.max(1, availableParallelism() - 1),
  idleTimeout: 60_000,
  // As for the command (cli/bin.mjs): three such halves make up the young generation.
  resourceLimits: { maxYoungGenerationSizeMb: 24 },
});
const me = await registerWorker();
const boss = await queue();

/** Ends this worker where it stands: what it was at is taken up by the next, which is started in its place. */
function exitForRestart(why: string): void {
  console.error(`Worker: ${why}; it begins anew.`);
  process.exit(1);
}

const poll = { pollingIntervalSeconds: 0.5 } as const;
/** Takes the jobs of a queue one after the other; a queue with several slots takes as many at once. */
async function serve<Kind extends JobKind>(
  kind: Kind,
  run: (row: ClaimedJob, payload: JobPayload<Kind>) => Promise<void>,
  slots = 1,
) {
  for (let slot = 0; slot < slots; slot++) {
    await boss.work<{ job: string }>(QUEUES[kind], poll, async ([asked]) => {
      const row = asked && (await claim(asked.data.job, me.number));
      if (!row) return;
      try {
        const payload = readPayload(kind, row.payload);
        if (payload) await run(row, payload);
        else await finish(row, 'failed', 'This version cannot read what the job was told. Ask for it again.');
      } catch (error) {
        if (isLostConnection(error)) return exitForRestart('The database is gone');
        // What a job did not foresee ends it with a word, instead of leaving it running for ever.
        console.error(error);
        await finish(row, 'failed', `The job failed: ${(error as Error).message}`);
      }
    });
  }
}
await serve('make-files', (row, payload) => makeFiles(row, payload, threads), threads.maxThreads);
await serve('submit', submitJob);
await serve('look', lookJob);
// One at a time, so that the marketplace is asked no faster than it was agreed.
await serve('expand', expandJob);
await boss.work<{ workspaceId: string; nicheId: string }>(QUEUES.recalculate, poll, async ([asked]) => {
  if (asked) await recalculateNiche(asked.data.workspaceId, asked.data.nicheId);
});
const reminders: ReturnType<typeof setInterval>[] = [];
/** Does something again and again. Every worker reminds; the queue keeps one reminder for all of them. */
async function regularly(name: keyof typeof QUEUES, seconds: number, run: () => Promise<void>) {
  await boss.work(QUEUES[name], poll, run);
  const remind = () =>
    void boss
      .send(QUEUES[name], {}, { singletonSeconds: seconds, retryLimit: 0 })
      .catch((error: Error) => console.error(`Worker: ${error.message}`));
  reminders.push(setInterval(remind, seconds * 1000));
}
await regularly('watch-submissions', WATCH_SUBMISSIONS_SECONDS, watchSubmissions);
await regularly('watch-niches', WATCH_NICHES_SECONDS, watchNiches);
await regularly('forget-tries', FORGET_TRIES_SECONDS, forgetOldTries);
await regularly('remove-deleted', REMOVE_DELETED_SECONDS, removeLongDeleted);
const rescue = setInterval(async () => {
  try {
    if (!(await me.isHeld())) exitForRestart('The lock that says that it lives is gone');
    await rescueLostJobs();
  } catch (error) {
    console.error(`Worker: ${(error as Error).message}`);
  }
}, RESCUE_SECONDS * 1000);
console.log('The worker is ready.');

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  clearInterval(rescue);
  for (const reminder of reminders) clearInterval(reminder);
  await stopQueue().catch(() => {});
  await threads.destroy();
  await me.release().catch(() => {});
  await closeDatabase();
  process.exit(0);
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
