/** What is done with the numbers of a cage; a cage of one cell only has its number. */
export const OPERATIONS = ['+', '−', '×', '÷'] as const;
export type Operation = (typeof OPERATIONS)[number];

/** Cells that hang together, and what their numbers make. */
export interface Cage {
  /** In rising order. */
  cells: readonly number[];
  /** Null for a single cell. */
  operation: Operation | null;
  /** Of a difference or a quotient, the larger number comes first. */
  target: number;
}

/** A square of numbers from 1 to its size, each once in every row and column, all of it parted into cages. */
export interface CageGrid {
  size: number;
  cages: readonly Cage[];
}

/** Sizes that puzzles may have. */
export const CAGE_SIZES = [4, 5, 6, 7] as const;

/** What is asked for in the cages. */
export const CALCULATIONS = ['sums', 'sums-differences', 'all'] as const;
export type Calculation = (typeof CALCULATIONS)[number];

/** A product is no larger: it is to be split by heart. */
export const LARGEST_PRODUCT = 400;

/** Operations that numbers of a cage have a result by. */
export const operationsOf = (numbers: readonly number[]): Operation[] =>
  numbers.length < 2
    ? []
    : OPERATIONS.filter((operation) => {
        const target = resultOf(operation, numbers);
        return target !== null && target <= LARGEST_PRODUCT;
      });

/** What numbers make by an operation; null where it has no whole result, or is not for so many. */
export function resultOf(operation: Operation | null, numbers: readonly number[]): number | null {
  switch (operation) {
    case null:
      return numbers.length === 1 ? numbers[0]! : null;
    case '+':
      return numbers.reduce((sum, number) => sum + number, 0);
    case '×':
      return numbers.reduce((product, number) => product * number, 1);
    default: {
      if (numbers.length !== 2) return null;
      const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
      if (operation === '−') return high - low;
      return high % low ? null : high / low;
    }
  }
}
