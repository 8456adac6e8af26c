import { describe, expect, it } from 'vitest';
import { randomStream } from '../../../random.ts';
import { atOnce } from '../../../steps.ts';
import { LEVELS, type Level } from '../../level.ts';
import { type Shape, type Size, shapeOf } from '../shape.ts';
import type { Technique } from '../techniques.ts';
import { type Cage, killerAnswers, killerSteps, rateKiller } from './index.ts';
import { sumsOf45 } from './sums.ts';

const everything = process.env.QUILL_SWEEP === 'all';
const made = (size: Size, level: Level, seed: number) =>
  atOnce(killerSteps(size, level, randomStream('killer test', size, level, seed)));

/** Whether cells hang together by their sides. */
function hangTogether(cells: readonly number[], size: number): boolean {
  const reached = new Set(cells.slice(0, 1));
  for (const cell of reached)
    for (const next of [
      cell - size,
      cell + size,
      ...(cell % size ? [cell - 1] : []),
      ...((cell + 1) % size ? [cell + 1] : []),
    ])
      if (cells.includes(next)) reached.add(next);
  return reached.size === cells.length;
}

const digitsIn = (solution: Uint8Array, { cells }: Cage) => cells.map((cell) => solution[cell]!);

/** Answers by trying digits cell by cell; of small grids, and with no code in common. */
function tried(shape: Shape, cages: readonly Cage[]): string[] {
  const values = new Uint8Array(shape.cells);
  const cageOf = new Map(cages.flatMap((cage) => cage.cells.map((cell) => [cell, cage] as const)));
  const found: string[] = [];
  const go = (cell: number): void => {
    if (cell === shape.cells) {
      found.push(values.join(''));
      return;
    }
    for (let digit = 1; digit <= shape.size; digit++) {
      if (shape.peers[cell]!.some((peer) => values[peer] === digit)) continue;
      values[cell] = digit;
      const own = digitsIn(values, cageOf.get(cell)!);
      const filled = own.filter(Boolean);
      const sum = filled.reduce((all, one) => all + one, 0);
      const { sum: wanted } = cageOf.get(cell)!;
      if (
        new Set(filled).size === filled.length &&
        (filled.length < own.length ? sum < wanted : sum === wanted)
      )
        go(cell + 1);
      values[cell] = 0;
    }
  };
  go(0);
  return found;
}

describe('grids with cages', () => {
  it.each([
    [4, [1, 2]],
    [6, [1, 2, 3, 4]],
    [9, LEVELS],
  ] as const)(
    '%i × %i: cages cover the grid, and one answer is left, at the level asked for',
    (size, levels) => {
      const shape = shapeOf(size);
      for (const level of levels)
        for (let seed = 0; seed < (everything ? 40 : 3); seed++) {
          const { cages, solution, level: measured } = made(size, level, seed);
          expect(measured).toBe(level);
          expect(cages.flatMap(({ cells }) => cells).sort((a, b) => a - b)).toEqual([...solution.keys()]);
          for (const cage of cages) {
            const digits = digitsIn(solution, cage);
            expect(hangTogether(cage.cells, size)).toBe(true);
            expect(new Set(digits).size).toBe(digits.length);
            expect(digits.reduce((all, one) => all + one, 0)).toBe(cage.sum);
          }
          expect(killerAnswers(shape, cages)).toEqual([solution]);
          if (size === 4) expect(tried(shape, cages)).toEqual([solution.join('')]);
        }
    },
  );

  it('the judge tells of a second answer', () => {
    // Two rows of cages that are as wide as the grid leave the digits in them open.
    const cages = [0, 4, 8, 12].map((first) => ({ cells: [0, 1, 2, 3].map((i) => first + i), sum: 10 }));
    expect(killerAnswers(shapeOf(4), cages)).toHaveLength(2);
    expect(rateKiller(shapeOf(4), cages)).toBeNull();
    // And that there is none.
    expect(killerAnswers(shapeOf(4), cages.with(0, { ...cages[0]!, sum: 9 }))).toEqual([]);
  });

  it('no step rules out what is in the answer, and sums of cages and units are among them', () => {
    const met = new Set<Technique>();
    const shape = shapeOf(9);
    for (const level of LEVELS)
      for (let seed = 0; seed < 4; seed++) {
        const { cages, solution } = made(9, level, seed);
        const { steps, solution: found } = rateKiller(shape, cages)!;
        expect(found).toEqual(solution);
        for (const { technique, put, removes } of steps) {
          met.add(technique);
          if (put) expect(solution[put[0]]).toBe(put[1] + 1);
          for (const [cell, digit] of removes) expect(solution[cell]).not.toBe(digit + 1);
        }
      }
    expect([...met]).toEqual(expect.arrayContaining(['cage-sum', 'unit-sum', 'unit-sums']));
  });

  it('what the rule of 45 leaves adds up as in the answer', () => {
    for (const size of [4, 6, 9] as const)
      for (let seed = 0; seed < 10; seed++) {
        const { cages, solution } = made(size, 2, seed);
        const sums = sumsOf45(shapeOf(size), cages);
        expect(sums.length).toBeGreaterThan(0);
        for (const { cells, sum } of sums)
          expect(cells.reduce((all, cell) => all + solution[cell]!, 0)).toBe(sum);
      }
  });

  it('harder ones are given less: fewer cages, and no single ones to begin with', () => {
    const many = (level: Level) => made(9, level, 0).cages.length;
    expect(many(1)).toBeGreaterThan(many(3));
    expect(many(1)).toBeGreaterThan(many(5));
    expect(made(9, 1, 0).cages.filter(({ cells }) => cells.length === 1).length).toBeGreaterThanOrEqual(9);
  });

  it('what a size can not give comes as near as it can', () => {
    const { level, cages, solution } = made(4, 5, 1);
    expect(level).toBeLessThanOrEqual(5);
    expect(killerAnswers(shapeOf(4), cages)).toEqual([solution]);
  });
});
