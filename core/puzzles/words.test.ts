import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../random.ts';
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
