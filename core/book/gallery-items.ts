import { bookFrom } from './book.ts';
import { type gallery, galleryBook } from './gallery.ts';
import type { Recipe } from './recipe.ts';
import { keepWrittenItems, type WrittenItems, writtenItems } from './written-items.ts';

/** Every item on the pages of samples: to be kept in a file, see `loadGalleryItems`. */
export function galleryItems(recipe: Recipe, entries: ReturnType<typeof gallery>): WrittenItems {
  const book = bookFrom(galleryBook(recipe, entries).recipe);
  return writtenItems(book, book.plan.pages);
}

let loading: Promise<void> | null = null;

/**
 * Loads the puzzles of the samples, made beforehand: the gallery shows one of every sort at once, which would take seconds to make.
 * One that is not there is made.
 */
export function loadGalleryItems(): Promise<void> {
  loading ??= import('./gallery-items.json')
    .then(({ default: items }) => keepWrittenItems(items))
    .catch(() => {
      loading = null;
    });
  return loading;
}
