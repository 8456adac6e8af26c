import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  type Book,
  finished,
  itemLabel,
  kindOf,
  placedItem,
  type Section,
  savedItems,
} from '#core/book/index.ts';
import { formatsOf, makesItems } from '#core/pages/index.ts';
import { BadCall, wholeBookFromFile } from './reading.ts';

const sectionsWithItems = (book: Book): Section[] =>
  [...book.sections.values()].filter((section) => makesItems(kindOf(section)));

const numbersOf = ({ plan }: Book, { id }: Section): number[] =>
  Array.from({ length: plan.items[id]!.count }, (_, i) => i + 1);

interface Asked {
  json: boolean;
  /** A form of the items; see `formatsOf`. */
  as?: string | undefined;
  out?: string | undefined;
}

/** Prints every generated item: where it is, where its solution is, and the item itself in an open form. */
export async function items(file: string, { json, as, out }: Asked): Promise<number> {
  const book = await wholeBookFromFile(file);
  if (as) return saveItems(book, as, out);
  const found = sectionsWithItems(book).flatMap((section) =>
    numbersOf(book, section).map((i) => {
      const { number, label, page, solutionPage, item } = placedItem(book, section, i);
      return {
        section: section.id,
        kind: section.kind,
        number,
        label,
        page,
        solutionPage,
        data: kindOf(section).data?.(item) ?? null,
      };
    }),
  );
  if (json) console.log(JSON.stringify({ title: book.recipe.title, items: found }, null, 2));
  else
    for (const { label, page, solutionPage, section } of found)
      console.log(
        `${label.padEnd(16)} page ${String(page).padEnd(5)} ${solutionPage ? `solution page ${solutionPage}` : 'no solution'}  (${section})`,
      );
  return 0;
}

/** Writes the items that have a form: together on standard output where one file takes several, or a file each into a folder. */
async function saveItems(book: Book, as: string, out: string | undefined): Promise<number> {
  const sections = sectionsWithItems(book).filter((section) =>
    formatsOf(kindOf(section), section.options).some(({ id }) => id === as),
  );
  if (!sections.length) {
    const known = new Set(
      sectionsWithItems(book).flatMap((section) =>
        formatsOf(kindOf(section), section.options).map(({ id }) => id),
      ),
    );
    throw new BadCall(
      known.size
        ? `Nothing in the book is saved as “${as}”. Its items are saved as: ${[...known].join(', ')}.`
        : 'The book has no items to save.',
    );
  }
  if (out) await mkdir(out, { recursive: true });
  let count = 0;
  for (const section of sections) {
    const together =
      formatsOf(kindOf(section), section.options).find(({ id }) => id === as)!.between !== undefined;
    if (!together && !out) throw new BadCall(`A file each: name a folder for them with --out.`);
    const numbers = numbersOf(book, section);
    if (!out) {
      process.stdout.write((await finished(savedItems(book, section, numbers, as))).text);
      continue;
    }
    for (const item of numbers) {
      const { text, ending } = await finished(savedItems(book, section, [item], as));
      const name = `${itemLabel(book, section.id, item)
        .toLowerCase()
        .replaceAll(/[^a-z0-9]+/g, '-')}.${ending}`;
      await writeFile(join(out, name), text);
      count++;
    }
  }
  if (out) console.log(`${count} ${count === 1 ? 'file' : 'files'} in ${out}.`);
  return 0;
}
