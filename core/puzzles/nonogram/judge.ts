import { EMPTY, FILLED } from './line.ts';
import type { Clues } from './solve.ts';

/** Every way to lay runs into a line, as bits, the first cell lowest. @param length up to 30 */
function placements(runs: readonly number[], length: number): number[] {
  const found: number[] = [];
  const lay = (from: number, at: number, bits: number) => {
    const run = runs[from];
    if (run === undefined) {
      found.push(bits);
      return;
    }
    let rest = 0;
    for (let i = from + 1; i < runs.length; i++) rest += runs[i]! + 1;
    for (let begin = at; begin + run + rest <= length; begin++)
      lay(from + 1, begin + run + 1, bits | (((1 << run) - 1) << begin));
  };
  lay(0, 0, 0);
  return found;
}

interface Board {
  /** Ways that are left, of rows and then of columns. */
  ways: number[][];
  width: number;
  height: number;
}

/** Strikes ways that cross lines do not allow, until none is struck. @returns false where a line has none left */
function strike({ ways, width, height }: Board): boolean {
  for (let again = true; again; ) {
    again = false;
    for (const [lines, crossing, from, to] of [
      [height, width, 0, height],
      [width, height, height, 0],
    ] as const)
      for (let line = 0; line < lines; line++) {
        const left = ways[from + line]!;
        if (!left.length) return false;
        let [all, any] = [-1, 0];
        for (const way of left) {
          all &= way;
          any |= way;
        }
        for (let i = 0; i < crossing; i++) {
          const must = (all >> i) & 1;
          if (!must && (any >> i) & 1) continue;
          const there = ways[to + i]!;
          const kept = there.filter((way) => ((way >> line) & 1) === must);
          if (kept.length === there.length) continue;
          ways[to + i] = kept;
          again = true;
        }
      }
  }
  return ways.every((left) => left.length > 0);
}

/**
 * Solves by keeping every way to lay each line, which shares nothing with how puzzles are made, and tries ways in turn where
 * more than one is left.
 * @returns answers, row by row, two at most
 */
export function answersOf({ rows, columns }: Clues): Uint8Array[] {
  const [height, width] = [rows.length, columns.length];
  const found: Uint8Array[] = [];
  const search = (board: Board): void => {
    if (found.length > 1 || !strike(board)) return;
    const { ways } = board;
    let open = -1;
    for (let line = 0; line < height; line++)
      if (ways[line]!.length > 1 && (open < 0 || ways[line]!.length < ways[open]!.length)) open = line;
    if (open < 0) {
      found.push(
        Uint8Array.from({ length: width * height }, (_, i) =>
          (ways[Math.floor(i / width)]![0]! >> (i % width)) & 1 ? FILLED : EMPTY,
        ),
      );
      return;
    }
    for (const way of ways[open]!) {
      const tried = ways.slice();
      tried[open] = [way];
      search({ ways: tried, width, height });
    }
  };
  search({
    ways: [
      ...rows.map((runs) => placements(runs, width)),
      ...columns.map((runs) => placements(runs, height)),
    ],
    width,
    height,
  });
  return found;
}
