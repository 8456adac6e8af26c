import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { answersOf, cluesOf, nonogramSteps, solveByLines } from './index.ts';
import { EMPTY, FILLED, runsOf, solveLine, UNKNOWN } from './line.ts';

const everything = process.env.QUILL_SWEEP === 'all';

/** A drawing of `#` and `.` as cells. */
const cellsOf = (...rows: string[]) =>
  Uint8Array.from(rows.join(''), (cell) => (cell === '#' ? FILLED : cell === '.' ? EMPTY : UNKNOWN));

/** Every line of a length. */
const allLines = (length: number): Uint8Array[] =>
  Array.from({ length: 2 ** length }, (_, bits) =>
    Uint8Array.from({ length }, (_, i) => ((bits >> i) & 1 ? FILLED : EMPTY)),
  );

describe('a line', () => {
  it('is told as far as all lines with its runs agree (tried on every line up to nine cells)', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 9 })
          .chain((length) =>
            fc.tuple(
              fc.constantFrom(...allLines(length)),
              fc.array(fc.boolean(), { minLength: length, maxLength: length }),
            ),
          ),
        ([line, isKnown]) => {
          const length = line.length;
          const runs = runsOf(line, 0, 1, length);
          const cells = line.map((cell, i) => (isKnown[i] ? cell : UNKNOWN));
          const before = cells.slice();
          const became = solveLine(cells, 0, 1, length, runs);
          const possible = allLines(length).filter(
            (other) =>
              runsOf(other, 0, 1, length).join() === runs.join() &&
              other.every((cell, i) => before[i] === UNKNOWN || before[i] === cell),
          );
          const expected = before.map((cell, i) =>
            possible.every((other) => other[i] === possible[0]![i]) ? possible[0]![i]! : cell,
          );
          expect([...cells]).toEqual([...expected]);
          cells.forEach((cell, i) => {
            expect((became >> i) & 1).toBe(cell === before[i] ? 0 : 1);
          });
        },
      ),
      { numRuns: everything ? 5000 : 400 },
    );
  });

  it('that cannot hold its runs is told', () => {
    expect(solveLine(cellsOf('?.?'), 0, 1, 3, [2])).toBe(-1);
    expect(solveLine(cellsOf('???'), 0, 1, 3, [2, 1])).toBe(-1);
  });
});

describe('a picture', () => {
  it('is solved line by line, and by the judge', () => {
    const cells = cellsOf('..#..', '.###.', '#####', '..#..', '..#..');
    const clues = cluesOf(cells, 5, 5);
    expect(clues.rows).toEqual([[1], [3], [5], [1], [1]]);
    expect(clues.columns).toEqual([[1], [2], [5], [2], [1]]);
    expect([...solveByLines(clues)!.cells]).toEqual([...cells]);
    expect(answersOf(clues).map((answer) => [...answer])).toEqual([[...cells]]);
  });

  it('with two answers has two', () => {
    const clues = { rows: [[1], [1]], columns: [[1], [1]] };
    expect(solveByLines(clues)!.unknown).toBe(4);
    expect(answersOf(clues)).toHaveLength(2);
  });

  it('with none has none', () => {
    const clues = { rows: [[2], [0]], columns: [[2], []] };
    expect(solveByLines({ ...clues, rows: [[2], []] })).toBeNull();
    expect(answersOf({ ...clues, rows: [[2], []] })).toEqual([]);
  });
});

describe('pictures that are made', () => {
  it('have one answer, and are mirrored where that is asked for', () => {
    fc.assert(
      fc.property(
        fc.record({
          columns: fc.integer({ min: 5, max: 18 }),
          rows: fc.integer({ min: 5, max: 18 }),
          density: fc.constantFrom(0.35, 0.5, 0.7),
          mirrored: fc.boolean(),
        }),
        fc.integer(),
        (order, seed) => {
          const { columns, rows, cells } = atOnce(nonogramSteps(order, randomStream('any', seed)));
          expect([columns, rows]).toEqual([order.columns, order.rows]);
          expect(answersOf(cluesOf(cells, columns, rows)).map((answer) => answer.join())).toEqual([
            cells.join(),
          ]);
          if (order.mirrored)
            cells.forEach((cell, at) => {
              expect(cell).toBe(cells[at - (at % columns) + columns - 1 - (at % columns)]);
            });
        },
      ),
      { numRuns: everything ? 1000 : 40 },
    );
  });
});
