import { readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { measuredScale } from '../scale.ts';
import { type Calculation, resultOf } from './grid.ts';
import { answersOf, CAGE_SIZES, CALCULATIONS, cageScale, cageSteps } from './index.ts';
import { solveByLogic } from './solve.ts';

const everything = process.env.QUILL_SWEEP === 'all';
const made = (size: number, calculation: Calculation, seed: number) =>
  atOnce(cageSteps(size, calculation, randomStream('test', size, seed)));

const USED: Record<Calculation, RegExp> = { sums: /^[+]$/, 'sums-differences': /^[+−]$/, all: /^[+−×÷]$/ };

describe('grids with cages', () => {
  it('have one answer, as whole cages are laid, which logic finds as well', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CAGE_SIZES),
        fc.constantFrom(...CALCULATIONS),
        fc.nat(1e6),
        (size, calculation, seed) => {
          const { solution, looks, cages } = made(size, calculation, seed);
          expect(answersOf({ size, cages })).toEqual([solution]);
          expect(solveByLogic({ size, cages })).toEqual({ solution, looks });
          // Every cell is in one cage, whose cells hang together and make what it says.
          expect(cages.flatMap(({ cells }) => cells).sort((a, b) => a - b)).toEqual([...solution.keys()]);
          for (const { cells, operation, target } of cages) {
            expect(
              resultOf(
                operation,
                cells.map((at) => solution[at]!),
              ),
            ).toBe(target);
            if (cells.length > 1) expect(operation).toMatch(USED[calculation]);
            expect(cells.length).toBeLessThanOrEqual(4);
            const seen = new Set(cells.slice(0, 1));
            for (const at of seen)
              for (const other of cells) {
                const apart =
                  Math.abs((at % size) - (other % size)) +
                  Math.abs(Math.floor(at / size) - Math.floor(other / size));
                if (apart === 1) seen.add(other);
              }
            expect(seen.size).toBe(cells.length);
          }
        },
      ),
      { numRuns: everything ? 200 : 30 },
    );
  });

  it('keep few single cells', () => {
    for (const size of CAGE_SIZES) {
      const singles = Array.from({ length: 10 }, (_, seed) =>
        made(size, 'all', seed).cages.filter(({ cells }) => cells.length === 1),
      );
      expect(singles.flat().length / 10).toBeLessThanOrEqual(size);
    }
  });

  it('of one cage that is too large have more than one answer, and contradictions have none', () => {
    const row = (y: number) => ({
      cells: [0, 1, 2, 3].map((x) => y * 4 + x),
      operation: '+' as const,
      target: 10,
    });
    const rows = { size: 4, cages: [0, 1, 2, 3].map(row) };
    expect(answersOf(rows)).toHaveLength(2);
    expect(solveByLogic(rows).solution).toBeNull();
    const wrong = { size: 4, cages: [{ ...row(0), target: 11 }, ...[1, 2, 3].map(row)] };
    expect(answersOf(wrong)).toEqual([]);
    expect(solveByLogic(wrong).solution).toBeNull();
  });

  it('reckon with whole numbers, the larger first', () => {
    expect(resultOf('−', [2, 5])).toBe(3);
    expect(resultOf('÷', [2, 6])).toBe(3);
    expect(resultOf('÷', [4, 6])).toBeNull();
    expect(resultOf('−', [1, 2, 3])).toBeNull();
    expect(resultOf('×', [2, 3, 4])).toBe(24);
    expect(resultOf('+', [2, 3, 4])).toBe(9);
    expect(resultOf(null, [7])).toBe(7);
  });

  it('have the scales that were measured; QUILL_GOLDENS=add writes them anew', () => {
    const file = new URL('scales.json', import.meta.url);
    const sorts = CAGE_SIZES.flatMap((size) => CALCULATIONS.map((calculation) => ({ size, calculation })));
    const measured = Object.fromEntries(
      sorts.map(({ size, calculation }) => {
        const sort = `${size} ${calculation}`;
        const steps = measuredScale(
          'cages',
          sort,
          (random) => atOnce(cageSteps(size, calculation, random)).looks,
        );
        return [sort, atOnce(steps)];
      }),
    );
    if (process.env.QUILL_GOLDENS === 'add') writeFileSync(file, `${JSON.stringify(measured)}\n`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(measured);
    for (const { size, calculation } of sorts) expect(cageScale(size, calculation)).toHaveLength(4);
  });
});
