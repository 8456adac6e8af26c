import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist';
import type { Raster } from '../../scene/index.ts';

export type { PDFDocumentProxy, PDFPageProxy };

/** What reading PDF pages needs of the place where it happens: pdf.js, started as that place wants it. */
export interface PdfReader {
  /** The numbers of its operators by name. */
  ops: Readonly<Record<string, number>>;
  /** Opens a file. @throws what pdf.js does for a file that it cannot read */
  open(bytes: Uint8Array): Promise<PDFDocumentProxy>;
  /**
   * A page in pixels, for what cannot be said in marks.
   * @param scale pixels a point
   */
  picture(page: PDFPageProxy, scale: number): Promise<Omit<Raster, 'id'>>;
}

/** How every place opens a file: glyphs as outlines, pictures as pixels, nothing of the machine, nothing run. */
export const OPENED_SO = {
  disableFontFace: true,
  useSystemFonts: false,
  fontExtraProperties: true,
  isOffscreenCanvasSupported: false,
  isImageDecoderSupported: false,
  isEvalSupported: false,
  useWorkerFetch: false,
  enableXfa: false,
  stopAtErrors: true,
  verbosity: 0,
} as const;

/** Pixels of a canvas without what is clear: pages stand on white paper. */
export function rasterOfPaper(rgba: Uint8ClampedArray, width: number, height: number): Omit<Raster, 'id'> {
  let gray = true;
  for (let i = 0; gray && i < rgba.length; i += 4) gray = rgba[i] === rgba[i + 1] && rgba[i] === rgba[i + 2];
  const channels = gray ? 1 : 3;
  const pixels = new Uint8Array(width * height * channels);
  for (let from = 0, at = 0; from < rgba.length; from += 4) {
    pixels[at++] = rgba[from]!;
    if (gray) continue;
    pixels[at++] = rgba[from + 1]!;
    pixels[at++] = rgba[from + 2]!;
  }
  return { width, height, channels, pixels };
}
