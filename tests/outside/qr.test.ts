import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsqr from 'jsqr';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { bookFrom, drawPage } from '#core/book/index.ts';
import { sceneToSvg } from '#core/export/svg.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofBook } from '#core/proof/index.ts';
import { POINTS_PER } from '#core/units.ts';
import { recipeOf } from '../support/books.ts';

const type = typesetterFromDisk();
/** Of a page as a desk scanner sees it. */
const DPI = 200;

const bookWith = (options: object, trim = { width: '6in', height: '9in' }) =>
  bookFrom(
    recipeOf([{ id: 'g', kind: 'give-away', options }], {
      quill: 4,
      print: { service: 'wrenfair', trim },
    }),
  );

/** The page as gray pixels. */
async function printed(book: ReturnType<typeof bookWith>) {
  const scene = drawPage(book, 1, type);
  const pixels = (points: number) => Math.round((points * DPI) / POINTS_PER.in);
  const svg = sceneToSvg(scene, type, { width: pixels(scene.width), height: pixels(scene.height) });
  const { data, info } = await sharp(Buffer.from(svg))
    .flatten({ background: '#fff' })
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { gray: new Uint8ClampedArray(data), width: info.width, height: info.height };
}

type Printed = Awaited<ReturnType<typeof printed>>;

/** As jsQR (Apache License 2.0) reads it. */
function readByJsqr({ gray, width, height }: Printed) {
  const rgba = new Uint8ClampedArray(gray.length * 4);
  for (const [i, value] of gray.entries()) rgba.set([value, value, value, 255], i * 4);
  return jsqr(rgba, width, height);
}

/** As ZBar (LGPL 2.1) reads it: Debian's zbar-tools. */
async function readByZbar({ gray, width, height }: Printed): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'quill-qr-'));
  try {
    const file = join(folder, 'page.png');
    await sharp(gray, { raw: { width, height, channels: 1 } })
      .png()
      .toFile(file);
    return execFileSync('zbarimg', ['--quiet', '--raw', '--nodbus', file], { encoding: 'utf8' }).trim();
  } finally {
    rmSync(folder, { recursive: true });
  }
}

describe('QR codes of a give-away', () => {
  const LINKS = [
    'https://example.com/gift',
    'http://example.org/a/much/longer/address/with/many/parts?and=a&query=that&goes=on',
    'https://example.com/%C3%BC',
  ];
  for (const level of ['L', 'M', 'Q', 'H'])
    it(`are read back by two decoders at level ${level}`, async () => {
      for (const link of LINKS) {
        const page = await printed(bookWith({ link, level, text: 'More pages to print at home.' }));
        expect(readByJsqr(page)?.data).toBe(link);
        expect(await readByZbar(page)).toBe(link);
      }
    });

  it('are as wide as they should be, and nothing is printed within four modules (ISO/IEC 18004)', async () => {
    const size = 40;
    const page = await printed(bookWith({ link: LINKS[0], size, text: 'A text above the code.' }));
    const { location, version } = readByJsqr(page)!;
    const modules = 17 + 4 * version;
    const perMm = DPI / 25.4;
    const wide = location.topRightCorner.x - location.topLeftCorner.x;
    expect(wide / perMm).toBeCloseTo(size, 0);
    const module = wide / modules;
    const dark = (x: number, y: number) => page.gray[Math.round(y) * page.width + Math.round(x)]! < 128;
    const { topLeftCorner: from, bottomRightCorner: to } = location;
    const clear = 3.8 * module;
    for (let x = from.x - clear; x <= to.x + clear; x++)
      for (let y = from.y - clear; y <= to.y + clear; y++) {
        const inside = x > from.x - 1.5 && x < to.x + 1.5 && y > from.y - 1.5 && y < to.y + 1.5;
        if (!inside) expect(dark(x, y), `${Math.round(x)} ${Math.round(y)}`).toBe(false);
      }
  });

  it('stay inside their page on every trim, and are told of where they do not fit or are too fine', async () => {
    const findings = async (options: object, trim?: { width: string; height: string }) =>
      (await proofBook(bookWith(options, trim), type))
        .filter(({ check }) => check === 'items' || check === 'safe-area')
        .map(({ severity, message }) => `${severity} ${message}`);
    for (const [width, height] of [
      ['5in', '8in'],
      ['8.25in', '6in'],
      ['8.5in', '11in'],
    ] as const)
      expect(await findings({ link: LINKS[0], text: 'Words. '.repeat(20) }, { width, height })).toEqual([]);
    expect(await findings({})).toEqual([expect.stringMatching(/^fix .*no link/)]);
    expect(await findings({ link: LINKS[0], text: 'Words. '.repeat(280), size: 90 })).toEqual([
      expect.stringMatching(/^fix .*do not fit/),
    ]);
    const [fine] = await findings({ link: LINKS[1], size: 15, level: 'H' });
    expect(fine).toMatch(/^look .*Make the code (\d+) mm wide/);
    const wide = Number(/code (\d+) mm/.exec(fine!)![1]);
    expect(await findings({ link: LINKS[1], size: wide, level: 'H' })).toEqual([]);
    expect(wide * POINTS_PER.mm).toBeLessThan(300);
  });
});
