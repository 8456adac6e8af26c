import { Board, countBits, digitOf, FINDS } from './board.ts';
import type { Shape } from './shape.ts';

/**
 * Counts the ways to fill a grid, by putting singles down and trying the candidates of the cell that has the fewest.
 * @param most ends the count there
 * @returns how many there are, no more than `most`, and the first
 */
export function solutionsOf(
  shape: Shape,
  givens: ArrayLike<number>,
  most = 2,
): { count: number; first: Uint8Array | null } {
  const board = new Board(shape);
  board.finds = FINDS.singles;
  board.give(givens);
  let count = 0;
  let first: Uint8Array | null = null;
  const go = (now: Board): void => {
    if (now.broken) return;
    if (now.open === 0) {
      first ??= now.values.slice();
      count++;
      return;
    }
    const cell = fewest(now);
    for (let rest = now.candidates[cell]!; rest && count < most; rest &= rest - 1) {
      const next = new Board(shape).copy(now);
      next.put(cell, digitOf(rest & -rest));
      go(next);
    }
  };
  go(board);
  return { count, first };
}

/** The open cell with the fewest candidates. */
export function fewest({ candidates, values, shape: { cells } }: Board): number {
  let best = -1;
  let least = 99;
  for (let cell = 0; cell < cells && least > 2; cell++) {
    if (values[cell]) continue;
    const count = countBits(candidates[cell]!);
    if (count < least) {
      least = count;
      best = cell;
    }
  }
  return best;
}
