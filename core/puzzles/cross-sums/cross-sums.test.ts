import { readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { measuredScale } from '../scale.ts';
import { LINES, resultOf } from './grid.ts';
import { answersOf, CALCULATIONS, crossSumsScales, makeCrossSums, sameCrossSums } from './index.ts';
import { solveByLines } from './solve.ts';

describe('cross sums', () => {
  it('have one answer by trying all digits, and come out in every line', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CALCULATIONS), fc.nat(1e6), (calculation, seed) => {
        const made = makeCrossSums(calculation, randomStream('cross', seed));
        const { solution, operators, results, givens } = made;
        expect([...solution].sort()).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
        expect(answersOf(made)).toEqual([solution]);
        expect(solveByLines(made)).toMatchObject({ answers: 1, solution });
        LINES.forEach((cells, line) => {
          // What stands there, calculated by the language itself, with brackets for from left to right.
          const [a, b, c] = cells.map((cell) => solution[cell]!);
          const [first, second] = operators[line]!.map((sign) => ({ '+': '+', '−': '-', '×': '*' })[sign]);
          expect(new Function(`return (${a} ${first} ${b}) ${second} ${c}`)()).toBe(results[line]);
          expect(results[line]).toBeGreaterThanOrEqual(1);
        });
        givens.forEach((given, cell) => {
          if (given !== null) expect(given).toBe(solution[cell]);
        });
        expect(givens).toContain(null);
        if (calculation === 'sums') expect(new Set(operators.flat())).toEqual(new Set(['+']));
      }),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 1000 : 60 },
    );
  });

  it('of a magic square have more than one answer where nothing is given, and one with three of its digits (Lo Shu)', () => {
    const loShu = [2, 7, 6, 9, 5, 1, 4, 3, 8];
    const square = { operators: LINES.map(() => ['+', '+'] as const), results: LINES.map(() => 15) };
    expect(answersOf({ ...square, givens: Array<null>(9).fill(null) })).toHaveLength(2);
    const givens = loShu.map((digit, i) => (i === 0 || i === 1 || i === 3 ? digit : null));
    expect(answersOf({ ...square, givens })).toEqual([loShu]);
    expect(solveByLines({ ...square, givens })).toMatchObject({ answers: 1, solution: loShu });
  });

  it('are calculated from left to right', () => {
    expect(resultOf([2, 3, 4], ['+', '×'])).toBe(20);
    expect(resultOf([9, 3, 4], ['−', '×'])).toBe(24);
  });

  it('are the same with rows for columns', () => {
    const made = makeCrossSums('products', randomStream('same'));
    const flip = <T>(cells: readonly T[]) => cells.map((_, at) => cells[(at % 3) * 3 + Math.floor(at / 3)]!);
    const turned = {
      operators: [...made.operators.slice(3), ...made.operators.slice(0, 3)],
      results: [...made.results.slice(3), ...made.results.slice(0, 3)],
      givens: flip(made.givens),
    };
    expect(answersOf(turned)).toEqual([flip(made.solution)]);
    expect(sameCrossSums(turned)).toBe(sameCrossSums(made));
    expect(sameCrossSums(makeCrossSums('products', randomStream('other')))).not.toBe(sameCrossSums(made));
  });

  it('have the scales that were measured; QUILL_GOLDENS=add writes them anew', () => {
    const file = new URL('scales.json', import.meta.url);
    const measured = Object.fromEntries(
      CALCULATIONS.map((calculation) => [
        calculation,
        atOnce(
          measuredScale('cross sums', calculation, (random) => makeCrossSums(calculation, random).looks),
        ).map((value) => Math.round(value * 100) / 100),
      ]),
    );
    if (process.env.QUILL_GOLDENS === 'add') writeFileSync(file, `${JSON.stringify(measured)}\n`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(measured);
    for (const calculation of CALCULATIONS) expect(crossSumsScales[calculation]).toHaveLength(4);
  });
});
