import { formatsOf } from '../pages/index.ts';
import type { Book } from './book.ts';
import { itemLabel, itemSteps, type Steps } from './items.ts';
import { kindOf, type Section } from './sections.ts';

/** Items of a section as a file for other programs. */
export interface SavedItems {
  text: string;
  ending: string;
}

/** The name of a file of one item, without its ending: “puzzle-12”. */
export const itemFileName = (book: Book, { id }: Section, item: number): string =>
  itemLabel(book, id, item)
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-');

/**
 * Writes items of a section in a form of their kind, one after the other, giving way between them.
 * @param format see `formatsOf`; one that takes a single item to a file is given a single item
 * @throws RangeError where the kind has no such form, or it takes a single item
 */
export function* savedItems(
  book: Book,
  section: Section,
  items: readonly number[],
  format: string,
): Steps<SavedItems> {
  const formats = formatsOf(kindOf(section), section.options);
  const form = formats.find(({ id }) => id === format);
  if (!form) {
    const known = formats.map(({ id }) => id).join(', ');
    throw new RangeError(`“${section.kind}” is not saved as “${format}”. Known: ${known || 'nothing'}.`);
  }
  if (items.length > 1 && form.between === undefined)
    throw new RangeError(`${form.name} takes one item a file. Save them one by one.`);
  const parts: string[] = [];
  for (const item of items) {
    const made = yield* itemSteps(book, section, item);
    if (made === undefined) continue;
    parts.push(form.write(made, { number: item, label: itemLabel(book, section.id, item) }));
    yield;
  }
  return { text: parts.join(form.between ?? ''), ending: form.ending };
}
