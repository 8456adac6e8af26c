import { type Board, countBits, digitOf } from '../board.ts';
import type { Step, Technique } from '../techniques.ts';
import type { Sum } from './sums.ts';

/** What is left of each cell of the sum that is looked at; reused, as no two looks run at once. */
const left = new Uint16Array(16);
const chosen = new Uint8Array(16);

/** Marks in `left` the digits that the cells can have together. @returns whether any do from `at` on */
function mark(board: Board, { cells, differ }: Sum, at: number, rest: number): boolean {
  const last = at === cells.length - 1;
  let any = false;
  for (let mask = board.candidates[cells[at]!]!; mask; mask &= mask - 1) {
    const digit = digitOf(mask & -mask);
    const after = rest - digit - 1;
    if (after < 0) break;
    if (last ? after !== 0 : after === 0) continue;
    let barred = false;
    for (let others = differ[at]!; others; others &= others - 1)
      if (chosen[digitOf(others & -others)] === digit) {
        barred = true;
        break;
      }
    if (barred) continue;
    chosen[at] = digit;
    if (last || mark(board, { cells, differ } as Sum, at + 1, after)) {
      left[at]! |= 1 << digit;
      any = true;
    }
  }
  return any;
}

const combinationsKept = new Map<number, number[]>();

/** The sets of so many different digits that add up to a sum, as bits. */
function combinationsOf(many: number, sum: number): number[] {
  const key = many * 1000 + sum;
  const known = combinationsKept.get(key);
  if (known) return known;
  const found: number[] = [];
  const go = (digit: number, open: number, rest: number, mask: number): void => {
    if (open === 0) {
      if (rest === 0) found.push(mask);
      return;
    }
    for (let next = digit; next < Math.min(9, rest); next++)
      go(next + 1, open - 1, rest - next - 1, mask | (1 << next));
  };
  go(0, many, sum, 0);
  combinationsKept.set(key, found);
  return found;
}

/** As `mark`, of different digits, as a person does it: by the sets that reach the sum, each of whose digits has a cell and each cell a digit. */
function markSets({ candidates }: Board, { cells, sum }: Sum): void {
  sets: for (const set of combinationsOf(cells.length, sum)) {
    let seen = 0;
    for (const cell of cells) {
      const own = candidates[cell]! & set;
      if (own === 0) continue sets;
      seen |= own;
    }
    if (seen === set) for (let i = 0; i < cells.length; i++) left[i]! |= candidates[cells[i]!]! & set;
  }
}

/** How a sum stands, so that it is looked at again only once its cells have changed: five cells of nine candidates at most. */
function stateOf({ candidates }: Board, { cells }: Sum): number {
  let state = 1;
  for (const cell of cells) state = state * 512 + candidates[cell]!;
  return state;
}

/** Looks through sums for candidates that none of the ways to reach them has. */
export class SumLook {
  readonly #technique: Technique;
  readonly #sums: readonly Sum[];
  readonly #mostOpen: number;
  readonly #seen: Float64Array;

  /** @param mostOpen cells of a sum that may be open for it to be looked at */
  constructor(technique: Technique, sums: readonly Sum[], mostOpen: number) {
    this.#technique = technique;
    this.#sums = sums;
    this.#mostOpen = mostOpen;
    this.#seen = new Float64Array(sums.length);
  }

  readonly look = (board: Board): Step | null => {
    for (let i = 0; i < this.#sums.length; i++) {
      const sum = this.#sums[i]!;
      const state = stateOf(board, sum);
      if (this.#seen[i] === state) continue;
      let open = 0;
      for (const cell of sum.cells) if (countBits(board.candidates[cell]!) > 1) open++;
      if (open > this.#mostOpen) continue;
      this.#seen[i] = state;
      left.fill(0);
      if (sum.from === 0) markSets(board, sum);
      else mark(board, sum, 0, sum.sum);
      const removes: [number, number][] = [];
      sum.cells.forEach((cell, at) => {
        for (let gone = board.candidates[cell]! & ~left[at]!; gone; gone &= gone - 1)
          removes.push([cell, digitOf(gone & -gone)]);
      });
      if (removes.length)
        return {
          technique: this.#technique,
          cells: sum.cells,
          digits: [...new Set(removes.map(([, digit]) => digit))],
          removes,
        };
    }
    return null;
  };
}
