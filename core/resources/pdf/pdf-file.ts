import { LRUCache } from 'lru-cache';
import type { Drawing, Mark, Matrix, Raster } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import { type Glyphs, glyphsOf, type Operators } from './glyphs.ts';
import { interpret } from './interpret.ts';
import { BeyondMarks } from './page-sheet.ts';
import type { PDFDocumentProxy, PDFPageProxy, PdfReader } from './reader.ts';
import type { PageStructure } from './structure.ts';

/** A rectangle on a sheet, in points from its upper left corner. */
export interface SheetBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A page of a PDF, upright, as marks on a sheet of its own size: its upper left corner at 0, 0. */
export interface PdfSheet {
  width: number;
  height: number;
  drawing: Drawing;
  /** Where its file says that it is cut; all of it where it does not say so. */
  trim: SheetBox;
  /** Something on it is neither black, white nor gray. */
  colored: boolean;
  /** Fonts whose letters are not in the file: others were put in their place. */
  missingFonts: readonly string[];
  /** What was on it that had to be taken as a picture, in a few words; null where nothing was. */
  asPicture: string | null;
}

/** Pages of a PDF, read one by one as they are wanted. */
export interface PdfFile {
  pages: number;
  /** Reads a page, counted from 1, unless it is kept. Never fails: what is wrong with a page is told by `sheet`. */
  open(page: number): Promise<void>;
  /** A page that was opened just before, or why it cannot be read, as a sentence. @throws RangeError when it was not */
  sheet(page: number): PdfSheet | { trouble: string };
}

/** Pages kept besides the one in hand: a spread, and what is proofed, found or written meanwhile. */
const KEPT = 16;
/** Of a page taken as a picture, in dots an inch: what printing services ask of pictures. */
const PICTURE_DPI = 300;
/** Pixels of such a picture: two pages of 12 × 18 in beside each other; a larger page has fewer dots an inch. */
const MOST_PICTURE = 40_000_000;
/** Steps that a page may have; one of letters and lines has some thousands. */
const MOST_STEPS = 1_000_000;
/** Of a side, in points: the largest that a PDF page may have (ISO 32000-1, annex C). */
const MOST_SIDE = 14_400;

/** @param structure what the file says of each of its pages */
export function pdfFile(
  document: PDFDocumentProxy,
  reader: PdfReader,
  hash: string,
  structure: readonly PageStructure[],
): PdfFile {
  const kept = new LRUCache<number, PdfSheet | { trouble: string }>({ max: KEPT });
  const opening = new Map<number, Promise<void>>();
  let glyphs: Glyphs | undefined;
  const read = async (number: number): Promise<void> => {
    try {
      const page = await document.getPage(number);
      const find = finder(page);
      glyphs ??= glyphsOf(find);
      kept.set(
        number,
        await sheetOf(page, { document, reader, find, glyphs, hash, said: structure[number - 1]! }),
      );
      page.cleanup();
    } catch (error) {
      const trouble =
        error instanceof ResourceTrouble ? error.message : 'cannot be read: it is damaged. Save it again.';
      kept.set(number, { trouble });
    }
  };
  return {
    pages: document.numPages,
    async open(number) {
      if (kept.get(number)) return;
      let begun = opening.get(number);
      if (!begun) {
        begun = read(number).finally(() => opening.delete(number));
        opening.set(number, begun);
      }
      await begun;
    },
    sheet(number) {
      const found = kept.get(number);
      if (!found) throw new RangeError(`Page ${number} of the PDF was not opened.`);
      return found;
    },
  };
}

/** What pdf.js keeps of a page and of its file, under a name. */
function finder(page: PDFPageProxy) {
  return (name: string): unknown => {
    for (const objects of [page.commonObjs, page.objs]) {
      try {
        if (objects.has(name)) return objects.get(name);
      } catch {
        // Named, but not to be read: as if it were not there.
      }
    }
    return null;
  };
}

/** Waits for the fonts and pictures of a page, which come after its steps do. */
async function allThere(page: PDFPageProxy, list: Operators, dependency: number): Promise<void> {
  const names = new Set<string>();
  list.fnArray.forEach((op, i) => {
    if (op === dependency) for (const name of list.argsArray[i] as string[]) names.add(name);
  });
  await Promise.all(
    [...names].map(
      (name) =>
        new Promise<void>((resolve) => {
          const objects = name.startsWith('g_') ? page.commonObjs : page.objs;
          objects.get(name, () => resolve());
        }),
    ),
  );
}

async function sheetOf(
  page: PDFPageProxy,
  {
    document,
    reader,
    find,
    glyphs,
    hash,
    said,
  }: {
    document: PDFDocumentProxy;
    reader: PdfReader;
    find: (name: string) => unknown;
    glyphs: Glyphs;
    hash: string;
    said: PageStructure;
  },
): Promise<PdfSheet> {
  const { width, height, transform } = page.getViewport({ scale: 1 });
  if (!(width > 0 && height > 0 && width <= MOST_SIDE && height <= MOST_SIDE))
    throw new ResourceTrouble('has no size that can be printed. Save it again.');
  const matrix = transform as unknown as Matrix;
  const list = (await page.getOperatorList({ intent: 'print', annotationMode: 0 })) as Operators;
  if (list.fnArray.length > MOST_STEPS) throw new ResourceTrouble('has too much on it. Save it more simply.');
  await allThere(page, list, reader.ops.dependency!);
  const layers = await document.getOptionalContentConfig({ intent: 'print' });
  const { missingFonts } = said;
  const common = { width, height, trim: boxOnSheet(said.trim, matrix, width, height), missingFonts };
  try {
    const { marks, colored } = interpret(list, {
      ops: reader.ops,
      matrix,
      width,
      height,
      glyphs,
      find,
      layerShown: (properties) => layers.isVisible(properties as never),
      id: `${hash} ${page.pageNumber}`,
    });
    return { ...common, drawing: { marks }, colored, asPicture: null };
  } catch (error) {
    if (!(error instanceof BeyondMarks)) throw error;
    const image: Raster = {
      id: `${hash} ${page.pageNumber} whole`,
      ...(await reader.picture(page, Math.min(PICTURE_DPI / 72, Math.sqrt(MOST_PICTURE / (width * height))))),
    };
    const marks: Mark[] = [{ type: 'image', image, x: 0, y: 0, width, height }];
    const colored = image.channels === 3;
    return { ...common, drawing: { marks }, colored, asPicture: error.message };
  }
}

/** A box of a page on its upright sheet, no further than the sheet goes. */
function boxOnSheet(
  [left, bottom, right, top]: readonly [number, number, number, number],
  [a, b, c, d, e, f]: Matrix,
  width: number,
  height: number,
): SheetBox {
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const xs = [a * left + c * bottom + e, a * right + c * top + e].map((x) => within(x, width));
  const ys = [b * left + d * bottom + f, b * right + d * top + f].map((y) => within(y, height));
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const box = { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
  return box.width > 0 && box.height > 0 ? box : { x: 0, y: 0, width, height };
}
