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

/** What is used of a canvas, in Node and in a worker alike. */
interface Context {
  getImageData(x: number, y: number, width: number, height: number): { data: ArrayLike<number> };
}

/**
 * Draws a page on white paper.
 * @param scale pixels a point
 * @param contextOf a canvas of that many pixels, as the place makes one
 */
export async function drawnOnPaper(
  page: PDFPageProxy,
  scale: number,
  contextOf: (width: number, height: number) => Context,
): Promise<Omit<Raster, 'id'>> {
  const viewport = page.getViewport({ scale });
  const [width, height] = [Math.ceil(viewport.width), Math.ceil(viewport.height)];
  const context = contextOf(width, height);
  await page.render({
    canvas: null,
    canvasContext: context as never,
    viewport,
    background: '#ffffff',
    annotationMode: 0,
  }).promise;
  return rasterOfPaper(context.getImageData(0, 0, width, height).data, width, height);
}

/** Pixels of a canvas without what is clear: pages stand on white paper. */
function rasterOfPaper(rgba: ArrayLike<number>, width: number, height: number): Omit<Raster, 'id'> {
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
