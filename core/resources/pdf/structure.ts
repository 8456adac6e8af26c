import {
  EncryptedPDFError,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFNumber,
  type PDFObject,
  type PDFPage,
  PDFRawStream,
} from '@cantoo/pdf-lib';
import { MOST_PIXELS, ResourceTrouble } from '../resource.ts';
import { checkUnpacked, packedParts } from './unpacked.ts';

/** What a file says of a page before it is drawn. */
export interface PageStructure {
  /** Where it is cut, in its own coordinates: left, bottom, right, top; whole where it says nothing. */
  trim: readonly [number, number, number, number];
  /** Fonts that are used on it, and not in the file. */
  missingFonts: readonly string[];
}

/** Forms stand in forms; nobody means more than so many. */
const MOST_NESTED = 8;

/**
 * Reads how a file is put together, without reading its pages.
 * @param mostPages that it may have
 * @param thorough holds what its parts unpack to against what they may
 * @throws ResourceTrouble for a locked one, too many pages, or too much in it; whatever else where it is damaged
 */
export async function structureOf(
  bytes: Uint8Array,
  mostPages: number,
  thorough: boolean,
): Promise<PageStructure[]> {
  // Before it is opened, and what is locked against changes once more when its parts can be read.
  if (thorough) checkUnpacked(packedParts(bytes));
  const file = await opened(bytes);
  const pages = file.getPageCount();
  if (pages < 1 || pages > mostPages)
    throw new ResourceTrouble(`has ${pages} pages; 1 to ${mostPages} are allowed. Split it.`);
  if (thorough) checkParts(file);
  return file.getPages().map((page) => {
    const { x, y, width, height } = page.getTrimBox();
    return { trim: [x, y, x + width, y + height], missingFonts: missingFonts(page) };
  });
}

async function opened(bytes: Uint8Array): Promise<PDFDocument> {
  try {
    return await PDFDocument.load(bytes, {
      updateMetadata: false,
      throwOnInvalidObject: true,
      // Of one that is locked against changes alone.
      password: '',
    });
  } catch (error) {
    if (error instanceof EncryptedPDFError || /password/i.test((error as Error).message))
      throw new ResourceTrouble('is locked with a password. Save it without one.');
    throw error;
  }
}

const look = (dict: PDFDict | undefined, name: string): PDFObject | undefined =>
  dict?.lookup(PDFName.of(name));
const dictIn = (dict: PDFDict | undefined, name: string): PDFDict | undefined => {
  const found = look(dict, name);
  return found instanceof PDFDict ? found : found instanceof PDFRawStream ? found.dict : undefined;
};
const numberIn = (dict: PDFDict, name: string): number => {
  const found = look(dict, name);
  return found instanceof PDFNumber ? found.asNumber() : 0;
};

function checkParts(file: PDFDocument): void {
  const streams = file.context
    .enumerateIndirectObjects()
    .flatMap(([, object]) => (object instanceof PDFRawStream ? [object] : []));
  for (const { dict } of streams)
    if (numberIn(dict, 'Width') * numberIn(dict, 'Height') > MOST_PIXELS)
      throw new ResourceTrouble(
        `has a picture of more than ${MOST_PIXELS / 1e6} million pixels. Make it smaller.`,
      );
  checkUnpacked(
    streams.map(({ dict, contents }) => {
      const filter = look(dict, 'Filter');
      const names = filter instanceof PDFArray ? filter.asArray() : filter ? [filter] : [];
      return { filters: names.map((name) => String(name).replace('/', '')), bytes: contents };
    }),
  );
}

/** Fonts of a page, and of the forms on it, that have no file of letters (ISO 32000-1 §9.9). */
function missingFonts(page: PDFPage): string[] {
  const missing = new Set<string>();
  const seen = new Set<PDFDict>();
  const search = (resources: PDFDict | undefined, depth: number): void => {
    if (!resources || seen.has(resources) || depth > MOST_NESTED) return;
    seen.add(resources);
    const fonts = dictIn(resources, 'Font');
    for (const key of fonts?.keys() ?? []) {
      const font = fonts!.lookup(key);
      if (font instanceof PDFDict && !isEmbedded(font))
        missing.add(String(look(font, 'BaseFont') ?? 'A font').replace(/^\//, ''));
    }
    const forms = dictIn(resources, 'XObject');
    for (const key of forms?.keys() ?? []) {
      const form = forms!.lookup(key);
      if (form instanceof PDFRawStream) search(dictIn(form.dict, 'Resources'), depth + 1);
    }
  };
  search(page.node.Resources(), 0);
  return [...missing];
}

function isEmbedded(font: PDFDict): boolean {
  if (String(look(font, 'Subtype')) === '/Type3') return true;
  const below = look(font, 'DescendantFonts');
  const inner = below instanceof PDFArray ? below.lookup(0) : font;
  const descriptor = inner instanceof PDFDict ? dictIn(inner, 'FontDescriptor') : undefined;
  return ['FontFile', 'FontFile2', 'FontFile3'].some((name) => look(descriptor, name) !== undefined);
}
