import { useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import { useBookStore } from '../book/store.ts';
import { PageDrawer } from './page-drawer.ts';
import { PAGES_AHEAD } from './pages-ahead.ts';
import { beginInView, renderers, viewDrawn } from './renderers.ts';

/** The pages that one of several workers draws. */
type Share = (pages: number[], hand: number, hands: number) => number[];

/** A page goes to the same worker again, which knows its puzzle. */
const sameAgain: Share = (pages, hand, hands) => pages.filter((page) => page % hands === hand);

/** Neighbors are alike: a worker that has them all needs fewer typefaces. */
const stretches: Share = (pages, hand, hands) => {
  const at = (part: number) => Math.round((pages.length * part) / hands);
  return pages.slice(at(hand), at(hand + 1));
};

/** A drawer that shares out pages among the workers. */
const newDrawer = (share: Share): PageDrawer =>
  new PageDrawer(
    async ({ recipe, width: pixels }, pages) => {
      const hands = renderers(recipe);
      const drawn = await Promise.all(
        hands.map((renderer, i) => {
          const own = share(pages, i, hands.length);
          return own.length ? renderer.pages(own, pixels) : [];
        }),
      );
      return drawn.flat();
    },
    beginInView,
    viewDrawn,
  );

/**
 * Drawings of the pages asked for, made in the workers from the recipe as it is now and after every change of it.
 * @param inView pages to draw at once
 * @param width in device pixels
 * @param ahead pages to draw when nothing else is to do
 */
export function usePages(
  inView: readonly number[],
  width: number,
  ahead: readonly number[] = [],
): PageDrawer {
  const store = useBookStore();
  const [drawer] = useState(() => {
    const made = newDrawer(sameAgain);
    // What is ahead can be begun while the rest of the screen is still being put together: a screenful, that the worker
    // need not have its whole program for pages that nobody sees yet.
    if (typeof window !== 'undefined')
      made.want({ recipe: store.getState().value, width, inView: [], ahead: ahead.slice(0, PAGES_AHEAD) });
    return made;
  });
  const asked = inView.join(' ');
  const later = ahead.join(' ');
  useEffect(() => {
    const numbers = (list: string) => (list ? list.split(' ').map(Number) : []);
    const pages = { width, inView: numbers(asked), ahead: numbers(later) };
    const want = () => drawer.want({ ...pages, recipe: store.getState().value });
    want();
    // Straight from the store: the workers draw while the page is still being put together.
    return store.subscribe((state, before) => {
      if (state.value !== before.value) want();
    });
  }, [drawer, asked, later, width, store]);
  useEffect(() => () => drawer.want(null), [drawer]);
  return drawer;
}

/** A drawer of pages of a book that is not the open one; it has them at hand when they are asked for again. */
export const newPagesOf = (): PageDrawer => newDrawer(stretches);

/**
 * As usePages, for pages of a book that is not the open one.
 * @param recipe the same object as long as it says the same
 * @param kept what drew pages of such a book before
 */
export function usePagesOf(
  recipe: Recipe,
  inView: readonly number[],
  width: number,
  kept?: PageDrawer,
): PageDrawer {
  const [drawer] = useState(() => {
    const made = kept ?? newPagesOf();
    // The workers draw while the rest of the screen is still being put together.
    if (typeof window !== 'undefined') made.want({ recipe, width, inView, ahead: [] });
    return made;
  });
  useEffect(() => {
    drawer.want({ recipe, width, inView, ahead: [] });
    return () => drawer.want(null);
  }, [drawer, recipe, inView, width]);
  return drawer;
}
