import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { messageRows } from './index.ts';

const WORDS = 'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager honey veil'
  .toUpperCase()
  .split(' ')
  .map((word) => [...word]);

/** The most rows that can have a word, by trying every choice: for small cases. */
function most(
  message: readonly string[],
  words: readonly (readonly string[])[],
  used = new Set<number>(),
): number {
  const [letter, ...others] = message;
  if (letter === undefined) return 0;
  let best = most(others, words, used);
  words.forEach((word, i) => {
    if (used.has(i) || !word.includes(letter)) return;
    best = Math.max(best, 1 + most(others, words, new Set([...used, i])));
  });
  return best;
}

describe('a message in a column', () => {
  it('is read off the words, none of them twice', () => {
    const rows = messageRows([...'BEESWORK'], WORDS, randomStream('rows'));
    expect(rows.map(({ word, at }) => WORDS[word!]![at]).join('')).toBe('BEESWORK');
    expect(new Set(rows.map(({ word }) => word)).size).toBe(8);
    expect(messageRows([...'BEESWORK'], WORDS, randomStream('rows'))).toEqual(rows);
  });

  it('has a word for as many letters as can have one at once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...'ABCD'), { minLength: 1, maxLength: 5 }),
        fc.array(fc.array(fc.constantFrom(...'ABCDE'), { minLength: 1, maxLength: 3 }), { maxLength: 5 }),
        fc.nat(1e6),
        (message, words, seed) => {
          const rows = messageRows(message, words, randomStream('any', seed));
          const found = rows.filter(({ word }) => word !== null);
          expect(found).toHaveLength(most(message, words));
          for (const { letter, word, at } of found) expect(words[word!]![at]).toBe(letter);
          expect(new Set(found.map(({ word }) => word)).size).toBe(found.length);
        },
      ),
    );
  });

  it('leaves a letter without a word where no word has it', () => {
    const rows = messageRows([...'ZOO'], WORDS, randomStream('zoo'));
    expect(rows[0]).toEqual({ letter: 'Z', word: null, at: 0 });
    expect(rows.slice(1).every(({ word }) => word !== null)).toBe(true);
  });
});
