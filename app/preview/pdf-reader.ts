import pdfWorkerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';
import { drawnOnPaper, OPENED_SO, type PdfReader } from '#core/resources/pdf/reader.ts';

/** What fonts and pictures of a file may need of pdf.js, by folder and name, as addresses. */
const DATA = import.meta.glob<string>(
  [
    '/node_modules/pdfjs-dist/cmaps/*.bcmap',
    '/node_modules/pdfjs-dist/standard_fonts/*.{pfb,ttf}',
    '/node_modules/pdfjs-dist/wasm/*.{wasm,js}',
  ],
  { query: '?url', import: 'default' },
);

/** Fetches what ships with pdf.js: its own way takes folders that stand on a server as they are. */
class ShippedData {
  async fetch({ kind, filename }: { kind: string; filename: string }): Promise<Uint8Array> {
    const folder = { cMapUrl: 'cmaps', standardFontDataUrl: 'standard_fonts', wasmUrl: 'wasm' }[kind];
    const address = await DATA[`/node_modules/pdfjs-dist/${folder}/${filename}`]?.();
    if (!address) throw new Error(`pdf.js has no ${filename}.`);
    const response = await fetch(address);
    return new Uint8Array(await response.arrayBuffer());
  }
}

/** Canvases without a page to stand on. */
class OffscreenCanvases {
  create(width: number, height: number) {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d', { willReadFrequently: true }) };
  }
  reset({ canvas }: { canvas: OffscreenCanvas }, width: number, height: number) {
    Object.assign(canvas, { width, height });
  }
  destroy({ canvas }: { canvas: OffscreenCanvas }) {
    Object.assign(canvas, { width: 0, height: 0 });
  }
}

/** Filters live in a page's SVG; there is none here. */
class NoFilters {
  addFilter() {
    return 'none';
  }
  addHCMFilter() {
    return 'none';
  }
  addAlphaFilter() {
    return 'none';
  }
  addLuminosityFilter() {
    return 'none';
  }
  addHighlightHCMFilter() {
    return 'none';
  }
  destroy() {}
}

let reader: Promise<PdfReader> | undefined;

/** pdf.js in a worker. Loaded when it is wanted: few books have such pages. */
export function pdfReader(): Promise<PdfReader> {
  reader ??= begin();
  return reader;
}

async function begin(): Promise<PdfReader> {
  const { getDocument, OPS, PDFWorker } = await import('pdfjs-dist');
  const worker = PDFWorker.create({ port: new Worker(pdfWorkerUrl, { type: 'module' }) as never });
  return {
    ops: OPS,
    open: (bytes) =>
      getDocument({
        ...OPENED_SO,
        data: new Uint8Array(bytes),
        worker,
        BinaryDataFactory: ShippedData,
        CanvasFactory: OffscreenCanvases,
        FilterFactory: NoFilters,
        // Told that there are such folders; what is in them is fetched by the factory above.
        cMapUrl: '/cmaps/',
        standardFontDataUrl: '/standard_fonts/',
        wasmUrl: '/wasm/',
      } as never).promise,
    picture: (page, scale) =>
      drawnOnPaper(
        page,
        scale,
        (width, height) => new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!,
      ),
  };
}
