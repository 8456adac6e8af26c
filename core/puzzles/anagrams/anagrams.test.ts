import { beforeAll, describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { loadVocabularies } from '../vocabulary/index.ts';
import { anagramPairs, anagramsOf } from './index.ts';

beforeAll(loadVocabularies);

describe('anagram pairs', () => {
  it('are each other’s only anagram among everyday words', () => {
    const pairs = anagramPairs(60, [4, 9], randomStream('pairs'));
    expect(pairs).toHaveLength(60);
    for (const [one, other] of pairs) {
      expect(anagramsOf(one)).toEqual([other]);
      expect(anagramsOf(other)).toEqual([one]);
    }
    expect(new Set(pairs.flat()).size).toBe(120);
  });

  it('are of the lengths asked for, in another order and choice for another stream', () => {
    const short = anagramPairs(20, [4, 5], randomStream('pairs'));
    expect(short.every(([word]) => word.length === 4 || word.length === 5)).toBe(true);
    expect(anagramPairs(20, [4, 5], randomStream('pairs'))).toEqual(short);
    expect(anagramPairs(20, [4, 5], randomStream('others'))).not.toEqual(short);
  });

  it('of a word are none where it has none (ORANGE), and known ones (LISTEN, by way of example in many handbooks, from memory)', () => {
    expect(anagramsOf('ORANGE')).toEqual(expect.not.arrayContaining(['ORANGE']));
    expect(anagramsOf('LISTEN')).toEqual(expect.arrayContaining(['SILENT', 'ENLIST']));
  });
});
