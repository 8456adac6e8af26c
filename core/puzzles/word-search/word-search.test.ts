import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { gridWord } from '../../words/index.ts';
import { DIRECTION_SETS, type DirectionSet, findWord, makeWordSearch, STEPS } from './index.ts';

const listed = (words: string[]) =>
  words.map((word) => gridWord(word)).flatMap((read) => ('letters' in read ? [read] : []));

const word = fc.stringMatching(/^[A-E]{3,9}$/);

describe('making a word search', () => {
  it('holds every placed word exactly once, and each listed word is placed or named as left out', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(word, { minLength: 10, maxLength: 20 }),
        fc.integer({ min: 10, max: 20 }),
        fc.constantFrom<DirectionSet>('straight', 'diagonal', 'backwards'),
        fc.string(),
        (words, size, directions, seed) => {
          const order = { columns: size, rows: size, directions, words: listed(words) };
          const puzzle = makeWordSearch(order, randomStream(seed));
          expect([...puzzle.placements.map((placed) => placed.word), ...puzzle.leftOut].sort()).toEqual(
            words.slice().sort(),
          );
          for (const placed of puzzle.placements) {
            const readings = findWord(puzzle, [...placed.word]);
            expect(readings).toHaveLength(1);
            expect(DIRECTION_SETS[directions] as readonly string[]).toContain(placed.direction);
            const [dx, dy] = STEPS[placed.direction];
            const cells = [...placed.word].map(
              (_, i) => puzzle.letters[(placed.row + dy * i) * size + placed.column + dx * i],
            );
            expect(cells.join('')).toBe(placed.word);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is the same for the same stream, and another for another', () => {
    const order = {
      columns: 12,
      rows: 12,
      directions: 'diagonal' as const,
      words: listed(['HIVE', 'NECTAR', 'SMOKER', 'QUEEN']),
    };
    const once = makeWordSearch(order, randomStream('moth-7', 'a', 1, 0));
    expect(makeWordSearch(order, randomStream('moth-7', 'a', 1, 0))).toEqual(once);
    expect(makeWordSearch(order, randomStream('moth-7', 'a', 1, 1)).letters).not.toEqual(once.letters);
  });

  it('names a word that is part of another, forwards or backwards', () => {
    const puzzle = makeWordSearch(
      { columns: 14, rows: 14, directions: 'backwards', words: listed(['BEE', 'BEEHIVE', 'EVIH', 'WAX']) },
      randomStream(1),
    );
    expect(puzzle.leftOut.sort()).toEqual(['BEE', 'EVIH']);
  });

  it('names words that find no room', () => {
    const words = Array.from(
      { length: 20 },
      (_, i) => `${'QWERTYUI'.slice(i % 4)}${'ASDFGHJK'.slice(i % 5)}`.slice(0, 8) + (i % 7 ? '' : 'Z'),
    ).map((text, i) => text.slice(0, 7) + 'ABCDEFGHIJKLMNOPQRST'[i]);
    const puzzle = makeWordSearch(
      { columns: 8, rows: 8, directions: 'straight', words: listed(words) },
      randomStream(2),
    );
    expect(puzzle.leftOut.length).toBeGreaterThan(0);
    for (const placed of puzzle.placements) expect(findWord(puzzle, [...placed.word])).toHaveLength(1);
  });

  it('keeps accents and other scripts as letters of the grid', () => {
    for (const words of [
      ['MÉLISSE', 'BRUYÈRE', 'CŒUR'],
      ['ПЧЕЛА', 'УЛЕЙ', 'МЁД'],
      ['ΜΕΛΙ', 'ΚΕΡΙ'],
      ['דבש', 'כוורת'],
    ]) {
      const puzzle = makeWordSearch(
        { columns: 10, rows: 10, directions: 'backwards', words: listed(words) },
        randomStream(words[0]!),
      );
      expect(puzzle.leftOut).toEqual([]);
      for (const found of listed(words)) expect(findWord(puzzle, found.letters)).toHaveLength(1);
    }
  });
});

describe('the independent search', () => {
  it('counts a palindrome once for each set of cells', () => {
    const grid = { columns: 4, rows: 3, letters: [...'NOONXXXXNOON'] };
    expect(findWord(grid, [...'NOON'])).toHaveLength(2);
  });

  it('finds a word in each of the eight directions', () => {
    const base = { columns: 5, rows: 5 };
    for (const [dx, dy] of Object.values(STEPS)) {
      const letters: string[] = Array(25).fill('.');
      [...'ABC'].forEach((letter, i) => {
        letters[(2 + dy * i) * 5 + 2 + dx * i] = letter;
      });
      expect(findWord({ ...base, letters }, [...'ABC'])).toHaveLength(1);
    }
  });
});
