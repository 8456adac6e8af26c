import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { gridWord } from '../../words/index.ts';
import { cellsInside, SHAPES, type ShapeId } from '../outline/index.ts';
import {
  cellsOf,
  type Direction,
  FILLING_LANGUAGES,
  findWord,
  type HideOrder,
  hideWords,
  lettersOfLanguage,
  lettersOfWords,
  STEPS,
  searchEffort,
  searchLevel,
} from './index.ts';
import { matcherOf } from './matcher.ts';

const everything = process.env.QUILL_SWEEP === 'all';
const DIRECTIONS = Object.keys(STEPS) as Direction[];
const listed = (words: readonly string[]) =>
  words.map((word) => gridWord(word)).flatMap((read) => ('letters' in read ? [read] : []));
const HIVE = listed(
  'apiary beeswax borage brood clover colony drone forager honeycomb meadow nectar pollen propolis queen skep'.split(
    ' ',
  ),
);
const UNWANTED = ['STAB', 'RAT', 'WAR', 'OAF', 'POL', 'BEES', 'EEN'].map((word) => [...word]);

const order = (more: Partial<HideOrder> = {}): HideOrder => ({
  columns: 15,
  rows: 15,
  directions: DIRECTIONS,
  words: HIVE,
  crossings: 'some',
  decoys: 0,
  filling: lettersOfLanguage('en'),
  unwanted: [],
  message: [],
  ...more,
});

/** Every straight run of letters in all directions as a text, from each cell on: what a naive reader sees. */
function readAt(
  { columns, rows, letters }: { columns: number; rows: number; letters: readonly (string | null)[] },
  length: number,
): { text: string; cells: number[] }[] {
  const read: { text: string; cells: number[] }[] = [];
  for (let at = 0; at < letters.length; at++)
    for (const [dx, dy] of Object.values(STEPS)) {
      const cells = Array.from({ length }, (_, i) => [
        (at % columns) + i * dx,
        Math.floor(at / columns) + i * dy,
      ]);
      if (!cells.every(([x, y]) => x! >= 0 && x! < columns && y! >= 0 && y! < rows)) continue;
      const places = cells.map(([x, y]) => y! * columns + x!);
      if (places.some((place) => letters[place] === null)) continue;
      read.push({ text: places.map((place) => letters[place]).join(''), cells: places });
    }
  return read;
}

describe('hiding words', () => {
  const words = fc.uniqueArray(fc.stringMatching(/^[A-H]{3,9}$/), { minLength: 4, maxLength: 24 });

  it('hides each word once, in a direction that is allowed, inside the outline, and nothing that is unwanted', () => {
    fc.assert(
      fc.property(
        words,
        fc.integer({ min: 8, max: 24 }),
        fc.integer({ min: 8, max: 24 }),
        fc.option(fc.constantFrom(...(Object.keys(SHAPES) as ShapeId[])), { nil: undefined }),
        fc.subarray(DIRECTIONS, { minLength: 1 }),
        fc.constantFrom('few', 'some', 'many'),
        fc.integer({ min: 0, max: 12 }),
        fc.boolean(),
        fc.string(),
        (texts, columns, rows, shape, directions, crossings, decoys, ownLetters, seed) => {
          const given = listed(texts);
          const inside = shape && cellsInside(shape, columns, rows);
          const made = hideWords(
            order({
              ...{ columns, rows, inside, directions, crossings, decoys, words: given },
              filling: ownLetters ? lettersOfWords(given) : lettersOfLanguage('en'),
              unwanted: ['BAD', 'HAGGED', 'CAFE'].map((word) => [...word]),
            }),
            randomStream(seed),
          );
          expect([...made.placements.map(({ word }) => word), ...made.leftOut].sort()).toEqual(
            texts.slice().sort(),
          );
          made.letters.forEach((letter, at) => {
            expect(letter === null).toBe(inside ? inside[at] === 0 : false);
          });
          const placed = made.placements.map((one) => ({ one, cells: cellsOf(one, columns) }));
          for (const { one, cells } of placed) {
            expect(directions).toContain(one.direction);
            expect(cells.map((at) => made.letters[at]).join('')).toBe(one.word);
            expect(findWord(made, [...one.word])).toHaveLength(1);
          }
          for (const word of ['BAD', 'CAFE'])
            for (const { text, cells } of readAt(made, word.length))
              if (text === word)
                expect(placed.some((own) => cells.every((at) => own.cells.includes(at)))).toBe(true);
        },
      ),
      { numRuns: everything ? 1_000 : 60 },
    );
  });

  it('shows no unwanted word but within a listed one, by a second reader', () => {
    for (let seed = 0; seed < (everything ? 400 : 30); seed++) {
      const made = hideWords(
        order({ columns: 20, rows: 20, unwanted: UNWANTED }),
        randomStream('unwanted', seed),
      );
      expect(made.leftOut).toEqual([]);
      const placed = made.placements.map((one) => cellsOf(one, 20));
      for (const word of UNWANTED)
        for (const { text, cells } of readAt(made, word.length))
          if (text === word.join(''))
            expect(
              placed.some((own) => cells.every((at) => own.includes(at))),
              text,
            ).toBe(true);
    }
  });

  it('spells a message with the first letters that are left over', () => {
    const message = [...'THEBEESAREHOME'];
    for (let seed = 0; seed < 10; seed++) {
      const made = hideWords(order({ message, unwanted: UNWANTED }), randomStream('message', seed));
      const own = new Set(made.placements.flatMap((one) => cellsOf(one, 15)));
      const left = made.letters.flatMap((letter, at) => (own.has(at) ? [] : [letter]));
      expect(left.slice(0, message.length)).toEqual(message);
      expect(made.message).toHaveLength(message.length);
    }
  });

  it('says so when the words leave too few letters for the message', () => {
    const made = hideWords(
      order({ columns: 9, rows: 9, words: HIVE.slice(0, 9), message: [...'A'.repeat(60)] }),
      randomStream('full'),
    );
    expect(made.message.length).toBeLessThan(60);
    expect(made.letters).not.toContain(undefined);
  });

  it('lays near-misses that end in another letter', () => {
    const made = hideWords(order({ decoys: 12 }), randomStream('decoys'));
    expect(made.decoys).toBeGreaterThan(6);
    const beginnings = HIVE.map(({ letters }) => letters.slice(0, -2).join('')).filter(
      ({ length }) => length > 2,
    );
    const without = hideWords(order(), randomStream('decoys'));
    const near = (one: typeof made) =>
      beginnings.reduce((sum, begin) => sum + findWord(one, [...begin]).length, 0);
    expect(near(made)).toBeGreaterThan(near(without));
  });

  it('crosses words more or less, as wished', () => {
    const shared = (crossings: HideOrder['crossings']) => {
      let sum = 0;
      for (let seed = 0; seed < 12; seed++) {
        const { placements } = hideWords(order({ crossings }), randomStream('crossings', seed));
        const cells = placements.flatMap((one) => cellsOf(one, 15));
        sum += cells.length - new Set(cells).size;
      }
      return sum;
    };
    const [few, some, many] = [shared('few'), shared('some'), shared('many')];
    expect(few).toBeLessThan(some);
    expect(some).toBeLessThan(many);
  });

  it('names what has no room and what is part of another word', () => {
    const made = hideWords(
      order({ columns: 6, rows: 6, words: listed(['BEE', 'BEEHIVE', 'EVIH', 'WAX']) }),
      randomStream(1),
    );
    expect(made.leftOut.sort()).toEqual(['BEE', 'BEEHIVE', 'EVIH']);
  });

  it('fills grids of few letters all the same', () => {
    const given = listed(['AAB', 'ABA', 'BBA']);
    const made = hideWords(
      order({ columns: 12, rows: 12, words: given, filling: lettersOfWords(given) }),
      randomStream(2),
    );
    for (const { word } of made.placements) expect(findWord(made, [...word])).toHaveLength(1);
    expect(made.placements.length).toBeGreaterThan(0);
  });

  it('is the same for the same stream', () => {
    expect(hideWords(order(), randomStream('a'))).toEqual(hideWords(order(), randomStream('a')));
  });

  it('keeps other scripts in their own letters', () => {
    for (const texts of [
      ['ПЧЕЛА', 'УЛЕЙ', 'ЦВЕТОК'],
      ['ΜΕΛΙ', 'ΚΕΡΙ', 'ΣΜΗΝΟΣ'],
      ['דבש', 'כוורת', 'דבורה'],
    ]) {
      const given = listed(texts);
      const made = hideWords(
        order({ words: given, filling: lettersOfWords(given) }),
        randomStream(texts[0]!),
      );
      expect(made.leftOut).toEqual([]);
      expect(made.letters.join('')).not.toMatch(/[A-Z]/);
    }
  });
});

describe('what fills a grid', () => {
  it('has every letter of the language once, the commonest first by far', () => {
    for (const language of FILLING_LANGUAGES) {
      const letters = lettersOfLanguage(language);
      expect(new Set(letters.map(([letter]) => letter)).size).toBe(letters.length);
      const sum = letters.reduce((all, [, weight]) => all + weight, 0);
      // Shares of a thousand, rounded one by one.
      expect(Math.abs(sum - 1000)).toBeLessThan(40);
      expect(letters[0]![0]).toBe('E');
    }
  });
});

describe('how hard a word search is', () => {
  it('rises with directions and near-misses, whatever the size', () => {
    for (const [side, count] of [
      [10, 6],
      [15, 15],
      [22, 15],
    ] as const) {
      const mean = (directions: readonly Direction[], more: Partial<HideOrder> = {}) => {
        let sum = 0;
        for (let seed = 0; seed < 20; seed++) {
          const words = randomStream('mean', seed).shuffled(HIVE).slice(0, count);
          const made = hideWords(
            order({ columns: side, rows: side, directions, words, ...more }),
            randomStream('mean', seed),
          );
          sum += searchEffort(made, directions);
        }
        return sum / 20;
      };
      const easy = mean(DIRECTIONS.slice(0, 2), { crossings: 'few' });
      const slanting = mean(DIRECTIONS.slice(0, 4));
      const all = mean(DIRECTIONS);
      const near = mean(DIRECTIONS, { decoys: 15, crossings: 'many', filling: lettersOfWords(HIVE) });
      expect([easy, slanting, all, near]).toEqual([easy, slanting, all, near].sort((a, b) => a - b));
      expect(searchLevel(easy)).toBeLessThan(searchLevel(all));
    }
  });

  it('is none without words', () => {
    expect(searchLevel(searchEffort(hideWords(order({ words: [] }), randomStream(1)), DIRECTIONS))).toBe(1);
  });
});

describe('the matcher of many patterns', () => {
  it('finds what a plain search finds, at every end', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.stringMatching(/^[abc]{1,5}$/), { minLength: 1, maxLength: 12 }),
        fc.stringMatching(/^[abc]{0,60}$/),
        (patterns, text) => {
          const codes = (word: string) => [...word].map((letter) => letter.charCodeAt(0) - 97);
          const { next, ends, also, lengths, letters } = matcherOf(patterns.map(codes), 3);
          const found: string[] = [];
          let state = 0;
          codes(text).forEach((letter, i) => {
            state = next[(state >> 1) * letters + letter]!;
            expect(state % 2 === 1).toBe(ends[state >> 1]! >= 0 || also[state >> 1]! > 0);
            for (let at = state >> 1; at; at = also[at]!)
              if (ends[at]! >= 0) {
                expect(lengths[ends[at]!]).toBe(patterns[ends[at]!]!.length);
                found.push(`${i} ${patterns[ends[at]!]}`);
              }
          });
          const plain = patterns.flatMap((pattern) =>
            Array.from({ length: text.length }, (_, i) => i).flatMap((i) =>
              text.slice(0, i + 1).endsWith(pattern) ? [`${i} ${pattern}`] : [],
            ),
          );
          expect(found.sort()).toEqual(plain.sort());
        },
      ),
      { numRuns: 200 },
    );
  });
});
