import { useMatches } from 'react-router';
import type { Recipe } from '#core/book/recipe.ts';
import { useNonce } from '../nonce.ts';
import rendererUrl from './renderer.worker.ts?worker&url';

/** Where the worker that was begun early waits for the program of the page. */
export const EARLY_RENDERER = 'earlyRenderer';

/** What a worker is told when it is begun early: the book that the page is about. */
export interface EarlyWork {
  begin: Recipe;
}

/** What a route says of itself. */
export interface RouteHandle {
  /** The book whose pages are drawn in it as soon as it is there, told from what its loader answers. */
  draws?: (loaderData: unknown) => Recipe;
}

/**
 * Begins the worker that draws while the program of the page is still on its way, with the book to draw: unfolding
 * typefaces and making the first pages takes longer than that. For routes that draw at once, in a page as the server
 * sends it; in one that is reached from another the worker is there.
 */
export function EarlyRenderer() {
  const nonce = useNonce();
  const early = useMatches().flatMap(({ handle, loaderData }) => {
    const draws = (handle as RouteHandle | undefined)?.draws;
    return draws && loaderData ? [draws(loaderData)] : [];
  })[0];
  if (!early) return null;
  const begun = `window.${EARLY_RENDERER}=new Worker(${JSON.stringify(rendererUrl)},{type:'module',name:'renderer'})`;
  const script = `(${begun}).postMessage(${JSON.stringify({ begin: early } satisfies EarlyWork)})`;
  return (
    <script nonce={nonce} suppressHydrationWarning>
      {script}
    </script>
  );
}
