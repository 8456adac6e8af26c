import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { nanoid } from 'nanoid';
import type { Listing } from './listing.ts';
import { review } from './reviewer.ts';

export interface Submission {
  id: string;
  key: string;
  listing: Listing;
  parts: { interior?: string; wrap?: string };
  state: 'draft' | 'in review' | 'live' | 'rejected';
  reasons: string[];
  /** Milliseconds since 1970; the review's answer is known from the start and told from then on. */
  answerAt?: number;
  verdict?: 'live' | 'rejected';
  verdictReasons?: string[];
}

/** Submissions in a folder: one JSON file for all, one file for each upload. */
export function openSubmissions(folder: string, reviewSeconds: () => number) {
  mkdirSync(folder, { recursive: true });
  const ledger = join(folder, 'submissions.json');
  const all = new Map<string, Submission>();
  try {
    for (const kept of JSON.parse(readFileSync(ledger, 'utf8')) as Submission[]) all.set(kept.id, kept);
  } catch {
    // The first start, or a ledger cut short by a crash: begin an empty one.
  }
  const save = () => {
    writeFileSync(`${ledger}.part`, JSON.stringify([...all.values()]));
    renameSync(`${ledger}.part`, ledger);
  };
  const pathOf = (id: string, part: string) => join(folder, `${id}-${part}.pdf`);

  return {
    all: () => [...all.values()],
    find(id: string): Submission | undefined {
      const found = all.get(id);
      if (found?.state === 'in review' && found.answerAt !== undefined && Date.now() >= found.answerAt) {
        found.state = found.verdict ?? 'rejected';
        found.reasons = found.verdictReasons ?? [];
        save();
      }
      return found;
    },
    open(key: string, listing: Listing): { submission: Submission; fresh: boolean } {
      const known = [...all.values()].find((submission) => submission.key === key);
      if (known) return { submission: known, fresh: false };
      const submission: Submission = { id: nanoid(16), key, listing, parts: {}, state: 'draft', reasons: [] };
      all.set(submission.id, submission);
      save();
      return { submission, fresh: true };
    },
    /** @returns why the upload was not taken, or null */
    upload(
      submission: Submission,
      part: 'interior' | 'wrap',
      bytes: Uint8Array,
      hash: string | undefined,
    ): string | null {
      if (submission.state !== 'draft') return `The submission is ${submission.state} and cannot change.`;
      const digest = createHash('sha256').update(bytes).digest('hex');
      if (hash && hash !== digest) return 'The upload arrived damaged: its SHA-256 is another.';
      if (Buffer.from(bytes.subarray(0, 5)).toString('latin1') !== '%PDF-')
        return `The ${part} is not a PDF.`;
      writeFileSync(pathOf(submission.id, part), bytes);
      submission.parts[part] = digest;
      save();
      return null;
    },
    /** @returns why it cannot be reviewed, or null */
    async submit(submission: Submission): Promise<string | null> {
      if (submission.state !== 'draft') return null;
      const { interior, wrap } = submission.parts;
      if (!interior || !wrap) return `The ${interior ? 'wrap' : 'interior'} has not been uploaded.`;
      const reasons = await review(
        submission.listing,
        readFileSync(pathOf(submission.id, 'interior')),
        readFileSync(pathOf(submission.id, 'wrap')),
      );
      submission.verdict = reasons.length ? 'rejected' : 'live';
      submission.verdictReasons = reasons;
      submission.state = 'in review';
      submission.answerAt = Date.now() + reviewSeconds() * 1000;
      save();
      return null;
    },
  };
}
