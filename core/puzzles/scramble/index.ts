import type { RandomStream } from '../../random.ts';

/** What words with the same letters share. */
const sorted = (letters: readonly string[]): string => [...letters].sort().join('');

const VOWELS = new Set([...'AEIOU']);
/** Whether a letter is a vowel of the Latin script, whatever stands over it (Unicode NFD). */
export const isVowel = (letter: string): boolean => VOWELS.has(letter.normalize('NFD')[0]!);

/** A word without its vowels: null where each was. */
export const withoutVowels = (letters: readonly string[]): (string | null)[] =>
  letters.map((letter) => (isVowel(letter) ? null : letter));

const pattern = (letters: readonly string[]): string =>
  withoutVowels(letters)
    .map((letter) => letter ?? '.')
    .join('');

/** What a solver does: put letters in order, or find missing vowels. */
export const TASKS = ['letters', 'vowels'] as const;
export type Task = (typeof TASKS)[number];

/** Whether two words of a list would have one answer too many: the same letters, or the same consonants at the same places. */
export const areMistaken = (task: Task, one: readonly string[], other: readonly string[]): boolean =>
  task === 'letters' ? sorted(one) === sorted(other) : pattern(one) === pattern(other);

/** Whether there is anything to find: two letters that differ, a vowel and a consonant. */
export const isPuzzling = (task: Task, letters: readonly string[]): boolean =>
  task === 'letters'
    ? new Set(letters).size > 1
    : letters.some(isVowel) && letters.some((letter) => !isVowel(letter));

/** Orders of letters that are tried, of which the one is taken that leaves the fewest where they were. */
const ORDERS = 12;

/** The letters of a word in another order, as few of them as may be where they were. */
export function scrambled(letters: readonly string[], random: RandomStream): string[] {
  let best: string[] = [];
  let least = letters.length;
  for (let i = 0; i < ORDERS || least === letters.length; i++) {
    const order = random.shuffled(letters);
    const kept = order.filter((letter, at) => letter === letters[at]).length;
    if (kept >= least) continue;
    least = kept;
    best = order;
    if (kept === 0) break;
  }
  return best;
}
