import type { RandomStream } from '../../random.ts';
import { graphemes } from '../../words/index.ts';

export interface Cryptogram {
  /** As it is to be found. */
  text: string;
  /** In capitals, every letter by its sign; all else as it stands. */
  cipher: string;
  /** The sign of each letter that is in the alphabet. */
  key: Readonly<Record<string, string>>;
}

const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
const LETTER = /^\p{L}\p{M}*$/u;

/** The text in capitals, letter by letter (Unicode NFC). What becomes two letters as a capital, as ß does, is two of them. */
export const signsOf = (text: string): string[] =>
  graphemes(text.normalize('NFC').toLocaleUpperCase('en').normalize('NFC'));

/** Letters that signs can stand for: A to Z, and whatever else the text has. */
export const alphabetOf = (text: string): string[] => [
  ...new Set([
    ...(/\p{Script=Latin}/u.test(text) ? LATIN : []),
    ...signsOf(text).filter((sign) => LETTER.test(sign)),
  ]),
];

/** An order in which nothing stands where it stood: shuffled until that is so, which takes e tries on average. */
function deranged(letters: readonly string[], random: RandomStream): string[] {
  if (letters.length < 2) return [...letters];
  for (;;) {
    const order = random.shuffled(letters);
    if (order.every((letter, i) => letter !== letters[i])) return order;
  }
}

/** A text in which each letter stands for another one, and none for itself. */
export function makeCryptogram(text: string, random: RandomStream): Cryptogram {
  const letters = alphabetOf(text);
  const signs = deranged(letters, random);
  const key = Object.fromEntries(letters.map((letter, i) => [letter, signs[i]!]));
  const cipher = signsOf(text)
    .map((sign) => key[sign] ?? sign)
    .join('');
  return { text, cipher, key };
}

/** The text of a cryptogram by its key, in capitals: reads the key the other way round. */
export function deciphered({ cipher, key }: Pick<Cryptogram, 'cipher' | 'key'>): string {
  const letterOf = new Map(Object.entries(key).map(([letter, sign]) => [sign, letter]));
  return graphemes(cipher)
    .map((sign) => letterOf.get(sign) ?? sign)
    .join('');
}
