import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { loadVocabularies, vocabularyOf } from '../vocabulary/index.ts';
import { SHORTEST, spelledFrom, WHEEL_LETTERS, wheelSteps } from './index.ts';

beforeAll(loadVocabularies);

/** Takes letters away one by one: a third way to see whether a word can be spelled. */
function isSpelled(word: string, letters: string): boolean {
  const left = [...letters];
  return [...word].every((letter) => {
    const at = left.indexOf(letter);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

describe('word wheels', () => {
  it('have all the words that a search by sorted letters finds, and one that takes all letters', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...WHEEL_LETTERS),
        fc.constantFrom(...SHORTEST),
        fc.nat(1e6),
        (size, shortest, seed) => {
          const wheel = atOnce(wheelSteps(size, shortest, randomStream('wheel', seed)))!;
          const { letters, words, whole } = wheel;
          expect([...letters].sort()).toEqual([...whole].sort());
          expect(words).toEqual(spelledFrom(letters, shortest));
          expect(words.filter((word) => word.length === size)).toEqual([whole]);
          expect(words.length).toBeGreaterThanOrEqual(10);
          expect(words.length).toBeLessThanOrEqual(60);
          for (const word of words) {
            expect(word).toContain(letters[0]);
            expect(word.length).toBeGreaterThanOrEqual(shortest);
            expect(isSpelled(word, letters)).toBe(true);
          }
        },
      ),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 1000 : 60 },
    );
  });

  it('leave out no everyday word, by a scan of them all', () => {
    const { letters, words } = atOnce(wheelSteps(9, 4, randomStream('wheel', 'all')))!;
    const scanned = vocabularyOf('everyday').flatMap(({ letters: word }) =>
      word.length >= 4 && word.includes(letters[0]!) && isSpelled(word, letters) ? [word] : [],
    );
    expect(words).toEqual(scanned.sort());
  });
});
