import { DancingLinks } from 'dancing-links';
import type { Shape } from './shape.ts';

/**
 * Solves a grid as an exact cover (Knuth 2000, Dancing Links), by a library: it shares no code with what makes puzzles, so
 * that a mistake in one shows in the other.
 * @param givens of each cell, 0 for none
 * @param most solutions that are looked for
 * @returns the solutions found, each with the digit of every cell
 */
export function coversOf({ size, cells, units }: Shape, givens: ArrayLike<number>, most = 2): Uint8Array[] {
  const solver = new DancingLinks<number>().createSolver({ columns: cells + units.length * size });
  const unitsOf = Array.from({ length: cells }, (_, cell) =>
    units.flatMap((unit, u) => (unit.includes(cell) ? [u] : [])),
  );
  for (let cell = 0; cell < cells; cell++)
    for (let digit = 0; digit < size; digit++)
      if (!givens[cell] || givens[cell] === digit + 1)
        solver.addSparseConstraint(cell * size + digit, [
          cell,
          ...unitsOf[cell]!.map((u) => cells + u * size + digit),
        ]);
  return solver.find(most).map((rows) => {
    const values = new Uint8Array(cells);
    for (const { data } of rows) values[Math.floor(data / size)] = (data % size) + 1;
    return values;
  });
}
