import {
  answersOf,
  inequalityScales,
  inequalitySteps,
  type Sign,
  solveByLogic,
} from '../../puzzles/inequality/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { BEYOND_LOGIC } from '../puzzle/by-hand.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { InequalityGiven, InequalityMade, InequalityOptions, InequalityPin } from './options.ts';

export interface InequalityItem {
  size: number;
  /** Numbers row by row, `.` for a cell that is to be filled. */
  givens: string;
  signs: Sign[];
  solution: string;
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 30;

/** What a pinned puzzle is made from. */
export function pinnedInequality({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<InequalityOptions>): InequalityMade {
  const { size, level } = options;
  return { size, roll, level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')) };
}

const written = (numbers: ArrayLike<number>): string => Array.from(numbers, (one) => one || '.').join('');

const numbersOf = (text: string): number[] => Array.from(text, (sign) => (sign === '.' ? 0 : Number(sign)));

/** What a person finds of a puzzle that was changed by hand. */
export function ratedInequality({ size, givens, signs }: InequalityGiven) {
  const grid = {
    size,
    givens: numbersOf(givens),
    signs: signs.map(([less, more]): Sign => ({ less, more })),
  };
  const { solution, looks } = solveByLogic(grid);
  return { grid, solution, level: solution && levelOn(inequalityScales[size]!, looks) };
}

/** A puzzle as it was changed by hand, with its answer; without one, where it has none, its cells stay empty in it. */
function solvedInequality(pin: InequalityGiven): InequalityItem {
  const { grid, solution, level } = ratedInequality(pin);
  const answer = solution ?? answersOf(grid)[0];
  return {
    ...{ size: pin.size, givens: pin.givens, signs: grid.signs },
    solution: answer ? written(answer) : pin.givens,
    level: level ?? BEYOND_LOGIC,
    wanted: level ?? BEYOND_LOGIC,
  };
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of its size. */
export function* fillInequality(context: FillContext<InequalityOptions>): Generator<void, InequalityItem> {
  const made = (context.pin as InequalityPin | undefined) ?? pinnedInequality(context);
  if ('givens' in made) return solvedInequality(made);
  const { size, level: wanted, roll } = made;
  const scale = inequalityScales[size]!;
  const random = randomStream(...context.streamKey, context.item, roll, 'inequality');
  return yield* ofLevel(wanted, TRIES, function* () {
    const { givens, signs, solution, looks } = yield* inequalitySteps(size, random);
    yield;
    return {
      ...{ size, signs, wanted },
      givens: written(givens),
      solution: written(solution),
      level: levelOn(scale, looks),
    };
  });
}

/** Solves the puzzle anew, by code that has no part in making it, and looks for a second answer. */
export function inspectInequality(item: InequalityItem, { label }: { label: string }): ItemProblem[] {
  const { size, signs, givens, solution } = item;
  const wrong = answerProblems(
    label,
    answersOf({ size, signs, givens: numbersOf(givens) }),
    (answer) => written(answer) === solution,
  );
  return wrong.length
    ? wrong
    : levelProblems(label, item, 'grids of this size seldom are. Re-roll it, or ask for another level.');
}
