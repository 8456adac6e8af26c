import type { Readable } from 'node:stream';
import type { ListingSheet } from '#core/export/listing.ts';

export type ReviewState = 'in review' | 'live' | 'rejected';

/**
 * What the application asks of a printing service. Every call may be made again after a broken connection: the key
 * makes one submission of all tries, and an upload with the same bytes changes nothing.
 */
export interface PrintingService {
  /** Opens a submission, or finds the one that has this key. */
  open(key: string, listing: ListingSheet): Promise<{ id: string; state: 'draft' | ReviewState }>;
  upload(id: string, part: 'interior' | 'wrap', file: { stream: Readable; hash: string }): Promise<void>;
  /** Hands it over for review. */
  submit(id: string): Promise<ReviewState>;
  state(id: string): Promise<{ state: 'draft' | ReviewState; reasons: string[] }>;
}

/** The service answered, and its answer is no: trying again would not help. */
export class ServiceRefusal extends Error {
  constructor(readonly reasons: string[]) {
    super(reasons.join(' '));
    this.name = 'ServiceRefusal';
  }
}

/** The service could not be reached, broke off, or asked for patience: worth another try. */
export class ServiceTrouble extends Error {
  constructor(
    message: string,
    /** Seconds the service asked to be left alone. */
    readonly retryAfter?: number,
  ) {
    super(message);
    this.name = 'ServiceTrouble';
  }
}
