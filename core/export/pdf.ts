import type { Scene, Typesetter } from '../scene/index.ts';
import { openPdfFile, type PdfRef } from './pdf-file.ts';
import { fileResources, type WrittenContent } from './pdf-resources.ts';

export interface PdfPage {
  scene: Scene;
  /** Where the sheet is cut, in scene coordinates (y downwards). */
  trim: { x: number; y: number; width: number; height: number };
}

export interface PdfOptions {
  title: string;
  author: string;
  /** Called after each page with the count of pages written. Throwing stops the writing. */
  onPage?: (written: number) => void;
}

/** Pages after which what was written is handed on. */
const PAGES_AT_ONCE = 16;
/** The same bytes for the same book: a file carries no time of day. */
const FIXED_DATE = 'D:20000101000000Z';

/**
 * Writes pages as a PDF 1.7 file: MediaBox, BleedBox and TrimBox for each, embedded font subsets, vector marks.
 * Layers with equal content are written once. Pages are asked for one at a time and let go when written, so memory
 * does not grow with their number.
 * @param pages made when they are asked for
 * @param sink takes the bytes in order; awaited, so that a slow disk holds the writer back
 */
export async function writePdf(
  pages: Iterable<PdfPage> | AsyncIterable<PdfPage>,
  type: Typesetter,
  options: PdfOptions,
  sink: (chunk: Uint8Array) => void | Promise<void>,
): Promise<void> {
  const file = openPdfFile(sink);
  const resources = fileResources(file, type);
  const exactObject = new Map<string, WrittenContent>();
  const tree = file.ref({ Type: 'Pages' });
  const kids: PdfRef[] = [];
  for await (const { scene, trim } of pages) {
    const used: WrittenContent['used'] = new Map();
    const contents = scene.layers.map((layer) => {
      let content = layer.key === undefined ? undefined : exactObject.get(layer.key);
      if (!content) {
        content = resources.content(layer.marks, scene.height, scene.gray);
        if (layer.key !== undefined) exactObject.set(layer.key, content);
      }
      for (const [name, category] of content.used) used.set(name, category);
      return content.ref;
    });
    const page = file.ref({
      Type: 'Page',
      Parent: tree,
      MediaBox: [0, 0, scene.width, scene.height],
      BleedBox: [0, 0, scene.width, scene.height],
      TrimBox: [trim.x, scene.height - trim.y - trim.height, trim.x + trim.width, scene.height - trim.y],
      Resources: resources.dictionary(used),
      Contents: contents,
    });
    page.end();
    kids.push(page);
    options.onPage?.(kids.length);
    if (kids.length % PAGES_AT_ONCE === 0) await file.drain();
  }
  resources.finish();
  tree.data = { Type: 'Pages', Kids: kids, Count: kids.length };
  tree.end();
  const root = file.ref({ Type: 'Catalog', Pages: tree });
  root.end();
  const info = file.ref({
    Title: new String(options.title),
    Author: new String(options.author),
    Producer: new String('Restless Quill'),
    Creator: new String('Restless Quill'),
    CreationDate: new String(FIXED_DATE),
    ModDate: new String(FIXED_DATE),
  });
  info.end();
  await file.finish(root, info);
}

/** As writePdf, into memory. */
export async function pdfBytes(
  pages: Iterable<PdfPage>,
  type: Typesetter,
  options: PdfOptions,
): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  await writePdf(pages, type, options, (chunk) => {
    chunks.push(chunk);
  });
  return Buffer.concat(chunks);
}
