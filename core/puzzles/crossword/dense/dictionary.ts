import type { KnownWord } from '../../vocabulary/index.ts';

const A = 65;
export const LETTERS = 26;

/** Words of one length as bits: a word each, from the best to the worst. */
export interface Shelf {
  words: readonly KnownWord[];
  /** 32-bit numbers that a set of words takes. */
  width: number;
  /** Words with a letter at a place, by place × 26 + letter. */
  having: readonly Uint32Array[];
  /** Places of the words of a family. */
  families: ReadonlyMap<string, readonly number[]>;
}

export type Dictionary = ReadonlyMap<number, Shelf>;

/** Words by their length, ready to be looked up by their letters. */
export function dictionaryOf(words: readonly KnownWord[]): Dictionary {
  return new Map([...byLength(words)].map(([length, list]) => [length, shelfOf(length, list)]));
}

function byLength(words: readonly KnownWord[]): Map<number, KnownWord[]> {
  const lists = new Map<number, KnownWord[]>();
  for (const word of words) {
    const list = lists.get(word.letters.length);
    if (list) list.push(word);
    else lists.set(word.letters.length, [word]);
  }
  return lists;
}

/** A dictionary with words before all others, in place of what it had of the same letters. */
export function withWords(dictionary: Dictionary, own: readonly KnownWord[]): Dictionary {
  const all = new Map(dictionary);
  for (const [length, list] of byLength(own)) {
    const letters = new Set(list.map((word) => word.letters));
    all.set(
      length,
      shelfOf(length, [
        ...list,
        ...(all.get(length)?.words ?? []).filter((word) => !letters.has(word.letters)),
      ]),
    );
  }
  return all;
}

function shelfOf(length: number, list: readonly KnownWord[]): Shelf {
  const words = [...list].sort((a, b) => b.score - a.score || (a.letters < b.letters ? -1 : 1));
  const width = Math.ceil(words.length / 32);
  const having = Array.from({ length: length * LETTERS }, () => new Uint32Array(width));
  words.forEach(({ letters }, w) => {
    for (let at = 0; at < length; at++)
      having[at * LETTERS + letters.charCodeAt(at) - A]![w >> 5]! |= 1 << (w & 31);
  });
  const families = new Map<string, number[]>();
  words.forEach(({ family }, w) => {
    const known = families.get(family);
    if (known) known.push(w);
    else families.set(family, [w]);
  });
  return { words, width, having, families };
}

/** All words of a shelf. */
export function everything({ words, width }: Shelf): Uint32Array {
  const set = new Uint32Array(width).fill(0xffffffff);
  const rest = words.length & 31;
  if (rest) set[width - 1] = (1 << rest) - 1;
  return set;
}

/** The ones of a 32-bit number, all pairs, fours, eights of bits at once (Warren, Hacker's Delight, 5–1). */
function onesIn(bits: number): number {
  let v = bits - ((bits >>> 1) & 0x55555555);
  v = (v & 0x33333333) + ((v >>> 2) & 0x33333333);
  return (((v + (v >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

export function countOf(set: Uint32Array): number {
  let count = 0;
  for (const bits of set) count += onesIn(bits);
  return count;
}

/** How many words two sets of a shelf share. */
export function sharedBy(a: Uint32Array, b: Uint32Array): number {
  let count = 0;
  for (let i = 0; i < a.length; i++) {
    const bits = a[i]! & b[i]!;
    if (bits) count += onesIn(bits);
  }
  return count;
}

export const has = (set: Uint32Array, word: number): boolean => ((set[word >> 5]! >>> (word & 31)) & 1) === 1;

/** A set without a word. */
export function without(set: Uint32Array, word: number): Uint32Array {
  const less = Uint32Array.from(set);
  less[word >> 5]! &= ~(1 << (word & 31));
  return less;
}

export const letterAt = ({ letters }: KnownWord, at: number): number => letters.charCodeAt(at) - A;
