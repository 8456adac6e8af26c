/** A pyramid of bricks, each the sum of the two that it stands on. Bricks lie row by row, from the top one down. */
export interface Pyramid {
  /** Rows of bricks, the lowest with as many. */
  rows: number;
  /** Null for a brick that is to be filled in. */
  givens: readonly (number | null)[];
}

/** Bricks of a pyramid. */
export const bricksIn = (rows: number): number => (rows * (rows + 1)) / 2;

/** Places of a brick and of the two that it stands on, for each that stands on others. */
export const standing = (rows: number): [upper: number, left: number, right: number][] =>
  Array.from({ length: rows - 1 }, (_, row) =>
    Array.from({ length: row + 1 }, (_, i): [number, number, number] => {
      const below = bricksIn(row + 1) + i;
      return [bricksIn(row) + i, below, below + 1];
    }),
  ).flat();

/** What it costs a person to add and to take away, and to look for where one can. */
const COST = { add: 1, take: 2, look: 1 } as const;

/**
 * Solves a pyramid as a person would: where two of three bricks are known, the third is.
 * @returns all numbers, null where some stay unknown; and what it cost
 */
export function solveByLogic({ rows, givens }: Pyramid): { solution: number[] | null; looks: number } {
  const numbers = [...givens];
  const triples = standing(rows);
  let looks = 0;
  for (let changed = true; changed; ) {
    changed = false;
    looks += COST.look;
    for (const [upper, left, right] of triples) {
      const [sum, one, other] = [numbers[upper]!, numbers[left]!, numbers[right]!];
      const known = [sum, one, other].filter((number) => number !== null).length;
      if (known !== 2) continue;
      if (sum === null) numbers[upper] = one + other;
      else if (one === null) numbers[left] = sum - other;
      else numbers[right] = sum - one;
      looks += sum === null ? COST.add : COST.take;
      changed = true;
    }
  }
  return { solution: numbers.some((number) => number === null) ? null : (numbers as number[]), looks };
}
