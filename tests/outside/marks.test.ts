import { resolve } from 'node:path';
import { type Browser, chromium, type Page } from '@playwright/test';
import { build } from 'esbuild';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pdfBytes } from '#core/export/pdf.ts';
import { scenePng } from '#core/export/picture.ts';
import { readFace, typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import type { ShippedFace } from '#core/faces/index.ts';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import { MARK_SAMPLES, SAMPLE_SIDE } from '#core/scene/marks.sample.ts';
import browserSettings from '../../playwright.config.ts';
import { byMuPdf, byPoppler, type Difference, difference, isGray } from './pixels.ts';
import { fileOf, qpdfCheck } from './referees.ts';

const type = typesetterFromDisk();
const PIXELS = 480;
const NAMES = Object.keys(MARK_SAMPLES);

const sceneOf = (name: string, gray: boolean) => ({
  width: SAMPLE_SIDE,
  height: SAMPLE_SIDE,
  gray,
  layers: [{ marks: MARK_SAMPLES[name]! }],
});

/**
 * Two renderers differ on the pixels of edges, and in how they enlarge pictures: by a mean of at most 1.2 of 255 over the
 * sheet. What a blank page would be off by is many times that for every sample.
 */
const MEAN = 1.2;
const BLANK = 8 * MEAN;
const SMALL_MEAN = 2.6;

function expectSame({ mean, max, ink }: Difference, who: string) {
  expect(mean, `${who}: mean`).toBeLessThan(MEAN);
  expect(max, `${who}: greatest`).toBeLessThan(140);
  expect(ink, `${who}: a blank page would pass`).toBeGreaterThan(BLANK);
}

// One scene, every output, each drawn by a program that shares no code with ours or with the others: the PDF by Poppler
// and by MuPDF, the SVG by resvg, the canvas of the previews by Chromium.
describe.each([
  ['in color', false],
  ['as a press with black ink alone prints it', true],
])('every renderer shows the same, %s', (_, gray) => {
  let path = '';
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    const trim = { x: 0, y: 0, width: SAMPLE_SIDE, height: SAMPLE_SIDE };
    const pages = NAMES.map((name) => ({ scene: sceneOf(name, gray), trim }));
    path = fileOf(await pdfBytes(pages, type, { title: 'Marks', author: '' }));
    const { outputFiles } = await build({
      entryPoints: ['tests/outside/canvas-page.ts'],
      bundle: true,
      write: false,
      format: 'iife',
      platform: 'browser',
      alias: { 'brotli/decompress.js': resolve('core/faces/no-brotli.ts') },
      define: { global: 'globalThis' },
      logLevel: 'error',
    });
    browser = await chromium.launch(browserSettings.use!.launchOptions);
    page = await browser.newPage();
    await page.addScriptTag({ content: outputFiles[0]!.text });
    // Whatever the samples ask for, fallbacks included.
    const asked = new Set<ShippedFace>();
    const listening = createTypesetter((face) => {
      asked.add(face);
      return readFace(face);
    });
    for (const name of NAMES) scenePng(sceneOf(name, gray), listening, PIXELS);
    for (const face of asked)
      await page.evaluate(
        ([id, base64]) => (globalThis as unknown as Harness).giveFace(id!, base64!),
        [face, Buffer.from(readFace(face)).toString('base64')],
      );
  });
  afterAll(() => browser?.close());

  it('in a file that qpdf finds nothing wrong with', () => {
    expect(qpdfCheck(path)).toMatch(/No syntax or stream encoding errors/);
  });

  it.each(NAMES)('%s', async (name) => {
    const ours = scenePng(sceneOf(name, gray), type, PIXELS);
    const at = NAMES.indexOf(name) + 1;
    const canvas = Buffer.from(
      await page.evaluate(
        ([sample, pixels, black]) =>
          (globalThis as unknown as Harness).drawSample(sample as string, pixels as number, black as boolean),
        [name, PIXELS, gray],
      ),
      'base64',
    );
    const poppler = byPoppler(path, at, PIXELS);
    const mupdf = byMuPdf(path, at, PIXELS);
    expectSame(await difference(ours, canvas), 'Chromium');
    expectSame(await difference(ours, poppler), 'Poppler');
    expectSame(await difference(ours, mupdf), 'MuPDF');
    if (gray) for (const picture of [ours, canvas, poppler, mupdf]) expect(await isGray(picture)).toBe(true);
  });

  // Type of up to 12 pixels is set from masks of its glyphs, which no larger sample uses: letters of 5 to 12 pixels.
  it.each([36, 60, 84])('small type, the sheet %i pixels wide', async (pixels) => {
    const canvas = Buffer.from(
      await page.evaluate(
        ([sample, wide, black]) =>
          (globalThis as unknown as Harness).drawSample(sample as string, wide as number, black as boolean),
        ['text', pixels, gray],
      ),
      'base64',
    );
    const at = NAMES.indexOf('text') + 1;
    const poppler = byPoppler(path, at, pixels);
    const mupdf = byMuPdf(path, at, pixels);
    // So small, edges are a larger part of a letter: up to 2.4 of 255, where a blank page is off by 9.7.
    for (const referee of [poppler, mupdf]) {
      const { mean, max, ink } = await difference(referee, canvas);
      expect(mean).toBeLessThan(SMALL_MEAN);
      expect(max).toBeLessThan(60);
      expect(ink).toBeGreaterThan(3.5 * SMALL_MEAN);
    }
  });
});

interface Harness {
  giveFace(face: string, base64: string): void;
  drawSample(name: string, pixels: number, gray: boolean): Promise<string>;
}
