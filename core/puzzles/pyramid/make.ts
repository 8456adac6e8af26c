import type { RandomStream } from '../../random.ts';
import { bricksIn, type Pyramid, solveByLogic, standing } from './solve.ts';

export interface MadePyramid extends Pyramid {
  solution: number[];
  /** What it costs a person; see `solveByLogic`. */
  looks: number;
}

/** Of the bricks that logic can do without, the most that are given in an easy puzzle. */
const MOST_LEFT = 0.6;

/**
 * Makes one pyramid: fills the lowest row, adds, and takes numbers out as long as logic still finds them all; then puts some back, of
 * which easy puzzles have many.
 * @param largest number of the lowest row
 */
export function makePyramid(rows: number, largest: number, random: RandomStream): MadePyramid {
  const bricks = bricksIn(rows);
  const solution = Array<number>(bricks).fill(0);
  for (let i = bricks - rows; i < bricks; i++) solution[i] = 1 + random.int(largest);
  for (const [upper, left, right] of standing(rows).reverse())
    solution[upper] = solution[left]! + solution[right]!;
  const givens: (number | null)[] = [...solution];
  const out: number[] = [];
  for (const at of random.shuffled([...givens.keys()])) {
    givens[at] = null;
    if (solveByLogic({ rows, givens }).solution) out.push(at);
    else givens[at] = solution[at]!;
  }
  const back = Math.floor(random.unit() * MOST_LEFT * out.length);
  for (const at of random.shuffled(out).slice(0, back)) givens[at] = solution[at]!;
  return { rows, givens, solution, looks: solveByLogic({ rows, givens }).looks };
}
