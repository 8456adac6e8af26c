import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { finished } from '#core/book/index.ts';
import { bookZip, smallFiles } from '#core/export/files.ts';
import { writeInteriorFile } from '#core/export/interior-file.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofSteps } from '#core/proof/index.ts';
import { BadCall } from './bad-call.ts';
import { saying, wholeBookFromFile } from './reading.ts';

/** Makes all files of a book into a folder, unless something must be fixed first. A file appears only when it is whole. */
export async function make(
  file: string,
  { out, anyway, json }: { out: string | undefined; anyway: boolean; json: boolean },
): Promise<number> {
  if (!out) throw new BadCall('Name the folder for the files: quill make book.json --out folder');
  const book = await wholeBookFromFile(file);
  const { recipe } = book;
  const type = typesetterFromDisk();
  const findings = anyway ? [] : await finished(proofSteps(book, type));
  const mustFix = findings.filter(({ severity }) => severity === 'fix');
  if (mustFix.length) {
    if (json) console.log(JSON.stringify({ mustFix: mustFix.length, findings: mustFix }, null, 2));
    else {
      for (const { message } of mustFix) console.error(`Must fix: ${message}`);
      console.error(
        `Nothing was made: ${mustFix.length} must be fixed first. With --anyway the files are made as they are.`,
      );
    }
    return 1;
  }
  const tty = process.stderr.isTTY && !json;
  const half = join(out, '.interior.pdf.part');
  try {
    await saying(out, async () => {
      await mkdir(out, { recursive: true });
      await writeInteriorFile(book, type, half, (written, of) => {
        if (tty) process.stderr.write(`\rinterior.pdf: page ${written} of ${of}`);
      });
      if (tty) process.stderr.write('\n');
      await rename(half, join(out, 'interior.pdf'));
      const small = await smallFiles(book, type);
      const all: Record<string, Uint8Array> = {
        'interior.pdf': await readFile(join(out, 'interior.pdf')),
        ...small,
      };
      for (const [name, bytes] of Object.entries(small)) await writeFile(join(out, name), bytes);
      await writeFile(join(out, `${recipe.id}.zip`), await bookZip(all));
      const names = [...Object.keys(all), `${recipe.id}.zip`];
      console.log(
        json ? JSON.stringify({ folder: out, files: names }) : `Made in ${out}: ${names.join(', ')}.`,
      );
    });
  } finally {
    // Renamed when it is whole; whatever else is left of it is of no use.
    await rm(half, { force: true }).catch(() => {});
  }
  return 0;
}
