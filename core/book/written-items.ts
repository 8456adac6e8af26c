import type { Book } from './book.ts';
import { filledItem, itemKey, keepItem } from './items.ts';
import type { PlannedPage } from './planned.ts';

/** Items as JSON, each by the value of everything that can change it. */
export type WrittenItems = Record<string, unknown>;

/** Bytes, among values that are JSON. */
const BYTES = 'bytes';

/** An item as JSON, with bytes as text (RFC 4648, base 64). */
const written = (item: unknown): unknown =>
  JSON.parse(
    JSON.stringify(item, (_, value: unknown) =>
      value instanceof Uint8Array ? { [BYTES]: btoa(String.fromCharCode(...value)) } : value,
    ),
  );

/** The item again; what is in it is taken over, not copied. */
function read(item: unknown): unknown {
  if (item === null || typeof item !== 'object') return item;
  if (BYTES in item) return Uint8Array.from(atob(item[BYTES] as string), (sign) => sign.charCodeAt(0));
  const parts = item as Record<string, unknown>;
  for (const [key, part] of Object.entries(parts)) if (typeof part === 'object') parts[key] = read(part);
  return item;
}

/** Every item that some pages of a book show, and of which they show the answer, to be kept elsewhere. */
export function writtenItems(book: Book, pages: readonly PlannedPage[]): WrittenItems {
  const items: WrittenItems = {};
  for (const { section, items: planned, answers } of pages)
    for (const shown of [...planned.map((item) => ({ section: section!, item })), ...answers]) {
      const of = book.sections.get(shown.section)!;
      const item = filledItem(book, of, shown.item);
      // A section that lacks what its items are made from has none.
      if (item !== undefined) items[itemKey(book, of, shown.item)] = written(item);
    }
  return items;
}

/** Keeps items that were made and written elsewhere, to be found where everything is the same. They are taken over. */
export function keepWrittenItems(items: WrittenItems): void {
  for (const [key, item] of Object.entries(items)) keepItem(key, read(item));
}
