import { execFileSync } from 'node:child_process';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { bookFrom, frameOf, jobTicket, type Recipe } from '#core/book/index.ts';
import { bookZip, smallFiles, writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import {
  beekeeper,
  gathered,
  hedgerow,
  nightSkies,
  planOf,
  recipeOf,
  tidePool,
  yearAtTheHive,
} from '../support/books.ts';
import { fileOf, fontsIn, inkBoxes, pageBoxes, pageCount, qpdfCheck, textOf } from './referees.ts';

const type = typesetterFromDisk();

async function interiorOf(recipe: Recipe): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  await writeInterior(await gathered(recipe), type, (chunk) => {
    chunks.push(chunk);
  });
  return Buffer.concat(chunks);
}

/** Two decimals of a PDF number, and half the width of a device pixel. */
const SLACK = 0.06;

describe.each([
  ['word searches on 6 × 9 in', beekeeper],
  ['word searches on 6 × 9 in, 18 letters', nightSkies],
  ['ruled, 5.5 × 8.5 in', tidePool],
  ['word searches on 8.5 × 11 in with bleed', hedgerow],
  ['made of blocks and ruled, numbered in the middle', yearAtTheHive],
])('the interior: %s', (_, recipe) => {
  const plan = planOf(recipe);
  let path = '';
  beforeAll(async () => {
    path = fileOf(await interiorOf(recipe));
  });

  it('is sound by qpdf --check and has the planned pages', () => {
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
    expect(pageCount(path)).toBe(plan.pages.length);
  });

  it('has media, bleed and trim boxes right for each side of the sheet (pdfinfo; ISO 32000-1 §14.11.2)', () => {
    const { trim } = jobTicket(bookFrom(recipe));
    const bleed = recipe.print.bleed ? 9 : 0;
    pageBoxes(path, plan.pages.length).forEach((boxes, i) => {
      const left = i % 2 === 1 ? bleed : 0;
      const close = (found: number[], wanted: number[]) => {
        for (const [k, n] of found.entries()) expect(n).toBeCloseTo(wanted[k]!, 1);
      };
      close(boxes.media, [0, 0, trim.width + bleed, trim.height + 2 * bleed]);
      close(boxes.bleed, [0, 0, trim.width + bleed, trim.height + 2 * bleed]);
      close(boxes.trim, [left, bleed, left + trim.width, bleed + trim.height]);
    });
  });

  it('embeds every font as a subset (pdffonts)', () => {
    const fonts = fontsIn(path);
    expect(fonts.length).toBeGreaterThan(0);
    for (const font of fonts) expect(font).toMatchObject({ embedded: true, subset: true });
  });

  it('keeps all ink inside the safe area (Ghostscript’s bounding boxes)', () => {
    const boxes = inkBoxes(path);
    expect(boxes).toHaveLength(plan.pages.length);
    boxes.forEach((box, i) => {
      const page = plan.pages[i]!;
      const { safe, media } = frameOf(bookFrom(recipe), page);
      if (page.role === 'blank') {
        expect(box).toBeNull();
        return;
      }
      const [left, bottom, right, top] = box!;
      expect(left, `page ${page.number}`).toBeGreaterThanOrEqual(safe.x - SLACK);
      expect(right, `page ${page.number}`).toBeLessThanOrEqual(safe.x + safe.width + SLACK);
      expect(media.height - top, `page ${page.number}`).toBeGreaterThanOrEqual(safe.y - SLACK);
      expect(media.height - bottom, `page ${page.number}`).toBeLessThanOrEqual(safe.y + safe.height + SLACK);
    });
  });

  it('names no color space but DeviceGray', () => {
    const streams = execFileSync('qpdf', ['--qdf', '--object-streams=disable', path, '-'], {
      maxBuffer: 1 << 27,
      encoding: 'latin1',
    });
    expect(streams).not.toMatch(/^[\d. ]+ (rg|RG|k|K|cs|CS)$/m);
    expect(streams).toMatch(/^[\d.]+ g$/m);
  });
});

describe('what a reader finds on the page (pdftotext)', () => {
  it('puzzle and solution name each other’s page', async () => {
    const path = fileOf(await interiorOf(beekeeper));
    const solution = Number(/Answer on page (\d+)/.exec(textOf(path, 3))![1]);
    expect(textOf(path, 3)).toMatch(/Word search 1\b/);
    expect(textOf(path, solution)).toMatch(/^\s*1\s.*page 3\b/m);
  });

  it('letters of other scripts come out as they went in', async () => {
    const words = ['МЁДОК', 'ПЧЕЛА', 'УЛЕЙ'];
    const path = fileOf(
      await interiorOf(
        recipeOf([{ id: 'w', kind: 'word-search', items: 1, options: { words: { lists: [{ words }] } } }]),
      ),
    );
    for (const word of words) expect(textOf(path, 1)).toContain(word);
  });
});

describe('the other files', () => {
  it('wrap: one page of the worked size, fonts embedded; front: 1600 × 2560 px JPEG', async () => {
    const recipe = recipeOf([{ id: 'r', kind: 'ruled', pages: 100 }]);
    const files = await smallFiles(await gathered(recipe), type);
    const path = fileOf(files['wrap.pdf']);
    qpdfCheck(path);
    expect(pageCount(path)).toBe(1);
    // 6 × 9 in, 100 pages, white: 12.475 × 9.25 in (common practice, no source).
    const [boxes] = pageBoxes(path, 1);
    expect(boxes!.media[2]! / 72).toBeCloseTo(12.475, 3);
    expect(boxes!.media[3]! / 72).toBeCloseTo(9.25, 3);
    expect(boxes!.trim[0]).toBeCloseTo(9, 1);
    for (const font of fontsIn(path)) expect(font).toMatchObject({ embedded: true, subset: true });
    expect(await sharp(files['front.jpg']).metadata()).toMatchObject({
      format: 'jpeg',
      width: 1600,
      height: 2560,
    });
  });

  it('the background runs into every edge of the wrap (Ghostscript)', async () => {
    const path = fileOf((await smallFiles(await gathered(beekeeper), type))['wrap.pdf']);
    const [ink] = inkBoxes(path);
    const { wrap } = jobTicket(await gathered(beekeeper));
    expect(ink![0]).toBeLessThanOrEqual(0.1);
    expect(ink![1]).toBeLessThanOrEqual(0.1);
    expect(ink![2]).toBeGreaterThanOrEqual(wrap.width - 0.1);
    expect(ink![3]).toBeGreaterThanOrEqual(wrap.height - 0.1);
  });

  it('the same recipe gives the same bytes, and the ZIP opens with unzip', async () => {
    const make = async () => {
      const small = await smallFiles(await gathered(nightSkies), type);
      return bookZip({ 'interior.pdf': await interiorOf(nightSkies), ...small });
    };
    const once = Buffer.from(await make());
    expect(once.equals(Buffer.from(await make()))).toBe(true);
    const listed = execFileSync('unzip', ['-t', fileOf(once, 'book.zip')], { encoding: 'utf8' });
    for (const name of [
      'interior.pdf',
      'wrap.pdf',
      'front.jpg',
      'listing.json',
      'listing.csv',
      'recipe.json',
    ])
      expect(listed).toMatch(new RegExp(`${name}\\s+OK`));
  });

  it('the listing sheet defuses what a spreadsheet would run', async () => {
    const files = await smallFiles(
      bookFrom(recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }], { title: '=2+3', penName: '@Marrow' })),
      type,
    );
    const csv = new TextDecoder().decode(files['listing.csv']);
    expect(csv).toContain("title,'=2+3\r\n");
    expect(csv).toContain("penName,'@Marrow\r\n");
    expect(JSON.parse(new TextDecoder().decode(files['listing.json']))).toMatchObject({
      title: '=2+3',
      pages: 30,
    });
  });
});
