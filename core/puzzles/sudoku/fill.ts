import type { RandomStream } from '../../random.ts';
import { Board, FINDS } from './board.ts';
import type { Shape } from './shape.ts';
import { fewest } from './solve.ts';

/** Tries that one grid is filled in before it is begun anew: what hangs is rare, and then hangs long. */
const FAILS = 40;

const RESTARTS = 100;

/**
 * A filled grid, by random search with restarts (Gomes, Selman and Kautz 1998).
 * @returns null where none was found: some outlines of boxes allow none
 */
export function filledGrid(shape: Shape, random: RandomStream): Uint8Array | null {
  const digits = Array.from({ length: shape.size }, (_, i) => i);
  for (let restart = 0; restart < RESTARTS; restart++) {
    const board = new Board(shape);
    board.finds = FINDS.singles;
    let fails = 0;
    const go = (now: Board): Uint8Array | null => {
      if (now.broken) {
        fails++;
        return null;
      }
      if (now.open === 0) return now.values.slice();
      const cell = fewest(now);
      for (const digit of random.shuffled(digits)) {
        if (!(now.candidates[cell]! & (1 << digit))) continue;
        const next = new Board(shape).copy(now);
        next.put(cell, digit);
        const filled = go(next);
        if (filled || fails > FAILS) return filled;
      }
      return null;
    };
    const filled = go(board);
    if (filled) return filled;
  }
  return null;
}
