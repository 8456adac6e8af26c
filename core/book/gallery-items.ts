import { bookFrom } from './book.ts';
import { type gallery, galleryBook } from './gallery.ts';
import { filledItem, itemKey, keepItem } from './items.ts';
import type { Recipe } from './recipe.ts';

/** Bytes, among values that are JSON. */
const BYTES = 'bytes';

/** An item as JSON, with bytes as text (RFC 4648, base 64). */
const written = (item: unknown): unknown =>
  JSON.parse(
    JSON.stringify(item, (_, value: unknown) =>
      value instanceof Uint8Array ? { [BYTES]: btoa(String.fromCharCode(...value)) } : value,
    ),
  );

const read = (item: unknown): unknown =>
  JSON.parse(JSON.stringify(item), (_, value: unknown) => {
    if (value === null || typeof value !== 'object' || !(BYTES in value)) return value;
    return Uint8Array.from(atob((value as { bytes: string }).bytes), (sign) => sign.charCodeAt(0));
  });

/** Every item on the pages of samples, by everything that can change it: to be kept in a file, see `loadGalleryItems`. */
export function galleryItems(recipe: Recipe, entries: ReturnType<typeof gallery>): Record<string, unknown> {
  const book = bookFrom(galleryBook(recipe, entries).recipe);
  const items: Record<string, unknown> = {};
  for (const { items: planned, section } of book.plan.pages)
    for (const item of planned) {
      const of = book.sections.get(section!)!;
      items[itemKey(book, of, item)] = written(filledItem(book, of, item));
    }
  return items;
}

let loading: Promise<void> | null = null;

/**
 * Loads the puzzles of the samples, made beforehand: the gallery shows one of every sort at once, which would take seconds to make.
 * One that is not there is made.
 */
export function loadGalleryItems(): Promise<void> {
  loading ??= import('./gallery-items.json')
    .then(({ default: items }) => {
      for (const [key, item] of Object.entries(items)) keepItem(key, read(item));
    })
    .catch(() => {
      loading = null;
    });
  return loading;
}
