import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { and, eq } from 'drizzle-orm';
import { db } from './db/client.ts';
import { madeFile } from './db/schema.ts';
import { settings } from './settings.ts';

const HASH = /^[0-9a-f]{64}$/;

/** Where a content lies in the store. @throws RangeError for anything that is not a SHA-256 */
export function pathOf(hash: string): string {
  if (!HASH.test(hash)) throw new RangeError('Not the name of a stored file.');
  return join(settings().QUILL_FILES, hash.slice(0, 2), hash.slice(2));
}

/** Moves a finished file into the store. */
export async function storeFile(path: string): Promise<{ hash: string; size: number }> {
  const digest = createHash('sha256');
  for await (const chunk of createReadStream(path)) digest.update(chunk as Buffer);
  const hash = digest.digest('hex');
  const { size } = await stat(path);
  await place(hash, (half) => rename(path, half));
  return { hash, size };
}

async function place(hash: string, write: (half: string) => Promise<void>): Promise<void> {
  const path = pathOf(hash);
  await mkdir(join(path, '..'), { recursive: true });
  const half = `${path}.${randomUUID()}.part`;
  try {
    await write(half);
    await rename(half, path);
  } catch (error) {
    await rm(half, { force: true });
    throw error;
  }
}

export const readStored = (hash: string): Promise<Uint8Array> => readFile(pathOf(hash));

export async function isStored(hash: string): Promise<boolean> {
  return stat(pathOf(hash)).then(
    () => true,
    () => false,
  );
}

export interface MadeFile {
  name: string;
  hash: string;
  size: number;
  madeFrom: string;
  madeAt: Date;
}

export async function madeFiles(workspaceId: string, bookId: string): Promise<MadeFile[]> {
  return db()
    .select({
      name: madeFile.name,
      hash: madeFile.hash,
      size: madeFile.size,
      madeFrom: madeFile.madeFrom,
      madeAt: madeFile.madeAt,
    })
    .from(madeFile)
    .where(and(eq(madeFile.workspaceId, workspaceId), eq(madeFile.bookId, bookId)))
    .orderBy(madeFile.name);
}

/** Notes all files of a book at once: they are all of one recipe, or none is noted. */
export async function noteMadeFiles(
  workspaceId: string,
  bookId: string,
  files: { name: string; hash: string; size: number; madeFrom: string }[],
): Promise<void> {
  await db().transaction(async (tx) => {
    await tx.delete(madeFile).where(and(eq(madeFile.workspaceId, workspaceId), eq(madeFile.bookId, bookId)));
    await tx.insert(madeFile).values(files.map((file) => ({ ...file, bookId, workspaceId })));
  });
}
