import type { Readable } from 'node:stream';
import type { ListingSheet } from '#core/export/listing.ts';

export type ReviewState = 'in review' | 'live' | 'rejected';

/** A book at the service: one for all its life, whatever is changed in it. */
export interface Entry {
  id: string;
  /** Our name of the state of the book that was sent last. */
  revision: string;
  /** How that state of the book stands; what is on sale stays on sale meanwhile. */
  state: 'draft' | ReviewState;
  reasons: string[];
}

/**
 * What the application asks of a printing service. Every call may be made again after a broken connection: the key
 * makes one book of all tries, and an upload with the same bytes changes nothing.
 */
export interface PrintingService {
  /** The book that has this key, or null: asked before one is opened, and before a try is given up. */
  find(key: string): Promise<Entry | null>;
  /** Opens a book with a first draft, or finds the one that has this key. */
  open(key: string, revision: string, listing: ListingSheet): Promise<Entry>;
  /** Begins a draft of the changed book, in place of what is neither in review nor on sale. */
  revise(id: string, revision: string, listing: ListingSheet): Promise<Entry>;
  upload(id: string, part: 'interior' | 'wrap', file: { stream: Readable; hash: string }): Promise<void>;
  /** Hands the draft over for review. */
  sendToReview(id: string): Promise<Entry>;
  entry(id: string): Promise<Entry>;
}

/** The service answered, and its answer is no: trying again would not help. */
export class ServiceRefusal extends Error {
  constructor(readonly reasons: string[]) {
    super(reasons.join(' '));
    this.name = 'ServiceRefusal';
  }
}

/**
 * The service could not be reached, broke off, or asked for patience: worth another try. The message is for the
 * publisher; what the machine said is the cause, for the log.
 */
export class TransientServiceError extends Error {
  constructor(
    message: string,
    /** Seconds the service asked to be left alone. */
    readonly retryAfter?: number,
    cause?: unknown,
  ) {
    super(message, { cause });
    this.name = 'TransientServiceError';
  }
}
