import type { RandomStream } from '../../random.ts';
import { type KnownWord, vocabularyOf } from '../vocabulary/index.ts';

/** Letters of a wheel, the one in the middle among them. */
export const WHEEL_LETTERS = [7, 8, 9] as const;
/** Letters of the shortest words that count. */
export const SHORTEST = [3, 4] as const;

export interface WordWheel {
  /** The one in the middle, then those around it. */
  letters: string;
  /** All everyday words that count, by the alphabet: each has the letter in the middle. */
  words: string[];
  /** The one among them that takes all letters. */
  whole: string;
}

/** Words that count: fewer are soon found, more are never. */
const FEWEST = 10;
const MOST = 60;
/** Words that are tried before a wheel is given up. */
const TRIES = 400;
/** What a word is worth at least that takes all letters: a common one, without an ending. */
const GOOD = 70;

const A = 'A'.charCodeAt(0);
/** Bit 0 for an A: what words are made of, whatever how often. */
const maskOf = (letters: string): number => {
  let mask = 0;
  for (let i = 0; i < letters.length; i++) mask |= 1 << (letters.charCodeAt(i) - A);
  return mask;
};

let kept: { list: readonly KnownWord[]; masks: Int32Array } | null = null;

function everyday() {
  const list = vocabularyOf('everyday');
  if (kept?.list !== list) kept = { list, masks: Int32Array.from(list, ({ letters }) => maskOf(letters)) };
  return kept;
}

const counted = (letters: string): Uint8Array => {
  const counts = new Uint8Array(26);
  for (let i = 0; i < letters.length; i++) counts[letters.charCodeAt(i) - A]!++;
  return counts;
};

/** Everyday words that some letters spell, each used no more often than it is there. */
function spelledBy(letters: string, shortest: number): string[] {
  const { list, masks } = everyday();
  const beyond = ~maskOf(letters);
  const there = counted(letters);
  const words: string[] = [];
  for (let i = 0; i < list.length; i++) {
    if (masks[i]! & beyond) continue;
    const word = list[i]!.letters;
    if (word.length < shortest || word.length > letters.length) continue;
    if (counted(word).every((count, letter) => count <= there[letter]!)) words.push(word);
  }
  return words;
}

/**
 * Makes one wheel: the letters of a common word that no other everyday word takes all of, and one of them for the middle so that a
 * good number of words have it.
 * @param letters of the word
 * @param shortest letters of words that count
 * @returns null where none was found
 */
export function* wheelSteps(
  letters: number,
  shortest: number,
  random: RandomStream,
): Generator<void, WordWheel | null> {
  const wholes = vocabularyOf('common').filter(
    (word) => word.letters.length === letters && word.score >= GOOD,
  );
  for (let tried = 0; tried < TRIES; tried++) {
    yield;
    const whole = random.pick(wholes).letters;
    const spelled = spelledBy(whole, shortest);
    if (spelled.filter((word) => word.length === letters).length > 1) continue;
    for (const middle of random.shuffled([...new Set(whole)])) {
      const words = spelled.filter((word) => word.includes(middle)).sort();
      if (words.length < FEWEST || words.length > MOST) continue;
      const others = [...whole];
      others.splice(others.indexOf(middle), 1);
      return { letters: middle + random.shuffled(others).join(''), words, whole };
    }
  }
  return null;
}
