import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { MessagePort } from 'node:worker_threads';
import { type ReadingTools, ResourceTrouble, resourceType } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { PREPARE } from './prepare.ts';

/** Of an upload with pages, how many were read. */
export interface PagesRead {
  read: number;
  of: number;
}

/** Nobody sees more of it. */
const TELL_MS = 100;

/** What the thread is asked: each answers with a trouble where the content is to blame. */
export type InspectTask =
  | { ask: 'inspect'; path: string; type: string; hash: string; progress?: MessagePort | undefined }
  | { ask: 'prepare'; path: string; type: string; name: string; folder: string };

/** What a content says of itself, read once as a book would. */
async function inspect({ path, type, hash, progress }: InspectTask & { ask: 'inspect' }) {
  let told = 0;
  const tools: ReadingTools = {
    ...NODE_TOOLS,
    thorough: true,
    onPage(read, of) {
      if (!progress || (read < of && Date.now() - told < TELL_MS)) return;
      told = Date.now();
      progress.postMessage({ read, of } satisfies PagesRead);
    },
  };
  const { facts } = await resourceType(type).read(await readFile(path), tools, hash);
  return { facts };
}

/** Makes an upload into what books use, as files in a folder. */
async function prepare({ path, type, name, folder }: InspectTask & { ask: 'prepare' }) {
  const prepared = await PREPARE[type]!(await readFile(path), name);
  return {
    prepared: await Promise.all(
      prepared.map(async ({ name, bytes }, i) => {
        const file = join(folder, `prepared-${i}`);
        await writeFile(file, bytes);
        return { name, path: file };
      }),
    ),
  };
}

/** Reads uploads in a thread of its own, with little memory and time. */
export default async function work(task: InspectTask) {
  try {
    return await (task.ask === 'inspect' ? inspect(task) : prepare(task));
  } catch (error) {
    if (error instanceof ResourceTrouble) return { trouble: error.message };
    throw error;
  }
}
