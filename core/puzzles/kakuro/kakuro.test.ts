import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { measuredScale } from '../scale.ts';
import { answersOf, kakuroScale, kakuroScales, kakuroSteps, layoutOf, SIDES, solveByRuns } from './index.ts';

const everything = process.env.QUILL_SWEEP === 'all';

const layoutFrom = (...rows: string[]) =>
  layoutOf(
    Uint8Array.from(rows.join(''), (cell) => (cell === '.' ? 1 : 0)),
    rows[0]!.length,
    rows.length,
  );

describe('a layout', () => {
  it('has its runs across, then down', () => {
    expect(layoutFrom('###', '#..', '#..')!.runs).toEqual([
      { cells: [4, 5], across: true },
      { cells: [7, 8], across: true },
      { cells: [4, 7], across: false },
      { cells: [5, 8], across: false },
    ]);
  });

  it('has no run of a single cell, nor of ten', () => {
    expect(layoutFrom('###', '#..', '#.#')).toBeNull();
    const wide = '#'.repeat(11);
    expect(layoutFrom(wide, `#${'.'.repeat(10)}`, `#${'.'.repeat(10)}`)).toBeNull();
  });
});

describe('sums', () => {
  it('tell the digits where they can be made in one way, and the judge agrees', () => {
    const layout = layoutFrom('###', '#..', '#..')!;
    // Worked out by hand: across 3 is 1 + 2, down 4 is 1 + 3, so that the first cell is 1 and the others follow.
    const sums = [3, 12, 4, 11];
    const answer = [0, 0, 0, 0, 1, 2, 0, 3, 9];
    expect(answersOf(layout, sums).map((grid) => [...grid])).toEqual([answer]);
    expect(solveByRuns(layout, sums)!.unknown).toBe(0);
  });

  it('with two answers have two, with none have none', () => {
    const layout = layoutFrom('###', '#..', '#..')!;
    expect(answersOf(layout, [7, 7, 7, 7])).toHaveLength(2);
    expect(solveByRuns(layout, [7, 7, 7, 7])!.unknown).toBe(4);
    expect(answersOf(layout, [3, 17, 3, 4])).toEqual([]);
    expect(solveByRuns(layout, [3, 17, 3, 4])).toBeNull();
  });
});

describe('puzzles that are made', () => {
  it('have one answer, no digit twice in a run, and look the same after half a turn', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 9 }),
        fc.integer({ min: 5, max: 9 }),
        fc.integer(),
        (columns, rows, seed) => {
          const { layout, sums, solution } = atOnce(kakuroSteps(columns, rows, randomStream('any', seed)));
          for (const [r, { cells }] of layout.runs.entries()) {
            const digits = cells.map((cell) => solution[cell]!);
            expect(new Set(digits).size).toBe(digits.length);
            expect(digits.reduce((sum, digit) => sum + digit, 0)).toBe(sums[r]);
            for (const digit of digits) expect(digit).toBeGreaterThanOrEqual(1);
          }
          expect(answersOf(layout, sums).map((grid) => grid.join())).toEqual([solution.join()]);
          for (let row = 1; row < rows; row++)
            for (let column = 1; column < columns; column++)
              expect(layout.open[row * columns + column]).toBe(
                layout.open[(rows - row) * columns + columns - column],
              );
        },
      ),
      { numRuns: everything ? 500 : 20 },
    );
  });
});

describe('scales', () => {
  it('are as they are measured', () => {
    for (const side of everything ? SIDES : [5, 6])
      expect(kakuroScales[side]).toEqual(
        atOnce(
          measuredScale('kakuro', String(side), (random) => atOnce(kakuroSteps(side, side, random)).looks),
        ),
      );
    expect(Object.keys(kakuroScales).map(Number)).toEqual([...SIDES]);
  });

  it('of grids that are not square are those of about as many cells', () => {
    expect(kakuroScale(5, 5)).toBe(kakuroScales[5]);
    expect(kakuroScale(7, 12)).toBe(kakuroScales[9]);
    expect(kakuroScale(15, 15)).toBe(kakuroScales[15]);
  });
});
