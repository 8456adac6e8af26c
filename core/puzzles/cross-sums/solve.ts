import { CELLS, type CrossSums, LINES, resultOf } from './grid.ts';

const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9];

type Triple = readonly [number, number, number];

/** All ways to put three different digits into a line so that it comes out. */
function waysOf(operators: CrossSums['operators'][number], result: number): Triple[] {
  const ways: Triple[] = [];
  for (const a of DIGITS)
    for (const b of DIGITS)
      for (const c of DIGITS)
        if (a !== b && a !== c && b !== c && resultOf([a, b, c], operators) === result) ways.push([a, b, c]);
  return ways;
}

/** What a person who cannot see a next step does: tries a digit, which costs so many looks. */
const TRY = 24;

/**
 * Solves a square line by line, keeping the digits that each cell can have, and tries one where that goes no further.
 * @returns how many answers it has, two at most; one of them; and what it costs a person: for every line looked at, the logarithm to base 2 of the
 * ways that it leaves
 */
export function solveByLines({ operators, results, givens }: CrossSums): {
  answers: number;
  solution: number[] | null;
  looks: number;
} {
  const ways = LINES.map((_, line) => waysOf(operators[line]!, results[line]!));
  let looks = 0;
  let solution: number[] | null = null;
  /** Bits 1 to 9 for the digits that a cell can have. */
  const narrow = (masks: number[]): boolean => {
    for (let changed = true; changed; ) {
      changed = false;
      for (const [line, cells] of LINES.entries()) {
        const left = ways[line]!.filter((way) => way.every((digit, i) => masks[cells[i]!]! & (1 << digit)));
        if (!left.length) return false;
        for (const [i, cell] of cells.entries()) {
          let seen = 0;
          for (const way of left) seen |= 1 << way[i]!;
          if ((masks[cell]! & seen) === masks[cell]) continue;
          masks[cell] = masks[cell]! & seen;
          looks += Math.log2(1 + left.length);
          changed = true;
        }
      }
      // A digit that is placed is nowhere else.
      for (let cell = 0; cell < CELLS; cell++) {
        const mask = masks[cell]!;
        if (!mask) return false;
        if (mask & (mask - 1)) continue;
        for (let other = 0; other < CELLS; other++)
          if (other !== cell && masks[other]! & mask) {
            masks[other] = masks[other]! & ~mask;
            changed = true;
          }
      }
    }
    return true;
  };
  const search = (masks: number[]): number => {
    if (!narrow(masks)) return 0;
    const open = masks.findIndex((mask) => mask & (mask - 1));
    if (open < 0) {
      solution ??= masks.map((mask) => Math.log2(mask));
      return 1;
    }
    looks += TRY;
    let answers = 0;
    for (const digit of DIGITS)
      if (answers < 2 && masks[open]! & (1 << digit))
        answers += search(masks.map((mask, cell) => (cell === open ? 1 << digit : mask)));
    return Math.min(2, answers);
  };
  const all = DIGITS.reduce((mask, digit) => mask | (1 << digit), 0);
  const answers = search(givens.map((given) => (given === null ? all : 1 << given)));
  return { answers, solution, looks };
}
