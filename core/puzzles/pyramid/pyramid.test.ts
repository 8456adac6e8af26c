import { readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { measuredScale } from '../scale.ts';
import { bricksIn, makePyramid, onlyAnswer, pyramidScales } from './index.ts';
import { solveByLogic, standing } from './solve.ts';

const ROWS = [3, 4, 5, 6, 7];
/** The largest number of the lowest row does not change what a person has to do. */
const LARGEST = 10;

describe('number pyramids', () => {
  it('have one answer by linear equations, which logic finds as well', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ROWS),
        fc.integer({ min: 1, max: 50 }),
        fc.nat(1e6),
        (rows, largest, seed) => {
          const { givens, solution, looks } = makePyramid(rows, largest, randomStream('pyramid', seed));
          expect(solution).toHaveLength(bricksIn(rows));
          expect(onlyAnswer({ rows, givens })).toEqual(solution);
          expect(solveByLogic({ rows, givens })).toEqual({ solution, looks });
          // Each brick by what it stands on, counted anew.
          for (let row = 0, at = 0; row < rows - 1; row++)
            for (let i = 0; i <= row; i++, at++)
              expect(solution[at]).toBe(solution[at + row + 1]! + solution[at + row + 2]!);
          expect(Math.min(...solution)).toBeGreaterThanOrEqual(1);
          expect(Math.max(...solution.slice(-rows))).toBeLessThanOrEqual(largest);
          expect(givens.filter((number) => number === null).length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('have a top of 2ⁿ⁻¹ where all of the lowest row is 1 (a row of Pascal’s triangle)', () => {
    for (const rows of ROWS)
      expect(makePyramid(rows, 1, randomStream('ones')).solution[0]).toBe(2 ** (rows - 1));
  });

  it('with too few numbers, or numbers that contradict, have no only answer', () => {
    const empty = Array<null>(6).fill(null);
    expect(onlyAnswer({ rows: 3, givens: empty })).toBeNull();
    expect(onlyAnswer({ rows: 3, givens: [8, null, null, null, null, null] })).toBeNull();
    expect(onlyAnswer({ rows: 3, givens: [8, 3, 5, 1, 2, 3] })).toEqual([8, 3, 5, 1, 2, 3]);
    expect(onlyAnswer({ rows: 3, givens: [9, 3, 5, 1, 2, 3] })).toBeNull();
    // The lowest row would be 1, ½, 2½.
    expect(onlyAnswer({ rows: 3, givens: [5, null, null, 1, null, 3] })).toBeNull();
    expect(solveByLogic({ rows: 3, givens: [8, null, null, 1, null, 3] }).solution).toBeNull();
    expect(onlyAnswer({ rows: 3, givens: [8, null, null, 1, null, 3] })).toEqual([8, 3, 5, 1, 2, 3]);
  });

  it('stand brick on bricks', () => {
    expect(standing(3)).toEqual([
      [0, 1, 2],
      [1, 3, 4],
      [2, 4, 5],
    ]);
  });

  it('have the scales that were measured; QUILL_GOLDENS=add writes them anew', () => {
    const file = new URL('scales.json', import.meta.url);
    const measured = Object.fromEntries(
      ROWS.map((rows) => [
        rows,
        atOnce(measuredScale('pyramid', String(rows), (random) => makePyramid(rows, LARGEST, random).looks)),
      ]),
    );
    if (process.env.QUILL_GOLDENS === 'add') writeFileSync(file, `${JSON.stringify(measured)}\n`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(measured);
    for (const rows of ROWS) expect(pyramidScales[rows]).toHaveLength(4);
  });
});
