import { hashOf, type NamedResource, words, writeWords } from '#core/resources/index.ts';
import { READY_LISTS } from '#core/word-lists/index.ts';
import { keepShipped, type Shipped } from '../resources/resources.ts';

/** The ready lists as word banks: what every workspace begins with. */
export const READY_BANKS: readonly Shipped[] = READY_LISTS.map((list) => {
  const content = writeWords(list.words);
  return {
    type: words.id,
    hash: hashOf(content),
    name: list.title,
    facts: { words: list.words.length },
    content,
  };
});

/** What the books of the demo call their banks. */
const NAMED = { bees: 'Bees & hives', sky: 'Night skies', birds: 'Hedgerow birds' } as const;

/** The resources of a book that uses one bank, under the bank's id. */
export function resourcesOfBank(id: keyof typeof NAMED): Record<string, NamedResource> {
  const { content: _, ...bank } = READY_BANKS.find(({ name }) => name === NAMED[id])!;
  return { [id]: bank };
}

/** Puts the ready banks into a workspace. */
export const keepReadyBanks = (workspaceId: string): Promise<void> => keepShipped(workspaceId, READY_BANKS);
