import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import type { Recipe } from '#core/book/recipe.ts';
import type { ItemFile } from '#core/export/item-files.ts';
import { ownContents } from '../resources/resources.ts';
import type { ItemFilesOrder } from './item-files-thread.ts';

/** A thread that nobody has asked for so long is let go. */
const IDLE_MS = 60_000;
/** What takes longer is given up: the thread is ended, and begun again for the next. */
const MOST_MS = 60_000;

let thread: Piscina | undefined;

function pool(): Piscina {
  thread ??= new Piscina({
    filename: resolve('build/node/item-files-thread.mjs'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
  });
  return thread;
}

/** The files of one item of a workspace’s book; none where there is no such item. See `itemFiles`. */
export async function filesOfItem(
  workspaceId: string,
  recipe: Recipe,
  asked: Pick<ItemFilesOrder, 'section' | 'item' | 'form'>,
): Promise<ItemFile[]> {
  const order: ItemFilesOrder = { recipe, own: await ownContents(workspaceId, recipe), ...asked };
  return pool().run(order, { signal: AbortSignal.timeout(MOST_MS) });
}
