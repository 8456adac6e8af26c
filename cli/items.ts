import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  type Book,
  finished,
  itemFileName,
  kindOf,
  placedItem,
  type Section,
  savedItems,
} from '#core/book/index.ts';
import { itemFiles } from '#core/export/item-files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { formatsOf, makesItems, PICTURE_FORMS, type PictureForm } from '#core/pages/index.ts';
import { BadCall } from './bad-call.ts';
import { wholeBookFromFile } from './reading.ts';

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
  const picture = PICTURE_FORMS.find((form) => form === as);
  if (picture) return savePictures(book, picture, out);
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
        ? `Nothing in the book is saved as “${as}”. Its items are saved as: ${[...known, ...PICTURE_FORMS].join(', ')}.`
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
      await writeFile(join(out, `${itemFileName(book, section, item)}.${ending}`), text);
      count++;
    }
  }
  if (out) console.log(`${count} ${count === 1 ? 'file' : 'files'} in ${out}.`);
  return 0;
}

/** Writes pictures of the items, and of their answers, a file each into a folder. */
async function savePictures(book: Book, form: PictureForm, out: string | undefined): Promise<number> {
  if (!out) throw new BadCall('A file each: name a folder for them with --out.');
  const type = typesetterFromDisk();
  await mkdir(out, { recursive: true });
  let count = 0;
  for (const section of sectionsWithItems(book))
    for (const item of numbersOf(book, section))
      for (const { name, bytes } of await itemFiles(book, section, item, form, type)) {
        await writeFile(join(out, name), bytes);
        count++;
      }
  console.log(`${count} ${count === 1 ? 'file' : 'files'} in ${out}.`);
  return 0;
}
