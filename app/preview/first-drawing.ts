import { expose } from 'comlink';
import type { Recipe } from '#core/book/recipe.ts';
import type { WrittenItems } from '#core/book/written-items.ts';
import type { EarlyWork } from './early-work.ts';
import { type } from './faces.ts';
import { firstPagesKnown, knowFirstPages } from './known-of-first-pages.ts';
import { type DrawnPage, drawOn, handedOver, pictureOf } from './on-canvas.ts';
import { beginAhead, isAhead, leaveAhead, type SceneAt, sceneAhead } from './pages-ahead.ts';
import type { WholeRenderer } from './renderer.ts';
import { stretches } from './stretches.ts';

/** What the worker was begun with, until another book is at hand. */
let begunWith: EarlyWork | null = null;
/** Settles when the whole program has made what nobody has asked for yet. */
let prepared: Promise<void> = Promise.resolve();
/** How many books came to hand since. */
let taken = 0;

/** Items that came before the program that uses them. */
const waiting: WrittenItems[] = [];
let keepItems = (items: WrittenItems): void => void waiting.push(items);
const onItems = (items: WrittenItems): void => keepItems(items);

let whole: Promise<WholeRenderer> | undefined;

async function fetchWhole(): Promise<WholeRenderer> {
  const { begin, keepWrittenItems, renderer } = await import('./renderer.ts');
  keepItems = keepWrittenItems;
  for (const items of waiting.splice(0)) keepItems(items);
  // What fails now fails again when it is asked for, and is told then.
  if (begunWith) prepared = begin(begunWith.begin).catch(() => {});
  return renderer;
}

/**
 * The program that plans books, makes and sets what is on their pages and opens typefaces. It takes longer to read than
 * first pages that are known take to draw, so it is fetched when something else is asked for, once. What is asked
 * meanwhile comes to it in the same order.
 */
function theWhole(): Promise<WholeRenderer> {
  whole ??= fetchWhole().catch((error: unknown) => {
    whole = undefined;
    throw error;
  });
  return whole;
}

/** Draws pages one after the other, as far as they are known and no typeface has to be opened. */
async function drawKnown(numbers: number[], width: number): Promise<DrawnPage[]> {
  const drawn: DrawnPage[] = [];
  const book = taken;
  const goesOn = stretches(() => book === taken);
  for (const page of numbers) {
    const scene = sceneAhead(page);
    if (!scene) break;
    try {
      drawn.push({ page, picture: pictureOf(scene, width) });
    } catch {
      // The whole program draws it, or says why it cannot.
      break;
    }
    if (!(await goesOn())) break;
  }
  return drawn;
}

/** What is done here, in place of the whole program or before it. */
const first = {
  /** Answers when the worker has its whole program, and has prepared the book that it was begun with. */
  async ready(): Promise<void> {
    await theWhole();
    await prepared;
  },

  /** The server knows something of the first pages of a book. @param address see `knowFirstPages` */
  know(address: string): void {
    knowFirstPages(address, type, { onItems });
  },

  /** See `renderer.take`. */
  async take(recipe: Recipe): Promise<void> {
    // It is at work on it already.
    if (isAhead(recipe)) return;
    leaveAhead();
    begunWith = null;
    taken++;
    (await theWhole()).take(recipe);
  },

  /** See `renderer.pages`. */
  async pages(numbers: number[], width: number): Promise<DrawnPage[]> {
    const book = taken;
    await firstPagesKnown();
    if (book !== taken) return [];
    const drawn = await drawKnown(numbers, width);
    return drawn.length > 0 ? handedOver(drawn) : (await theWhole()).pages(numbers, width);
  },
};

export type Renderer = Omit<WholeRenderer, keyof typeof first> & typeof first;

/** Everything that is not done here is asked of the whole program. */
const renderer = new Proxy(first, {
  get: (here, name) =>
    Reflect.get(here, name) ??
    (async (...asked: unknown[]) => {
      const there = await theWhole();
      return Reflect.apply(Reflect.get(there, name), there, asked);
    }),
});

/**
 * Begins to work for a page.
 * @param work what it begins with, if anything
 * @param answer to what is known of its first pages
 */
export function begin(
  canvas: OffscreenCanvasRenderingContext2D,
  work: EarlyWork | null,
  answer?: Promise<Response>,
): void {
  drawOn(canvas);
  expose(renderer);
  begunWith = work;
  const take = work ? beginAhead(work.begin) : undefined;
  let allKnown = false;
  const onScenes = (sceneAt: SceneAt, all: boolean) => {
    take?.(sceneAt);
    allKnown = all;
  };
  if (work?.known) knowFirstPages(work.known, type, { answer, onScenes, onItems });
  const enough = async () => {
    if (!work?.onlyPages) return false;
    await firstPagesKnown();
    return allKnown;
  };
  // Where all that is shown are pages that are known, nothing more is needed until somebody asks.
  void enough().then((is) => {
    if (!is) theWhole().catch(() => {});
  });
}
