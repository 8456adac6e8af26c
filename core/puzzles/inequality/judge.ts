import { DancingLinks } from 'dancing-links';
import type { InequalityGrid } from './grid.ts';

/**
 * Answers of a puzzle as exact covers (Knuth 2000, Dancing Links), by a library: each cell, and each number in each row and column, is
 * covered once; a pair of numbers that a sign forbids may be covered once at most. Shares nothing with how puzzles are made.
 * @returns numbers row by row; two answers at most
 */
export function answersOf({ size, givens, signs }: InequalityGrid): Uint8Array[] {
  const cells = size * size;
  let forbidden = 0;
  /** Pairs of numbers that cannot both be, by cell and number. */
  const pairsOf = new Map<string, number[]>();
  const note = (cell: number, number: number, pair: number) => {
    const key = `${cell} ${number}`;
    pairsOf.set(key, [...(pairsOf.get(key) ?? []), pair]);
  };
  for (const { less, more } of signs)
    for (let low = 0; low < size; low++)
      for (let high = 0; high <= low; high++) {
        note(less, low, forbidden);
        note(more, high, forbidden);
        forbidden++;
      }
  // So many cells in a row of signs are less than a cell, or more: what they rule out need not be tried.
  const below = longestChains(
    cells,
    signs.map(({ less, more }) => [more, less]),
  );
  const above = longestChains(
    cells,
    signs.map(({ less, more }) => [less, more]),
  );
  const solver = new DancingLinks<number>().createSolver({
    primaryColumns: 3 * cells,
    secondaryColumns: forbidden,
  });
  for (let cell = 0; cell < cells; cell++)
    for (let number = 0; number < size; number++) {
      if (givens[cell] && givens[cell] !== number + 1) continue;
      if (number < below[cell]! || number >= size - above[cell]!) continue;
      const [row, column] = [Math.floor(cell / size), cell % size];
      solver.addSparseConstraint(cell * size + number, {
        primary: [cell, cells + row * size + number, 2 * cells + column * size + number],
        secondary: pairsOf.get(`${cell} ${number}`) ?? [],
      });
    }
  return solver.find(2).map((rows) => {
    const values = new Uint8Array(cells);
    for (const { data } of rows) values[Math.floor(data / size)] = (data % size) + 1;
    return values;
  });
}

/** How many steps can be gone from each cell; as many as there are cells where they lead in a circle. */
function longestChains(cells: number, steps: readonly (readonly [from: number, to: number])[]): number[] {
  const longest = Array<number>(cells).fill(0);
  for (let round = 0; round < cells; round++) {
    let changed = false;
    for (const [from, to] of steps)
      if (longest[from]! < longest[to]! + 1) {
        longest[from] = Math.min(cells, longest[to]! + 1);
        changed = longest[from]! < cells || changed;
      }
    if (!changed) break;
  }
  return longest;
}
