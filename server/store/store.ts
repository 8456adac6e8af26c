import type { Readable } from 'node:stream';

/** A content on its way out of the store. */
export interface StoredFile {
  /** In bytes. */
  size: number;
  stream: Readable;
}

/** Keeps contents by their hash: the same content is kept once. Hashes are 64 hexadecimal digits of a SHA-256. */
export interface FileStore {
  /** Takes the content of a finished local file. The file stays the caller's, who does not write to it again. */
  take(path: string, content: { hash: string; size: number }): Promise<void>;
  /** The content as a stream, or null when there is none. */
  open(hash: string): Promise<StoredFile | null>;
  has(hash: string): Promise<boolean>;
}

/** The store cannot be reached or broke off: worth another try. */
export class StoreTrouble extends Error {
  override name = 'StoreTrouble';
}

const HASH = /^[0-9a-f]{64}$/;

/** @throws RangeError for anything that is not a SHA-256: a name from outside never becomes a path or an address */
export function checkedHash(hash: string): string {
  if (!HASH.test(hash)) throw new RangeError('Not the name of a stored file.');
  return hash;
}
