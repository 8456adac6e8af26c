import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BOOKS, type CatalogBook, makeCatalog } from './make.ts';

/** Raised when the catalog would be made otherwise. */
const VERSION = 2;

/** The catalog of a shop: made at its first start and kept in a file from then on. */
export function keptCatalog(folder: string, opened: number): CatalogBook[] {
  const path = join(folder, `catalog-${VERSION}.json`);
  try {
    const kept = JSON.parse(readFileSync(path, 'utf8')) as CatalogBook[];
    if (kept.length === BOOKS) return kept;
  } catch {
    // The first start, or a file cut short: made anew, and the same.
  }
  const made = makeCatalog(opened);
  mkdirSync(folder, { recursive: true });
  writeFileSync(`${path}.part`, JSON.stringify(made));
  renameSync(`${path}.part`, path);
  return made;
}
