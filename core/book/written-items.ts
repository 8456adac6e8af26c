import type { Book } from './book.ts';
import { filledItem, itemKey, keepItem } from './items.ts';
import type { PlannedPage } from './planned.ts';

/** Items as the text of their JSON, each by the value of everything that can change it. */
export type WrittenItems = Record<string, string>;

/** Bytes, among values that are JSON. */
const BYTES = 'bytes';

/** An item as JSON, with bytes as text (RFC 4648, base 64). */
const written = (item: unknown): string =>
  JSON.stringify(item, (_, value: unknown) =>
    value instanceof Uint8Array ? { [BYTES]: btoa(String.fromCharCode(...value)) } : value,
  );

const withBytes = (_: string, value: unknown): unknown =>
  value !== null && typeof value === 'object' && BYTES in value
    ? Uint8Array.from(atob(value[BYTES] as string), (sign) => sign.charCodeAt(0))
    : value;

/** The item again. Most have no bytes, and are read much faster without a look at every value. */
const read = (item: string): unknown =>
  item.includes(`"${BYTES}":`) ? JSON.parse(item, withBytes) : JSON.parse(item);

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

/**
 * Keeps items that were made and written elsewhere, to be found where everything is the same. Each is read when it is
 * first asked for.
 */
export function keepWrittenItems(items: WrittenItems): void {
  for (const [key, item] of Object.entries(items))
    keepItem(key, { read: () => read(item), bytes: 2 * item.length });
}
