import { createHash } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument, StandardFonts } from '@cantoo/pdf-lib';
import { beforeAll, describe, expect, it } from 'vitest';
import { bookFrom, type Recipe } from '#core/book/index.ts';
import { smallFiles, writeInterior } from '#core/export/files.ts';
import { listingSheet } from '#core/export/listing.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { beekeeper, hedgerow, recipeOf } from '../../tests/support/books.ts';
import { wrenfairApp } from './app.ts';
import type { Listing } from './listing.ts';
import { review } from './reviewer.ts';

const type = typesetterFromDisk();

async function filesOf(recipe: Recipe) {
  const chunks: Uint8Array[] = [];
  await writeInterior(bookFrom(recipe), type, (chunk) => {
    chunks.push(chunk);
  });
  return {
    interior: new Uint8Array(Buffer.concat(chunks)),
    wrap: (await smallFiles(bookFrom(recipe), type))['wrap.pdf'],
    listing: listingSheet(bookFrom(recipe)) as unknown as Listing,
  };
}

describe('the reviewer', () => {
  let good: Awaited<ReturnType<typeof filesOf>>;
  beforeAll(async () => {
    good = await filesOf(beekeeper);
  });

  it('finds nothing in books as they should be, with bleed and without', async () => {
    expect(await review(good.listing, good.interior, good.wrap)).toEqual([]);
    const bled = await filesOf(hedgerow);
    expect(await review(bled.listing, bled.interior, bled.wrap)).toEqual([]);
  });

  it('rejects the wrap of another page count, another title, a wrong price, and what is no PDF', async () => {
    const thicker = await filesOf({
      ...beekeeper,
      sections: beekeeper.sections.map((one) =>
        'kind' in one && one.kind === 'ruled' ? { ...one, pages: 60 } : one,
      ),
    });
    expect((await review(good.listing, good.interior, thicker.wrap)).join()).toMatch(
      /The wrap is .* with a spine of/,
    );
    expect((await review(good.listing, thicker.interior, good.wrap)).join()).toMatch(
      /160 pages, the listing says 112/,
    );
    expect(
      (
        await review({ ...good.listing, title: 'The Beekeeper’s Word Hnut' }, good.interior, good.wrap)
      ).join(),
    ).toMatch(/title on the cover is not/);
    expect(
      (await review({ ...good.listing, penName: 'Odile Morrow' }, good.interior, good.wrap)).join(),
    ).toMatch(/author on the cover is not “Odile Morrow”/);
    expect(
      (
        await review({ ...good.listing, prices: [{ market: 'us', price: 3.5 }] }, good.interior, good.wrap)
      ).join(),
    ).toMatch(/under the lowest, 3\.66/);
    expect(await review(good.listing, new Uint8Array([1, 2, 3]), good.wrap)).toEqual([
      'The interior is not a PDF that can be opened.',
    ]);
    expect(
      (
        await review({ ...good.listing, trim: { width: '5 in', height: '8 in' } }, good.interior, good.wrap)
      ).join(),
    ).toMatch(/Interior page 1 is 6\.000 in/);
  });
});

describe('the reviewer, of files that were tampered with', () => {
  let good: Awaited<ReturnType<typeof filesOf>>;
  beforeAll(async () => {
    good = await filesOf(beekeeper);
  });
  /** The file after a change made to it with a library of other people. */
  async function changed(bytes: Uint8Array, change: (file: PDFDocument) => unknown): Promise<Uint8Array> {
    const file = await PDFDocument.load(bytes);
    await change(file);
    return file.save();
  }
  const inside = async (change: (file: PDFDocument) => unknown, listing = good.listing) =>
    review(listing, await changed(good.interior, change), good.wrap);
  const cover = async (change: (file: PDFDocument) => unknown) =>
    review(good.listing, good.interior, await changed(good.wrap, change));

  it('a page less is told twice: it is not what the listing says, and odd', async () => {
    expect(await inside((file) => file.removePage(111))).toEqual([
      'The interior has 111 pages, the listing says 112.',
      'The interior has 111 pages; the count must be even.',
    ]);
  });

  it('a book too thin is told with what can be printed', async () => {
    const thin = { ...good.listing, pages: 20 };
    const told = await inside((file) => {
      for (let i = 111; i >= 20; i--) file.removePage(i);
    }, thin);
    expect(told.join(' ')).toMatch(/20 pages; 24 to \d+ can be printed on cream paper\./);
  });

  it('one page of another size is found, wherever it is', async () => {
    expect(await inside((file) => file.getPage(57).setMediaBox(0, 0, 432, 640))).toEqual([
      'Interior page 58 is 6.000 in × 8.889 in; it should be 6.000 in × 9.000 in.',
    ]);
  });

  it('a trim box that is off by a sixteenth of an inch is found', async () => {
    expect(await inside((file) => file.getPage(3).setTrimBox(4.5, 0, 432, 648))).toEqual([
      'Interior page 4: the trim box is not where the page is cut.',
    ]);
  });

  it('type that is not embedded is named', async () => {
    const told = await inside(async (file) => {
      const font = await file.embedFont(StandardFonts.Courier);
      file.getPage(9).drawText('added later', { font, x: 100, y: 100 });
    });
    expect(told).toEqual(['Fonts are not embedded: /Courier.']);
  });

  it('a wrap has one page, and the size that its spine asks for', async () => {
    expect(await cover((file) => file.addPage([100, 100]))).toEqual([
      'The wrap has 2 pages; it must have one.',
    ]);
    expect((await cover((file) => file.getPage(0).setMediaBox(0, 0, 890, 666))).join()).toMatch(
      /The wrap is 12\.361 in × 9\.250 in; with a spine of 0\.280 in it should be 12\.530 in × 9\.250 in\./,
    );
  });

  it('within a sixteenth of an inch a wrap is taken (common practice, no source)', async () => {
    const { width, height } = (await PDFDocument.load(good.wrap)).getPage(0).getMediaBox();
    for (const off of [-4, 4])
      expect(await cover((file) => file.getPage(0).setMediaBox(0, 0, width + off, height))).toEqual([]);
    expect(await cover((file) => file.getPage(0).setMediaBox(0, 0, width + 5, height))).toHaveLength(1);
  });

  it('a market without a price, and a paper that is not there, are told', async () => {
    expect(
      await review({ ...good.listing, prices: [{ market: 'gb', price: null }] }, good.interior, good.wrap),
    ).toEqual(['The price for UK is missing.']);
    expect(await review({ ...good.listing, paper: 'pink' }, good.interior, good.wrap)).toEqual([
      'There is no pink paper.',
    ]);
  });

  it('both files damaged are told at once', async () => {
    expect(await review(good.listing, new Uint8Array(), new Uint8Array([0x25, 0x50]))).toEqual([
      'The interior is not a PDF that can be opened.',
      'The wrap is not a PDF that can be opened.',
    ]);
  });
});

describe('submissions over HTTP', () => {
  const authorization = 'Bearer k';
  const app = wrenfairApp({
    folder: mkdtempSync(join(tmpdir(), 'wrenfair-')),
    key: 'k',
    behavior: { reviewSeconds: 0 },
  });
  const send = (method: string, path: string, body?: BodyInit, headers: Record<string, string> = {}) =>
    app.request(path, {
      method,
      ...(body === undefined ? {} : { body }),
      headers: { authorization, ...headers },
    });

  it('the same key makes one submission, damaged uploads are refused, and the answer comes', async () => {
    const { listing, interior, wrap } = await filesOf(recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }]));
    const open = async () =>
      (
        await send('POST', '/submissions', JSON.stringify({ revision: 'a', listing }), {
          'idempotency-key': 'once',
        })
      ).json() as Promise<{ id: string }>;
    const { id } = await open();
    expect((await open()).id).toBe(id);
    const put = (part: string, bytes: Uint8Array, hash?: string) =>
      send('PUT', `/submissions/${id}/${part}`, bytes as unknown as BodyInit, {
        'content-sha256': hash ?? createHash('sha256').update(bytes).digest('hex'),
      });
    expect((await put('interior', interior, '0'.repeat(64))).status).toBe(422);
    expect((await send('POST', `/submissions/${id}/review`)).status).toBe(422);
    expect((await put('interior', interior)).status).toBe(204);
    expect((await put('wrap', wrap)).status).toBe(204);
    expect((await send('POST', `/submissions/${id}/review`)).status).toBe(200);
    expect(await (await send('GET', `/submissions/${id}`)).json()).toMatchObject({
      state: 'live',
      reasons: [],
    });
    expect((await put('wrap', wrap)).status).toBe(422);

    // Found by its key, and changed in place: what a live book is known by stays.
    const found = async (key: string) => (await send('GET', `/submissions?key=${key}`)).json();
    expect(await found('once')).toMatchObject([{ id, revision: 'a', onSale: { revision: 'a', updates: 0 } }]);
    expect(await found('never')).toEqual([]);
    const revise = (change: object, revision = 'b') =>
      send('PUT', `/submissions/${id}`, JSON.stringify({ revision, listing: { ...listing, ...change } }));
    expect((await revise({ title: 'Another' })).status).toBe(409);
    expect((await revise({ penName: 'Another' })).status).toBe(409);
    expect((await revise({ pages: 'many' })).status).toBe(422);
    expect(await found('once')).toMatchObject([{ state: 'live' }]);
    expect((await revise({ subtitle: 'Second edition' })).status).toBe(200);
    expect(await found('once')).toMatchObject([{ state: 'draft', revision: 'b', onSale: { revision: 'a' } }]);
    expect((await put('interior', interior)).status).toBe(204);
    // The same once more does not begin anew.
    expect((await revise({ subtitle: 'Second edition' })).status).toBe(200);
    expect((await put('wrap', wrap)).status).toBe(204);
    expect((await send('POST', `/submissions/${id}/review`)).status).toBe(200);
    expect(await found('once')).toMatchObject([{ state: 'live', onSale: { revision: 'b', updates: 1 } }]);
  });

  it('refuses strangers, nonsense and too much at once; is busy on request', async () => {
    expect((await app.request('/catalog/search?phrase=bee')).status).toBe(401);
    expect((await send('POST', '/submissions', '{"title": 1}', { 'idempotency-key': 'x' })).status).toBe(422);
    expect((await send('POST', '/submissions', '{}')).status).toBe(400);
    expect((await send('GET', '/submissions/none')).status).toBe(404);
    expect((await app.request('/behavior', { method: 'PUT', body: '{"busy": -1}' })).status).toBe(400);
    await app.request('/behavior', { method: 'PUT', body: '{"busy": 1}' });
    const busy = await send('GET', '/catalog/search?phrase=bee');
    expect([busy.status, busy.headers.get('retry-after')]).toEqual([429, '1']);
    expect((await send('GET', '/catalog/search?phrase=bee')).status).toBe(200);
  });
});
