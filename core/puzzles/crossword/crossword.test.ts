import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS } from '../../book/book.sample.ts';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { gridWord } from '../../words/index.ts';
import { type FillIn, fillings, lettersToGive } from '../fill-in/index.ts';
import { type FreeFormOrder, freeFormSteps, numbersOf, runsOf } from './index.ts';

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

  it('are numbered from the upper left corner on, once for both directions', () => {
    const grid = gridFrom('ABC', '.A.', 'CAB');
    expect([...numbersOf(grid)]).toEqual([
      [0, 1],
      [1, 2],
      [6, 3],
    ]);
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
