import { readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { measuredScale } from '../scale.ts';
import { neighbors } from './grid.ts';
import { answersOf, INEQUALITY_SIZES, inequalityScales, inequalitySteps, solveByLogic } from './index.ts';

function atOnce<T>(steps: Generator<void, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
const made = (size: number, seed: number) => atOnce(inequalitySteps(size, randomStream('test', size, seed)));
const sizes = fc.constantFrom(...INEQUALITY_SIZES);

describe('inequality grids', () => {
  it('have one answer, as whole rows are laid, which logic finds as well', () => {
    fc.assert(
      fc.property(sizes, fc.nat(1e6), (size, seed) => {
        const { solution, looks, ...grid } = made(size, seed);
        expect(answersOf(grid)).toEqual([solution]);
        expect(solveByLogic(grid)).toEqual({ solution, looks });
        for (const { less, more } of grid.signs) expect(solution[less]).toBeLessThan(solution[more]!);
        const touching = new Set(neighbors(size).map((pair) => pair.join(' ')));
        for (const { less, more } of grid.signs)
          expect(touching.has(`${Math.min(less, more)} ${Math.max(less, more)}`)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('without a sign or a number that is needed have more than one, or logic does not find it', () => {
    const { solution: _, ...grid } = made(5, 3);
    // Easy puzzles keep some that are not needed; without any there are many answers.
    expect(answersOf({ ...grid, givens: new Uint8Array(25), signs: [] })).toHaveLength(2);
    expect(solveByLogic({ ...grid, givens: new Uint8Array(25), signs: [] }).solution).toBeNull();
  });

  it('that contradict themselves have none', () => {
    const signs = [
      { less: 0, more: 1 },
      { less: 1, more: 0 },
    ];
    const grid = { size: 4, givens: new Uint8Array(16), signs };
    expect(answersOf(grid)).toEqual([]);
    expect(solveByLogic(grid).solution).toBeNull();
  });

  // Latin squares of order 4: 576 (Euler; OEIS A002860).
  it('of order 4 are counted by the rows as the literature has them', () => {
    const squares = new Set<string>();
    const rows = [1, 2, 3, 4];
    const orders = rows.flatMap((a) =>
      rows.flatMap((b) => rows.flatMap((c) => rows.map((d) => [a, b, c, d]))),
    );
    const fits = orders.filter((order) => new Set(order).size === 4);
    for (const first of fits)
      for (const second of fits) {
        if (first.some((number, i) => number === second[i])) continue;
        const givens = [...first, ...second, ...Array<number>(8).fill(0)];
        for (const third of fits) {
          const told = [...givens.slice(0, 8), ...third, 0, 0, 0, 0];
          if (third.some((number, i) => number === first[i] || number === second[i])) continue;
          for (const answer of answersOf({ size: 4, givens: told, signs: [] })) squares.add(answer.join(''));
        }
      }
    expect(squares.size).toBe(576);
  });

  it('have the scales that were measured; QUILL_GOLDENS=add writes them anew', () => {
    const file = new URL('scales.json', import.meta.url);
    const measured = Object.fromEntries(
      INEQUALITY_SIZES.map((size) => [
        size,
        atOnce(
          measuredScale('inequality', String(size), (random) => atOnce(inequalitySteps(size, random)).looks),
        ),
      ]),
    );
    if (process.env.QUILL_GOLDENS === 'add') writeFileSync(file, `${JSON.stringify(measured)}\n`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(measured);
    for (const size of INEQUALITY_SIZES) expect(inequalityScales[size]).toHaveLength(4);
  });
});
