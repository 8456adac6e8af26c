import type { Pyramid } from './solve.ts';

/** A fraction of whole numbers, the lower one not 0. */
type Fraction = readonly [bigint, bigint];

const times = ([a, b]: Fraction, [c, d]: Fraction): Fraction => lowered(a * c, b * d);
const minus = ([a, b]: Fraction, [c, d]: Fraction): Fraction => lowered(a * d - c * b, b * d);
function lowered(a: bigint, b: bigint): Fraction {
  let [x, y] = [a < 0n ? -a : a, b < 0n ? -b : b];
  while (y) [x, y] = [y, x % y];
  const by = (x || 1n) * (b < 0n ? -1n : 1n);
  return [a / by, b / by];
}

/**
 * The numbers of the lowest row by linear equations: a brick is the sum of those below it, each as often as Pascal's triangle says.
 * Gaussian elimination in whole fractions; shares nothing with how pyramids are made.
 * @returns the only answer, all bricks from the top one down; null where there is none or more than one
 */
export function onlyAnswer({ rows, givens }: Pyramid): number[] | null {
  const equations: Fraction[][] = [];
  const place = (at: number): [row: number, i: number] => {
    let row = 0;
    while (((row + 1) * (row + 2)) / 2 <= at) row++;
    return [row, at - (row * (row + 1)) / 2];
  };
  const coefficients = (at: number): bigint[] => {
    const [row, i] = place(at);
    const line = Array<bigint>(rows).fill(0n);
    let choose = 1n;
    for (let k = 0; k <= rows - 1 - row; k++) {
      line[i + k] = choose;
      choose = (choose * BigInt(rows - 1 - row - k)) / BigInt(k + 1);
    }
    return line;
  };
  givens.forEach((number, at) => {
    if (number !== null)
      equations.push([...coefficients(at), BigInt(number)].map((value): Fraction => [value, 1n]));
  });
  for (let column = 0; column < rows; column++) {
    const pivot = equations.findIndex((line, i) => i >= column && line[column]![0] !== 0n);
    if (pivot < 0) return null;
    [equations[column], equations[pivot]] = [equations[pivot]!, equations[column]!];
    const [a, b] = equations[column]![column]!;
    const head = equations[column]!.map((value) => times(value, lowered(b, a)));
    equations[column] = head;
    for (const [i, line] of equations.entries())
      if (i !== column && line[column]![0] !== 0n) {
        const by = line[column]!;
        equations[i] = line.map((value, j) => minus(value, times(by, head[j]!)));
      }
  }
  // What is left of the other equations says that nothing is nothing, or contradicts.
  if (equations.slice(rows).some((line) => line[rows]![0] !== 0n)) return null;
  const lowest = equations.slice(0, rows).map((line) => line[rows]!);
  if (lowest.some(([value, by]) => by !== 1n || value < 1n)) return null;
  return Array.from(givens, (_, at) =>
    Number(coefficients(at).reduce((sum, by, i) => sum + by * lowest[i]![0], 0n)),
  );
}
