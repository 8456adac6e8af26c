import { useEffect } from 'react';
import { type GalleryEntry, gallery, galleryBook } from '#core/book/gallery.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { kindOf, sectionsOf } from '#core/book/sections.ts';
import type { PageDrawer } from '../../preview/page-drawer.ts';
import { drawnOnce } from '../../preview/renderers.ts';
import { newPagesOf } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBookStore } from '../store.ts';

/** Width of a small page, in CSS pixels. */
export const SMALL_PAGE = 118;

/** As it is drawn, in device pixels. */
export const smallPagePixels = (): number => Math.round(SMALL_PAGE * (globalThis.devicePixelRatio ?? 1));

export interface GalleryDrawings extends ReturnType<typeof galleryBook> {
  /** What the samples say, to know them by. */
  says: string;
  drawer: PageDrawer;
}

/** The gallery as it was seen or drawn last, drawings and all: mostly it looks the same the next time. */
let last: GalleryDrawings | undefined;

/** The gallery of a book: the one that was seen or drawn last, if nothing that shows in it is otherwise. */
export function galleryOf(recipe: Recipe, entries: readonly GalleryEntry[]): GalleryDrawings {
  const samples = galleryBook(recipe, entries);
  const says = JSON.stringify(samples.recipe);
  if (last?.says !== says) {
    last?.drawer.want(null);
    last = { ...samples, says, drawer: newPagesOf() };
  }
  return last;
}

/** A book that has nothing yet but front matter: pages are what it gets next. */
const asksForPages = ({ sections }: Recipe): boolean =>
  sectionsOf(sections).every((section) => !kindOf(section).numbered);

/**
 * Draws the gallery of a book that has no pages yet before it is opened, until something about the book changes.
 * @param opened while it is, it draws itself
 */
export function useGalleryAhead(opened: boolean): void {
  const store = useBookStore();
  const { designs, standingPages } = useOpenBook();
  useEffect(() => {
    if (opened) return;
    let wanted = true;
    let ahead: PageDrawer | undefined;
    const end = () => {
      wanted = false;
      ahead?.want(null);
    };
    const unsubscribe = store.subscribe((state, before) => {
      if (state.value !== before.value) end();
    });
    void drawnOnce().then(() => {
      const book = store.getState().value;
      if (!wanted || !asksForPages(book)) return;
      const { recipe, pages, drawer } = galleryOf(book, gallery(designs, standingPages));
      ahead = drawer;
      drawer.want({ recipe, width: smallPagePixels(), inView: [], ahead: pages });
    });
    return () => {
      unsubscribe();
      end();
    };
  }, [opened, store, designs, standingPages]);
}
