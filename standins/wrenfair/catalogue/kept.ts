import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BOOKS, type CatalogueBook, makeCatalogue } from './make.ts';

/** Raised when the catalogue would be made otherwise. */
const VERSION = 2;

/** The catalogue of a shop: made at its first start and kept in a file from then on. */
export function keptCatalogue(folder: string, opened: number): CatalogueBook[] {
  const path = join(folder, `catalogue-${VERSION}.json`);
  try {
    const kept = JSON.parse(readFileSync(path, 'utf8')) as CatalogueBook[];
    if (kept.length === BOOKS) return kept;
  } catch {
    // The first start, or a file cut short: made anew, and the same.
  }
  const made = makeCatalogue(opened);
  mkdirSync(folder, { recursive: true });
  writeFileSync(`${path}.part`, JSON.stringify(made));
  renameSync(`${path}.part`, path);
  return made;
}
