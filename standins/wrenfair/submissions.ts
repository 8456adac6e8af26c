import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { nanoid } from 'nanoid';
import type { Listing } from './listing.ts';
import { review } from './reviewer.ts';

/** A book as a publisher submits it: opened once, and changed as often as the publisher likes. */
export interface Submission {
  id: string;
  key: string;
  /** The publisher's own name of the state of the book that listing and parts are of. */
  revision: string;
  listing: Listing;
  parts: { interior?: string; wrap?: string };
  /** How that state of the book stands; what is on sale stays on sale meanwhile. */
  state: 'draft' | 'in review' | 'live' | 'rejected';
  reasons: string[];
  /** When the latest review began, in milliseconds since 1970; its answer is known from then on, and told at its end. */
  reviewBegan?: number;
  verdict?: 'live' | 'rejected';
  verdictReasons?: string[];
  /** What is on sale, once a review was passed. */
  onSale?: { revision: string; listing: Listing; since: number; updates: number };
}

/**
 * Submissions in a folder: one JSON file for all, one file for each upload.
 * @param reviewSeconds how long a review takes; asked whenever a book is looked at, so that a change reaches reviews under way
 */
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
  /** As it stands now: a review ends by the clock. */
  const current = (submission: Submission): Submission => {
    const { state, reviewBegan = 0, verdict, revision, listing, onSale } = submission;
    const answerAt = reviewBegan + reviewSeconds() * 1000;
    if (state !== 'in review' || Date.now() < answerAt) return submission;
    submission.state = verdict ?? 'rejected';
    submission.reasons = submission.verdictReasons ?? [];
    if (verdict === 'live')
      submission.onSale = {
        revision,
        listing,
        since: onSale?.since ?? answerAt,
        updates: onSale ? onSale.updates + 1 : 0,
      };
    save();
    return submission;
  };

  return {
    all: () => [...all.values()].map(current),
    find(id: string): Submission | undefined {
      const found = all.get(id);
      return found && current(found);
    },
    withKey(key: string): Submission | undefined {
      const found = [...all.values()].find((submission) => submission.key === key);
      return found && current(found);
    },
    open(key: string, revision: string, listing: Listing): { submission: Submission; fresh: boolean } {
      const known = this.withKey(key);
      if (known) return { submission: known, fresh: false };
      const submission: Submission = {
        ...{ id: nanoid(16), key, revision, listing },
        ...{ parts: {}, state: 'draft', reasons: [] },
      };
      all.set(submission.id, submission);
      save();
      return { submission, fresh: true };
    },
    /** Begins a draft of the changed book, or says that one is begun. @returns why it cannot be, or null */
    revise(submission: Submission, revision: string, listing: Listing): string | null {
      if (submission.state === 'in review')
        return 'The book is in review and cannot change until the answer.';
      const { onSale } = submission;
      if (onSale && listing.title !== onSale.listing.title)
        return `The book is live as “${onSale.listing.title}”. The title of a live book cannot change.`;
      if (onSale && listing.penName !== onSale.listing.penName)
        return `The book is live by ${onSale.listing.penName}. The author of a live book cannot change.`;
      if (submission.state === 'draft' && submission.revision === revision) return null;
      Object.assign(submission, { revision, listing, parts: {}, state: 'draft', reasons: [] });
      save();
      return null;
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
      submission.reviewBegan = Date.now();
      save();
      return null;
    },
  };
}
