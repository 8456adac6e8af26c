import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import type { Book } from '../book/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { writeInterior } from './files.ts';

/**
 * Writes the interior of a book into a file, no faster than the disk takes it.
 * @throws the error of the disk, such as ENOSPC; what was written so far is left to the caller
 */
export async function writeInteriorFile(
  book: Book,
  type: Typesetter,
  path: string,
  onPage: (written: number, of: number) => void,
): Promise<void> {
  const stream = createWriteStream(path);
  const failed = once(stream, 'error').then(([error]) => Promise.reject(error));
  failed.catch(() => {});
  const taken = async (chunk: Uint8Array) => {
    if (!stream.write(chunk)) await Promise.race([once(stream, 'drain'), failed]);
  };
  await writeInterior(book, type, taken, onPage);
  stream.end();
  await Promise.race([once(stream, 'close'), failed]);
}
