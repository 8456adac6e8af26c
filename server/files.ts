import { and, eq } from 'drizzle-orm';
import { db } from './db/client.ts';
import { madeFile } from './db/schema.ts';

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
