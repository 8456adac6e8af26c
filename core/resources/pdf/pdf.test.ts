import { deflateSync } from 'node:zlib';
import { PDFDocument, PDFName } from '@cantoo/pdf-lib';
import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { boundsOf, eachMark, type ImageMark, type Mark, type PathMark } from '../../scene/index.ts';
import { NODE_TOOLS } from '../node-tools.ts';
import { troubleIn } from '../trouble.sample.ts';
import { type PdfSheet, pdf } from './index.ts';
import { kitPdf, nameOf, plainPdf, rawPdf, rawStream } from './pdf.sample.ts';

const type = typesetterFromDisk();
const LORA = 'node_modules/@expo-google-fonts/lora/400Regular/Lora_400Regular.ttf';

const open = async (bytes: Uint8Array) => (await pdf.read(bytes, NODE_TOOLS, nameOf(bytes))).value;
async function sheetOf(bytes: Uint8Array, page = 1): Promise<PdfSheet> {
  const file = await open(bytes);
  await file.open(page);
  const sheet = file.sheet(page);
  if ('trouble' in sheet) throw new Error(sheet.trouble);
  return sheet;
}
const thorough = (bytes: Uint8Array) =>
  troubleIn(pdf.read(bytes, { ...NODE_TOOLS, thorough: true }, nameOf(bytes)));
function inkOf({ drawing }: PdfSheet): Mark[] {
  const ink: Mark[] = [];
  eachMark(drawing.marks, (mark) => ink.push(mark));
  return ink;
}
const paths = (sheet: PdfSheet) => inkOf(sheet).filter((mark): mark is PathMark => mark.type === 'path');

describe('a PDF page', () => {
  it('keeps its outlines as outlines, in their places, colors and widths', async () => {
    const sheet = await sheetOf(
      rawPdf('1 0 0 rg 20 30 100 50 re f 0.25 G 4 w 1 J [6 2] 0 d 10 10 m 110 10 l 110 60 60 90 10 60 c S'),
    );
    expect([sheet.width, sheet.height, sheet.colored, sheet.asPicture]).toEqual([200, 300, true, null]);
    const [fill, stroke] = paths(sheet);
    expect(boundsOf([fill!], type)).toEqual({ left: 20, top: 220, right: 120, bottom: 270 });
    expect(fill!.fill).toEqual({ rgb: [1, 0, 0] });
    expect(stroke!.stroke).toMatchObject({ width: 4, cap: 'round', dash: [6, 2] });
    expect(stroke!.stroke!.paint).toEqual({ gray: 64 / 255 });
    expect([...stroke!.path.ops]).toEqual([0, 1, 2]);
  });

  it('follows save, restore, transforms and clips (ISO 32000-1 §8.4)', async () => {
    const sheet = await sheetOf(
      rawPdf('q 2 0 0 2 10 20 cm 0 0 20 20 re W n 10 10 50 50 re f Q 0 0 5 5 re f 0 300 m 9 300 l S'),
    );
    const [cut, corner] = sheet.drawing.marks;
    expect(cut).toMatchObject({ type: 'group' });
    expect(boundsOf([cut!], type)).toEqual({ left: 30, top: 240, right: 50, bottom: 260 });
    expect(boundsOf([corner!], type)).toEqual({ left: 0, top: 295, right: 5, bottom: 300 });
  });

  it('is upright as its /Rotate says, and is cut to its crop box (ISO 32000-1 §14.11.2)', async () => {
    const bytes = await plainPdf(1, (page) => {
      page.setRotation({ type: 'degrees', angle: 90 } as never);
      page.setCropBox(36, 36, 360, 576);
      page.setTrimBox(54, 54, 324, 540);
    });
    const sheet = await sheetOf(bytes);
    expect([sheet.width, sheet.height]).toEqual([576, 360]);
    expect(sheet.trim).toEqual({ x: 18, y: 18, width: 540, height: 324 });
    // A bar at 72 to 360 across and 500 to 536 up stands upright when the page is turned clockwise.
    expect(boundsOf(sheet.drawing.marks, type)).toEqual({ left: 464, top: 36, right: 500, bottom: 324 });
  });

  it('prints black ink as black, whatever a screen shows of it', async () => {
    const sheet = await sheetOf(
      rawPdf('0 0 0 1 k 0 0 9 9 re f 0 0 0 0.5 k 0 0 9 9 re f 0 1 0 0 k 0 0 9 9 re f'),
    );
    const [black, half, magenta] = paths(sheet);
    expect(black!.fill).toEqual({ gray: 0 });
    expect((half!.fill as { gray: number }).gray).toBeCloseTo(0.5, 2);
    expect(magenta!.fill).toHaveProperty('rgb');
    expect((await sheetOf(rawPdf('0 0 0 1 k 0 0 9 9 re f 0.3 g 0 0 9 9 re f'))).colored).toBe(false);
  });

  it('has its letters as outlines that are drawn once and set where the file sets them', async () => {
    const bytes = await kitPdf((file) => {
      file.font(LORA).fontSize(20).text('bee bee', 72, 72, { lineBreak: false });
    });
    const sheet = await sheetOf(bytes);
    expect(sheet.missingFonts).toEqual([]);
    const symbols = sheet.drawing.marks.filter((mark) => mark.type === 'symbol');
    expect(symbols).toHaveLength(6);
    expect(new Set(symbols.map(({ drawing }) => drawing)).size).toBe(2);
    const width = (type.shape('bee bee', 'lora-regular' as never)?.width ?? 0) * 20;
    const box = boundsOf(sheet.drawing.marks, type)!;
    expect(box.left).toBeGreaterThan(71);
    expect(box.right - 72).toBeCloseTo(width, -0.5);
  });

  it('names fonts that are not in the file, and shows others for them', async () => {
    const sheet = await sheetOf(
      await kitPdf((file) => file.font('Helvetica').fontSize(30).text('Hi', 72, 72)),
    );
    expect(sheet.missingFonts).toEqual(['Helvetica']);
    expect(sheet.drawing.marks).toHaveLength(2);
  });

  it('keeps gradients, and fades what is put together as one', async () => {
    const sheet = await sheetOf(
      await kitPdf((file) => {
        const across = file.linearGradient(50, 0, 250, 0).stop(0, 'red').stop(1, 'blue');
        file.rect(50, 50, 200, 40).fill(across);
        const round = file.radialGradient(150, 300, 0, 150, 300, 50).stop(0, 'white').stop(1, 'black');
        file.circle(150, 300, 50).fill(round);
        file.opacity(0.4).rect(10, 400, 50, 50).fill('black');
      }),
    );
    const fills = paths(sheet).map(({ fill }) => (fill && 'gradient' in fill ? fill.gradient : 'plain'));
    expect(fills).toEqual(['linear', 'radial', 'plain']);
    expect(
      JSON.stringify(sheet.drawing.marks, (key, value) => (key === 'marks' && value[0]?.fill ? 0 : value)),
    ).toContain('"opacity":0.4');
  });

  it('has pictures at their true number of pixels, gray as gray, with what is clear of them', async () => {
    const make = (channels: 3 | 4, background: object) =>
      sharp({ create: { width: 40, height: 30, channels, background: background as never } })
        .png()
        .toBuffer();
    const gray = await make(3, { r: 90, g: 90, b: 90 });
    const clear = await make(4, { r: 200, g: 40, b: 40, alpha: 0.5 });
    const sheet = await sheetOf(
      await kitPdf((file) => file.image(gray, 72, 72, { width: 80 }).image(clear, 72, 200, { width: 80 })),
    );
    const [one, other] = inkOf(sheet).filter((mark): mark is ImageMark => mark.type === 'image');
    expect(one!.image).toMatchObject({ width: 40, height: 30, channels: 1 });
    expect(one!.image.pixels[0]).toBe(90);
    expect(other!.image).toMatchObject({ channels: 3 });
    expect(other!.image.alpha![0]).toBeCloseTo(128, -0.5);
    expect(boundsOf(sheet.drawing.marks, type)).toMatchObject({ left: 72, top: 72, right: 152, bottom: 260 });
  });

  it('leaves out layers that are not printed (ISO 32000-1 §8.11)', async () => {
    const bytes = rawPdf('/OC /L BDC 0 0 50 50 re f EMC 60 60 10 10 re f', {
      page: '/Resources<</Properties<</L 5 0 R>>>>',
      objects: ['<</Type/OCG/Name(Guides)>>'],
    });
    const file = await PDFDocument.load(bytes);
    file.catalog.set(
      PDFName.of('OCProperties'),
      file.context.obj({
        OCGs: [file.context.enumerateIndirectObjects().find(([, o]) => String(o).includes('/OCG'))![0]],
        D: { BaseState: PDFName.of('OFF') },
      }),
    );
    const sheet = await sheetOf(new Uint8Array(await file.save()));
    expect(boundsOf(sheet.drawing.marks, type)).toEqual({ left: 60, top: 230, right: 70, bottom: 240 });
  });

  it.each([
    ['blending', '/G gs 0 0 90 90 re f', '/Resources<</ExtGState<</G<</BM/Multiply>>>>>>'],
    [
      'soft masks',
      '/G gs 0 0 90 90 re f',
      '/Resources<</ExtGState<</G<</SMask<</S/Luminosity/G 5 0 R>>>>>>>>',
    ],
    ['patterns', '/Pattern cs /P scn 0 0 90 90 re f', '/Resources<</Pattern<</P 6 0 R>>>>'],
  ])('with %s on it is a picture of 300 dots an inch', async (what, content, page) => {
    const form = '/Type/XObject/Subtype/Form/BBox[0 0 200 300]/Group<</S/Transparency/CS/DeviceGray>>';
    const tile =
      '/Type/Pattern/PatternType 1/PaintType 1/TilingType 1/BBox[0 0 9 9]/XStep 9/YStep 9/Resources<<>>';
    const draws = Buffer.from('1 g 0 0 4 4 re f');
    const sheet = await sheetOf(
      rawPdf(content, { page, objects: [rawStream(form, draws), rawStream(tile, draws)] }),
    );
    expect(sheet.asPicture).toBe(what);
    const [image] = sheet.drawing.marks as [ImageMark];
    expect(image.image).toMatchObject({ width: Math.ceil((200 * 300) / 72), height: 1250, channels: 1 });
    expect(image).toMatchObject({ x: 0, y: 0, width: 200, height: 300 });
  });

  it('that is too large for a picture of so many dots has fewer', async () => {
    const sheet = await sheetOf(
      rawPdf('/G gs 0 0 900 900 re f', {
        page: '/MediaBox[0 0 7200 7200]/Resources<</ExtGState<</G<</BM/Multiply>>>>>>',
      }),
    );
    const [image] = sheet.drawing.marks as [ImageMark];
    expect(image.image.width * image.image.height).toBeLessThanOrEqual(40_100_000);
    expect(image).toMatchObject({ width: 7200, height: 7200 });
  });

  it('is the same marks whoever opens it, and however often', async () => {
    const bytes = await kitPdf((file) => {
      file.font(LORA).text('Once and again', 72, 72);
      file.rect(9, 9, 90, 90).stroke();
    });
    const [one, other] = [await sheetOf(bytes), await sheetOf(bytes)];
    expect(one.drawing).toEqual(other.drawing);
  });

  it('is told to be opened first, and a page in hand stays while others come', async () => {
    const file = await open(await plainPdf(40));
    expect(() => file.sheet(1)).toThrow(/was not opened/);
    await Promise.all(Array.from({ length: 12 }, (_, i) => file.open(i + 1)));
    for (let page = 1; page <= 12; page++) expect(file.sheet(page)).toHaveProperty('drawing');
  });
});

describe('a hostile PDF', () => {
  it('that unpacks to far more than it is, is refused before any page of it is read', async () => {
    const bomb = deflateSync(Buffer.alloc(300 * 1024 * 1024, ' '));
    expect(bomb.length).toBeLessThan(400_000);
    expect(await thorough(rawPdf(bomb, { filter: '/Filter/FlateDecode' }))).toMatch(/unpacks to far more/);
    // The list of its objects is unpacked by whoever opens it: that it is a bomb must be known before.
    const list = rawStream('/Type/ObjStm/N 1/First 4/Filter/FlateDecode', bomb);
    expect(await thorough(rawPdf('', { objects: [list] }))).toMatch(/unpacks to far more/);
    const twice = rawPdf(deflateSync(deflateSync(Buffer.from('0 0 9 9 re f'))), {
      filter: '/Filter[/FlateDecode/FlateDecode]',
    });
    expect(await thorough(twice)).toMatch(/is packed twice/);
    const wide = rawStream('/Type/XObject/Subtype/Image/Width 60000/Height 60000', Buffer.from('x'));
    expect(await thorough(rawPdf('', { objects: [wide] }))).toMatch(/a picture of more than 400 million/);
  });

  it('that is locked, empty, cut off or no PDF, says so', async () => {
    const locked = await kitPdfLocked();
    expect(await thorough(locked)).toMatch(/is locked with a password/);
    const whole = await plainPdf(2);
    expect(await thorough(whole.subarray(0, 300))).toMatch(/is not a readable PDF/);
    expect(await thorough(new TextEncoder().encode('hello'))).toMatch(/is not a readable PDF/);
    expect(await thorough(rawPdf('', { page: '/MediaBox[0 0 20000 20000]' }))).toMatch(
      /has a page 1 that has no size/,
    );
  });

  it('that draws itself for ever, or nests without end, ends', async () => {
    const itself = rawStream(
      '/Type/XObject/Subtype/Form/BBox[0 0 200 300]/Resources<</XObject<</F 5 0 R>>>>',
      Buffer.from('/F Do'),
    );
    const round = rawPdf('/F Do', { page: '/Resources<</XObject<</F 5 0 R>>>>', objects: [itself] });
    expect(await thorough(round)).toSatisfy((said) => said === null || /page 1/.test(String(said)));
    expect(await thorough(rawPdf('q '.repeat(2000)))).toMatch(/nested too deeply|^null$/);
    const letters = await troubleIn(Promise.resolve(sheetOf(rawPdf('BT (x) Tj ET 0 0 5 5 re f'))));
    expect(letters).toBeNull();
  });

  it('that is damaged anywhere is read or refused, and nothing else happens', async () => {
    const whole = await plainPdf(1);
    const flips = fc.array(fc.record({ at: fc.nat(whole.length - 1), value: fc.nat(255) }), {
      minLength: 1,
      maxLength: 8,
    });
    await fc.assert(
      fc.asyncProperty(flips, async (changes) => {
        const bytes = whole.slice();
        for (const { at, value } of changes) bytes[at] = value;
        await thorough(bytes);
      }),
      { numRuns: 60 },
    );
  });
});

/** One that wants a password before it is read. */
async function kitPdfLocked(): Promise<Uint8Array> {
  const { default: PDFKit } = await import('pdfkit');
  const file = new PDFKit({ userPassword: 'bees', ownerPassword: 'hives' });
  const chunks: Buffer[] = [];
  file.on('data', (chunk: Buffer) => chunks.push(chunk));
  file.text('locked');
  file.end();
  await new Promise((resolve) => file.on('end', resolve));
  return new Uint8Array(Buffer.concat(chunks));
}
