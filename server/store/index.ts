import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { setTimeout as wait } from 'node:timers/promises';
import { settings } from '../settings.ts';
import { folderStore } from './folder.ts';
import { s3Store } from './s3.ts';
import { type FileStore, StoreTrouble } from './store.ts';

export * from './store.ts';

let store: FileStore | undefined;

/** The store of this installation: a folder, or a bucket where one is set. */
export function fileStore(): FileStore {
  const { QUILL_FILES, s3 } = settings();
  store ??= s3 ? s3Store(s3) : folderStore(QUILL_FILES);
  return store;
}

/** How long a store that is away is waited for, step by step: a minute and a half in all. */
const WAITS_MS = [500, 1000, 2000, 4000, 8000, 15_000, 30_000, 30_000];

/** Does something with the store again while it is away: a job waits for it instead of failing. */
export async function whenStoreIsThere<T>(
  work: () => Promise<T>,
  onTrouble: (trouble: StoreTrouble) => void = () => {},
): Promise<T> {
  for (const pause of WAITS_MS) {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof StoreTrouble)) throw error;
      onTrouble(error);
      await wait(pause);
    }
  }
  return work();
}

/** Hash and size of a local file. */
export async function contentOf(path: string): Promise<{ hash: string; size: number }> {
  const digest = createHash('sha256');
  for await (const chunk of createReadStream(path)) digest.update(chunk as Buffer);
  return { hash: digest.digest('hex'), size: (await stat(path)).size };
}

/** Takes the content of a finished local file into the store, and waits for the store while it is away. */
export async function storeFile(
  path: string,
  onTrouble?: (trouble: StoreTrouble) => void,
): Promise<{ hash: string; size: number }> {
  const content = await contentOf(path);
  await whenStoreIsThere(() => fileStore().take(path, content), onTrouble);
  return content;
}
