import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Resvg } from '@resvg/resvg-js';
import { describe, expect, it } from 'vitest';
import { pdfBytes } from '#core/export/pdf.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { artwork } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { byMuPdf, byPoppler, difference } from './pixels.ts';
import { fileOf, qpdfCheck } from './referees.ts';

/** Drawings of our own, as they come: groups in groups, transforms, strokes, opacity. */
const FOLDER = process.env.QUILL_DRAWINGS ?? 'tests/outside/drawings';
const PIXELS = 400;
const type = typesetterFromDisk();

// resvg draws the SVG itself; Poppler and MuPDF draw the PDF that was made of what was read of it.
describe('artwork prints as it was drawn', () => {
  it.each(readdirSync(FOLDER).filter((name) => name.endsWith('.svg')))('%s', async (name) => {
    const bytes = readFileSync(join(FOLDER, name));
    const { width, height, drawing } = (await artwork.read(bytes, NODE_TOOLS, '')).value;
    const scene = { width, height, gray: false, layers: [{ marks: drawing.marks }] };
    const trim = { x: 0, y: 0, width, height };
    const path = fileOf(await pdfBytes([{ scene, trim }], type, { title: name, author: '' }));
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
    const fitTo = { mode: 'width', value: PIXELS } as const;
    const drawn = new Resvg(bytes.toString(), { fitTo, background: 'white' }).render().asPng();
    for (const printed of [byPoppler(path, 1, PIXELS), byMuPdf(path, 1, PIXELS)]) {
      const { mean, ink } = await difference(drawn, printed);
      // A drawing of thin lines has little ink: what differs is held against that.
      expect(mean).toBeLessThan(ink / 8);
      expect(ink, 'a blank page would pass').toBeGreaterThan(0.5);
    }
  });
});
