import { appendFileSync, createReadStream, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { open, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { type Book, gatherBook, type Recipe, readRecipe, troublesOfBook } from '#core/book/index.ts';
import { decodeJson } from '#core/decode-text.ts';
import {
  BOOK_FILE_LIMITS,
  BookFileTrouble,
  isZip,
  resourceFileName,
  unpackBook,
} from '#core/export/book-file.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { type ResourceLoader, ResourceTrouble } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { BadCall } from './bad-call.ts';

/** A recipe and where the contents that it names are. */
export interface ReadBook {
  recipe: Recipe;
  /** The content of a hash as a file, or the bytes that an older recipe held; null where there is none. */
  content(hash: string): string | Uint8Array | null;
}

/**
 * Reads a recipe, with the folder `resources` beside it, or the ZIP of a book.
 * @throws BadCall that says what is wrong with the file and where
 */
export async function readBookFile(file: string): Promise<ReadBook> {
  let zipped: boolean;
  try {
    const start = new Uint8Array(4);
    const handle = await open(file);
    await handle.read(start, 0, 4, 0).finally(() => handle.close());
    zipped = isZip(start);
  } catch (error) {
    throw new BadCall(
      `${file} cannot be read: ${(error as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : (error as Error).message}.`,
    );
  }
  return zipped ? readZip(file) : readJson(file);
}

function readJson(file: string): ReadBook {
  let value: unknown;
  try {
    value = decodeJson(readFileSync(file), BOOK_FILE_LIMITS.recipe);
  } catch (error) {
    if (error instanceof SyntaxError) throw new BadCall(`${file} is not JSON: ${error.message}.`);
    throw new BadCall(
      `${file} is not a recipe: it is not text, or has more than ${BOOK_FILE_LIMITS.recipe / 1048576} MB.`,
    );
  }
  const { recipe, contents } = read(file, value);
  const beside = new Map(
    Object.values(recipe.resources).map((named) => [
      named.hash,
      join(dirname(file), resourceFileName(named)),
    ]),
  );
  return {
    recipe,
    content(hash) {
      const path = beside.get(hash);
      return contents.get(hash) ?? (path && existsSync(path) ? path : null);
    },
  };
}

async function readZip(file: string): Promise<ReadBook> {
  const folder = mkdtempSync(join(tmpdir(), 'quill-'));
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  const files = new Set<string>();
  let value: unknown;
  try {
    value = await unpackBook(createReadStream(file), (hash, chunk) => {
      files.add(hash);
      if (chunk) appendFileSync(join(folder, hash), chunk);
    });
  } catch (error) {
    throw error instanceof BookFileTrouble ? new BadCall(`${file} ${error.message}`) : error;
  }
  const { recipe, contents } = read(file, value);
  return {
    recipe,
    content: (hash) => contents.get(hash) ?? (files.has(hash) ? join(folder, hash) : null),
  };
}

function read(file: string, value: unknown) {
  const found = readRecipe(value);
  if (found.problems) {
    const lines = found.problems.map(({ path, message }) => `  ${path} ${message}`);
    throw new BadCall(`${file} is not a recipe this program can read:\n${lines.join('\n')}`);
  }
  return found;
}

/** The book of a file, with whatever of its resources is there. @throws BadCall */
export async function bookFromFile(file: string): Promise<Book> {
  const { recipe, content } = await readBookFile(file);
  const loader: ResourceLoader = {
    ...NODE_TOOLS,
    async load(hash, max) {
      const found = content(hash);
      if (typeof found !== 'string') return found;
      if ((await stat(found)).size > max) throw new ResourceTrouble('is larger than is allowed.');
      return readFileSync(found);
    },
  };
  return gatherBook(recipe, loader, typesetterFromDisk());
}

/** As bookFromFile, for what needs all of a book. @throws BadCall that names what it lacks, and where it would be looked for */
export async function wholeBookFromFile(file: string): Promise<Book> {
  const book = await bookFromFile(file);
  const troubles = troublesOfBook(book);
  if (troubles.length === 0) return book;
  const wanted = Object.values(book.recipe.resources).map(
    (named) => `  “${named.name}”: ${join(dirname(file), resourceFileName(named))}`,
  );
  throw new BadCall(
    [...troubles.map((trouble) => `${file}: ${trouble}`), 'Resources are looked for here:', ...wanted].join(
      '\n',
    ),
  );
}

/** Does something with a folder; what keeps it from being written to is the caller's to mend. @throws BadCall */
export async function saying(folder: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOSPC')
      throw new BadCall(
        `The disk of ${folder} is full. Nothing half-made was left; free some room and run it again.`,
      );
    if (code === 'EACCES' || code === 'ENOTDIR' || code === 'EEXIST' || code === 'EROFS')
      throw new BadCall(`${folder} cannot be written to (${code}). Name another folder.`);
    throw error;
  }
}
