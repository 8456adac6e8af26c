import { createHash } from 'node:crypto';
import { PDFDocument } from '@cantoo/pdf-lib';
import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { decodePicture } from './decode-picture.ts';
import {
  gather,
  hashOf,
  type NamedResource,
  NOTHING_GATHERED,
  pdf,
  picture,
  type ResourceLoader,
  resourceTypes,
  texts,
  withResource,
  words,
  writeWords,
} from './index.ts';
import { NODE_TOOLS } from './node-tools.ts';

const utf8 = (text: string) => new TextEncoder().encode(text);

/** A loader over contents in memory, as a folder on disk would be: nothing is taken on trust. */
const holding = (...contents: Uint8Array[]): ResourceLoader => {
  const all = new Map(contents.map((bytes) => [hashOf(bytes), bytes]));
  return { ...NODE_TOOLS, load: async (hash) => all.get(hash) ?? null };
};
const named = (type: string, bytes: Uint8Array, facts: unknown, name = 'Bees'): NamedResource => ({
  type,
  hash: hashOf(bytes),
  name,
  facts,
});
const troubleOf = async (resource: NamedResource, loader: ResourceLoader) =>
  (await gather({ it: resource }, loader)).trouble('it');

const bees = writeWords(['queen', 'drone', 'mason bee']);

describe('gathering', () => {
  it('names contents by their SHA-256', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
        expect(hashOf(bytes)).toBe(`sha256-${createHash('sha256').update(bytes).digest('hex')}`);
      }),
    );
  });

  it('reads what is there, of the type that is asked for', async () => {
    const all = await gather(
      {
        bees: named('words', bees, { words: 3 }),
        dots: named('texts', utf8('One.\r\n\r\nTwo.'), { texts: 2 }),
      },
      holding(bees, utf8('One.\r\n\r\nTwo.')),
    );
    expect(all.value(words, 'bees')).toEqual(['queen', 'drone', 'mason bee']);
    expect(all.value(texts, 'dots')).toEqual(['One.', 'Two.']);
    expect(() => all.value(texts, 'bees')).toThrow(/no texts “bees”/);
    expect([all.has('bees'), all.has('wasps')]).toEqual([true, false]);
    expect(NOTHING_GATHERED.trouble('bees')).toBe('is not there.');
  });

  it('one that is missing, changed or says something else of itself is a trouble of that one alone', async () => {
    const wasps = writeWords(['hornet']);
    const all = await gather(
      {
        bees: named('words', bees, { words: 3 }),
        wasps: named('words', wasps, { words: 1 }, 'Wasps'),
        liar: named('words', bees, { words: 4 }, 'Liar'),
      },
      holding(bees),
    );
    expect(all.has('bees')).toBe(true);
    expect(all.trouble('wasps')).toBe(
      'Word bank “Wasps” is missing. Open the book from its ZIP, or choose another.',
    );
    expect(all.trouble('liar')).toMatch(/says {"words":4} of itself in the recipe, but has {"words":3}/);
    const cut: ResourceLoader = { ...NODE_TOOLS, load: async () => wasps.subarray(0, 3) };
    expect(await troubleOf(named('words', wasps, { words: 1 }), cut)).toMatch(/was changed or is cut off/);
    const broken: ResourceLoader = { ...NODE_TOOLS, load: () => Promise.reject(new Error('disk')) };
    await expect(gather({ it: named('words', utf8('new'), { words: 1 }) }, broken)).rejects.toThrow('disk');
  });

  it.each([
    ['words', new Uint8Array([0xff, 0xfe, 0x41]), /is not text in UTF-8/],
    ['words', utf8(' \n \n'), /is empty/],
    ['words', utf8('x'.repeat(61)), /has a line 1 of 61 characters; 60 are allowed/],
    ['words', utf8('a\u0007b'), /has control characters in line 1/],
    ['words', utf8('a\n'.repeat(20_001)), /has 20,001 lines; 20,000 are allowed/],
    ['words', new Uint8Array(3 * 1024 * 1024), /has more than 2 MB/],
    ['picture', utf8('GIF89a'), /is not a readable picture/],
    ['pdf', utf8('%PDF-1.7\n1 0 obj'), /is not a readable PDF, or is cut off/],
  ])('%s that are none are told from their bytes', async (type, bytes, message) => {
    expect(await troubleOf(named(type, bytes, {}), holding(bytes))).toMatch(message);
  });
});

describe('pictures', () => {
  const pixels = { create: { width: 7, height: 5, channels: 3 as const, background: '#c03020' } };

  it('come at their true size, gray as gray, opacity apart, and a JPEG with its own bytes', async () => {
    const jpeg = new Uint8Array(await sharp(pixels).jpeg().toBuffer());
    const png = new Uint8Array(await sharp(pixels).ensureAlpha(0.2).png().toBuffer());
    const gray = new Uint8Array(await sharp(pixels).toColourspace('b-w').png().toBuffer());
    expect(await decodePicture(jpeg)).toMatchObject({ width: 7, height: 5, channels: 3, jpeg });
    const clear = await decodePicture(png);
    expect(clear).toMatchObject({ channels: 3, alpha: new Uint8Array(35).fill(51) });
    expect([...clear.pixels.subarray(0, 3)]).toEqual([0xc0, 0x30, 0x20]);
    expect(clear.jpeg).toBeUndefined();
    expect(await decodePicture(gray)).toMatchObject({ channels: 1 });
    const all = await gather({ it: named('picture', png, { width: 7, height: 5 }) }, holding(png));
    expect(all.value(picture, 'it').id).toBe(hashOf(png));
  });

  it('are upright as a camera meant them (Exif 2.3, orientation)', async () => {
    const turned = new Uint8Array(await sharp(pixels).jpeg().withMetadata({ orientation: 6 }).toBuffer());
    const found = await decodePicture(turned);
    expect([found.width, found.height, found.jpeg]).toEqual([5, 7, undefined]);
  });

  it('cut off, of another sort, or too large are refused, the last from the header alone', async () => {
    const whole = new Uint8Array(
      await sharp({ create: { ...pixels.create, width: 200, height: 200 } })
        .png()
        .toBuffer(),
    );
    await expect(decodePicture(whole.subarray(0, whole.length - 40))).rejects.toThrow(/cut off/);
    const webp = new Uint8Array(await sharp(pixels).webp().toBuffer());
    await expect(decodePicture(webp)).rejects.toThrow(/is a webp file. Save it as PNG or JPEG/);
    // The size stands in bytes 16 to 23 (PNG, ISO/IEC 15948, 11.2.2); its checksum is over type and data.
    const bomb = whole.slice();
    new DataView(bomb.buffer).setUint32(16, 30_000);
    new DataView(bomb.buffer).setUint32(20, 30_000);
    new DataView(bomb.buffer).setUint32(29, crc32(bomb.subarray(12, 29)));
    await expect(decodePicture(bomb)).rejects.toThrow(/30,000 × 30,000 pixels; 400 million are allowed/);
  });
});

/** CRC-32 as in PNG, annex D (ISO/IEC 15948). */
function crc32(bytes: Uint8Array): number {
  let crc = ~0;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
  }
  return ~crc >>> 0;
}

describe('PDFs', () => {
  it('say how many pages they have, and too many are refused', async () => {
    const file = await PDFDocument.create();
    for (let i = 0; i < 3; i++) file.addPage([432, 648]);
    const bytes = await file.save();
    const { facts } = await pdf.read(bytes, holding(), hashOf(bytes));
    expect(facts).toEqual({ pages: 3 });
    for (let i = 0; i < 826; i++) file.addPage([432, 648]);
    await expect(pdf.read(await file.save(), holding(), '')).rejects.toThrow(/has 829 pages/);
  });
});

describe('names of resources', () => {
  const resource = named('words', bees, { words: 3 }, 'Bees & Hîves');

  it('are made from their own, once for the same content and apart for others', () => {
    const one = withResource({}, resource);
    expect(one.id).toBe('bees-hives');
    expect(withResource(one.resources, { ...resource, name: 'Other' }).id).toBe('bees-hives');
    const other = withResource(one.resources, { ...resource, hash: hashOf(utf8('x')) });
    expect(other.id).toBe('bees-hives-2');
    expect(withResource({}, { ...resource, name: '蜂' }).id).toBe('resource');
    expect(one.resources['bees-hives']).toEqual(resource);
  });

  it('every type says what it is and how long it may be', () => {
    for (const type of resourceTypes) {
      expect(type.mostBytes).toBeGreaterThan(0);
      expect(type.extension).toMatch(/^[a-z0-9]{1,8}$/);
    }
  });
});
