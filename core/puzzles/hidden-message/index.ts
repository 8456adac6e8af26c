import type { RandomStream } from '../../random.ts';

/** A word of a message’s row, and the letter of it that stands in the column that is read. */
export interface MessageRow {
  /** Of the message. */
  letter: string;
  /** Place of the word in the list that was given; null where none has the letter. */
  word: number | null;
  /** Place of the letter in the word. */
  at: number;
}

/**
 * Finds a word for each letter of a message, none twice, so that as many letters as possible have one: augmenting paths in a bipartite graph
 * (Kuhn 1955). Words whose letter is near their middle come first, which keeps the whole narrow.
 * @param message its letters
 * @param words letters of each
 */
export function messageRows(
  message: readonly string[],
  words: readonly (readonly string[])[],
  random: RandomStream,
): MessageRow[] {
  const offCenter = (word: number, letter: string): number => {
    const { length } = words[word]!;
    return Math.min(
      ...words[word]!.flatMap((one, at) => (one === letter ? [Math.abs(at - (length - 1) / 2)] : [])),
    );
  };
  const choices = message.map((letter) =>
    random
      .shuffled(words.map((_, i) => i))
      .filter((word) => words[word]!.includes(letter))
      .sort((one, other) => Math.round(offCenter(one, letter) - offCenter(other, letter))),
  );
  const rowOf = new Map<number, number>();
  const wordOf = Array<number | null>(message.length).fill(null);
  const place = (row: number, seen: Set<number>): boolean => {
    for (const word of choices[row]!) {
      if (seen.has(word)) continue;
      seen.add(word);
      const holder = rowOf.get(word);
      if (holder !== undefined && !place(holder, seen)) continue;
      rowOf.set(word, row);
      wordOf[row] = word;
      return true;
    }
    return false;
  };
  for (const row of random.shuffled(message.map((_, i) => i))) place(row, new Set());
  return message.map((letter, row): MessageRow => {
    const word = wordOf[row]!;
    if (word === null) return { letter, word, at: 0 };
    const middle = (words[word]!.length - 1) / 2;
    const [at] = words[word]!.flatMap((one, i) => (one === letter ? [i] : [])).sort(
      (one, other) => Math.abs(one - middle) - Math.abs(other - middle),
    );
    return { letter, word, at: at! };
  });
}
