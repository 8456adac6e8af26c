import type { RandomStream } from '../../random.ts';
import { type KnownWord, vocabularyOf } from '../vocabulary/index.ts';

/** Two words of the same letters. */
export type AnagramPair = readonly [string, string];

/** What a word is worth at least: a common one, without an ending. */
const GOOD = 70;

const sorted = (word: string): string => [...word].sort().join('');

let kept: { list: readonly KnownWord[]; pairs: AnagramPair[] } | null = null;

/** Pairs of good words that no third everyday word has the letters of. */
function pairs(): AnagramPair[] {
  const list = vocabularyOf('everyday');
  if (kept?.list === list) return kept.pairs;
  const groups = new Map<string, KnownWord[]>();
  for (const word of list) {
    const key = sorted(word.letters);
    groups.set(key, [...(groups.get(key) ?? []), word]);
  }
  const found = [...groups.values()].flatMap((words): AnagramPair[] => {
    const [one, other] = words;
    return words.length === 2 && one!.score >= GOOD && other!.score >= GOOD && one!.family !== other!.family
      ? [[one!.letters, other!.letters]]
      : [];
  });
  kept = { list, pairs: found };
  return found;
}

/**
 * Chooses pairs of words that are anagrams of each other.
 * @param count pairs; fewer where there are no more of these lengths
 * @param letters of the shortest and of the longest words
 */
export function anagramPairs(
  count: number,
  [shortest, longest]: readonly [number, number],
  random: RandomStream,
): AnagramPair[] {
  const fitting = pairs().filter(([word]) => word.length >= shortest && word.length <= longest);
  return random
    .shuffled(fitting)
    .slice(0, count)
    .map(([one, other]) => (random.int(2) ? [one, other] : [other, one]));
}

/** How often each letter of the alphabet is in a word. */
const letterCounts = (word: string): string => {
  const counts = new Uint8Array(26);
  for (const letter of word) counts[letter.charCodeAt(0) - 65]!++;
  return counts.join();
};

let counted: { list: readonly KnownWord[]; words: Map<string, string[]> } | null = null;

function wordsByCounts(): Map<string, string[]> {
  const list = vocabularyOf('everyday');
  if (counted?.list === list) return counted.words;
  const words = new Map<string, string[]>();
  for (const { letters } of list) {
    const key = letterCounts(letters);
    words.set(key, [...(words.get(key) ?? []), letters]);
  }
  counted = { list, words };
  return words;
}

/**
 * The everyday words that are anagrams of one, found by counting letters: shares nothing with how pairs are chosen.
 * @returns without the word itself
 */
export const anagramsOf = (word: string): string[] =>
  (wordsByCounts().get(letterCounts(word)) ?? []).filter((other) => other !== word);
