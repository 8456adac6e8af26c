import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { deflateSync } from 'node:zlib';
import { eq, sql as raw } from 'drizzle-orm';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Recipe } from '#core/book/index.ts';
import { firstPages } from '#core/export/first-pages.ts';
import { readFace } from '#core/faces/faces-from-disk.ts';
import { withFsType } from '#core/faces/fonts.sample.ts';
import { gather, hashOf, writeWords } from '#core/resources/index.ts';
import { plainPdf, rawPdf } from '#core/resources/pdf/pdf.sample.ts';
import { openBookFile, writeBookFile } from '#server/book-file.ts';
import { createBook, openBook, revisionOf } from '#server/books.ts';
import { bringUp } from '#server/bring-up.ts';
import { closeDatabase, db, sql } from '#server/db/client.ts';
import { book, bookRevision, job, workspace } from '#server/db/schema.ts';
import { newId } from '#server/ids.ts';
import { enqueueFiles, stopQueue } from '#server/jobs/queue.ts';
import { storeLoader } from '#server/resources/loader.ts';
import { keepResource, keepUpload, listResources, ownContents } from '#server/resources/resources.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;
let store: string;

beforeAll(async () => {
  store = mkdtempSync(join(tmpdir(), 'quill-files-'));
  process.env.QUILL_FILES = store;
  press = await openPress('quill_resources');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  own = newId();
  other = newId();
  await db()
    .insert(workspace)
    .values([
      { id: own, name: 'Tin Lantern Press' },
      { id: other, name: 'Somebody else' },
    ]);
});

const bees = writeWords([
  'swarm',
  'propolis',
  'drone',
  'nectar',
  'skep',
  'waggle',
  'brood',
  'queen',
  'comb',
  'veil',
]);
const keepBees = (workspaceId: string) => keepResource(workspaceId, { type: 'words', name: 'Bees' }, [bees]);
const huntWith = (hash: string, more: object = {}): Recipe =>
  recipeOf(
    [{ id: 'w', kind: 'word-search', items: 2, options: { words: { bank: 'bees' }, wordsPerPuzzle: 10 } }],
    {
      id: newId(),
      resources: { bees: { type: 'words', hash, name: 'Bees', facts: { words: 10 } } },
      ...more,
    },
  );
async function* chunksOf(bytes: Uint8Array, size = 7000): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += size) yield bytes.subarray(at, at + size);
}
/** A variable font, packed for the web. */
const inter = readFileSync(
  createRequire(import.meta.url).resolve('inter-ui/variable-latin/InterVariable-subset.woff2'),
);
/** A WOFF of one table, which says that it is so long (WOFF 1.0, W3C, sections 3 and 4). */
function woffOf(table: Uint8Array, length: number): Uint8Array {
  const packed = deflateSync(table);
  const woff = Buffer.alloc(64 + packed.length);
  woff.write('wOFF\0\x01\0\0', 'latin1');
  woff.writeUInt16BE(1, 12);
  woff.write('glyf', 44);
  for (const [i, value] of [64, packed.length, length].entries()) woff.writeUInt32BE(value, 48 + 4 * i);
  woff.set(packed, 64);
  return woff;
}
const nothingAside = () => expect(readdirSync(join(store, 'making'))).toEqual([]);

describe('an upload', () => {
  it('is read, kept under its hash with what it says of itself, and shown to its workspace alone', async () => {
    const kept = await keepBees(own);
    expect(kept).toMatchObject({
      type: 'words',
      hash: hashOf(bees),
      name: 'Bees',
      facts: { words: 10 },
      size: bees.length,
    });
    expect(await listResources(own)).toEqual([kept]);
    expect(await listResources(other)).toEqual([]);
    nothingAside();
  });

  it('of the same content is kept once, under its newest name, for all workspaces together', async () => {
    await keepBees(own);
    await keepResource(own, { type: 'words', name: 'Hive', rights: { license: 'CC0' } }, chunksOf(bees, 3));
    expect(await listResources(own)).toMatchObject([{ name: 'Hive', rights: { license: 'CC0' } }]);
    await keepBees(other);
    const hex = hashOf(bees).slice(7);
    expect(readdirSync(join(store, hex.slice(0, 2)))).toEqual([hex.slice(2)]);
  });

  it.each([
    [
      'that is longer than allowed',
      'words',
      () => new Uint8Array(3 * 1024 * 1024).fill(97),
      /has more than the 2 MB/,
    ],
    ['that is no text', 'words', () => new Uint8Array([0xff, 0x00]), /is not text in UTF-8/],
    [
      'that is no picture',
      'picture',
      () => strToU8('<svg onload="alert(1)"/>'),
      /is not a readable picture|is a svg file/,
    ],
    ['that is no PDF', 'pdf', () => strToU8('%PDF-1.4 but not really'), /is not a readable PDF/],
    [
      'of a PDF that unpacks to far more than it is',
      'pdf',
      () => rawPdf(deflateSync(Buffer.alloc(300 * 1024 * 1024)), { filter: '/Filter/FlateDecode' }),
      /unpacks to far more than it is/,
    ],
    [
      'of a PDF with a page that has no size',
      'pdf',
      () => rawPdf('', { page: '/MediaBox[0 0 20000 9]' }),
      /has a page 1 that has no size that can be printed/,
    ],
    [
      'of a picture in a form that nobody prints',
      'picture',
      () => Buffer.from('R0lGODlhAQABAIAAAAAAAP///ywAAAAAAQABAAACAUwAOw==', 'base64'),
      /is a gif file\. Save it as PNG, JPEG, WebP or TIFF/,
    ],
    ['that is nothing', 'words', () => new Uint8Array(0), /is empty/],
    [
      'of artwork with a program in it',
      'artwork',
      () => strToU8('<svg viewBox="0 0 9 9"><path d="M0 0h9v9z"/><script>alert(1)</script></svg>'),
      /has a program in it/,
    ],
    ['that is no font', 'typeface', () => strToU8('%PDF-1.4 a font'), /is not a font/],
    [
      'of a font that may not be embedded',
      'typeface',
      () => withFsType(readFace('lora-bold'), 2),
      /may not be embedded: its license does not allow it/,
    ],
    ['of a packed font that is cut off', 'typeface', () => inter.subarray(0, 9000), /cannot be unpacked/],
    [
      'of a packed font with more in it than it says',
      'typeface',
      () => woffOf(new Uint8Array(90_000_000), 1000),
      /cannot be unpacked/,
    ],
    [
      'of a packed font that would be too large',
      'typeface',
      () => woffOf(new Uint8Array(1000), 0xf0000000),
      /more than 40 MB when it is unpacked/,
    ],
  ])('%s is refused, and nothing is left of it', async (_, type, content, message) => {
    await expect(keepResource(own, { type, name: 'x' }, chunksOf(content()))).rejects.toThrow(message);
    expect(await listResources(own)).toEqual([]);
    nothingAside();
  });

  it('that breaks off in the middle leaves nothing', async () => {
    const broken = async function* () {
      yield bees.subarray(0, 10);
      throw new Error('connection reset');
    };
    await expect(keepResource(own, { type: 'words', name: 'x' }, broken())).rejects.toThrow(
      'connection reset',
    );
    nothingAside();
  });

  it('of a variable font gives a typeface for each of its styles, with the rights that were said', async () => {
    const rights = { license: 'OFL 1.1', source: 'made up' };
    const upload = { type: 'typeface', name: 'inter.woff2', rights };
    const kept = await keepUpload(own, upload, chunksOf(inter));
    expect(kept.map(({ name }) => name)).toEqual([
      ...['Inter Thin', 'Inter ExtraLight', 'Inter Light', 'Inter Regular', 'Inter Medium'],
      ...['Inter SemiBold', 'Inter Bold', 'Inter ExtraBold', 'Inter Black'],
    ]);
    for (const one of kept) expect(one).toMatchObject({ rights, facts: { family: 'Inter Variable' } });
    expect(await listResources(own, 'typeface')).toHaveLength(9);
    nothingAside();
  });

  it('of a WebP, or of a TIFF with pages, gives pictures that books take, under its name', async () => {
    const page = (background: string) =>
      sharp({ create: { width: 20, height: 30, channels: 3, background } });
    const webp = await page('gold').webp({ lossless: true }).toBuffer();
    const [kept] = await keepUpload(own, { type: 'picture', name: 'Gold' }, chunksOf(webp));
    expect(kept).toMatchObject({ name: 'Gold', facts: { width: 20, height: 30 } });
    const tiff = await sharp([await page('red').png().toBuffer(), await page('blue').png().toBuffer()], {
      join: { animated: true },
    })
      .tiff()
      .toBuffer();
    const pages = await keepUpload(own, { type: 'picture', name: 'Scan' }, chunksOf(tiff));
    expect(pages.map(({ name }) => name)).toEqual(['Scan 1', 'Scan 2']);
    expect(new Set(pages.map(({ hash }) => hash)).size).toBe(2);
    nothingAside();
  });

  it('of a PDF says how many pages it has, and how far each of them was read meanwhile', async () => {
    const bytes = await plainPdf(12);
    const told: number[] = [];
    const [kept] = await keepUpload(
      own,
      { type: 'pdf', name: 'Almanac' },
      chunksOf(bytes),
      ({ read, of }) => {
        expect(of).toBe(12);
        told.push(read);
      },
    );
    expect(kept).toMatchObject({ facts: { pages: 12 } });
    expect(told.length).toBeGreaterThan(0);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBeLessThanOrEqual(12);
  });

  it('of a picture says its size', async () => {
    const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: 'gold' } })
      .png()
      .toBuffer();
    expect(await keepResource(own, { type: 'picture', name: 'Gold' }, chunksOf(png))).toMatchObject({
      facts: { width: 40, height: 30 },
    });
  });
});

describe('a content', () => {
  it('is given out to those who have it, and to nobody who only knows its hash', async () => {
    const { hash } = await keepBees(own);
    const recipe = huntWith(hash);
    expect([await ownContents(own, recipe), await ownContents(other, recipe)]).toEqual([[hash], []]);
    const mine = await gather(recipe.resources, storeLoader([hash]));
    const theirs = await gather(recipe.resources, storeLoader([]));
    expect([mine.has('bees'), theirs.trouble('bees')]).toEqual([
      true,
      'Word bank “Bees” is missing. Open the book from its ZIP, or choose another.',
    ]);
  });
});

describe('the file of a book', () => {
  const packed = async (workspaceId: string, recipe: Recipe) => {
    const stream = new PassThrough();
    const [bytes] = await Promise.all([buffer(stream), writeBookFile(workspaceId, recipe, stream)]);
    return new Uint8Array(bytes);
  };

  it('opens in another workspace with all that it uses, as a book of its own', async () => {
    const { hash } = await keepBees(own);
    const recipe = huntWith(hash);
    const opened = await openBookFile(other, chunksOf(await packed(own, recipe)));
    const { id } = opened as { id: string };
    const copy = (await openBook(other, id))!.recipe;
    expect(copy).toEqual({ ...recipe, id });
    expect(await listResources(other)).toMatchObject([{ hash, name: 'Bees' }]);
    nothingAside();
  });

  it('holds nothing that the workspace does not have', async () => {
    const { hash } = await keepBees(own);
    const bytes = await packed(other, huntWith(hash));
    const { id } = (await openBookFile(other, chunksOf(bytes))) as { id: string };
    expect(await listResources(other)).toEqual([]);
    expect(await openBook(other, id)).not.toBeNull();
  });

  it('a recipe alone opens in UTF-16 too, as some editors save it', async () => {
    const { hash } = await keepBees(own);
    const text = `\uFEFF${JSON.stringify({ ...huntWith(hash), title: 'Ruche à cadres' })}`;
    const { id } = (await openBookFile(own, chunksOf(Buffer.from(text, 'utf16le')))) as { id: string };
    expect((await openBook(own, id))!.recipe.title).toBe('Ruche à cadres');
  });

  it('a recipe alone opens too, and finds what the workspace has already', async () => {
    const { hash } = await keepBees(own);
    const json = strToU8(JSON.stringify(huntWith(hash)));
    const { id } = (await openBookFile(own, chunksOf(json, 100))) as { id: string };
    expect(await ownContents(own, (await openBook(own, id))!.recipe)).toEqual([hash]);
  });

  const recipe = huntWith(hashOf(bees));
  const inZip = (more: Record<string, Uint8Array>) =>
    zipSync({ 'recipe.json': strToU8(JSON.stringify(recipe)), ...more });
  const place = `resources/${hashOf(bees).slice(7)}.txt`;
  it.each([
    ['nothing', new Uint8Array(0), /is empty/],
    ['no recipe', strToU8('<html>'), /neither JSON nor a ZIP/],
    ['another recipe', strToU8('{"quill": 7}'), /quill is 7\. This program reads recipes up to version 4/],
    ['a ZIP with a path outside itself', inZip({ '../../x': bees }), /The ZIP has a file “..\/..\/x” in it/],
    [
      'a ZIP with a changed resource',
      inZip({ [place]: strToU8('other') }),
      /Word bank “Bees” is not what the recipe names/,
    ],
    ['a ZIP that is cut off', inZip({ [place]: bees }).subarray(0, 300), /is cut off|is damaged/],
    ['a recipe that is too long', new Uint8Array(5 * 1024 * 1024).fill(32), /at most 4 MB/],
  ])('with %s is refused with the reason, and nothing is kept', async (_, bytes, message) => {
    const opened = await openBookFile(own, chunksOf(bytes));
    expect((opened as { problems: string[] }).problems.join(' ')).toMatch(message);
    expect(await listResources(own)).toEqual([]);
    expect(await db().select().from(book).where(eq(book.workspaceId, own))).toEqual([]);
    nothingAside();
  });
});

describe('bringing up what an earlier program stored', () => {
  const old = (id: string) => ({
    quill: 1,
    id,
    seed: 'moth-7',
    title: 'An old book',
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    banks: { bees: { name: 'Bees', words: ['queen', 'drone'] } },
    sections: [{ id: 'w', kind: 'word-search', items: 1, options: { words: { bank: 'bees' } } }],
  });

  it('gives every revision of every book its words as a resource, and leaves what it cannot read', async () => {
    const id = await createBook(own, huntWith(hashOf(bees)));
    await db()
      .update(book)
      .set({ recipe: old(id) as never, summary: null })
      .where(eq(book.id, id));
    await db()
      .update(bookRevision)
      .set({ recipe: old(id) as never })
      .where(eq(bookRevision.bookId, id));
    const strange = await createBook(own, huntWith(hashOf(bees)));
    await db()
      .update(book)
      .set({ recipe: { quill: 1, title: 7 } as never })
      .where(eq(book.id, strange));
    await bringUp();
    const words = writeWords(['queen', 'drone']);
    expect((await openBook(own, id))!.recipe.resources.bees).toMatchObject({ hash: hashOf(words) });
    expect((await revisionOf(own, id, 1))!.resources.bees).toMatchObject({ hash: hashOf(words) });
    expect(await listResources(own)).toMatchObject([{ name: 'Bees', hash: hashOf(words) }]);
    const [kept] = await db().select().from(book).where(eq(book.id, strange));
    expect(kept!.recipe).toEqual({ quill: 1, title: 7 });
    const [stored] = await db()
      .select({ quill: raw`${book.recipe}->>'quill'` })
      .from(book)
      .where(eq(book.id, id));
    expect(stored!.quill).toBe('4');
    const drawn = await gather((await openBook(own, id))!.recipe.resources, storeLoader([hashOf(words)]));
    expect(drawn.has('bees')).toBe(true);
  });

  it('moves word banks that were rows into the store, once', async () => {
    await sql()`create table if not exists earlier_word_bank (id text, workspace_id text, name text, words jsonb, created_at timestamptz)`;
    await sql()`insert into earlier_word_bank values ('b', ${own}, 'Moths', ${'["hawk","tiger"]'}::text::jsonb)`;
    await bringUp();
    expect(await listResources(own)).toMatchObject([{ name: 'Moths', facts: { words: 2 } }]);
    await bringUp();
    expect(await listResources(own)).toHaveLength(1);
  });
});

describe('a book whose words are missing', () => {
  it('has pictures of its pages all the same, and its job says what it lacks', async () => {
    const id = await createBook(own, huntWith(hashOf(bees)));
    const recipe = (await openBook(own, id))!.recipe;
    const { bookFrom } = await import('#core/book/index.ts');
    const { typesetterFromDisk } = await import('#core/faces/faces-from-disk.ts');
    const lacking = bookFrom(recipe, await gather(recipe.resources, storeLoader([])));
    expect(await firstPages(lacking, typesetterFromDisk())).not.toBeNull();
    const queued = await enqueueFiles(own, id, 1);
    const { default: makeInThread } = await import('#server/jobs/thread.ts');
    const { port1, port2 } = new MessageChannel();
    await expect(makeInThread({ recipe, own: [], folder: store, progress: port2 as never })).rejects.toThrow(
      'Word bank “Bees” is missing. Open the book from its ZIP, or choose another.',
    );
    port1.close();
    expect((await db().select().from(job).where(eq(job.id, queued)))[0]!.state).toBe('queued');
  });
});
