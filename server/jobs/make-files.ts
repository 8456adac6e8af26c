import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import type { Piscina } from 'piscina';
import { bookFrom } from '#core/book/book.ts';
import { fingerprintsOf, partOfFile } from '#core/export/fingerprints.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { revisionOf } from '../books.ts';
import { isLostConnection } from '../db/client.ts';
import { noteMadeFiles } from '../files.ts';
import { notePuzzles, puzzlesElsewhere } from '../puzzles.ts';
import { ownContents } from '../resources/resources.ts';
import { settings } from '../settings.ts';
import { storeFile } from '../store/index.ts';
import type { JobPayload } from './payloads.ts';
import { Canceled, type ClaimedJob, finish, progressOf } from './running-job.ts';
import type { FilesMade } from './thread.ts';

const toldOf = (known: number): string => {
  if (known === 0) return '';
  return ` ${known === 1 ? 'A puzzle is' : `${known} puzzles are`} in another book already: see the proof.`;
};

/** Makes the files of a revision in a worker thread, stores them, and notes them together. Safe to run twice. */
export async function makeFiles(
  row: ClaimedJob,
  { revision }: JobPayload<'make-files'>,
  threads: Piscina,
): Promise<void> {
  const { bookId } = row;
  const recipe = bookId ? await revisionOf(row.workspaceId, bookId, revision) : null;
  if (!bookId || !recipe) {
    await finish(row, 'failed', 'The book no longer exists.');
    return;
  }
  const aside = join(settings().QUILL_FILES, 'making');
  await mkdir(aside, { recursive: true });
  const folder = await mkdtemp(join(aside, `${row.id}-`));
  const stop = new AbortController();
  const { port1, port2 } = new MessageChannel();
  const tell = progressOf(row, () => stop.abort());
  port1.on('message', ({ done, of, message }: { done: number; of: number; message: string }) => {
    row.of = of;
    tell(done, of, message);
  });
  try {
    const { names, puzzles }: FilesMade = await threads.run(
      { recipe, own: await ownContents(row.workspaceId, recipe), folder, progress: port2 },
      { transferList: [port2], signal: stop.signal },
    );
    const prints = fingerprintsOf(bookFrom(recipe));
    const whole = fingerprint(recipe);
    const files = [];
    for (const name of names) {
      const part = partOfFile(name);
      const madeFrom = part ? prints[part] : whole;
      files.push({
        name,
        madeFrom,
        ...(await storeFile(join(folder, name), (trouble) => tell(row.of, row.of + 1, trouble.message))),
      });
    }
    if (stop.signal.aborted) throw new Canceled();
    // Noted first: whoever sees the job done finds its files.
    await noteMadeFiles(row.workspaceId, bookId, files);
    await notePuzzles(row.workspaceId, bookId, puzzles);
    const known = await puzzlesElsewhere(
      row.workspaceId,
      bookId,
      puzzles.map(({ mark }) => mark),
    );
    await finish(row, 'done', `Files made from revision ${revision}.${toldOf(known.length)}`);
  } catch (error) {
    if (stop.signal.aborted || error instanceof Canceled) return;
    if (isLostConnection(error)) throw error;
    const full = (error as NodeJS.ErrnoException).code === 'ENOSPC';
    await finish(
      row,
      'failed',
      full
        ? 'The disk of the file store is full. Free some room and make files again; the book is safe.'
        : `The files could not be made: ${(error as Error).message}`,
    );
  } finally {
    port1.close();
    await rm(folder, { recursive: true, force: true });
  }
}
