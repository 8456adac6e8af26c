import { resolve } from 'node:path';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import type { Recipe } from '#core/book/recipe.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { ownContents } from '../resources/resources.ts';
import type { SentPages } from './first-pages-thread.ts';

/** Bytes of first pages kept: those of some sixty books. */
const BYTES_KEPT = 64 * 1024 * 1024;

/** The thread is begun so long after the application, which it would hold up. */
const REST_MS = 4000;

let thread: Piscina | undefined;

/** One thread, which is kept: what takes long is to unfold the typefaces. */
function pool(): Piscina {
  if (thread) return thread;
  thread = new Piscina({
    filename: resolve('build/node/first-pages-thread.mjs'),
    minThreads: 1,
    maxThreads: 1,
  });
  // A thread that ends is begun again; a book is opened without its picture meanwhile.
  thread.on('error', (error: Error) => console.error(`First pages: ${error.message}`));
  return thread;
}
setTimeout(pool, REST_MS).unref();

const kept = new LRUCache<string, SentPages, { recipe: Recipe; own: string[] }>({
  maxSize: BYTES_KEPT,
  sizeCalculation: ({ picture, known }) => picture.byteLength + known.length,
  fetchMethod: async (_, __, { context }) => (await pool().run(context)) ?? undefined,
});

/** What the first pages of a book are drawn from, and what it is called. */
export interface FirstPagesState {
  /** Hashes of the contents that the workspace has. What is missing may come, and what is there may go. */
  own: string[];
  /** Another one for every recipe, and for every other choice of contents. */
  of: string;
}

export async function firstPagesState(workspaceId: string, recipe: Recipe): Promise<FirstPagesState> {
  const own = (await ownContents(workspaceId, recipe)).sort();
  return { own, of: fingerprint({ recipe, own }) };
}

/**
 * The first pages of a book. Kept by what they were drawn from, so that a book that is opened again is there at once.
 * @returns null for a book without pages
 */
export async function firstPages(
  workspaceId: string,
  recipe: Recipe,
  { own, of }: FirstPagesState,
): Promise<SentPages | null> {
  return (await kept.fetch(`${workspaceId} ${of}`, { context: { recipe, own } })) ?? null;
}
