import { type AnagramPair, anagramPairs, anagramsOf } from '../../puzzles/anagrams/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import type { AnagramPairsOptions, AnagramPairsPin } from './options.ts';

export interface AnagramPairsItem {
  task: 'match' | 'write';
  /** The word that is given, and its anagram. */
  pairs: AnagramPair[];
  /** The order in which the anagrams stand at the right: places in `pairs`. */
  order: number[];
}

/** What a pinned puzzle is made from. */
export function pinnedAnagramPairs({ options, roll }: FillContext<AnagramPairsOptions>): AnagramPairsPin {
  const { task, pairs, shortest, longest } = options;
  return { task, pairs, shortest, longest, roll };
}

/** Orders that are tried for one in which no pair stands beside itself. */
const ORDERS = 20;

/** Makes one puzzle from its own random stream. */
export function fillAnagramPairs(context: FillContext<AnagramPairsOptions>): AnagramPairsItem {
  const made = (context.pin as AnagramPairsPin | undefined) ?? pinnedAnagramPairs(context);
  const { task, pairs: count, shortest, longest, roll } = made;
  const random = randomStream(...context.streamKey, context.item, roll, 'anagrams');
  const lengths = [Math.min(shortest, longest), Math.max(shortest, longest)] as const;
  const pairs = anagramPairs(count, lengths, random);
  let order = random.shuffled(pairs.map((_, i) => i));
  for (let i = 0; i < ORDERS && order.some((pair, row) => pair === row); i++) order = random.shuffled(order);
  return { task, pairs, order };
}

/** Looks for the anagrams of every word anew, by code that has no part in choosing them. */
export function inspectAnagramPairs(
  { pairs }: AnagramPairsItem,
  { label }: { label: string },
): ItemProblem[] {
  return pairs.flatMap(([word, anagram]): ItemProblem[] => {
    const found = anagramsOf(word);
    if (found.length === 1 && found[0] === anagram) return [];
    const what = found.length > 1 ? `may be ${found.join(' or ')}` : `is not ${anagram}`;
    return [{ severity: 'fix', message: `${label}: the anagram of ${word} ${what}. Re-roll the puzzle.` }];
  });
}

/** Where there are fewer pairs than were asked for. */
export function inspectAnagramSection(
  items: readonly { number: number; label: string; item: AnagramPairsItem }[],
  { pairs }: AnagramPairsOptions,
): SectionProblem[] {
  const short = items.find(({ item }) => item.pairs.length < pairs);
  return short
    ? [
        {
          severity: short.item.pairs.length ? 'look' : 'fix',
          message: `${short.label}: there are ${short.item.pairs.length} of the ${pairs} pairs asked for in words of these lengths. Ask for fewer, or allow shorter words.`,
          item: short.number,
        },
      ]
    : [];
}
