import alegreya700 from '@fontsource/alegreya/files/alegreya-latin-700-normal.woff2?url';
import sans400 from '@fontsource/alegreya-sans/files/alegreya-sans-latin-400-normal.woff2?url';
import sans500 from '@fontsource/alegreya-sans/files/alegreya-sans-latin-500-normal.woff2?url';
import sans700 from '@fontsource/alegreya-sans/files/alegreya-sans-latin-700-normal.woff2?url';
import type { EntryContext } from 'react-router';
import fonts from './fonts.css?inline';
import { EARLY_RENDERER, type EarlyWork, type RouteHandle } from './preview/early-work.ts';
import rendererUrl from './preview/renderer.worker.ts?worker&url';

/** What every page begins with, as React writes it. */
export const OPENING = '<!DOCTYPE html><html lang="en"><head>';

const FONTS = [sans400, sans500, sans700, alegreya700]
  .map((href) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="${href}">`)
  .join('');

/** In the page itself: so little is not worth a request that everything waits for. */
const styleOfFonts = (nonce: string) => `<style nonce="${nonce}">${fonts}</style>`;

/**
 * Whether the page is opened from outside the program: typed, from a bookmark or another site. A reload says that of
 * the page too; unlike an opening it asks that no cache answers.
 */
const comesFromElsewhere = (headers: Headers) =>
  headers.get('sec-fetch-site') !== 'same-origin' && !headers.has('cache-control');

/**
 * The programs of the page, so that they are on their way while it is being put together. Announced as modules they are
 * compiled as they come in. For a page that comes from elsewhere a browser begins a process, and Chromium then finds
 * what it has kept of compiled programs only for those that are announced as scripts.
 */
function programs({ manifest, staticHandlerContext: { matches } }: EntryContext, headers: Headers): string {
  const routes = matches.flatMap(({ route }) => {
    const known = manifest.routes[route.id];
    return known ? [known.module, ...(known.imports ?? [])] : [];
  });
  const hrefs = new Set([manifest.url, manifest.entry.module, ...manifest.entry.imports, ...routes]);
  const announced = comesFromElsewhere(headers)
    ? 'rel="preload" as="script" crossorigin'
    : 'rel="modulepreload"';
  return [...hrefs].map((href) => `<link ${announced} href="${href}">`).join('');
}

/**
 * Begins the worker that draws while the program of the page is still on its way, with the book to draw: unfolding
 * typefaces and making the first pages takes longer than that. For routes that draw at once, in a page as the server
 * sends it; in one that is reached from another the worker is there.
 */
function drawing({ routeModules, staticHandlerContext: { matches, loaderData } }: EntryContext): string {
  const handles = matches.map(({ route: { id } }) => ({ id, ...(routeModules[id]?.handle as RouteHandle) }));
  const early = handles.flatMap(({ id, draws }) =>
    draws && loaderData[id] ? [draws(loaderData[id])] : [],
  )[0];
  if (!early) return '';
  const onlyPages = handles.some((handle) => handle.onlyPages);
  // Nothing that is typed into a book may end the script.
  const work = JSON.stringify({ ...early, onlyPages } satisfies EarlyWork).replaceAll('<', '\\u003c');
  return `window.${EARLY_RENDERER}=new Worker(${JSON.stringify(rendererUrl)},{type:'module',name:JSON.stringify(${work})})`;
}

/**
 * The beginning of a page, that is known as soon as its data are there. A browser that has it starts the worker and
 * fetches programs and typefaces while the server puts the rest together.
 */
export function earlyHead(context: EntryContext, nonce: string, headers: Headers): string {
  // Notices make their styles as soon as their program is there, and ask for the nonce under this name.
  const script = `window.__nonce__=document.currentScript.nonce;${drawing(context)}`;
  return `${OPENING}<script nonce="${nonce}">${script}</script>${FONTS}${programs(context, headers)}${styleOfFonts(nonce)}`;
}
