import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { bookFrom, gatherBook } from '#core/book/index.ts';
import { writeInterior } from '#core/export/files.ts';
import { pdfBytes } from '#core/export/pdf.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { hashOf, type PdfSheet, pdf } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { kitPdf } from '#core/resources/pdf/pdf.sample.ts';
import type { Scene } from '#core/scene/index.ts';
import { recipeOf } from '../support/books.ts';
import { byMuPdf, byPoppler, difference, isGray } from './pixels.ts';
import { fileOf, inkBoxes, pageCount, qpdfCheck } from './referees.ts';

const PIXELS = 500;
const type = typesetterFromDisk();
const LORA = 'node_modules/@expo-google-fonts/lora/400Regular/Lora_400Regular.ttf';

const photo = () =>
  sharp({ create: { width: 300, height: 200, channels: 3, background: '#406080' } })
    .composite([{ input: { create: { width: 90, height: 90, channels: 4, background: '#e0a02080' } } }])
    .jpeg()
    .toBuffer();

/** What designers put on pages, by PDFKit: type, outlines, curves, gradients, clips, opacity, pictures, a turned page. */
async function designed(): Promise<Uint8Array> {
  const picture = await photo();
  return kitPdf((file) => {
    file.font(LORA).fontSize(22).fillColor('#102040').text('Hives of the valley, waxing', 40, 40);
    file
      .font('Times-Roman')
      .fontSize(15)
      .fillColor('black')
      .text('Set wide', 40, 90, { characterSpacing: 4 });
    file.fontSize(30).lineWidth(1).text('Outlined', 40, 120, { fill: false, stroke: true });
    file.save().translate(220, 230).rotate(25);
    file.rect(-60, -30, 120, 60).lineWidth(6).dash(12, { space: 6 }).stroke('#d02020').restore();
    file.save().scale(2, 0.5).circle(60, 640, 30).lineWidth(8).stroke('black').restore();
    const across = file.linearGradient(40, 0, 200, 0).stop(0, 'red').stop(0.5, 'yellow').stop(1, 'blue');
    file.rect(40, 380, 160, 40).fill(across);
    const round = file.radialGradient(300, 400, 0, 300, 400, 50).stop(0, 'white').stop(1, 'green');
    file.circle(300, 400, 50).fill(round);
    for (const [x, color] of [
      [60, 'blue'],
      [110, 'red'],
    ] as const)
      file
        .save()
        .opacity(0.4)
        .rect(x, 440 + x / 2, 100, 60)
        .fill(color)
        .restore();
    file.save().circle(320, 520, 40).clip().rect(280, 480, 80, 40).fill('#333333').restore();
    file.image(picture, 40, 560, { width: 120 });
    file.path('M 250 580 q 30 -40 60 0 t 60 0 v 40 h -120 z').fillAndStroke('#ffe0a0', '#805010');
    file.addPage({ size: [648, 432], margin: 0 });
    file.font(LORA).fontSize(34).fillColor('#203060').text('A wide page', 80, 80);
    file.moveTo(80, 220).bezierCurveTo(200, 100, 320, 320, 440, 220).lineWidth(5).stroke('black');
  });
}

const work = () => mkdtempSync(join(tmpdir(), 'quill-own-'));

/** The same by Ghostscript, which writes it anew: other fonts, other color spaces, other ways to say it. */
function distilled(bytes: Uint8Array): Uint8Array {
  const folder = work();
  const [from, to] = [join(folder, 'from.pdf'), join(folder, 'to.pdf')];
  writeFileSync(from, bytes);
  execFileSync('gs', ['-q', '-dNOPAUSE', '-dBATCH', '-sDEVICE=pdfwrite', `-sOutputFile=${to}`, from]);
  return new Uint8Array(readFileSync(to));
}

/** A page that a browser printed: its own subsets of fonts, shadings and groups. */
function printed(): Uint8Array {
  const folder = work();
  const [page, to] = [join(folder, 'page.html'), join(folder, 'page.pdf')];
  writeFileSync(
    page,
    `<style>@page{size:6in 9in;margin:0}body{margin:.6in;font:15px serif}h1{letter-spacing:2px}
     .box{width:2in;height:1in;border:3px solid #246;border-radius:14px;background:linear-gradient(90deg,#fd8,#48c);margin:20px 0}
     .turned{transform:rotate(-12deg);opacity:.5;background:#c33;width:1.5in;height:.5in}
     td{border:1px solid #888;padding:6px 14px}</style>
     <h1>Field notes</h1><p>Twelve gulls, two herons and a tern before the tide turned.</p><div class=box></div>
     <div class=turned></div><table><tr><td>07:10</td><td>low</td></tr><tr><td>13:25</td><td>high</td></tr></table>
     <svg width=200 height=120><path d="M10 90C40 10 90 10 120 90S180 120 190 40" fill=none stroke=#284 stroke-width=6 /></svg>`,
  );
  const flags = ['--headless', '--no-sandbox', '--disable-gpu', '--no-pdf-header-footer'];
  execFileSync(
    'chromium',
    [...flags, `--user-data-dir=${folder}`, `--print-to-pdf=${to}`, `file://${page}`],
    {
      stdio: 'ignore',
    },
  );
  return new Uint8Array(readFileSync(to));
}

async function sheetsOf(bytes: Uint8Array): Promise<PdfSheet[]> {
  const { value } = await pdf.read(bytes, { ...NODE_TOOLS, thorough: true }, hashOf(bytes));
  const sheets: PdfSheet[] = [];
  for (let page = 1; page <= value.pages; page++) {
    await value.open(page);
    sheets.push(value.sheet(page) as PdfSheet);
  }
  return sheets;
}
const sceneOf = ({ width, height, drawing }: PdfSheet, gray = false): Scene => ({
  width,
  height,
  gray,
  layers: [{ marks: drawing.marks }],
});
const written = (sheets: readonly PdfSheet[], gray = false) =>
  pdfBytes(
    sheets.map((sheet) => ({
      scene: sceneOf(sheet, gray),
      trim: { x: 0, y: 0, width: sheet.width, height: sheet.height },
    })),
    type,
    { title: 'Own pages', author: '' },
  );

// Poppler and MuPDF draw the file as it came and what we made of it; a page that prints otherwise would be far off.
describe('pages that were made elsewhere print as they came', () => {
  it.each([
    ['as PDFKit writes them', designed],
    ['as Ghostscript writes them', async () => distilled(await designed())],
    ['as Chromium prints them', async () => printed()],
  ] as const)('%s', async (_, make) => {
    const source = await make();
    const path = fileOf(source);
    const sheets = await sheetsOf(source);
    expect(sheets.map(({ asPicture }) => asPicture)).toEqual(sheets.map(() => null));
    const ours = fileOf(await written(sheets));
    expect(qpdfCheck(ours)).toMatch(/No syntax or stream encoding errors/);
    expect(pageCount(ours)).toBe(pageCount(path));
    for (const draw of [byPoppler, byMuPdf])
      for (const page of sheets.keys()) {
        const { mean, ink } = await difference(draw(path, page + 1, PIXELS), draw(ours, page + 1, PIXELS));
        expect(ink, 'a blank page would pass').toBeGreaterThan(1);
        expect(mean, `${draw.name}, page ${page + 1}`).toBeLessThan(ink / 15);
      }
  });

  it('and stay vectors: as sharp however large they are drawn', async () => {
    const source = fileOf(await designed());
    const ours = fileOf(await written(await sheetsOf(new Uint8Array(readFileSync(source)))));
    const images = execFileSync('pdfimages', ['-list', ours], { encoding: 'utf8' }).trim().split('\n');
    // Two lines of heading, and the one picture that was one.
    expect(images).toHaveLength(3);
    expect(images[2]).toMatch(/image\s+300\s+200/);
  });

  it('in gray where the press has black ink alone, in the book’s own size, inside its margins', async () => {
    const source = await designed();
    const file = { type: 'pdf', hash: hashOf(source), name: 'Designed', facts: { pages: 2 } };
    const recipe = recipeOf(
      [
        { id: 'own', kind: 'imported', options: { files: [{ pdf: 'file' }], turnWide: true } },
        { id: 'rest', kind: 'ruled', pages: 28 },
      ],
      { resources: { file } },
    );
    const book = await gatherBook(recipe, { ...NODE_TOOLS, load: async () => source }, type);
    const chunks: Uint8Array[] = [];
    await writeInterior(book, type, (chunk) => void chunks.push(chunk));
    const path = fileOf(Buffer.concat(chunks));
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
    expect(await isGray(byMuPdf(path, 1, PIXELS))).toBe(true);
    expect(execFileSync('mutool', ['trace', path, '1,2'], { encoding: 'utf8' })).not.toMatch(
      /colorspace="DeviceRGB"/,
    );
    const { trim } = bookFrom(recipe).spec;
    for (const box of inkBoxes(path).slice(0, 2)) {
      expect(box![0]).toBeGreaterThanOrEqual(18);
      expect(box![2]).toBeLessThanOrEqual(trim.width - 18);
    }
  });

  it('those with effects as pictures that look the same', async () => {
    const source = await kitPdf((file) => {
      const pattern = file.pattern([0, 0, 12, 12], 12, 12, '0 0 6 6 re f 6 6 6 6 re f');
      file.font(LORA).fontSize(40).fillColor('black').text('Tiles', 60, 60);
      file.rect(60, 160, 300, 300).fill([pattern, '#aa4020'] as never);
    });
    const sheets = await sheetsOf(source);
    expect(sheets[0]!.asPicture).toBe('patterns');
    const { mean, ink } = await difference(
      byPoppler(fileOf(source), 1, PIXELS),
      byPoppler(fileOf(await written(sheets)), 1, PIXELS),
    );
    expect(mean).toBeLessThan(ink / 8);
  });
});
