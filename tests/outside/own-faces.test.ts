import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import * as fontkit from 'fontkit';
import { convert } from 'fontverter';
import { beforeAll, describe, expect, it } from 'vitest';
import { gatherBook, type Recipe } from '#core/book/index.ts';
import { drawFront } from '#core/cover/index.ts';
import { pdfBytes } from '#core/export/pdf.ts';
import { scenePng } from '#core/export/picture.ts';
import { readFace, typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import type { OwnFace } from '#core/faces/index.ts';
import { hashOf, typeface } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { BLACK, textLine } from '#core/scene/index.ts';
import { prepareTypeface } from '#server/resources/prepare-typeface.ts';
import { recipeOf } from '../support/books.ts';
import { byMuPdf, byPoppler, difference } from './pixels.ts';
import { fileOf, fontsIn, qpdfCheck, textOf } from './referees.ts';

const require = createRequire(import.meta.url);
const variable = readFileSync(require.resolve('inter-ui/variable/InterVariable.woff2'));
const bravura = readFileSync(require.resolve('@vexflow-fonts/bravura/bravura.otf'));
const faceOf = (bytes: Uint8Array) => hashOf(bytes) as OwnFace;

// The WOFF2 of a variable font is made static by HarfBuzz; fontkit, which reads variations by its own code, is asked for the same.
describe('a variable font, unpacked and made static', () => {
  let made: { name: string; bytes: Uint8Array }[];
  let whole: fontkit.Font;
  beforeAll(async () => {
    made = await prepareTypeface(variable);
    whole = fontkit.create(await convert(variable, 'sfnt'));
  });

  it('gives a typeface for each style that its maker named', () => {
    expect(made.map(({ name }) => name)).toEqual(
      'Thin ExtraLight Light Regular Medium SemiBold Bold ExtraBold Black'
        .split(' ')
        .map((style) => `Inter ${style}`),
    );
  });

  it.each([
    ['Light', 300],
    ['Bold', 700],
    ['Black', 900],
  ])('%s has the widths and outlines of that place on its axes', (style, wght) => {
    const varied = whole.getVariation({ wght, opsz: 14 });
    const fixed = fontkit.create(made.find(({ name }) => name === `Inter ${style}`)!.bytes);
    expect(Object.keys(fixed.variationAxes)).toEqual([]);
    for (const letter of 'AgQß&8ÅЖω') {
      const wanted = varied.glyphForCodePoint(letter.codePointAt(0)!);
      const found = fixed.glyphForCodePoint(letter.codePointAt(0)!);
      expect(Math.abs(found.advanceWidth - wanted.advanceWidth), `${letter} width`).toBeLessThanOrEqual(1);
      for (const side of ['minX', 'minY', 'maxX', 'maxY'] as const)
        expect(Math.abs(found.bbox[side] - wanted.bbox[side]), `${letter} ${side}`).toBeLessThanOrEqual(2);
    }
  });
});

describe('words in typefaces of one’s own', () => {
  const PIXELS = 500;
  const type = typesetterFromDisk();
  let path = '';
  let ours: Uint8Array;
  beforeAll(async () => {
    const bold = (await prepareTypeface(variable)).find(({ name }) => name === 'Inter Bold')!.bytes;
    const [woff] = await prepareTypeface(await convert(Buffer.from(readFace('lora-italic')), 'woff'));
    const faces = [bold, bravura, woff!.bytes];
    for (const bytes of faces) type.add(faceOf(bytes), bytes);
    const line = (bytes: Uint8Array, text: string, y: number) =>
      textLine(type, text, { face: faceOf(bytes), size: 40, color: BLACK }, 20, y);
    const scene = {
      ...{ width: 300, height: 220, gray: true },
      layers: [
        {
          marks: [
            line(bold, 'Waxes & fi 09', 50),
            // SMuFL 1.4, “Clefs” and “Individual notes”: the G clef and a quarter note.
            line(bravura, '\uE050 \uE062 \uE1D5', 120),
            line(woff!.bytes, 'Affinity', 190),
          ],
        },
      ],
    };
    ours = await scenePng(scene, type, PIXELS);
    const trim = { x: 0, y: 0, width: scene.width, height: scene.height };
    path = fileOf(await pdfBytes([{ scene, trim }], type, { title: 'Own', author: '' }));
  });

  it('are embedded as subsets in a sound file, TrueType as TrueType and CFF as CFF, and can be searched for', () => {
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
    const fonts = fontsIn(path);
    expect(fonts).toHaveLength(3);
    for (const font of fonts) expect(font).toMatchObject({ embedded: true, subset: true });
    expect(textOf(path, 1)).toContain('Waxes & fi 09');
    expect(textOf(path, 1)).toContain('Affinity');
  });

  it('look the same to Poppler, MuPDF and resvg', async () => {
    for (const drawn of [byPoppler(path, 1, PIXELS), byMuPdf(path, 1, PIXELS)]) {
      const { mean, max, ink } = await difference(ours, drawn);
      // They differ on the pixels of edges, of which letters have many; a blank page would be off by all of the ink.
      expect(mean).toBeLessThan(ink / 10);
      expect(max).toBeLessThan(140);
      expect(ink).toBeGreaterThan(10);
    }
  });

  it('a cover in one that was brought is the very cover in the one that ships', async () => {
    const lora = readFace('lora-bold');
    const book = (display: unknown): Recipe =>
      recipeOf([{ id: 'r', kind: 'ruled', pages: 40 }], {
        style: { typefaces: { display, text: 'lora-regular' } },
        resources: {
          mine: {
            ...{ type: typeface.id, hash: hashOf(lora), name: 'Lora Bold' },
            facts: { family: 'Lora', weight: 700, italic: false },
          },
        },
      });
    const own = book({ typeface: 'mine' });
    const size = { width: 300, height: 450 };
    const front = async (recipe: Recipe) =>
      Buffer.from(await scenePng(drawFront(recipe, size, type), type, 200));
    const plain = await front(book('alegreya-bold'));
    // Not gathered yet: the usual face stands in.
    expect((await front(own)).equals(plain)).toBe(true);
    await gatherBook(own, { ...NODE_TOOLS, load: async () => lora }, type);
    expect((await front(own)).equals(await front(book('lora-bold')))).toBe(true);
    expect((await front(own)).equals(plain)).toBe(false);
  });
});
