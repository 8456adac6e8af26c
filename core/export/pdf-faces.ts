import { LRUCache } from 'lru-cache';
import PDFDocument from 'pdfkit';
import type { FaceId, Typesetter } from '../scene/index.ts';
import type { FaceNames } from './content.ts';
import type { PdfFile, PdfRef } from './pdf-file.ts';

/** Some two hundred subsets of a text face. */
const SUBSET_BYTES_KEPT = 8 * 1024 * 1024;

/** What is used of PDFKit: how it makes the font objects of a subset. */
interface FontMaker {
  font(source: unknown, family: string): FontMaker;
  _font: {
    document: unknown;
    subset: { glyphs: number[]; includeGlyph(glyph: number): number; encode(): Uint8Array };
    widths: (number | undefined)[];
    unicode: (number[] | undefined)[];
    ref(): PdfRef;
    finalize(): void;
  };
}

/** A face of the file: the glyphs that were used of it make its subset. */
export interface EmbeddedFace extends FaceNames {
  ref: PdfRef;
  /** Writes the subset, when all pages are written. */
  finish(): void;
}

/**
 * Subsets by face and glyphs in their order. The books of a series use the same letters, and a subset takes longer to make
 * than a page.
 */
const subsets = new LRUCache<string, Uint8Array>({
  maxSize: SUBSET_BYTES_KEPT,
  sizeCalculation: ({ byteLength }) => byteLength,
});

/** Gives each face of a file its name and font objects (ISO 32000-1 §9.7, composite fonts with CIDFontType2). */
export function faceEmbedder(file: PdfFile, type: Typesetter): (face: FaceId) => EmbeddedFace {
  // No face of its own, which would cost more than a page.
  const options = { autoFirstPage: false, font: null } as unknown as PDFKit.PDFDocumentOptions;
  const maker = new PDFDocument(options) as unknown as FontMaker;
  let count = 0;
  return (face) => {
    // It takes an opened fontkit font; sharing it saves opening each face once a file.
    const { _font: font } = maker.font(type.font(face), face);
    font.document = file;
    const ref = font.ref();
    const codes: (number | undefined)[] = [];
    return {
      name: `F${++count}`,
      ref,
      code(glyph, width, codePoints) {
        let code = codes[glyph];
        if (code === undefined) {
          code = font.subset.includeGlyph(glyph);
          font.widths[code] ??= width * 1000;
          font.unicode[code] ??= codePoints;
          codes[glyph] = code;
        }
        return code;
      },
      finish() {
        const { subset } = font;
        const key = `${face} ${subset.glyphs.join(' ')}`;
        const encode = subset.encode.bind(subset);
        subset.encode = () => {
          const bytes = subsets.get(key) ?? encode();
          subsets.set(key, bytes);
          return bytes;
        };
        font.finalize();
      },
    };
  };
}
