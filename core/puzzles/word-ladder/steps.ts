import { type Vocabulary, vocabularyOf } from '../vocabulary/index.ts';

/** Words of a ladder have as many letters. */
export const LADDER_LETTERS = [3, 4, 5] as const;

/** Words of one length, and which of them differ by one letter. */
export interface Rungs {
  words: readonly string[];
  /** By word: the places of those that differ by one letter. */
  next: readonly (readonly number[])[];
}

const kept = new Map<string, Rungs>();

/** The words of a vocabulary with as many letters, from best to worst as its list has them, with their steps. */
export function rungsOf(vocabulary: Vocabulary, letters: number): Rungs {
  const key = `${vocabulary} ${letters}`;
  const known = kept.get(key);
  if (known) return known;
  const words = vocabularyOf(vocabulary)
    .filter((word) => word.letters.length === letters)
    .map((word) => word.letters);
  // Words that are alike but for one place meet under the same pattern.
  const alike = new Map<string, number[]>();
  for (const [i, word] of words.entries())
    for (let at = 0; at < letters; at++) {
      const pattern = `${word.slice(0, at)}.${word.slice(at + 1)}`;
      alike.set(pattern, [...(alike.get(pattern) ?? []), i]);
    }
  const next: number[][] = words.map(() => []);
  for (const group of alike.values())
    for (const one of group) for (const other of group) if (one !== other) next[one]!.push(other);
  const rungs = { words, next };
  kept.set(key, rungs);
  return rungs;
}
