import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { MessagePort } from 'node:worker_threads';
import { gatherBook } from '#core/book/gather-book.ts';
import { finished, troublesOfBook } from '#core/book/items.ts';
import { type PuzzleMark, puzzleMarks } from '#core/book/puzzle-marks.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { bookZip, smallFiles } from '#core/export/files.ts';
import { writeInteriorFile } from '#core/export/interior-file.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { storeLoader } from '../resources/loader.ts';

export interface FilesTask {
  recipe: unknown;
  /** Hashes of the contents that the workspace has. */
  own: string[];
  /** A folder of the task's own. */
  folder: string;
  progress: MessagePort;
}

export interface FilesMade {
  names: string[];
  puzzles: PuzzleMark[];
}

/** Makes all files of a book into the folder. Runs in a worker thread; nothing here touches the database. */
export default async function makeInThread({
  recipe: value,
  own,
  folder,
  progress,
}: FilesTask): Promise<FilesMade> {
  const recipe = parseRecipe(value);
  const type = typesetterFromDisk();
  const book = await gatherBook(recipe, storeLoader(own), type);
  const [trouble] = troublesOfBook(book);
  if (trouble) throw new Error(trouble);
  let total = 0;
  await writeInteriorFile(book, type, join(folder, 'interior.pdf'), (written, of) => {
    total = of;
    progress.postMessage({ done: written, of: of + 2, message: `Interior, page ${written} of ${of}` });
  });
  progress.postMessage({ done: total, of: total + 2, message: 'Wrap, front and listing' });
  const small = await smallFiles(book, type);
  for (const [name, bytes] of Object.entries(small)) await writeFile(join(folder, name), bytes);
  progress.postMessage({ done: total + 1, of: total + 2, message: 'Packing' });
  await writeFile(
    join(folder, 'book.zip'),
    await bookZip({ 'interior.pdf': await readFile(join(folder, 'interior.pdf')), ...small }),
  );
  return {
    names: ['interior.pdf', ...Object.keys(small), 'book.zip'],
    puzzles: await finished(puzzleMarks(book)),
  };
}
