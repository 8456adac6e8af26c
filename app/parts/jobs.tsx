import { createContext, type ReactNode, useContext, useEffect, useState } from 'react';
import type { JobRow } from '#server/jobs/queue.ts';

/** A job as it comes over the wire: days are text there. */
export type Job = Omit<JobRow, 'createdAt' | 'startedAt' | 'finishedAt'> & {
  createdAt: string | Date;
  startedAt: string | Date | null;
  finishedAt: string | Date | null;
};

const Jobs = createContext<Job[]>([]);

/** Keeps the workspace's jobs fresh by server-sent events. */
export function JobsProvider({ initial, children }: { initial: Job[]; children: ReactNode }) {
  const [jobs, setJobs] = useState(initial);
  useEffect(() => {
    const events = new EventSource('/jobs/events');
    events.onmessage = (event) => setJobs(JSON.parse(event.data));
    return () => events.close();
  }, []);
  return <Jobs.Provider value={jobs}>{children}</Jobs.Provider>;
}

export const useJobs = () => useContext(Jobs);

export const isRunning = (job: Job) => job.state === 'queued' || job.state === 'running';

/** Of a job that has just begun, the pace says nothing: getting ready takes longer than the first steps. */
const PACE_SECONDS = 3;
const PACE_SHARE = 0.05;

/** Seconds a job will still take at the pace so far, or null while that is anyone's guess. */
export function secondsLeft(job: Job, now: number): number | null {
  if (job.state !== 'running' || !job.startedAt || job.done < 1 || job.of < 1) return null;
  const spent = (now - new Date(job.startedAt).getTime()) / 1000;
  if (spent < PACE_SECONDS || job.done / job.of < PACE_SHARE) return null;
  return Math.max(0, (spent / job.done) * (job.of - job.done));
}
