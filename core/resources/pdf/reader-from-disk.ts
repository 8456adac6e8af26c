import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { drawnOnPaper, OPENED_SO, type PdfReader } from './reader.ts';

const folder = dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'));
const data = (name: string) => `${join(folder, name)}/`;

let reader: Promise<PdfReader> | undefined;

/** pdf.js in Node. Loaded when it is wanted: few books have such pages. */
export function pdfReader(): Promise<PdfReader> {
  reader ??= begin();
  return reader;
}

async function begin(): Promise<PdfReader> {
  const { getDocument, OPS } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  return {
    ops: OPS,
    open: (bytes) =>
      getDocument({
        ...OPENED_SO,
        // It takes over what it is given.
        data: new Uint8Array(bytes),
        standardFontDataUrl: data('standard_fonts'),
        cMapUrl: data('cmaps'),
        wasmUrl: data('wasm'),
      }).promise,
    async picture(page, scale) {
      const { createCanvas } = await import('@napi-rs/canvas');
      return drawnOnPaper(page, scale, (width, height) => createCanvas(width, height).getContext('2d'));
    },
  };
}
