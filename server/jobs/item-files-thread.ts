import { gatherBook } from '#core/book/gather-book.ts';
import { parseRecipe } from '#core/book/recipe.ts';
import { type ItemFile, itemFiles } from '#core/export/item-files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import type { PictureForm } from '#core/pages/index.ts';
import { storeLoader } from '../resources/loader.ts';

const type = typesetterFromDisk();

export interface ItemFilesOrder {
  recipe: unknown;
  /** Hashes of the contents that the workspace has. */
  own: string[];
  section: string;
  item: number;
  form: PictureForm;
}

/** Makes the files of one item. Runs in a worker thread: an item may take seconds. */
export default async ({ recipe, own, section: id, item, form }: ItemFilesOrder): Promise<ItemFile[]> => {
  const book = await gatherBook(parseRecipe(recipe), storeLoader(own), type);
  const section = book.sections.get(id);
  return section ? itemFiles(book, section, item, form, type) : [];
};
