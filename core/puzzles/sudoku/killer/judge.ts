import { DancingLinks } from 'dancing-links';
import type { Shape } from '../shape.ts';
import type { Cage } from './cages.ts';

const kept = new Map<string, number[][]>();

/** Every way to put different digits, from 0, into so many cells that add up, counted from 1, to a sum. */
function waysTo(cells: number, sum: number, size: number): number[][] {
  const known = kept.get(`${cells} ${sum} ${size}`);
  if (known) return known;
  let ways: number[][] = [[]];
  for (let i = 0; i < cells; i++)
    ways = ways.flatMap((way) =>
      Array.from({ length: size }, (_, digit) => digit).flatMap((digit) =>
        way.includes(digit) ? [] : [[...way, digit]],
      ),
    );
  ways = ways.filter((way) => way.reduce((left, digit) => left - digit - 1, sum) === 0);
  kept.set(`${cells} ${sum} ${size}`, ways);
  return ways;
}

/**
 * Answers of a grid with cages as exact covers (Knuth 2000, Dancing Links), by a library: every cage is filled in one of its ways, and each
 * digit of each unit is covered once. Shares nothing with how such grids are made.
 * @returns the digit of every cell; two answers at most
 */
export function killerAnswers({ size, cells, units }: Shape, cages: readonly Cage[]): Uint8Array[] {
  const solver = new DancingLinks<{ cell: number; digit: number }[]>().createSolver({
    columns: cages.length + units.length * size,
  });
  const unitsOf = Array.from({ length: cells }, (_, cell) =>
    [...units.keys()].filter((u) => units[u]!.includes(cell)),
  );
  cages.forEach((cage, i) => {
    for (const way of waysTo(cage.cells.length, cage.sum, size)) {
      const covered = cage.cells.flatMap((cell, at) =>
        unitsOf[cell]!.map((u) => cages.length + u * size + way[at]!),
      );
      if (new Set(covered).size < covered.length) continue;
      solver.addSparseConstraint(
        cage.cells.map((cell, at) => ({ cell, digit: way[at]! + 1 })),
        [i, ...covered],
      );
    }
  });
  return solver.find(2).map((rows) => {
    const values = new Uint8Array(cells);
    for (const { data } of rows) for (const { cell, digit } of data) values[cell] = digit;
    return values;
  });
}
