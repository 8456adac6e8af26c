import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { MessagePort } from 'node:worker_threads';
import { bookFrom } from '#core/book/book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { bookZip, smallFiles } from '#core/export/files.ts';
import { writeInteriorFile } from '#core/export/interior-file.ts';
import { typesetterFromDisk } from '#core/scene/faces-from-disk.ts';

export interface PressTask {
  recipe: unknown;
  /** A folder of the task's own. */
  folder: string;
  progress: MessagePort;
}

/** Makes all files of a book into the folder. Runs in a worker thread; nothing here touches the database. */
export default async function press({ recipe: value, folder, progress }: PressTask): Promise<string[]> {
  const book = bookFrom(parseRecipe(value));
  const type = typesetterFromDisk();
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
  return ['interior.pdf', ...Object.keys(small), 'book.zip'];
}
