import { type KnownWord, vocabularyOf } from '../vocabulary/index.ts';
import { type Cryptogram, signsOf } from './index.ts';

/** English words that are too short for the vocabulary. */
const SHORT = 'A I AM AN AS AT BE BY DO GO HE IF IN IS IT ME MY NO OF OH ON OR SO TO UP US WE'.split(' ');

/** Words that are held against a text before it is given up: so many take a second or so. */
const MOST_TRIED = 1_500_000;

/** Where letters are the same: MAMMA is 0 1 0 0 1. */
function patternOf(word: string): string {
  const seen: string[] = [];
  return Array.from(word, (letter) => {
    const known = seen.indexOf(letter);
    return known >= 0 ? known : seen.push(letter) - 1;
  }).join(' ');
}

let kept: { list: readonly KnownWord[]; byPattern: Map<string, string[]> } | null = null;

function byPattern(): Map<string, string[]> {
  const list = vocabularyOf('everyday');
  if (kept?.list === list) return kept.byPattern;
  const found = new Map<string, string[]>();
  for (const word of [...SHORT, ...list.map(({ letters }) => letters)]) {
    const key = patternOf(word);
    const known = found.get(key);
    if (known) known.push(word);
    else found.set(key, [word]);
  }
  kept = { list, byPattern: found };
  return found;
}

/** The letter that each sign stands for. */
export type Reading = ReadonlyMap<string, string>;

/** Runs of letters A to Z, as they stand in the text and in the cipher, each once. */
function wordsIn({ text, key }: Pick<Cryptogram, 'text' | 'key'>): { word: string; cipher: string }[] {
  const words = new Set(
    signsOf(text)
      .join('')
      .match(/(?<![\p{L}\p{M}])[A-Z]+(?![\p{L}\p{M}])/gu) ?? [],
  );
  return [...words].map((word) => ({ word, cipher: Array.from(word, (letter) => key[letter]!).join('') }));
}

/** Of the words of three letters and more, how many are everyday ones in an English text at least. Our own measure, no source. */
const ENGLISH = 0.5;

/** Whether a text is English, as far as its words are known: readings of others show nothing. */
export function isEnglish(text: string): boolean {
  const known = byPattern();
  const words = (text.toUpperCase().match(/[\p{L}\p{M}]{3,}/gu) ?? []).map((word) => word.normalize('NFC'));
  const listed = words.filter((word) => known.get(patternOf(word))?.includes(word));
  return listed.length >= words.length * ENGLISH;
}

/**
 * Ways to read a cryptogram in which every word is an everyday one, or one of the text itself, and no sign stands for itself. The word with
 * the fewest possibilities is tried first.
 * @param given letters whose signs are told
 * @returns two of them at most, each with the signs of those words; null where too much would have to be tried
 */
export function readingsOf(
  puzzle: Pick<Cryptogram, 'text' | 'key'>,
  given: readonly string[],
): Reading[] | null {
  const known = byPattern();
  const words = wordsIn(puzzle);
  const letterOf = new Map<string, string>();
  const signOf = new Map<string, string>();
  for (const letter of given) {
    letterOf.set(puzzle.key[letter]!, letter);
    signOf.set(letter, puzzle.key[letter]!);
  }
  let tried = 0;
  const fits = (cipher: string, word: string): boolean => {
    tried++;
    for (let i = 0; i < word.length; i++) {
      const [sign, letter] = [cipher[i]!, word[i]!];
      const [there, taken] = [letterOf.get(sign), signOf.get(letter)];
      if (sign === letter || (there ?? letter) !== letter || (taken ?? sign) !== sign) return false;
    }
    return true;
  };
  const found: Reading[] = [];
  type Open = { cipher: string; words: string[] };
  const search = (open: readonly Open[]): void => {
    if (tried > MOST_TRIED || found.length > 1) return;
    if (!open.length) {
      found.push(new Map(letterOf));
      return;
    }
    const left = open.map(({ cipher, words: all }) => ({
      cipher,
      words: all.filter((word) => fits(cipher, word)),
    }));
    const next = left.reduce((best, one) => (one.words.length < best.words.length ? one : best));
    const others = left.filter((one) => one !== next);
    for (const word of next.words) {
      const added: [sign: string, letter: string][] = [];
      for (let i = 0; i < word.length; i++)
        if (!letterOf.has(next.cipher[i]!)) {
          letterOf.set(next.cipher[i]!, word[i]!);
          signOf.set(word[i]!, next.cipher[i]!);
          added.push([next.cipher[i]!, word[i]!]);
        }
      search(others);
      for (const [sign, letter] of added) {
        letterOf.delete(sign);
        signOf.delete(letter);
      }
    }
  };
  search(
    words.map(({ word, cipher }) => ({
      cipher,
      words: [...new Set([word, ...(known.get(patternOf(word)) ?? [])])],
    })),
  );
  return tried > MOST_TRIED && found.length < 2 ? null : found;
}
