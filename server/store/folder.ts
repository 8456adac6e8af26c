import { randomUUID } from 'node:crypto';
import { copyFile, link, mkdir, open, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { checkedHash, type FileStore } from './store.ts';

/** A store in a folder that every process sees: two digits of the hash name a folder, the rest the file. */
export function folderStore(folder: string): FileStore {
  const pathOf = (hash: string) => join(folder, checkedHash(hash).slice(0, 2), hash.slice(2));
  return {
    async take(from, { hash }) {
      const path = pathOf(hash);
      await mkdir(join(path, '..'), { recursive: true });
      const half = `${path}.${randomUUID()}.part`;
      try {
        // A second name for the same bytes costs nothing; not every disk has them, and none over its edge.
        await link(from, half).catch(() => copyFile(from, half));
        await rename(half, path);
      } finally {
        // Renaming a name onto another of the same file does nothing, and both stay.
        await rm(half, { force: true });
      }
    },
    async open(hash) {
      try {
        const file = await open(pathOf(hash));
        const { size } = await file.stat();
        return { size, stream: file.createReadStream() };
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
        throw error;
      }
    },
    has: (hash) =>
      stat(pathOf(hash)).then(
        () => true,
        () => false,
      ),
  };
}
