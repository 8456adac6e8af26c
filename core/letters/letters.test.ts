import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Path } from '../scene/index.ts';
import { write } from './index.ts';
import { HIGH, joinedLetters } from './joined.ts';
import { joinedCapitals } from './joined-capitals.ts';
import { printLetters } from './print.ts';

const print = printLetters();

const endOf = ({ points }: Path) => [points.at(-2)!, points.at(-1)!] as const;

describe('the alphabet that stands alone', () => {
  it('has all letters, digits and the signs of a sentence', () => {
    expect(
      write('ABCDEFGHIJKLMNOPQRSTUVWXYZ abcdefghijklmnopqrstuvwxyz 0123456789', 'print').missing,
    ).toEqual([]);
    expect(write('What’s well-made? This, and that!', 'print').missing).toEqual([]);
  });

  it.each([
    // Alphabets of the languages (Unicode CLDR, exemplar characters; from memory).
    ['German', 'äöüßÄÖÜ'],
    ['French', 'àâæçéèêëîïôœùûüÿÆŒÇ'],
    ['Spanish', 'áéíñóúü ¿Qué? ¡Sí!'],
    ['Danish', 'æøåÆØÅ'],
    ['Polish', 'łŁóćńśź'],
  ])('has the letters of %s', (_, letters) => {
    for (const alphabet of ['print', 'joined'] as const) expect(write(letters, alphabet).missing).toEqual([]);
  });

  it('letters are as high as they should be: capitals and digits ten, small ones five, tails five below', () => {
    for (const [sign, { strokes, width }] of Object.entries(print)) {
      // Those that curves are led by included, which lie a little outside.
      const xs = strokes.flatMap(({ path }) => [...path.points].filter((_, i) => i % 2 === 0));
      const ys = strokes.flatMap(({ path }) => [...path.points].filter((_, i) => i % 2 === 1));
      const [top, bottom] = [Math.max(...ys), Math.min(...ys)];
      if (/[A-Z0-9bdfhkl]/.test(sign)) expect(Math.abs(top - 10), sign).toBeLessThan(0.3);
      if (/[acegmnopqrsuvwxyz]/.test(sign)) expect(Math.abs(top - 5), sign).toBeLessThan(0.3);
      if (/[gjpqy]/.test(sign)) expect(bottom, sign).toBeLessThan(-4.9);
      else if (/[a-zA-PR-Z0-9]/.test(sign)) expect(Math.abs(bottom), sign).toBeLessThan(0.3);
      expect(Math.min(...xs), sign).toBeGreaterThan(-1.9);
      expect(Math.max(...xs), sign).toBeLessThan(width + 1.3);
    }
  });

  it('a word is as wide as its letters and what is between them, in their order', () => {
    const { strokes, width } = write('bee', 'print');
    expect(width).toBeCloseTo(print.b!.width + 2 * print.e!.width + 2 * 2.3, 6);
    expect(strokes.map(({ letter }) => letter)).toEqual([0, 0, 1, 2]);
    expect(write('b b', 'print').width).toBeCloseTo(2 * print.b!.width + 6, 6);
  });

  it('letters with marks are their letter and the mark; an i with one has no dot', () => {
    expect(write('ü', 'print').strokes).toHaveLength(print.u!.strokes.length + 2);
    expect(write('í', 'print').strokes).toHaveLength(2);
    expect(write('б漢', 'print').missing).toEqual(['б', '漢']);
  });
});

describe('the alphabet that is joined', () => {
  it('each letter begins where the one before ends, high or low', () => {
    for (const from of [0, HIGH])
      for (const [sign, { strokes, width, endsHigh }] of Object.entries(joinedLetters(from))) {
        expect(strokes[0]!.start, sign).toEqual([0, from]);
        const [x, y] = endOf(strokes[0]!.path);
        expect(x, sign).toBeCloseTo(width, 4);
        expect(y, sign).toBeCloseTo(endsHigh ? HIGH : 0, 4);
      }
    expect(Object.keys(joinedLetters(0)).join('')).toBe('abcdefghijklmnopqrstuvwxyz');
  });

  it('any word of small letters is one line of the pen, dots and crosses aside', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'abcdefghijklmnopqrstuvwxyz'), minLength: 1 }),
        (word) => {
          const main = write(word, 'joined').strokes.filter(({ number }) => number === 1);
          expect(main.map(({ goesOn }) => goesOn)).toEqual(main.map((_, i) => i > 0));
          for (let i = 1; i < main.length; i++) {
            const [x, y] = endOf(main[i - 1]!.path);
            expect(main[i]!.start[0]).toBeCloseTo(x, 3);
            expect(main[i]!.start[1]).toBeCloseTo(y, 3);
          }
        },
      ),
    );
  });

  it('has capitals of its own: as high as those that stand alone, and joined where they end on the base line', () => {
    expect(Object.keys(joinedCapitals()).join('')).toBe('ABCDEFGHIJKLMNOPQRSTUVWXYZ');
    for (const [sign, { strokes, width, joins }] of Object.entries(joinedCapitals())) {
      const all = strokes.flatMap(({ path }) => [...path.points]);
      const xs = all.filter((_, i) => i % 2 === 0);
      const top = Math.max(...all.filter((_, i) => i % 2 === 1));
      expect(Math.abs(top - 10), sign).toBeLessThan(0.3);
      expect(Math.min(...xs), sign).toBeGreaterThan(-1.9);
      expect(Math.max(...xs), sign).toBeLessThan(width + 0.8);
      const ends = strokes.map(({ path }) => endOf(path));
      if (joins)
        expect(
          ends.some(([x, y]) => Math.abs(x - width) < 1e-3 && Math.abs(y) < 1e-3),
          sign,
        ).toBe(true);
      const [first, second] = write(`${sign}n`, 'all-joined').strokes.filter(({ number }) => number === 1);
      expect(second!.goesOn, sign).toBe(joins);
      if (joins)
        expect(second!.start[0], sign).toBeCloseTo(first!.start[0] - strokes[0]!.start[0] + width, 3);
    }
    // Where only small letters are joined, capitals stay those that stand alone.
    expect(write('An', 'joined').strokes[0]!.path).toEqual(write('A', 'print').strokes[0]!.path);
  });

  it('begins anew after a capital and after a space', () => {
    const { strokes } = write('Bo be', 'joined');
    const begins = strokes
      .filter(({ goesOn, number }) => !goesOn && number === 1)
      .map(({ letter }) => letter);
    expect(begins).toEqual([0, 1, 2]);
  });
});
