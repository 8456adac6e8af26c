import { Board, countBits, digitOf, FINDS } from './board.ts';
import type { Shape } from './shape.ts';
import type { Look } from './techniques.ts';

/** Boards to try on, one for each shape: looks do not run at once. */
const trials = new WeakMap<Shape, Board>();

/** A board as another stands, that is free to be tried on. */
function trialOf(board: Board): Board {
  const trial = trials.get(board.shape) ?? new Board(board.shape);
  trials.set(board.shape, trial);
  trial.copy(board);
  trial.finds = FINDS.singles;
  return trial;
}

/** Candidates of the cells that chains begin in, at most: more would take a person, and this program, too long. */
const WIDEST = { small: 3, large: 2 };

/**
 * Follows a candidate through singles to where a cell has no digit left, or a digit no place: it is wrong. Cells with few
 * candidates first, as a person would.
 */
export const chain: Look = (board) => {
  const { candidates, values, shape } = board;
  for (let width = 2; width <= (shape.size > 9 ? WIDEST.large : WIDEST.small); width++)
    for (let cell = 0; cell < shape.cells; cell++) {
      if (values[cell] || countBits(candidates[cell]!) !== width) continue;
      for (let rest = candidates[cell]!; rest; rest &= rest - 1) {
        const digit = digitOf(rest & -rest);
        const trial = trialOf(board);
        trial.put(cell, digit);
        if (trial.broken)
          return { technique: 'chain', cells: [cell], digits: [digit], removes: [[cell, digit]] };
      }
    }
  return null;
};
