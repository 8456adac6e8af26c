import * as v from 'valibot';
import type { WrittenItems } from '#core/book/written-items.ts';
import type { FirstPages } from '#core/export/first-pages.ts';
import {
  type KnownFace,
  type Typesetter,
  type WrittenScenes,
  writtenScenesReader,
} from '#core/scene/index.ts';
import type { SceneAt } from './pages-ahead.ts';

/** The server's own answer: of its parts only so much is read as tells it from any other. */
const Known = v.object({
  items: v.record(v.string(), v.string()),
  faces: v.array(v.custom<KnownFace>((of) => typeof (of as KnownFace | null)?.outlines === 'object')),
  scenes: v.custom<WrittenScenes>((of) => Array.isArray((of as WrittenScenes | null)?.scenes)),
}) satisfies v.GenericSchema<unknown, Omit<FirstPages, 'picture'>>;

/** What the server has at hand comes sooner than it can be found out here; for the rest nobody waits. In ms. */
const LONGEST_WAIT = 150;

let asked = '';
let waiting: Promise<void> = Promise.resolve();

/** What becomes of an answer. */
interface Uses {
  /** If it was asked for already. */
  answer?: Promise<Response> | undefined;
  /** Takes the items that are on the pages. */
  onItems: (items: WrittenItems) => void;
  /** Takes the pages themselves, by their place among the first, counted from 0, and whether all of those are known. */
  onScenes?: (sceneAt: SceneAt, all: boolean) => void;
}

async function takeKnown(
  address: string,
  type: Typesetter,
  { answer, onItems, onScenes }: Uses,
): Promise<void> {
  try {
    const response = await (answer ?? fetch(address));
    if (!response.ok || response.redirected) return;
    const { items, faces, scenes } = v.parse(Known, await response.json());
    onItems(items);
    for (const face of faces) type.keep(face);
    onScenes?.(writtenScenesReader(scenes), !scenes.scenes.includes(null));
  } catch {
    // Then all of it is found out here.
  }
}

/**
 * Asks the server for the first pages of a book as they are drawn, what is on them and what their typefaces are asked for, so
 * that the worker need not draw them anew, nor make the puzzles, nor open a typeface before it shows them.
 * @param address names the state of the book; asked for once
 */
export function knowFirstPages(address: string, type: Typesetter, uses: Uses): void {
  if (address === asked) return;
  asked = address;
  waiting = Promise.race([
    takeKnown(address, type, uses),
    new Promise<void>((resolve) => setTimeout(resolve, LONGEST_WAIT)),
  ]);
}

/** Resolves when what was asked for is there, or cannot be waited for. */
export const firstPagesKnown = (): Promise<void> => waiting;
