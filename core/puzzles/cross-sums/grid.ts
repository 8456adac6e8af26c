/** Calculations that lines have: sums alone, differences too, or products as well. */
export const CALCULATIONS = ['sums', 'sums-differences', 'products'] as const;
export type Calculation = (typeof CALCULATIONS)[number];

export const OPERATORS: Readonly<Record<Calculation, readonly Operator[]>> = {
  sums: ['+'],
  'sums-differences': ['+', '−'],
  products: ['+', '−', '×'],
};
export type Operator = '+' | '−' | '×';

/** Cells of a side. */
export const SIDE = 3;
export const CELLS = SIDE * SIDE;

/** Rows first, then columns: the cells of each line. */
export const LINES: readonly (readonly [number, number, number])[] = [
  ...Array.from({ length: SIDE }, (_, row) => [3 * row, 3 * row + 1, 3 * row + 2] as const),
  ...Array.from({ length: SIDE }, (_, column) => [column, column + 3, column + 6] as const),
];

/** A square of nine cells that holds the digits from 1 to 9, each once; each row and each column is a calculation with its result. */
export interface CrossSums {
  /** Of each line, the operator before its second and before its third number. */
  operators: readonly (readonly [Operator, Operator])[];
  /** Of each line. */
  results: readonly number[];
  /** By cell, row by row; null for one that is to be filled in. */
  givens: readonly (number | null)[];
}

/** Results, and what a line comes to on the way. */
const MOST_RESULT = 99;

/** Whether a line never goes below 1, nor too high, as it is read. */
export function comesOutWell(
  numbers: readonly [number, number, number],
  [first, second]: readonly [Operator, Operator],
): boolean {
  const half = resultOf([numbers[0], numbers[1], 0], [first, '+']);
  const whole = resultOf(numbers, [first, second]);
  return half >= 1 && whole >= 1 && half <= MOST_RESULT && whole <= MOST_RESULT;
}

const calculated = (one: number, operator: Operator, other: number): number =>
  operator === '+' ? one + other : operator === '−' ? one - other : one * other;

/** The result of a line, calculated from left to right as it is read. */
export const resultOf = (
  [a, b, c]: readonly [number, number, number],
  [first, second]: readonly [Operator, Operator],
): number => calculated(calculated(a, first, b), second, c);
