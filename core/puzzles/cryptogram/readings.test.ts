import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import type { CryptogramItem } from '../../pages/cryptogram/fill.ts';
import { proofBook } from '../../proof/index.ts';
import { randomStream } from '../../random.ts';
import { loadVocabularies, vocabularyOf } from '../vocabulary/index.ts';
import { makeCryptogram } from './index.ts';
import { isEnglish, readingsOf } from './readings.ts';

beforeAll(loadVocabularies);

const SAYINGS = [
  'A swarm of bees in May is worth a load of hay; a swarm of bees in June is worth a silver spoon.',
  'Bees that have honey in their mouths have stings in their tails.',
  'Where there are bees, there is honey.',
  'The early bird catches the worm, but the second mouse gets the cheese.',
];
const ALPHABET = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

describe('readings of a cryptogram', () => {
  it('are the text itself, once all of its letters are given', () => {
    for (const text of SAYINGS) {
      const made = makeCryptogram(text, randomStream('cipher', text));
      const letters = ALPHABET.filter((letter) => text.toUpperCase().includes(letter));
      expect(readingsOf(made, letters)).toEqual([
        new Map(letters.map((letter) => [made.key[letter], letter])),
      ]);
    }
  });

  it('of one word are two where the list has another of its pattern, and each is of the list or the text', () => {
    const list = new Set(vocabularyOf('everyday').map(({ letters }) => letters));
    fc.assert(
      fc.property(fc.constantFrom('HONEY', 'BEES', 'QUEEN', 'SWARM', 'XQZJV'), fc.nat(1e6), (word, seed) => {
        const made = makeCryptogram(word, randomStream('one', seed));
        const found = readingsOf(made, [])!;
        expect(found.length).toBeGreaterThan(0);
        for (const reading of found) {
          const read = Array.from(word, (letter) => reading.get(made.key[letter]!)).join('');
          expect(list.has(read) || read === word).toBe(true);
          for (const [sign, letter] of reading) expect(sign).not.toBe(letter);
          expect(new Set(reading.values()).size).toBe(reading.size);
        }
        if (word === 'SWARM') expect(found).toHaveLength(2);
      }),
      { numRuns: 40 },
    );
  });

  it('are as many as all ways to read two words are, tried one by one', () => {
    const made = makeCryptogram('QUEEN BEE', randomStream('two'));
    const list = vocabularyOf('everyday').map(({ letters }) => letters);
    const plain = (word: string) => Array.from(word, (letter) => made.key[letter]!).join('');
    let ways = 0;
    // Of words with other doubles no pair fits, which saves most of the time.
    const doubled = (length: number, at: number) =>
      list.filter((word) => word.length === length && word[at] === word[at + 1]);
    for (const five of doubled(5, 2))
      for (const three of doubled(3, 1)) {
        const of = new Map<string, string>();
        const back = new Map<string, string>();
        const fits = Array.from(`${plain('QUEEN')}${plain('BEE')}`).every((sign, i) => {
          const letter = `${five}${three}`[i]!;
          if (sign === letter || (of.get(sign) ?? letter) !== letter || (back.get(letter) ?? sign) !== sign)
            return false;
          of.set(sign, letter);
          back.set(letter, sign);
          return true;
        });
        if (fits) ways++;
      }
    expect(readingsOf(made, [])).toHaveLength(Math.min(2, ways));
  });
});

describe('cryptograms with one reading alone', () => {
  const bookOf = (options: object) =>
    bookFrom(
      recipeOf(
        [
          {
            id: 's',
            kind: 'cryptogram',
            items: 4,
            options: { texts: SAYINGS.join('\n'), given: 0, ...options },
          },
        ],
        { quill: 4 },
      ),
    );
  const itemsOf = (options: object) => {
    const book = bookOf(options);
    return [1, 2, 3, 4].map((item) => filledItem(book, book.sections.get('s')!, item) as CryptogramItem);
  };

  it('have letters given until everyday words fit in one way, and no more than are needed', () => {
    for (const item of itemsOf({ oneReading: true })) {
      expect(readingsOf(item, item.given)).toHaveLength(1);
      expect(item.given.length).toBeLessThanOrEqual(10);
      for (const letter of item.given) expect(item.text.toUpperCase()).toContain(letter);
    }
    const told = proofBook(bookOf({ oneReading: true }), typesetterFromDisk());
    expect(told.filter(({ check }) => check === 'items')).toEqual([]);
  });

  it('are the same as before but for the letters given, where that is not asked for', () => {
    const [plain, one] = [itemsOf({}), itemsOf({ oneReading: true })];
    plain.forEach((item, i) => {
      expect(item.given).toEqual([]);
      expect(item.cipher).toBe(one[i]!.cipher);
    });
  });

  it('are not looked for in other languages, which is told once', () => {
    const texts =
      'Donde hay abejas hay miel, dicen las abuelas.\nMás vale pájaro en mano que ciento volando.';
    const spanish = bookFrom(
      recipeOf([{ id: 's', kind: 'cryptogram', items: 2, options: { texts, oneReading: true } }], {
        quill: 4,
      }),
    );
    const item = filledItem(spanish, spanish.sections.get('s')!, 1) as CryptogramItem;
    expect(item.given).toHaveLength(2);
    const told = proofBook(spanish, typesetterFromDisk()).filter(({ check }) => check === 'items');
    expect(told.map(({ message }) => message)).toEqual([
      'Puzzle 1: its text is not English as far as its words are known, so that nothing shows that it has one reading alone. Leave that setting off for such texts.',
    ]);
    expect([...SAYINGS, 'Xanthippe, Zebedee and Ptolemy meet the bees'].map(isEnglish)).toEqual([
      ...SAYINGS.map(() => true),
      true,
    ]);
  });

  it('say so where the text is too short for it', () => {
    const short = bookFrom(
      recipeOf(
        [{ id: 's', kind: 'cryptogram', items: 1, options: { texts: 'Bee', given: 0, oneReading: true } }],
        { quill: 4 },
      ),
    );
    const item = filledItem(short, short.sections.get('s')!, 1) as CryptogramItem;
    expect(readingsOf(item, item.given)!.length).toBe(1);
    const untold = { ...item, given: [] };
    expect(readingsOf(untold, [])!.length).toBe(2);
  });
});
