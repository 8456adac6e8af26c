import * as v from 'valibot';
import { keepWrittenItems } from '#core/book/written-items.ts';
import type { FirstPages } from '#core/export/first-pages.ts';
import type { ShapedWords, Typesetter } from '#core/scene/index.ts';

/** The server's own answer: of its parts only so much is read as tells it from any other. */
const Known = v.object({
  items: v.record(v.string(), v.string()),
  words: v.array(v.custom<ShapedWords>((of) => typeof (of as ShapedWords | null)?.words === 'object')),
}) satisfies v.GenericSchema<unknown, Omit<FirstPages, 'picture'>>;

/** What the server has at hand comes sooner than it can be found out here; for the rest nobody waits. In ms. */
const LONGEST_WAIT = 150;

let asked = '';
let waiting: Promise<void> = Promise.resolve();

async function fetchKnown(address: string, type: Typesetter): Promise<void> {
  try {
    const response = await fetch(address);
    if (!response.ok || response.redirected) return;
    const { items, words } = v.parse(Known, await response.json());
    keepWrittenItems(items);
    for (const { face, smallCaps, words: shaped } of words) type.keep(shaped, face, smallCaps);
  } catch {
    // Then all of it is found out here.
  }
}

/**
 * Asks the server for what is on the first pages of a book and how their words are set, so that the worker need not make
 * the puzzles anew, nor unfold the tables of the typefaces before it draws.
 * @param address names the state of the book; asked for once
 */
export function knowFirstPages(address: string, type: Typesetter): void {
  if (address === asked) return;
  asked = address;
  waiting = Promise.race([
    fetchKnown(address, type),
    new Promise<void>((resolve) => setTimeout(resolve, LONGEST_WAIT)),
  ]);
}

/** Resolves when what was asked for is there, or cannot be waited for. */
export const firstPagesKnown = (): Promise<void> => waiting;
