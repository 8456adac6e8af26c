import { useEffect } from 'react';
import { useRevalidator } from 'react-router';
import type { SubmissionRow } from '#server/submissions.ts';
import { isWaiting } from '../parts/submission-state.tsx';

/** The service is asked for after this often while a review is under way; the answer comes without a click. */
const LOOK_MS = 2500;

const stands = (submissions: readonly Pick<SubmissionRow, 'id' | 'state'>[]): string =>
  submissions.map(({ id, state }) => `${id} ${state}`).join(' ');

/** Loads the page's data again when a submission that is waited for stands otherwise than it is shown. */
export function useReview(book: string, submissions: readonly SubmissionRow[]): void {
  const { revalidate } = useRevalidator();
  const waiting = submissions.some(isWaiting);
  const shown = stands(submissions);
  useEffect(() => {
    if (!waiting) return;
    const look = async () => {
      const answer = await fetch(`/books/${book}/review`).catch(() => null);
      // Away for a while: asked again.
      if (!answer?.ok || answer.redirected) return;
      if (stands((await answer.json()) as SubmissionRow[]) !== shown) void revalidate();
    };
    const timer = setInterval(() => void look(), LOOK_MS);
    return () => clearInterval(timer);
  }, [book, waiting, shown, revalidate]);
}
