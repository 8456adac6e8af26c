import type { RandomStream } from '../../random.ts';
import { latinSquare } from '../latin/index.ts';
import { type InequalityGrid, neighbors, type Sign } from './grid.ts';
import { solveByLogic } from './solve.ts';

export interface MadeInequality extends InequalityGrid {
  givens: Uint8Array;
  signs: Sign[];
  solution: Uint8Array;
  /** What it costs a person to look; see `solveByLogic`. */
  looks: number;
}

/** Of the clues that logic can do without, the most that are left in an easy puzzle. */
const MOST_LEFT = 0.6;
/** Clues taken out before other work is let in. */
const STRETCH = 24;

/**
 * Makes one puzzle: fills a square, tells every number and every sign, and takes them out again, numbers first, as long as logic still
 * finds the rest; then puts some back, of which easy puzzles have many. What logic finds is the only answer.
 */
export function* inequalitySteps(size: number, random: RandomStream): Generator<void, MadeInequality> {
  const solution = latinSquare(size, random);
  const givens = Uint8Array.from(solution);
  let signs: Sign[] = neighbors(size).map(([one, other]) =>
    solution[one]! < solution[other]! ? { less: one, more: other } : { less: other, more: one },
  );
  const isTold = () => solveByLogic({ size, givens, signs }).solution !== null;
  let tried = 0;
  const out: Sign[] = [];
  for (const at of random.shuffled([...givens.keys()])) {
    givens[at] = 0;
    if (!isTold()) givens[at] = solution[at]!;
    if (++tried % STRETCH === 0) yield;
  }
  for (const sign of random.shuffled(signs)) {
    const without = signs.filter((one) => one !== sign);
    const before = signs;
    signs = without;
    if (isTold()) out.push(sign);
    else signs = before;
    if (++tried % STRETCH === 0) yield;
  }
  const back = Math.round(random.unit() * MOST_LEFT * out.length);
  signs = [...signs, ...out.slice(out.length - back)].sort((a, b) => a.less - b.less || a.more - b.more);
  return { size, givens, signs, solution, looks: solveByLogic({ size, givens, signs }).looks };
}
