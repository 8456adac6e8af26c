import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS } from '../../book/book.sample.ts';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { gridWord } from '../../words/index.ts';
import { type FillIn, fillings, lettersToGive } from '../fill-in/index.ts';
import { arrowGrid, type FreeFormOrder, freeFormSteps, numbersOf, runsOf } from './index.ts';

const everything = process.env.QUILL_SWEEP === 'all';

const laid = (order: FreeFormOrder, seed: number) => atOnce(freeFormSteps(order, randomStream('any', seed)));

/** Rows of letters, a dot for a cell without one. */
const gridFrom = (...rows: string[]): FillIn => ({
  columns: rows[0]!.length,
  rows: rows.length,
  letters: [...rows.join('')].map((letter) => (letter === '.' ? null : letter)),
});

const anyOrder = fc.record({
  words: fc
    .uniqueArray(fc.stringMatching(/^[A-F]{2,8}$/), { minLength: 1, maxLength: 14 })
    .map((words) => words.map((word) => [...word])),
  columns: fc.integer({ min: 7, max: 14 }),
  rows: fc.integer({ min: 7, max: 14 }),
});

describe('words that cross freely', () => {
  it('are read off the grid once each, and nothing else is; each is in one piece with the others', () => {
    fc.assert(
      fc.property(anyOrder, fc.integer(), (order, seed) => {
        const { grid, leftOut } = laid(order, seed);
        const placed = order.words.filter((_, i) => !leftOut.includes(i)).map((word) => word.join(''));
        const read = runsOf(grid).map(({ cells }) => cells.map((at) => grid.letters[at]).join(''));
        expect(read.sort()).toEqual(placed.sort());
        expect(grid.columns).toBeLessThanOrEqual(order.columns);
        expect(grid.rows).toBeLessThanOrEqual(order.rows);
        for (const { word, column, row, across } of grid.entries)
          order.words[word]!.forEach((letter, i) => {
            const at = across ? row * grid.columns + column + i : (row + i) * grid.columns + column;
            expect(grid.letters[at]).toBe(letter);
          });
        // A word that is longer than the grid leaves it empty.
        if (!placed.length) return;
        // One piece: from the first letter every other one can be reached.
        const first = grid.letters.findIndex((letter) => letter !== null);
        const seen = new Set([first]);
        for (const at of seen)
          for (const to of [
            at % grid.columns ? at - 1 : -1,
            (at + 1) % grid.columns ? at + 1 : -1,
            at - grid.columns,
            at + grid.columns,
          ])
            if (grid.letters[to]) seen.add(to);
        expect(seen.size).toBe(grid.letters.filter(Boolean).length);
      }),
      { numRuns: everything ? 500 : 25 },
    );
  });

  it('are all placed, and densely, where there is room (25 words, as many as a page has)', () => {
    const words = HIVE_WORDS.flatMap((word) => {
      const read = gridWord(word);
      return 'letters' in read ? [read.letters] : [];
    }).slice(0, 25);
    expect(words).toHaveLength(25);
    for (let seed = 0; seed < (everything ? 50 : 3); seed++) {
      const { grid, leftOut } = laid({ words, columns: 21, rows: 21 }, seed);
      expect(leftOut).toEqual([]);
      const density = grid.letters.filter(Boolean).length / grid.letters.length;
      expect(density).toBeGreaterThan(0.38);
    }
  });

  it('are no more than enough, of those that it may choose from', () => {
    fc.assert(
      fc.property(anyOrder, fc.integer({ min: 1, max: 14 }), fc.integer(), (order, enough, seed) => {
        const { grid, leftOut } = laid({ ...order, enough }, seed);
        expect(grid.entries.length).toBeLessThanOrEqual(enough);
        expect(grid.entries.length + leftOut.length).toBe(order.words.length);
        expect(runsOf(grid)).toHaveLength(grid.entries.length);
      }),
      { numRuns: everything ? 300 : 20 },
    );
    const words = HIVE_WORDS.flatMap((word) => {
      const read = gridWord(word);
      return 'letters' in read ? [read.letters] : [];
    });
    const small = { columns: 8, rows: 9 };
    const placed = (order: FreeFormOrder) =>
      [1, 2, 3, 4].reduce((sum, seed) => sum + laid(order, seed).grid.entries.length, 0);
    expect(placed({ ...small, words, enough: 10 })).toBeGreaterThan(
      placed({ ...small, words: words.slice(0, 10) }),
    );
  });

  it('are numbered from the upper left corner on, once for both directions', () => {
    const grid = gridFrom('ABC', '.A.', 'CAB');
    expect([...numbersOf(grid)]).toEqual([
      [0, 1],
      [1, 2],
      [6, 3],
    ]);
  });
});

describe('cells that ask for words', () => {
  it('are empty cells beside first letters; whoever follows the arrows reads every word once', () => {
    fc.assert(
      fc.property(anyOrder, fc.integer(), (order, seed) => {
        const { grid } = laid(order, seed);
        const { columns, rows, letters, asking } = arrowGrid(grid);
        expect(letters).toHaveLength(columns * rows);
        expect(letters.filter(Boolean)).toEqual(grid.letters.filter(Boolean));
        const followed = [...asking].flatMap(([at, both]) => {
          expect(letters[at]).toBeNull();
          expect(new Set(both.map(({ exit }) => exit)).size).toBe(both.length);
          return both.map(({ exit, turns, run }) => {
            const isAcross = (exit === 'right') !== turns;
            expect(isAcross).toBe(run.across);
            const first = at + (exit === 'right' ? 1 : columns);
            if (exit === 'right') expect((at % columns) + 1).toBeLessThan(columns);
            const step = isAcross ? 1 : columns;
            // Nothing before the first letter belongs to the word.
            if (isAcross ? first % columns : first >= columns) expect(letters[first - step]).toBeNull();
            let word = '';
            for (let cell = first; letters[cell]; cell += step) {
              word += letters[cell];
              if (isAcross && (cell + 1) % columns === 0) break;
            }
            return word;
          });
        });
        const read = runsOf(grid).map(({ cells }) => cells.map((at) => grid.letters[at]).join(''));
        expect(followed.sort()).toEqual(read.sort());
      }),
      { numRuns: everything ? 500 : 40 },
    );
  });

  it('share a cell only where no other is free; an arrow from beside a word turns', () => {
    // Both words begin where nothing is above or at the left but what is added: each has the cell before it.
    const corner = arrowGrid(gridFrom('ABC', 'B..', 'C..'));
    expect([corner.columns, corner.rows]).toEqual([4, 4]);
    expect([...corner.asking.keys()].sort((a, b) => a - b)).toEqual([1, 4]);
    // One cell would ask for both words: the first of them is asked for from above its first letter.
    const both = arrowGrid(gridFrom('....', '..AB', '.C..', '.E..'));
    expect([both.columns, both.rows]).toEqual([4, 4]);
    const told = [...both.asking].map(([at, all]) => [at, all.map(({ exit, turns }) => ({ exit, turns }))]);
    expect(told).toEqual([
      [5, [{ exit: 'down', turns: false }]],
      [2, [{ exit: 'down', turns: true }]],
    ]);
    // Nothing else is free: they share it, and leave it at different sides.
    const shared = arrowGrid(gridFrom('..X.', '..AB', 'FCG.', '.E..'));
    expect([...shared.asking.values()].filter((all) => all.length === 2)).toHaveLength(1);
  });
});

describe('words to put into a grid', () => {
  const square = gridFrom('AB', 'BA');

  it('that fit in several ways are counted', () => {
    // Four runs, two words of them twice: as many ways as there are orders that agree.
    const ring = gridFrom('ABC', 'D.E', 'FGH');
    expect(fillings(ring, new Set(), 10)).toHaveLength(2);
    expect(fillings(ring, new Set([1]), 10)).toHaveLength(1);
    expect(fillings(square, new Set(), 1000).length).toBeGreaterThan(1);
  });

  it('fit in one way when the letters stand that must be given', () => {
    fc.assert(
      fc.property(anyOrder, fc.integer(), (order, seed) => {
        const { grid } = laid(order, seed);
        const given = lettersToGive(grid);
        expect(fillings(grid, given, 5)).toHaveLength(1);
      }),
      { numRuns: everything ? 300 : 15 },
    );
  });
});
