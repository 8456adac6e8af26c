import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { drawPage, planBook, type Recipe } from '#core/book/index.ts';
import { drawWrap } from '#core/cover/index.ts';
import { wrapPdf, writeInterior } from '#core/export/files.ts';
import { scenePng } from '#core/export/picture.ts';
import { typesetterFromDisk } from '#core/scene/faces-from-disk.ts';
import { beekeeper, bookOf, hedgerow, tidePool } from '../support/books.ts';
import { fileOf } from './referees.ts';

const type = typesetterFromDisk();
const WIDTH = 500;

async function greys(png: Uint8Array) {
  // A light blur: two renderers need not agree on the pixels of an edge.
  const { data, info } = await sharp(png).greyscale().blur(1.2).raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** A page of a PDF as Poppler draws it. */
function poppler(path: string, page: number): Uint8Array {
  const out = path.replace(/\.pdf$/, `-${page}`);
  execFileSync('pdftocairo', [
    '-png',
    '-singlefile',
    '-f',
    String(page),
    '-l',
    String(page),
    '-scale-to-x',
    String(WIDTH),
    '-scale-to-y',
    '-1',
    path,
    out,
  ]);
  return readFileSync(`${out}.png`);
}

/** Mean and greatest difference of the two pictures, of 255. */
async function difference(ours: Uint8Array, theirs: Uint8Array) {
  const [a, b] = await Promise.all([greys(ours), greys(theirs)]);
  expect(b.width).toBe(a.width);
  expect(Math.abs(b.height - a.height)).toBeLessThanOrEqual(1);
  let sum = 0;
  let most = 0;
  const count = Math.min(a.data.length, b.data.length);
  for (let i = 0; i < count; i++) {
    const off = Math.abs(a.data[i]! - b.data[i]!);
    sum += off;
    most = Math.max(most, off);
  }
  return { mean: sum / count, most };
}

async function interior(recipe: Recipe): Promise<string> {
  const chunks: Uint8Array[] = [];
  await writeInterior(recipe, type, (chunk) => void chunks.push(chunk));
  return fileOf(Buffer.concat(chunks));
}

const scripts = bookOf([
  { id: 't', kind: 'title-page' },
  {
    id: 'w',
    kind: 'word-search',
    items: 2,
    options: {
      words: {
        lists: [
          {
            words: 'МЕДВЕДЬ УЛЕЙ ПЧЕЛА ВОСК СОТЫ НЕКТАР ЦВЕТОК РОЙ МАТКА ТРУТЕНЬ ПЫЛЬЦА ЖАЛО'.split(' '),
          },
        ],
      },
    },
  },
]);

// One scene, every output: the SVG, drawn by resvg, against the PDF, drawn by Poppler. They share no code but ours.
describe('the PDF and the picture of a page show the same', () => {
  it.each([
    ['a title page', beekeeper, 1],
    ['the owner’s page', beekeeper, 2],
    ['a word search', beekeeper, 3],
    ['solutions', beekeeper, 99],
    ['ruled', tidePool, 12],
    ['a large page with bleed', hedgerow, 4],
    ['letters of another script', scripts, 2],
  ])('%s', async (_, recipe, page) => {
    const path = await interior(recipe);
    const scene = drawPage(recipe, planBook(recipe), page, type);
    const { mean, most } = await difference(scenePng(scene, type, WIDTH), poppler(path, page));
    expect(mean).toBeLessThan(5);
    expect(most).toBeLessThan(96);
  });

  it('the wrap', async () => {
    const path = fileOf(await wrapPdf(beekeeper, type), 'wrap.pdf');
    const scene = drawWrap(beekeeper, planBook(beekeeper).pages.length, type);
    const { mean, most } = await difference(scenePng(scene, type, WIDTH), poppler(path, 1));
    expect(mean).toBeLessThan(5);
    expect(most).toBeLessThan(96);
  });

  it('and a picture of another page is another picture', async () => {
    const path = await interior(beekeeper);
    const scene = drawPage(beekeeper, planBook(beekeeper), 3, type);
    const { mean } = await difference(scenePng(scene, type, WIDTH), poppler(path, 5));
    expect(mean).toBeGreaterThan(5);
  });
});
