import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import PDFDocument from 'pdfkit';
import type { FaceId, Scene, Typesetter } from '../scene/index.ts';
import { contentStream, type GlyphCodes } from './content.ts';

export interface PdfPage {
  scene: Scene;
  /** Where the sheet is cut, in scene coordinates (y downwards). */
  trim: { x: number; y: number; width: number; height: number };
}

export interface PdfOptions {
  title: string;
  author: string;
  /** Black interior: nothing but DeviceGray. */
  grey: boolean;
  /** Called after each page with the count of pages written. Throwing stops the writing. */
  onPage?: (written: number) => void;
}

/** Level 6 gives most of the saving; 9 costs several times more for a few bytes. */
const DEFLATE_LEVEL = 6;
/** Bytes that may wait for the reader of the stream before the writer pauses. */
const WAITING_BYTES = 1 << 20;
/** The same bytes for the same book: a file carries no time of day. */
const FIXED_DATE = new Date(Date.UTC(2000, 0, 1));

/** What this writer uses of PDFKit: its objects, cross-reference table and font subsets. */
interface LowLevelDocument extends AsyncIterable<Uint8Array> {
  ref(data?: Record<string, unknown>): PdfRef;
  font(source: unknown, family?: string): LowLevelDocument;
  _font: EmbeddedFont;
  _root: { data: { Pages: PdfRef & { data: { Kids: PdfRef[]; Count: number } } } };
  readableLength: number;
  end(): void;
  read(): Buffer | null;
}
interface PdfRef {
  data: Record<string, unknown>;
  end(chunk?: Uint8Array): void;
}
interface EmbeddedFont {
  ref(): PdfRef;
  subset: { includeGlyph(glyph: number): number };
  widths: (number | undefined)[];
  unicode: (number[] | undefined)[];
}

/**
 * Writes pages as a PDF 1.7 file: MediaBox, BleedBox and TrimBox for each, embedded font subsets, vector marks.
 * Layers with equal content are written once. Pages are asked for one at a time and let go when written, so memory
 * does not grow with their number.
 * @param pages made when they are asked for
 * @param sink takes the bytes in order; awaited, so that a slow disk holds the writer back
 */
export async function writePdf(
  pages: Iterable<PdfPage>,
  type: Typesetter,
  options: PdfOptions,
  sink: (chunk: Uint8Array) => void | Promise<void>,
): Promise<void> {
  const document = new PDFDocument({
    autoFirstPage: false,
    bufferPages: false,
    compress: true,
    pdfVersion: '1.7',
    margin: 0,
    info: {
      Title: options.title,
      Author: options.author,
      Producer: 'Restless Quill',
      Creator: 'Restless Quill',
      CreationDate: FIXED_DATE,
      ModDate: FIXED_DATE,
    },
  } as PDFKit.PDFDocumentOptions) as unknown as LowLevelDocument;
  const written = new Map<string, PdfRef>();
  const keyed = new Map<string, { ref: PdfRef; faces: Set<FaceId> }>();
  const fonts = embeddedFonts(document, type);
  const { Pages } = document._root.data;

  const drain = async () => {
    for (;;) {
      const chunk = document.read();
      if (!chunk) return;
      await sink(chunk);
    }
  };

  let count = 0;
  for (const { scene, trim } of pages) {
    const faces = new Set<FaceId>();
    const contents = scene.layers.map((layer) => {
      const known = layer.key === undefined ? undefined : keyed.get(layer.key);
      if (known) {
        for (const face of known.faces) faces.add(face);
        return known.ref;
      }
      const used = new Set<FaceId>();
      const stream = contentStream(layer.marks, scene.height, fonts.codes(used), type, options.grey);
      for (const face of used) faces.add(face);
      const bytes = Buffer.from(stream, 'latin1');
      const digest = createHash('sha1').update(bytes).digest('base64');
      let ref = written.get(digest);
      if (!ref) {
        ref = document.ref({ Filter: 'FlateDecode' });
        ref.end(deflateSync(bytes, { level: DEFLATE_LEVEL }));
        written.set(digest, ref);
      }
      if (layer.key !== undefined) keyed.set(layer.key, { ref, faces: used });
      return ref;
    });
    const page = document.ref({
      Type: 'Page',
      Parent: Pages,
      MediaBox: [0, 0, scene.width, scene.height],
      BleedBox: [0, 0, scene.width, scene.height],
      TrimBox: [trim.x, scene.height - trim.y - trim.height, trim.x + trim.width, scene.height - trim.y],
      Resources: {
        Font: Object.fromEntries(
          [...faces].map((face) => [fonts.codes(faces).fontName(face), fonts.ref(face)]),
        ),
      },
      Contents: contents,
    });
    page.end();
    Pages.data.Kids.push(page);
    Pages.data.Count++;
    options.onPage?.(++count);
    if (document.readableLength > WAITING_BYTES) await drain();
  }
  document.end();
  for await (const chunk of document) await sink(chunk);
}

function embeddedFonts(document: LowLevelDocument, type: Typesetter) {
  const opened = new Map<FaceId, { name: string; font: EmbeddedFont; codes: Map<number, string> }>();
  const open = (face: FaceId) => {
    let found = opened.get(face);
    if (!found) {
      // PDFKit takes an opened fontkit font; sharing it saves opening each face once a file.
      document.font(type.font(face), face);
      found = { name: `F${opened.size + 1}`, font: document._font, codes: new Map() };
      opened.set(face, found);
    }
    return found;
  };
  return {
    ref: (face: FaceId) => open(face).font.ref(),
    codes: (used: Set<FaceId>): GlyphCodes => ({
      fontName: (face) => {
        used.add(face);
        return open(face).name;
      },
      code(face, glyph, width, codePoints) {
        const { font, codes } = open(face);
        let code = codes.get(glyph);
        if (code === undefined) {
          const id = font.subset.includeGlyph(glyph);
          font.widths[id] ??= width * 1000;
          font.unicode[id] ??= codePoints;
          code = id.toString(16).padStart(4, '0');
          codes.set(glyph, code);
        }
        return code;
      },
    }),
  };
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
