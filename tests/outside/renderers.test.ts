import { describe, expect, it } from 'vitest';
import { drawPage, type Recipe } from '#core/book/index.ts';
import { drawCover } from '#core/cover/index.ts';
import { coverPdfs, writeInterior } from '#core/export/files.ts';
import { scenePng } from '#core/export/picture.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { beekeeper, gathered, hedgerow, recipeOf, tidePool } from '../support/books.ts';
import { byMuPdf, byPoppler, type Difference, difference } from './pixels.ts';
import { fileOf } from './referees.ts';

const type = typesetterFromDisk();
const WIDTH = 500;

async function interior(recipe: Recipe): Promise<string> {
  const chunks: Uint8Array[] = [];
  await writeInterior(await gathered(recipe), type, (chunk) => void chunks.push(chunk));
  return fileOf(Buffer.concat(chunks));
}

const scripts = recipeOf([
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

/** Small type is mostly edges, on which two renderers differ; a blank page would be off by far more. */
function expectSame({ mean, max, ink }: Difference, leastInk: number) {
  expect(mean).toBeLessThan(ink / 3);
  expect(mean).toBeLessThan(4);
  expect(max).toBeLessThan(110);
  expect(ink, 'the page holds ink').toBeGreaterThan(leastInk);
}

// One scene, every output: the SVG, drawn by resvg, against the PDF, drawn by Poppler and by MuPDF. They share no code
// but ours.
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
    const ours = scenePng(drawPage(await gathered(recipe), page, type), type, WIDTH);
    expectSame(await difference(ours, byPoppler(path, page, WIDTH)), 2);
    expectSame(await difference(ours, byMuPdf(path, page, WIDTH)), 2);
  });

  it('the wrap', async () => {
    const path = fileOf((await coverPdfs(await gathered(beekeeper), type))['wrap.pdf']!, 'wrap.pdf');
    const ours = scenePng(drawCover(await gathered(beekeeper), type)[0]!.scene, type, WIDTH);
    expectSame(await difference(ours, byPoppler(path, 1, WIDTH)), 100);
    expectSame(await difference(ours, byMuPdf(path, 1, WIDTH)), 100);
  });

  it('and a picture of another page is another picture', async () => {
    const path = await interior(beekeeper);
    const ours = scenePng(drawPage(await gathered(beekeeper), 3, type), type, WIDTH);
    const { mean, ink } = await difference(ours, byPoppler(path, 5, WIDTH));
    expect(mean).toBeGreaterThan(ink / 3);
  });
});
