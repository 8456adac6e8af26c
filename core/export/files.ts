import { type AsyncZippable, zip } from 'fflate';
import { drawPage, frameOf, type Plan, planBook, type Recipe } from '../book/index.ts';
import { drawWrap, frameOfWrap } from '../cover/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { frontJpeg } from './front.ts';
import { listingCsv, listingSheet } from './listing.ts';
import { type PdfPage, pdfBytes, writePdf } from './pdf.ts';

/** The files of a book, in the order they are made. */
export const BOOK_FILES = [
  'interior.pdf',
  'wrap.pdf',
  'front.jpg',
  'listing.json',
  'listing.csv',
  'recipe.json',
] as const;
export type BookFile = (typeof BOOK_FILES)[number];

/** Zip entries carry no time of day, so that the same recipe gives the same bytes. */
const ZIP_DATE = new Date(2000, 0, 1);

export function* interiorPages(recipe: Recipe, plan: Plan, type: Typesetter): Generator<PdfPage> {
  for (const page of plan.pages) {
    yield { scene: drawPage(recipe, plan, page.number, type), trim: frameOf(recipe, plan, page).trim };
  }
}

const describe = (recipe: Recipe) => ({ title: recipe.title, author: recipe.penName as string });

/** Writes the interior page by page. Black books are DeviceGray throughout. */
export function writeInterior(
  recipe: Recipe,
  type: Typesetter,
  sink: (chunk: Uint8Array) => void | Promise<void>,
  onPage?: (written: number, of: number) => void,
): Promise<void> {
  const plan = planBook(recipe);
  const total = plan.pages.length;
  return writePdf(
    interiorPages(recipe, plan, type),
    type,
    {
      ...describe(recipe),
      ...(onPage ? { onPage: (written: number) => onPage(written, total) } : {}),
    },
    sink,
  );
}

export function wrapPdf(recipe: Recipe, type: Typesetter): Promise<Uint8Array> {
  const pages = planBook(recipe).pages.length;
  const sheet: PdfPage = { scene: drawWrap(recipe, pages, type), trim: frameOfWrap(recipe, pages).trim };
  return pdfBytes([sheet], type, describe(recipe));
}

/** All files of a book except the interior, which is written as a stream. */
export async function smallFiles(
  recipe: Recipe,
  type: Typesetter,
): Promise<Record<Exclude<BookFile, 'interior.pdf'>, Uint8Array>> {
  const sheet = listingSheet(recipe);
  const json = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`);
  return {
    'wrap.pdf': await wrapPdf(recipe, type),
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
