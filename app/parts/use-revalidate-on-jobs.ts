import { useEffect, useRef } from 'react';
import { useRevalidator } from 'react-router';
import { isRunning, type Job } from './jobs.tsx';

/**
 * Loads the page's data again when one of the jobs ends, and again and again while something is under way.
 * @param everyMs how often meanwhile, or null while nothing is
 */
export function useRevalidateOnJobs(jobs: Job[], everyMs: number | null): void {
  const { revalidate } = useRevalidator();
  const ended = jobs
    .filter((job) => !isRunning(job))
    .map(({ id }) => id)
    .join(' ');
  const seen = useRef(ended);
  useEffect(() => {
    if (seen.current === ended) return;
    seen.current = ended;
    void revalidate();
  }, [ended, revalidate]);
  useEffect(() => {
    if (everyMs === null) return;
    const timer = setInterval(() => void revalidate(), everyMs);
    return () => clearInterval(timer);
  }, [everyMs, revalidate]);
}
