import { once } from 'node:events';
import { createReadStream, createWriteStream } from 'node:fs';
import { copyFile, mkdir, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { packBook, resourceFileName } from '#core/export/book-file.ts';
import { BadCall } from './bad-call.ts';
import { readBookFile, saying } from './reading.ts';

/** Writes a recipe and its resources as one ZIP; 1 when something that it names is missing. */
export async function pack(file: string, out: string | undefined, json: boolean): Promise<number> {
  if (!out) throw new BadCall('Name the ZIP to write: quill pack book.json --out book.zip');
  const { recipe, content } = await readBookFile(file);
  const half = `${out}.part`;
  let missing: { name: string; hash: string }[] = [];
  await saying(out, async () => {
    try {
      await mkdir(dirname(out), { recursive: true });
      const stream = createWriteStream(half);
      const done = new Promise<void>((resolve, reject) => stream.on('close', resolve).on('error', reject));
      done.catch(() => {});
      missing = await packBook(
        recipe,
        async (hash) => {
          const found = content(hash);
          if (found === null) return null;
          return typeof found === 'string' ? createReadStream(found) : chunksOf(found);
        },
        async (chunk) => {
          if (!stream.write(chunk)) await Promise.race([once(stream, 'drain'), done]);
        },
      );
      stream.end();
      await done;
      await rename(half, out);
    } finally {
      await rm(half, { force: true }).catch(() => {});
    }
  });
  if (json) console.log(JSON.stringify({ file: out, missing }));
  else {
    console.log(`Packed in ${out}.`);
    for (const { name, hash } of missing) console.log(`Missing: “${name}” (${hash}).`);
  }
  return missing.length ? 1 : 0;
}

async function* chunksOf(bytes: Uint8Array): AsyncGenerator<Uint8Array> {
  yield bytes;
}

/** Writes the recipe of a ZIP and its resources into a folder, as the other commands read them. */
export async function unpack(file: string, out: string | undefined, json: boolean): Promise<number> {
  if (!out) throw new BadCall('Name the folder to write: quill unpack book.zip --out folder');
  const { recipe, content } = await readBookFile(file);
  const files: string[] = [];
  await saying(out, async () => {
    await mkdir(join(out, 'resources'), { recursive: true });
    for (const named of Object.values(recipe.resources)) {
      const found = content(named.hash);
      if (found === null) continue;
      const name = resourceFileName(named);
      await (typeof found === 'string'
        ? copyFile(found, join(out, name))
        : writeFile(join(out, name), found));
      files.push(name);
    }
    await writeFile(join(out, 'recipe.json'), `${JSON.stringify(recipe, null, 2)}\n`);
    files.push('recipe.json');
  });
  console.log(
    json
      ? JSON.stringify({ folder: out, files })
      : `Unpacked in ${out}: recipe.json and ${files.length - 1} resources.`,
  );
  return 0;
}
