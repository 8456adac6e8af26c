import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dealt, readTexts, repeated } from './index.ts';

const texts = (source: string) => readTexts(source).map(({ text }) => text);

describe('lists of texts', () => {
  it('are lines, each with who said it after a tab or a bar', () => {
    expect(readTexts('Keep the bees | Old saying\nLook twice\tOdile Marrow\n\n  Write it down  ')).toEqual([
      { text: 'Keep the bees', credit: 'Old saying' },
      { text: 'Look twice', credit: 'Odile Marrow' },
      { text: 'Write it down', credit: '' },
    ]);
  });

  it('commas, dashes and words in quotation marks belong to the text', () => {
    expect(texts('Bees, wasps and moths\nHope - and work\n"Be kind", she said\n"Look up"')).toEqual([
      'Bees, wasps and moths',
      'Hope - and work',
      '"Be kind", she said',
      'Look up',
    ]);
  });

  it('are read from a table as it is exported: cells in quotation marks, over several lines too (RFC 4180)', () => {
    expect(
      readTexts('"Bees, always","Old saying"\r\n"He said ""now""",Odile\n"One\ntwo",Anon\n"a";"b"'),
    ).toEqual([
      { text: 'Bees, always', credit: 'Old saying' },
      { text: 'He said "now"', credit: 'Odile' },
      { text: 'One two', credit: 'Anon' },
      { text: 'a', credit: 'b' },
    ]);
  });

  it('no text is lost or made up, in either order, and a seed always shuffles alike', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 60 }), fc.string(), (list, seed) => {
        expect(dealt(list, 'listed', [seed, 's'])).toEqual(list);
        const shuffled = dealt(list, 'shuffled', [seed, 's']);
        expect([...shuffled].sort()).toEqual([...list].sort());
        expect(dealt(list, 'shuffled', [seed, 's'])).toEqual(shuffled);
      }),
    );
    const many = Array.from({ length: 40 }, (_, i) => i);
    expect(dealt(many, 'shuffled', ['a', 's'])).not.toEqual(dealt(many, 'shuffled', ['b', 's']));
  });

  it('the same text twice is found, whatever its case and signs', () => {
    expect(repeated(readTexts('Keep the bees.\nLook up\nkeep the BEES!\nLook up | Odile'))).toEqual([
      { text: 'Keep the bees.', places: [1, 3] },
      { text: 'Look up', places: [2, 4] },
    ]);
  });

  it('any text that is read keeps its letters', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: fc.constantFrom(...'abc ,;.-?!'), minLength: 1 })), (lines) => {
        const plain = (text: string) => text.replace(/\s+/g, '');
        expect(plain(texts(lines.join('\n')).join(''))).toBe(plain(lines.join('')));
      }),
    );
  });
});
