import { execFileSync } from 'node:child_process';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { pdfBytes } from '#core/export/pdf.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { ellipsePath, type ImageMark, type Mark, type Raster } from '#core/scene/index.ts';
import { rasterSample } from '#core/scene/marks.sample.ts';
import { fileOf, qpdfCheck } from './referees.ts';

const type = typesetterFromDisk();
const SIDE = 288;
const trim = { x: 0, y: 0, width: SIDE, height: SIDE };

async function pdfOf(pages: Mark[][], gray = false): Promise<string> {
  const scenes = pages.map((marks) => ({
    scene: { width: SIDE, height: SIDE, gray, layers: [{ marks }] },
    trim,
  }));
  return fileOf(await pdfBytes(scenes, type, { title: 'Pictures (№ 1)', author: 'Zoë \\ Marrow' }));
}

/** The pictures of a file, by Poppler's pdfimages. */
function picturesIn(path: string) {
  const said = execFileSync('pdfimages', ['-list', path], { encoding: 'utf8' });
  return said
    .split('\n')
    .slice(2)
    .filter(Boolean)
    .map((line) => {
      const cells = line.trim().split(/\s+/);
      return {
        page: Number(cells[0]),
        kind: cells[2],
        width: Number(cells[3]),
        height: Number(cells[4]),
        color: cells[5],
        coding: cells[8],
        object: Number(cells[10]),
        dpi: Number(cells[12]),
      };
    });
}

/** Objects of a kind in a file, as qpdf lays it open. */
const countIn = (path: string, what: RegExp): number => {
  const open = execFileSync('qpdf', ['--qdf', '--object-streams=disable', path, '-'], {
    encoding: 'latin1',
    maxBuffer: 1 << 26,
  });
  return [...open.matchAll(what)].length;
};

const placed = (image: Raster, more: Partial<ImageMark> = {}): Mark => ({
  type: 'image',
  image,
  x: 36,
  y: 36,
  width: 72,
  height: 54,
  ...more,
});

describe('pictures in a PDF, as Poppler and qpdf see them', () => {
  it('keep every pixel: 300 × 225 on one inch is 300 dpi, in the colors they came in', async () => {
    const path = await pdfOf([
      [placed(rasterSample(3, false, 300, 225))],
      [placed(rasterSample(1, false, 300, 225))],
    ]);
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
    expect(picturesIn(path)).toMatchObject([
      { page: 1, kind: 'image', width: 300, height: 225, color: 'rgb', dpi: 300 },
      { page: 2, kind: 'image', width: 300, height: 225, color: 'gray', dpi: 300 },
    ]);
  });

  it('hold of a crop only its own pixels', async () => {
    const crop = { x: 20, y: 10, width: 40, height: 30 };
    const [found] = picturesIn(await pdfOf([[placed(rasterSample(3, false, 300, 225), { crop })]]));
    expect(found).toMatchObject({ width: 40, height: 30, dpi: 40 });
    const outside = placed(rasterSample(1), { crop: { x: 500, y: 0, width: 9, height: 9 } });
    await expect(pdfOf([[outside]])).rejects.toThrow(/lies outside a picture of 64 × 48/);
  });

  it('are gray where the press is, with their opacity beside them', async () => {
    const found = picturesIn(await pdfOf([[placed(rasterSample(3, true))]], true));
    expect(found.map(({ kind, color }) => [kind, color])).toEqual([
      ['image', 'gray'],
      ['smask', 'gray'],
    ]);
  });

  it('are written once, on however many pages they stand', async () => {
    const found = picturesIn(await pdfOf(Array.from({ length: 5 }, () => [placed(rasterSample(3))])));
    expect(found.map(({ page }) => page)).toEqual([1, 2, 3, 4, 5]);
    expect(new Set(found.map(({ object }) => object)).size).toBe(1);
  });

  it('that came as JPEG go in as they came, unless they are cut or must be gray', async () => {
    const raw = rasterSample(3, false, 300, 225);
    const shape = { width: 300, height: 225, channels: 3 } as const;
    const jpeg = new Uint8Array(await sharp(raw.pixels, { raw: shape }).jpeg().toBuffer());
    const image: Raster = { ...raw, id: 'jpeg', jpeg };
    const codingOf = async (mark: Mark, gray = false) => picturesIn(await pdfOf([[mark]], gray))[0]!.coding;
    expect(await codingOf(placed(image))).toBe('jpeg');
    expect(await codingOf(placed(image), true)).toBe('image');
    expect(await codingOf(placed(image, { crop: { x: 0, y: 0, width: 9, height: 9 } }))).toBe('image');
  });
});

describe('drawings placed often', () => {
  it('are one form in the file, whether the same or an equal drawing is placed', async () => {
    const flower = (): { marks: Mark[] } => ({
      marks: [{ type: 'path', path: ellipsePath(0, 0, 9, 16), fill: { gray: 0.4 } }],
    });
    const same = flower();
    const row = (y: number, drawingAt: (i: number) => { marks: Mark[] }) =>
      Array.from(
        { length: 20 },
        (_, i): Mark => ({
          type: 'symbol',
          drawing: drawingAt(i),
          matrix: [1, 0, 0, 1, 12 * i, y],
        }),
      );
    const path = await pdfOf([row(40, () => same), row(90, flower)]);
    expect(countIn(path, /\/Subtype \/Form/g)).toBe(1);
    expect(countIn(path, / Do\n/g)).toBe(40);
  });
});

it('title and author are read back letter for letter, whatever letters they have (pdfinfo)', async () => {
  const said = execFileSync('pdfinfo', ['-enc', 'UTF-8', await pdfOf([[]])], { encoding: 'utf8' });
  expect(said).toMatch(/Title: +Pictures \(№ 1\)\n/);
  expect(said).toMatch(/Author: +Zoë \\ Marrow\n/);
});
