import { once } from 'node:events';
import { createWriteStream, type WriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { type Recipe, type RecipeProblem, readRecipe } from '#core/book/recipe.ts';
import { decodeJson } from '#core/decode-text.ts';
import { BOOK_FILE_LIMITS, BookFileTrouble, isZip, packBook, unpackBook } from '#core/export/book-file.ts';
import { ResourceTrouble, resourceType } from '#core/resources/index.ts';
import { createBook } from './books.ts';
import { newId } from './ids.ts';
import { storeName } from './resources/loader.ts';
import { keepContents, keepFile, ownContents, scratchFolder } from './resources/resources.ts';
import { fileStore } from './store/index.ts';

export type OpenedFile = { id: string } | { problems: string[] };

const said = ({ path, message }: RecipeProblem) => `${path} ${message}`;

/**
 * Opens a book from a file as it comes: a recipe, or the ZIP of a book with its resources. A copy gets an id of its own,
 * so that it never stands in the way of the book it came from.
 */
export async function openBookFile(
  workspaceId: string,
  content: AsyncIterable<Uint8Array>,
): Promise<OpenedFile> {
  const chunks = content[Symbol.asyncIterator]();
  const first = await chunks.next();
  if (first.done) return { problems: ['The file is empty.'] };
  const whole = (async function* () {
    yield first.value;
    for (;;) {
      const next = await chunks.next();
      if (next.done) return;
      yield next.value;
    }
  })();
  return isZip(first.value) ? openZip(workspaceId, whole) : openRecipe(workspaceId, whole);
}

async function openRecipe(workspaceId: string, content: AsyncIterable<Uint8Array>): Promise<OpenedFile> {
  const max = BOOK_FILE_LIMITS.recipe;
  const parts: Uint8Array[] = [];
  let size = 0;
  for await (const part of content) {
    size += part.length;
    if (size > max) return { problems: [`A recipe can have at most ${max / 1048576} MB.`] };
    parts.push(part);
  }
  let value: unknown;
  try {
    value = decodeJson(Buffer.concat(parts), max);
  } catch {
    return { problems: ['The file is neither JSON nor a ZIP. Choose a recipe.json, or the ZIP of a book.'] };
  }
  return keepBook(workspaceId, value, new Map());
}

async function openZip(workspaceId: string, content: AsyncIterable<Uint8Array>): Promise<OpenedFile> {
  const folder = await scratchFolder();
  const files = new Map<string, { path: string; stream: WriteStream }>();
  try {
    const value = await unpackBook(content, async (hash, chunk) => {
      let file = files.get(hash);
      if (!file) {
        const path = join(folder, hash);
        file = { path, stream: createWriteStream(path) };
        files.set(hash, file);
      }
      if (chunk === null) file.stream.end();
      else if (!file.stream.write(chunk)) await once(file.stream, 'drain');
      if (chunk === null) await finished(file.stream);
    });
    return await keepBook(workspaceId, value, new Map([...files].map(([hash, { path }]) => [hash, path])));
  } catch (error) {
    if (error instanceof BookFileTrouble) return { problems: [`The ZIP ${error.message}`] };
    throw error;
  } finally {
    for (const { stream } of files.values()) stream.destroy();
    await rm(folder, { recursive: true, force: true });
  }
}

/** @param files paths of contents that came along, by the hash they are named by */
async function keepBook(
  workspaceId: string,
  value: unknown,
  files: ReadonlyMap<string, string>,
): Promise<OpenedFile> {
  const read = readRecipe(
    value !== null && typeof value === 'object' && !Array.isArray(value) ? { ...value, id: newId() } : value,
  );
  if (read.problems) return { problems: read.problems.map(said) };
  const { recipe, contents } = read;
  const problems: string[] = [];
  for (const { type, hash, name, rights } of Object.values(recipe.resources)) {
    const path = files.get(hash);
    if (!path) continue;
    try {
      await keepFile(workspaceId, { type, name, rights }, path, { expected: hash });
    } catch (error) {
      if (!(error instanceof ResourceTrouble)) throw error;
      problems.push(`${resourceType(type).name} “${name}” ${error.message}`);
    }
  }
  if (problems.length) return { problems };
  await keepContents(workspaceId, recipe, contents);
  return { id: await createBook(workspaceId, recipe) };
}

/** Writes a book with its resources as one ZIP, no faster than it is taken. What is missing is left out. */
export async function writeBookFile(workspaceId: string, recipe: Recipe, to: Writable): Promise<void> {
  const own = new Set(await ownContents(workspaceId, recipe));
  await packBook(
    recipe,
    async (hash) => (own.has(hash) ? ((await fileStore().open(storeName(hash)))?.stream ?? null) : null),
    async (chunk) => {
      if (!to.write(chunk)) await Promise.race([once(to, 'drain'), once(to, 'close')]);
      if (to.destroyed) throw new Error('The download was broken off.');
    },
  );
  to.end();
}
