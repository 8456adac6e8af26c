import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../random.ts';
import { arrangement, arrangements, numberCard, wordCard, wordsOfCard } from './bingo/index.ts';
import { alphabetOf, deciphered, makeCryptogram, signsOf } from './cryptogram/index.ts';
import { areMistaken, isPuzzling, scrambled, withoutVowels } from './scramble/index.ts';

const anyText = fc.string({ unit: fc.constantFrom(...'abcdeéñßÄ .,;!?0-’אב') });

describe('a cryptogram', () => {
  it('is read back by its key, and no letter stands for itself', () => {
    fc.assert(
      fc.property(anyText, fc.integer(), (text, seed) => {
        const made = makeCryptogram(text, randomStream(seed));
        expect(deciphered(made)).toBe(signsOf(text).join(''));
        const letters = alphabetOf(text);
        expect(Object.keys(made.key).sort()).toEqual([...letters].sort());
        expect(Object.values(made.key).sort()).toEqual([...letters].sort());
        if (letters.length > 1)
          for (const [letter, sign] of Object.entries(made.key)) expect(sign).not.toBe(letter);
      }),
    );
  });

  it('leaves all else as it stands', () => {
    const { cipher } = makeCryptogram('Is it 5, or 6?', randomStream(1));
    expect(cipher).toMatch(/^[A-Z]{2} [A-Z]{2} 5, [A-Z]{2} 6\?$/);
  });
});

describe('letters in disorder', () => {
  it('are the same letters in another order', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[A-D]{2,10}$/), fc.integer(), (word, seed) => {
        const letters = [...word];
        fc.pre(isPuzzling('letters', letters));
        const order = scrambled(letters, randomStream(seed));
        expect([...order].sort()).toEqual([...letters].sort());
        expect(order.join('')).not.toBe(word);
      }),
    );
  });

  it('may be mistaken where words share their letters, or their consonants', () => {
    expect(areMistaken('letters', [...'NECTAR'], [...'CARNET'])).toBe(true);
    expect(areMistaken('letters', [...'NECTAR'], [...'NECTARS'])).toBe(false);
    expect(areMistaken('vowels', [...'POLLEN'], [...'PULLON'])).toBe(true);
    expect(areMistaken('vowels', [...'POLLEN'], [...'PLOLEN'])).toBe(false);
    expect(withoutVowels([...'ÉTÉ'])).toEqual([null, 'T', null]);
    expect(isPuzzling('vowels', [...'RHYTHM'])).toBe(false);
  });
});

describe('bingo cards', () => {
  it('the ways to put things in a row are all different, and all there', () => {
    const all = Array.from({ length: arrangements(5, 3) }, (_, n) => arrangement(5, 3, n).join(''));
    expect(all).toHaveLength(60);
    expect(new Set(all).size).toBe(60);
    expect(all[0]).toBe('012');
    expect(all.at(-1)).toBe('432');
  });

  it('of a section are pairwise different, in numbers of their columns or in words, each once', () => {
    const words = Array.from({ length: 30 }, (_, i) => `word ${i}`);
    const count = process.env.QUILL_SWEEP === 'all' ? 828 : 120;
    for (const size of [3, 4, 5] as const) {
      const range = Math.floor(75 / size);
      const isInColumn = (cell: string | null, at: number) =>
        cell === null || Math.ceil(Number(cell) / range) - 1 === at % size;
      const cards = Array.from({ length: count }, (_, place) => {
        const order = {
          size,
          free: true,
          place,
          deck: randomStream('deck'),
          own: randomStream('own', place),
        };
        return { numbers: numberCard(order).cells, words: wordCard(words, order).cells };
      });
      for (const of of ['numbers', 'words'] as const) {
        const all = cards.map((card) => card[of]);
        expect(new Set(all.map((cells) => cells.join('|'))).size).toBe(count);
        const different = all.map((cells) => new Set(cells.filter((cell) => cell !== null)).size);
        expect(new Set(different)).toEqual(new Set([wordsOfCard(size, true)]));
      }
      expect(cards.filter((card) => !card.numbers.every(isInColumn))).toEqual([]);
    }
  });
});
