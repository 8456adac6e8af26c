import { answersOf, type Cage, cageScale, cageSteps } from '../../puzzles/cages/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { CagesOptions, CagesPin } from './options.ts';

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
}: FillContext<CagesOptions>): CagesPin {
  const { size, calculation, level } = options;
  const own = randomStream(...streamKey, item, roll, 'level');
  return { size, calculation, roll, level: levelOf(level, item, total, own) };
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of its sort. */
export function* fillCages(context: FillContext<CagesOptions>): Generator<void, CagesItem> {
  const made = (context.pin as CagesPin | undefined) ?? pinnedCages(context);
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
