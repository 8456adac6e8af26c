import {
  answersOf,
  type Cage,
  cageScale,
  cageSteps,
  resultOf,
  solveByLogic,
} from '../../puzzles/cages/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { BEYOND_LOGIC } from '../puzzle/by-hand.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { CagesGiven, CagesMade, CagesOptions, CagesPin } from './options.ts';

export interface CagesItem {
  size: number;
  cages: readonly Cage[];
  /** Numbers row by row. */
  solution: string;
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 30;

/** What a pinned puzzle is made from. */
export function pinnedCages({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<CagesOptions>): CagesMade {
  const { size, calculation, level } = options;
  const own = randomStream(...streamKey, item, roll, 'level');
  return { size, calculation, roll, level: levelOf(level, item, total, own) };
}

/** Cages with what the numbers of the answer make in them. */
export const cagesWith = ({ solution, cages }: Pick<CagesGiven, 'solution' | 'cages'>): Cage[] =>
  cages.map(({ cells, operation }) => ({
    ...{ cells, operation },
    target: resultOf(
      operation,
      cells.map((at) => Number(solution[at])),
    )!,
  }));

/** The level of a puzzle that was changed by hand; null where logic does not find its answer. */
export function ratedCages(size: number, cages: readonly Cage[]): Level | null {
  const { solution, looks } = solveByLogic({ size, cages });
  if (!solution) return null;
  const used = new Set(cages.map(({ operation }) => operation));
  const calculation = used.has('×') || used.has('÷') ? 'all' : used.has('−') ? 'sums-differences' : 'sums';
  return levelOn(cageScale(size, calculation), looks);
}

/** A puzzle as it was changed by hand. */
function givenCages({ size, solution, cages: given }: CagesGiven): CagesItem {
  const cages = cagesWith({ solution, cages: given });
  const level = ratedCages(size, cages) ?? BEYOND_LOGIC;
  return { size, cages, solution, level, wanted: level };
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of its sort. */
export function* fillCages(context: FillContext<CagesOptions>): Generator<void, CagesItem> {
  const made = (context.pin as CagesPin | undefined) ?? pinnedCages(context);
  if ('cages' in made) return givenCages(made);
  const { size, calculation, level: wanted, roll } = made;
  const scale = cageScale(size, calculation);
  const random = randomStream(...context.streamKey, context.item, roll, 'cages');
  return yield* ofLevel(wanted, TRIES, function* () {
    const { cages, solution, looks } = yield* cageSteps(size, calculation, random);
    yield;
    return { size, cages, wanted, solution: solution.join(''), level: levelOn(scale, looks) };
  });
}

/** Solves the puzzle anew, by code that has no part in making it, and looks for a second answer. */
export function inspectCages(item: CagesItem, { label }: { label: string }): ItemProblem[] {
  const wrong = answerProblems(label, answersOf(item), (answer) => answer.join('') === item.solution);
  return wrong.length
    ? wrong
    : levelProblems(label, item, 'grids of this sort seldom are. Re-roll it, or ask for another level.');
}
