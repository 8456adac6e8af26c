import {
  answersOf,
  CALCULATIONS,
  type CrossSums,
  crossSumsScales,
  LINES,
  makeCrossSums,
  OPERATORS,
  resultOf,
  solveByLines,
} from '../../puzzles/cross-sums/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { CrossSumsGiven, CrossSumsMade, CrossSumsOptions, CrossSumsPin } from './options.ts';

export interface CrossSumsItem extends CrossSums {
  solution: readonly number[];
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 200;

/** What a pinned puzzle is made from. */
export function pinnedCrossSums({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<CrossSumsOptions>): CrossSumsMade {
  const { calculation, level } = options;
  const own = randomStream(...streamKey, item, roll, 'level');
  return { calculation, roll, level: levelOf(level, item, total, own) };
}

/** A square as it was changed by hand: its results follow from its digits. */
export function solvedCrossSums({ solution, given, operators }: CrossSumsGiven): CrossSumsItem {
  const square: CrossSums = {
    operators,
    results: LINES.map(([a, b, c], line) =>
      resultOf([solution[a]!, solution[b]!, solution[c]!], operators[line]!),
    ),
    givens: solution.map((digit, at) => (given.includes(at) ? digit : null)),
  };
  const used = operators.flat();
  const calculation = CALCULATIONS.find((one) => used.every((sign) => OPERATORS[one].includes(sign)))!;
  const level = levelOn(crossSumsScales[calculation]!, solveByLines(square).looks);
  return { ...square, solution, level, wanted: level };
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of its calculations. */
export function* fillCrossSums(context: FillContext<CrossSumsOptions>): Generator<void, CrossSumsItem> {
  const made = (context.pin as CrossSumsPin | undefined) ?? pinnedCrossSums(context);
  if ('solution' in made) return solvedCrossSums(made);
  const { calculation, level: wanted, roll } = made;
  const scale = crossSumsScales[calculation]!;
  const random = randomStream(...context.streamKey, context.item, roll, 'cross sums');
  return yield* ofLevel(wanted, TRIES, function* () {
    yield;
    const { operators, results, givens, solution, looks } = makeCrossSums(calculation, random);
    return { operators, results, givens, solution, wanted, level: levelOn(scale, looks) };
  });
}

/** Solves the puzzle anew, by code that has no part in making it. */
export function inspectCrossSums(item: CrossSumsItem, { label }: { label: string }): ItemProblem[] {
  const wrong = answerProblems(label, answersOf(item), (found) => found.join() === item.solution.join());
  return wrong.length
    ? wrong
    : levelProblems(label, item, 'such squares seldom are. Re-roll it, or ask for another level.');
}
