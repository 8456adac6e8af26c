import { type AsyncZippable, zip } from 'fflate';
import { type Book, drawPage, finished, frameOf, pageSteps, type Recipe } from '../book/index.ts';
import { drawCover } from '../cover/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { listingCsv, listingSheet } from './listing.ts';
import { type PdfPage, pdfBytes, writePdf } from './pdf.ts';

/** Of each sheet of a cover, the name of its file. */
export const COVER_FILES = { wrap: 'wrap.pdf', front: 'front-cover.pdf', back: 'back-cover.pdf' } as const;

/** Zip entries carry no time of day, so that the same recipe gives the same bytes. */
const ZIP_DATE = new Date(2000, 0, 1);

async function* interiorPages(book: Book, type: Typesetter): AsyncGenerator<PdfPage> {
  for (const page of book.plan.pages) {
    await finished(pageSteps(book, page));
    yield { scene: drawPage(book, page.number, type), trim: frameOf(book, page).trim };
  }
}

const describe = (recipe: Recipe) => ({ title: recipe.title, author: recipe.penName });

/** Writes the interior page by page. Black books are DeviceGray throughout. */
export function writeInterior(
  book: Book,
  type: Typesetter,
  sink: (chunk: Uint8Array) => void | Promise<void>,
  onPage?: (written: number, of: number) => void,
): Promise<void> {
  const total = book.plan.pages.length;
  const options = {
    ...describe(book.recipe),
    ...(onPage ? { onPage: (written: number) => onPage(written, total) } : {}),
  };
  return writePdf(interiorPages(book, type), type, options, sink);
}

/** A file for each sheet of the cover. */
export async function coverPdfs(book: Book, type: Typesetter): Promise<Record<string, Uint8Array>> {
  const files: Record<string, Uint8Array> = {};
  for (const { sheet, scene } of drawCover(book, type))
    files[COVER_FILES[sheet.id]] = await pdfBytes([{ scene, trim: sheet.trim }], type, describe(book.recipe));
  return files;
}

/** All files of a book except the interior, which is written as a stream, by name. */
export async function smallFiles(book: Book, type: Typesetter): Promise<Record<string, Uint8Array>> {
  const { recipe } = book;
  // Loaded when it is wanted: the picture libraries take as much memory as all the rest.
  const { frontJpeg } = await import('./front.ts');
  const sheet = listingSheet(book);
  const json = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`);
  return {
    ...(await coverPdfs(book, type)),
    'front.jpg': await frontJpeg(recipe, type),
    'listing.json': json(sheet),
    'listing.csv': new TextEncoder().encode(`\uFEFF${listingCsv(sheet)}`),
    'recipe.json': json(recipe),
  };
}

/** One ZIP of all files; PDF and JPEG are packed already and only stored. */
export function bookZip(files: Record<string, Uint8Array>): Promise<Uint8Array> {
  const entries: AsyncZippable = {};
  for (const [name, bytes] of Object.entries(files)) {
    entries[name] = [bytes, { level: /\.(pdf|jpg)$/.test(name) ? 0 : 6, mtime: ZIP_DATE }];
  }
  return new Promise((resolve, reject) =>
    zip(entries, { mtime: ZIP_DATE }, (error, bytes) => (error ? reject(error) : resolve(bytes))),
  );
}
