import { Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { decodeJson } from '../decode-text.ts';
import { type NamedResource, resourceType } from '../resources/index.ts';

/** Name of the recipe in the ZIP of a book. */
const RECIPE = 'recipe.json';
const FOLDER = 'resources/';
/** The names of resources in the ZIP: the hash of the content, and an ending for other programs. */
const RESOURCE_NAME = /^resources\/([0-9a-f]{64})(?:\.[a-z0-9]{1,8})?$/;
/** Entries carry no time of day, so that the same book gives the same bytes. */
const DATE = new Date(2000, 0, 1);
/** Of packed bytes given to the reader at once: what they may grow to is looked at in between. */
const CHUNK = 16 * 1024;

/** The end of a ZIP is looked for in so many of its last bytes: it may be followed by a short comment. */
const TAIL = 1024;

const MB = 1024 * 1024;

/** What the ZIP of a book may hold, in bytes. */
export const BOOK_FILE_LIMITS = {
  recipe: 4 * MB,
  entry: 200 * MB,
  total: 1024 * MB,
  entries: 5001,
  /** How often larger an entry may become than it was packed; text shrinks to a tenth at most. */
  ratio: 200,
  /** Under this an entry may be packed as well as it likes. */
  ratioFrom: MB,
} as const;

/** Why a ZIP is no book that can be opened, as a sentence. */
export class BookFileTrouble extends Error {
  override name = 'BookFileTrouble';
}

/** The name of a resource in the ZIP of a book. */
export const resourceFileName = ({ hash, type }: Pick<NamedResource, 'hash' | 'type'>): string =>
  `${FOLDER}${hash.slice('sha256-'.length)}.${resourceType(type).extension}`;

/**
 * Writes a book as one file: its recipe and the content of its resources, each once.
 * @param contents chunks of a content by its hash; null for one that is missing, which is left out and named in the answer
 * @returns the resources that were left out
 */
export async function packBook(
  recipe: { resources: Readonly<Record<string, NamedResource>> },
  contents: (hash: string) => Promise<AsyncIterable<Uint8Array> | null>,
  sink: (chunk: Uint8Array) => void | Promise<void>,
): Promise<NamedResource[]> {
  let waiting: Uint8Array[] = [];
  let failed: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) failed = error;
    else waiting.push(chunk);
  });
  const flush = async () => {
    if (failed) throw failed;
    const ready = waiting;
    waiting = [];
    for (const chunk of ready) await sink(chunk);
  };
  const text = new ZipDeflate(RECIPE, { level: 6 });
  text.mtime = DATE;
  zip.add(text);
  text.push(new TextEncoder().encode(`${JSON.stringify(recipe, null, 2)}\n`), true);
  await flush();
  const missing: NamedResource[] = [];
  const written = new Set<string>();
  for (const resource of Object.values(recipe.resources)) {
    const name = resourceFileName(resource);
    if (written.has(resource.hash)) continue;
    written.add(resource.hash);
    const content = await contents(resource.hash);
    if (!content) {
      missing.push(resource);
      continue;
    }
    // Pictures and PDFs are packed already.
    const entry = /\.txt$/.test(name) ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    entry.mtime = DATE;
    zip.add(entry);
    for await (const chunk of content) {
      entry.push(chunk);
      await flush();
    }
    entry.push(new Uint8Array(0), true);
    await flush();
  }
  zip.end();
  await flush();
  return missing;
}

/** Whether bytes begin as a ZIP file does (APPNOTE.TXT 4.3.7). */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/**
 * Reads a book from its ZIP, chunk by chunk. Entries with other names than a book has are refused, and so is one that
 * grows beyond the limits: nothing is trusted that the ZIP says of its own sizes.
 * @param onContent takes a resource by chunks; called with null at its end
 * @returns the recipe as it stands in the ZIP, parsed, but not read
 * @throws BookFileTrouble
 */
export async function unpackBook(
  chunks: AsyncIterable<Uint8Array>,
  onContent: (hash: string, chunk: Uint8Array | null) => void | Promise<void>,
): Promise<unknown> {
  const limits = BOOK_FILE_LIMITS;
  let packed = 0;
  let total = 0;
  let entries = 0;
  let recipe: Uint8Array[] | null = null;
  let open = 0;
  let trouble: Error | null = null;
  let found: { hash: string; chunk: Uint8Array | null }[] = [];
  const refuse = (message: string) => {
    trouble ??= new BookFileTrouble(message);
  };
  const unzip = new Unzip((file) => {
    if (trouble) return;
    const { name } = file;
    if (++entries > limits.entries) return refuse(`has more than ${limits.entries} files in it.`);
    if (name === FOLDER) return;
    const hash = RESOURCE_NAME.exec(name)?.[1];
    if (!hash && name !== RECIPE)
      return refuse(
        `has a file “${name.slice(0, 80)}” in it, which no book has. Only ${RECIPE} and ${FOLDER} belong there.`,
      );
    if (!hash && recipe) return refuse(`has two files ${RECIPE} in it.`);
    const before = packed;
    let size = 0;
    const max = hash ? limits.entry : limits.recipe;
    if (!hash) recipe = [];
    open++;
    file.ondata = (error, chunk, last) => {
      if (trouble) return;
      if (error) return refuse('is damaged. Pack the book again.');
      size += chunk.length;
      total += chunk.length;
      if (size > max || total > limits.total)
        return refuse(
          `holds more than is allowed: ${name} has over ${(max / MB).toFixed(0)} MB, or all together over ${(limits.total / MB).toFixed(0)} MB.`,
        );
      if (size > limits.ratioFrom && size > limits.ratio * (packed - before + CHUNK))
        return refuse(`has a file ${name} that grows more than ${limits.ratio} times. It is not opened.`);
      if (hash) found.push({ hash: `sha256-${hash}`, chunk });
      else recipe!.push(chunk);
      if (!last) return;
      open--;
      if (hash) found.push({ hash: `sha256-${hash}`, chunk: null });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  const push = async (chunk: Uint8Array, final: boolean) => {
    packed += chunk.length;
    try {
      unzip.push(chunk, final);
    } catch {
      refuse('is damaged. Pack the book again.');
    }
    const ready = found;
    found = [];
    for (const { hash, chunk: part } of trouble ? [] : ready) await onContent(hash, part);
    if (trouble) throw trouble;
  };
  let tail = new Uint8Array(0);
  for await (const chunk of chunks) {
    for (let from = 0; from < chunk.length; from += CHUNK)
      await push(chunk.subarray(from, from + CHUNK), false);
    tail = joined([tail, chunk.subarray(-TAIL)]).slice(-TAIL);
  }
  await push(new Uint8Array(0), true);
  if (open > 0 || !hasEnd(tail)) throw new BookFileTrouble('is cut off. Pack the book again.');
  if (!recipe) throw new BookFileTrouble(`has no ${RECIPE} in it.`);
  try {
    return decodeJson(joined(recipe), limits.recipe);
  } catch {
    throw new BookFileTrouble(`has a ${RECIPE} in it that is not JSON.`);
  }
}

/** Whether the last bytes hold the end of a central directory (APPNOTE.TXT 4.3.16), which a ZIP that is cut off lacks. */
const hasEnd = (tail: Uint8Array): boolean =>
  tail.some(
    (_, i) => tail[i] === 0x50 && tail[i + 1] === 0x4b && tail[i + 2] === 0x05 && tail[i + 3] === 0x06,
  );

function joined(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}
