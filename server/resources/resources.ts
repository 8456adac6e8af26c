import { createWriteStream } from 'node:fs';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { Piscina } from 'piscina';
import type { Recipe } from '#core/book/recipe.ts';
import { type NamedResource, ResourceTrouble, type Rights, resourceType } from '#core/resources/index.ts';
import { db } from '../db/client.ts';
import { resource } from '../db/schema.ts';
import { settings } from '../settings.ts';
import { contentOf, fileStore, whenStoreIsThere } from '../store/index.ts';
import type { InspectTask, PagesRead } from './inspect-thread.ts';
import { PREPARE } from './prepare.ts';

/** Time and memory that reading an upload may take. */
const INSPECT_SECONDS = 60;
const INSPECT_MB = 1024;
const IDLE_MS = 30_000;

let threads: Piscina | undefined;

/** Uploads are read one at a time, apart from everything else. */
function inspector(): Piscina {
  threads ??= new Piscina({
    filename: resolve('build/node/inspect-thread.mjs'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: INSPECT_MB },
  });
  return threads;
}

/** Has something read in the thread. @throws ResourceTrouble where the content is to blame */
async function inThread<Answer extends object>(
  task: InspectTask,
  transferList: MessagePort[] = [],
): Promise<Answer> {
  const signal = AbortSignal.timeout(INSPECT_SECONDS * 1000);
  let answer: Answer | { trouble: string };
  try {
    answer = await inspector().run(task, { signal, transferList });
  } catch (error) {
    // A thread that ran out of memory or time is gone, and the next upload has a new one.
    if (signal.aborted)
      throw new ResourceTrouble(`could not be read in ${INSPECT_SECONDS} seconds. Save it more simply.`);
    console.error(`Upload: ${(error as Error).message}`);
    throw new ResourceTrouble('could not be read: it takes more memory than is allowed. Make it smaller.');
  }
  if ('trouble' in answer) throw new ResourceTrouble(answer.trouble);
  return answer;
}

/** What a content says of itself. */
async function inspected(
  task: InspectTask & { ask: 'inspect' },
  onPages: ((pages: PagesRead) => void) | undefined,
): Promise<{ facts: unknown }> {
  if (!onPages) return inThread(task);
  const { port1, port2 } = new MessageChannel();
  port1.on('message', onPages);
  try {
    return await inThread({ ...task, progress: port2 }, [port2]);
  } finally {
    port1.close();
  }
}

/** A resource of a workspace, as its books may name it. */
export interface KeptResource extends Omit<NamedResource, 'rights'> {
  rights: Rights;
  size: number;
}

const columns = {
  type: resource.type,
  hash: resource.hash,
  name: resource.name,
  size: resource.size,
  facts: resource.facts,
  rights: resource.rights,
};

/** Of a workspace, and not removed. */
export const onOffer = (workspaceId: string) =>
  and(eq(resource.workspaceId, workspaceId), isNull(resource.removedAt));

/** The resources of a workspace, by name. @param type of them all; every type if left out */
export const listResources = (workspaceId: string, type?: string): Promise<KeptResource[]> =>
  db()
    .select(columns)
    .from(resource)
    .where(and(onOffer(workspaceId), type ? eq(resource.type, type) : undefined))
    .orderBy(asc(resource.name), asc(resource.hash));

/** A folder for something on its way into the store; whoever asks for it removes it. */
export async function scratchFolder(): Promise<string> {
  const aside = join(settings().QUILL_FILES, 'making');
  await mkdir(aside, { recursive: true });
  return mkdtemp(join(aside, 'upload-'));
}

/** What a workspace says of a resource that it uploads. */
export interface Upload {
  type: string;
  name: string;
  rights?: Rights | undefined;
}

const tooLong = (max: number) =>
  new ResourceTrouble(
    `has more than the ${Math.round(max / 1048576)} MB that are allowed. Make it smaller or split it.`,
  );

/**
 * Takes an upload as it comes: writes it aside no further than it may be long, makes of it what books use, reads that in a
 * thread, and keeps it. The same content is kept once, under its newest name.
 * @returns what is kept: one content, or several where the upload held several
 * @throws ResourceTrouble for one that is too long, or that no book could use; nothing is kept then
 */
export async function keepUpload(
  workspaceId: string,
  upload: Upload,
  content: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
  onPages?: (pages: PagesRead) => void,
): Promise<KeptResource[]> {
  const { type } = upload;
  const { mostBytes } = resourceType(type);
  const folder = await scratchFolder();
  const path = join(folder, 'content');
  try {
    let size = 0;
    await pipeline(
      content,
      async function* (chunks: AsyncIterable<Uint8Array> | Iterable<Uint8Array>) {
        for await (const chunk of chunks) {
          size += chunk.length;
          if (size > mostBytes) throw tooLong(mostBytes);
          yield chunk;
        }
      },
      createWriteStream(path),
    );
    if (!Object.hasOwn(PREPARE, type)) return [await keepFile(workspaceId, upload, path, { onPages })];
    const task = { ask: 'prepare', path, type, name: upload.name, folder } as const;
    const { prepared } = await inThread<{ prepared: { name: string; path: string }[] }>(task);
    const kept: KeptResource[] = [];
    for (const one of prepared)
      kept.push(await keepFile(workspaceId, { ...upload, name: one.name.slice(0, 100) }, one.path));
    return kept;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** As keepUpload, of a content that is kept as it is. */
export async function keepResource(...given: Parameters<typeof keepUpload>): Promise<KeptResource> {
  const [kept] = await keepUpload(...given);
  return kept!;
}

/**
 * As keepResource, of a finished local file.
 * @param expected the hash that its content was named by
 * @param onPages told how far something with pages was read
 */
export async function keepFile(
  workspaceId: string,
  { type: typeId, name, rights = {} }: Upload,
  path: string,
  { expected, onPages }: { expected?: string; onPages?: ((pages: PagesRead) => void) | undefined } = {},
): Promise<KeptResource> {
  const { mostBytes } = resourceType(typeId);
  const content = await contentOf(path);
  const hash = `sha256-${content.hash}`;
  if (expected !== undefined && hash !== expected)
    throw new ResourceTrouble('is not what the recipe names: its content was changed or is cut off.');
  if (content.size > mostBytes) throw tooLong(mostBytes);
  const { facts } = await inspected({ ask: 'inspect', path, type: typeId, hash }, onPages);
  await whenStoreIsThere(() => fileStore().take(path, content));
  const row = { type: typeId, hash, name, size: content.size, facts, rights };
  await db()
    .insert(resource)
    .values({ workspaceId, ...row })
    .onConflictDoUpdate({
      target: [resource.workspaceId, resource.type, resource.hash],
      set: { name, rights, facts, removedAt: null },
    });
  return row;
}

/** What comes with the program itself: read before it was shipped, so that nobody reads it again. */
export interface Shipped extends Pick<KeptResource, 'type' | 'hash' | 'name' | 'facts'> {
  content: Uint8Array;
}

/** Puts what comes with the program into a workspace, all in one statement. Contents that the store has are not written again. */
export async function keepShipped(workspaceId: string, shipped: readonly Shipped[]): Promise<void> {
  const folder = await scratchFolder();
  try {
    for (const { hash, content } of shipped) {
      const named = { hash: hash.replace('sha256-', ''), size: content.length };
      if (await fileStore().has(named.hash)) continue;
      const path = join(folder, named.hash);
      await writeFile(path, content);
      await fileStore().take(path, named);
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
  const rows = shipped.map(({ content, ...row }) => ({
    workspaceId,
    size: content.length,
    rights: {},
    ...row,
  }));
  await db().insert(resource).values(rows).onConflictDoNothing();
}

/** Of the resources of a recipe, the hashes of those that the workspace has. */
export async function ownContents(
  workspaceId: string,
  { resources }: Pick<Recipe, 'resources'>,
): Promise<string[]> {
  const hashes = [...new Set(Object.values(resources).map(({ hash }) => hash))];
  if (hashes.length === 0) return [];
  const rows = await db()
    .selectDistinct({ hash: resource.hash })
    .from(resource)
    .where(and(eq(resource.workspaceId, workspaceId), inArray(resource.hash, hashes)));
  return rows.map(({ hash }) => hash);
}

/** Whether the workspace has a content of that hash. */
export async function hasContent(workspaceId: string, hash: string): Promise<boolean> {
  const rows = await db()
    .select({ hash: resource.hash })
    .from(resource)
    .where(and(eq(resource.workspaceId, workspaceId), eq(resource.hash, hash)))
    .limit(1);
  return rows.length > 0;
}

/** Keeps what an older recipe held inside and the newer one names. */
export async function keepContents(
  workspaceId: string,
  recipe: Recipe,
  contents: ReadonlyMap<string, Uint8Array>,
): Promise<void> {
  for (const { type, hash, name, rights } of Object.values(recipe.resources)) {
    const bytes = contents.get(hash);
    if (bytes) await keepResource(workspaceId, { type, name, rights }, [bytes]);
  }
}
