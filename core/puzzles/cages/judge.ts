import { DancingLinks } from 'dancing-links';
import type { CageGrid, Operation } from './grid.ts';

/** Whether numbers make a target, in an order of their own: shares nothing with how cages are made. */
function makes(operation: Operation | null, target: number, numbers: readonly number[]): boolean {
  const [first = 0, second = 0] = numbers;
  if (operation === '+') return numbers.reduce((left, number) => left - number, target) === 0;
  if (operation === '×') return numbers.reduce((left, number) => left / number, target) === 1;
  if (operation === null) return numbers.length === 1 && first === target;
  if (numbers.length !== 2) return false;
  return operation === '−'
    ? first === second + target || second === first + target
    : first === second * target || second === first * target;
}

/**
 * Answers of a puzzle as exact covers (Knuth 2000, Dancing Links), by a library: every cage is filled in one of its ways, and each number
 * of each row and column is covered once. Shares nothing with how puzzles are made.
 * @returns numbers row by row; two answers at most
 */
export function answersOf({ size, cages }: CageGrid): Uint8Array[] {
  const square = size * size;
  const solver = new DancingLinks<{ cell: number; number: number }[]>().createSolver({
    columns: cages.length + 2 * square,
  });
  cages.forEach(({ cells, operation, target }, cage) => {
    for (let code = 0; code < size ** cells.length; code++) {
      const numbers = cells.map((_, i) => Math.floor(code / size ** i) % size);
      if (
        !makes(
          operation,
          target,
          numbers.map((number) => number + 1),
        )
      )
        continue;
      const covered = cells.flatMap((cell, i) => [
        cages.length + Math.floor(cell / size) * size + numbers[i]!,
        cages.length + square + (cell % size) * size + numbers[i]!,
      ]);
      if (new Set(covered).size < covered.length) continue;
      solver.addSparseConstraint(
        cells.map((cell, i) => ({ cell, number: numbers[i]! + 1 })),
        [cage, ...covered],
      );
    }
  });
  return solver.find(2).map((rows) => {
    const values = new Uint8Array(square);
    for (const { data } of rows) for (const { cell, number } of data) values[cell] = number;
    return values;
  });
}
