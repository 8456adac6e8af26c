import { CELLS, type CrossSums } from './grid.ts';

const value = (sign: string, one: number, other: number): number =>
  ({ '+': one + other, '−': one - other, '×': one * other })[sign]!;

/**
 * The answers of a square, by putting digits into one cell after another and calculating a row when it is full, and the columns in the end:
 * shares nothing with how squares are made.
 * @returns two of them at most
 */
export function answersOf({ operators, results, givens }: CrossSums): number[][] {
  const found: number[][] = [];
  const cells: number[] = [];
  const comesOut = (line: number, a: number, b: number, c: number): boolean => {
    const [first, second] = operators[line]!;
    return value(second, value(first, a, b), c) === results[line];
  };
  const next = (): void => {
    const at = cells.length;
    if (at && at % 3 === 0 && !comesOut(at / 3 - 1, cells[at - 3]!, cells[at - 2]!, cells[at - 1]!)) return;
    if (at === CELLS) {
      if ([0, 1, 2].every((i) => comesOut(3 + i, cells[i]!, cells[i + 3]!, cells[i + 6]!)))
        found.push([...cells]);
      return;
    }
    for (let digit = 1; digit <= 9 && found.length < 2; digit++) {
      if (cells.includes(digit) || (givens[at] !== null && givens[at] !== digit)) continue;
      cells.push(digit);
      next();
      cells.pop();
    }
  };
  next();
  return found;
}
