import { randomInt } from 'node:crypto';
import type { PendingQuery, ReservedSql, Row } from 'postgres';
import { longLivedSql, sql } from '../db/client.ts';
import { PRIORITIES } from './payloads.ts';
import { notifyJobs, QUEUES, queue } from './queue.ts';

/** First half of the lock key: says that the second half is a worker. */
const WORKER_LOCK = 7311;

/**
 * A worker holds a session-level advisory lock for as long as it lives; PostgreSQL frees it when the process or
 * its machine is gone. Jobs whose worker holds no lock any more are queued anew within seconds.
 */
export async function registerWorker(): Promise<{
  number: number;
  /** False when the connection that held the lock is gone, and others may take the worker's jobs for lost. */
  isHeld(): Promise<boolean>;
  release(): Promise<void>;
}> {
  const number = randomInt(1, 2 ** 31 - 1);
  const held: ReservedSql = await longLivedSql().reserve();
  await held`select pg_advisory_lock(${WORKER_LOCK}, ${number})`;
  return {
    number,
    async isHeld() {
      const found = await sql()`select 1 from pg_locks where ${heldBy(sql()`${number}::int`)}`;
      return found.length > 0;
    },
    async release() {
      await held`select pg_advisory_unlock_all()`;
      held.release();
    },
  };
}

/** The condition on pg_locks that a worker of this number lives. */
const heldBy = (number: PendingQuery<Row[]>) => sql()`
  locktype = 'advisory' and classid = ${WORKER_LOCK}::int::oid and objid = (${number})::oid and objsubid = 2
  and database = (select oid from pg_database where datname = current_database())`;

/** Queues the jobs of lost workers anew. @returns how many */
export async function rescueLostJobs(): Promise<number> {
  const lost = await sql()<{ id: string; kind: keyof typeof QUEUES; workspace_id: string }[]>`
    update job set state = 'queued', worker = null, message = 'The worker stopped; restarting.'
    where state = 'running' and not exists (
      select 1 from pg_locks where ${heldBy(sql()`job.worker`)}
    ) returning id, kind, workspace_id`;
  for (const row of lost) {
    // It has waited already.
    await (await queue()).send(QUEUES[row.kind], { job: row.id }, { priority: PRIORITIES.person });
    await notifyJobs(row.workspace_id);
  }
  return lost.length;
}
