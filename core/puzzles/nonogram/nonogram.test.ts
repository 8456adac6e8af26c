import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { cellsInside, SHAPES } from '../outline/index.ts';
import { answersOf, cluesOf, nonogramSteps, pictureSteps, solveByLines } from './index.ts';
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

describe('nonograms of a shape', () => {
  it('have one answer, which shows the shape with hardly a cell changed, whole or as an outline', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(SHAPES)),
        fc.constantFrom(10, 15, 20, 25),
        fc.boolean(),
        fc.nat(1e6),
        (outline, side, hollow, seed) => {
          const order = { columns: side, rows: side, outline, hollow };
          const made = atOnce(pictureSteps(order, randomStream('picture', seed)))!;
          const shown = (cells: Uint8Array) => [...cells].map((cell) => cell === FILLED);
          expect(answersOf(cluesOf(made.cells, side, side)).map(shown)).toEqual([shown(made.cells)]);
          const filled = (cells: Uint8Array) =>
            cells.filter((cell) => cell === FILLED).length / (side * side);
          const whole = cellsInside(outline, side, side).filter(Boolean).length / (side * side);
          if (hollow) expect(filled(made.cells)).toBeLessThan(Math.max(0.7, whole));
          // A shape may be laid in smaller: of ten cells a side, a ring of one is a third.
          else expect(Math.abs(filled(made.cells) - whole)).toBeLessThan(0.35);
        },
      ),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 500 : 40 },
    );
  });

  it('are the cells of the shape itself where its clues tell all of them', () => {
    const { cells } = atOnce(
      pictureSteps({ columns: 12, rows: 12, outline: 'circle', hollow: false }, randomStream('circle')),
    )!;
    const sizes = [10, 11, 12].flatMap((width) => [10, 11, 12].map((height) => [width, height] as const));
    const laid = sizes.flatMap(([width, height]) => {
      const inside = cellsInside('circle', width, height);
      return [0, 1, 2].flatMap((left) =>
        [0, 1, 2].flatMap((top) => {
          if (left + width > 12 || top + height > 12) return [];
          return [
            Array.from({ length: 144 }, (_, at) => {
              const [x, y] = [(at % 12) - left, Math.floor(at / 12) - top];
              return x >= 0 && y >= 0 && x < width && y < height && inside[y * width + x] ? FILLED : 0;
            }).join(''),
          ];
        }),
      );
    });
    expect(laid).toContain([...cells].map((cell) => (cell === FILLED ? FILLED : 0)).join(''));
  });
});
