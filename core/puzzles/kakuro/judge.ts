import type { Layout } from './layout.ts';

/** More steps than any puzzle of a book takes. */
const MOST_STEPS = 2_000_000;

/**
 * Answers of a puzzle, by trying digits in the cell with the fewest that its two runs leave; what a run leaves is told by the least
 * and the most that its other empty cells can add. Shares nothing with how puzzles are made.
 * @returns digits row by row, 0 where none goes; two answers at most
 * @throws RangeError where that takes too many steps
 */
export function answersOf({ open, runs, across, down }: Layout, sums: ArrayLike<number>): Uint8Array[] {
  const grid = new Uint8Array(open.length);
  const left = Array.from(runs, (_, r) => sums[r]!);
  const empty = runs.map(({ cells }) => cells.length);
  const used = runs.map(() => new Set<number>());
  const found: Uint8Array[] = [];
  const cells = [...open.keys()].filter((at) => open[at]);
  let steps = 0;

  /** The least, and the most, that so many digits add which a run has not, one left out. */
  const bounds = (r: number, without: number, count: number): [least: number, most: number] => {
    let [least, most] = [0, 0];
    for (let digit = 1, taken = 0; taken < count && digit <= 9; digit++)
      if (digit !== without && !used[r]!.has(digit)) {
        least += digit;
        taken++;
      }
    for (let digit = 9, taken = 0; taken < count && digit >= 1; digit--)
      if (digit !== without && !used[r]!.has(digit)) {
        most += digit;
        taken++;
      }
    return [least, most];
  };
  const fits = (r: number, digit: number): boolean => {
    if (used[r]!.has(digit)) return false;
    const rest = left[r]! - digit;
    const [least, most] = bounds(r, digit, empty[r]! - 1);
    return rest >= least && rest <= most;
  };
  const search = (): void => {
    if (++steps > MOST_STEPS) throw new RangeError('The puzzle takes too many steps to look over.');
    let chosen = -1;
    let digits: number[] = [];
    for (const at of cells) {
      if (grid[at]) continue;
      const possible: number[] = [];
      for (let digit = 1; digit <= 9; digit++)
        if (fits(across[at]!, digit) && fits(down[at]!, digit)) possible.push(digit);
      if (chosen >= 0 && possible.length >= digits.length) continue;
      chosen = at;
      digits = possible;
      if (possible.length < 2) break;
    }
    if (chosen < 0) {
      found.push(grid.slice());
      return;
    }
    const both = [across[chosen]!, down[chosen]!];
    for (const digit of digits) {
      grid[chosen] = digit;
      for (const r of both) {
        used[r]!.add(digit);
        left[r]! -= digit;
        empty[r]!--;
      }
      search();
      for (const r of both) {
        used[r]!.delete(digit);
        left[r]! += digit;
        empty[r]!++;
      }
      grid[chosen] = 0;
      if (found.length > 1) return;
    }
  };
  search();
  return found;
}
