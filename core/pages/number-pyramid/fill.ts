import type { Level } from '../../puzzles/level.ts';
import {
  bricksIn,
  makePyramid,
  onlyAnswer,
  pyramidScales,
  solveByLogic,
  standing,
} from '../../puzzles/pyramid/index.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { BEYOND_LOGIC } from '../puzzle/by-hand.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type {
  NumberPyramidGiven,
  NumberPyramidMade,
  NumberPyramidOptions,
  NumberPyramidPin,
} from './options.ts';

export interface NumberPyramidItem {
  rows: number;
  /** From the top brick down, row by row; null for one that is to be filled in. */
  givens: readonly (number | null)[];
  solution: readonly number[];
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 300;

/** What a pinned puzzle is made from. */
export function pinnedNumberPyramid({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<NumberPyramidOptions>): NumberPyramidMade {
  const { rows, largest, level } = options;
  const own = randomStream(...streamKey, item, roll, 'level');
  return { rows, largest, roll, level: levelOf(level, item, total, own) };
}

/** All bricks of a pyramid, from its lowest row, and which of them are printed. */
export function pyramidOn({ lowest, given }: NumberPyramidGiven) {
  const rows = lowest.length;
  const solution = [...Array<number>(bricksIn(rows - 1)).fill(0), ...lowest];
  for (const [upper, left, right] of standing(rows).reverse())
    solution[upper] = solution[left]! + solution[right]!;
  return { rows, solution, givens: solution.map((number, at) => (given.includes(at) ? number : null)) };
}

/** The level of a pyramid; null where a person would have to guess. */
export function ratedPyramid(pyramid: ReturnType<typeof pyramidOn>): Level | null {
  const { solution, looks } = solveByLogic(pyramid);
  return solution && levelOn(pyramidScales[pyramid.rows]!, looks);
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of as many rows. */
export function* fillNumberPyramid(
  context: FillContext<NumberPyramidOptions>,
): Generator<void, NumberPyramidItem> {
  const made = (context.pin as NumberPyramidPin | undefined) ?? pinnedNumberPyramid(context);
  if ('lowest' in made) {
    const pyramid = pyramidOn(made);
    const level = ratedPyramid(pyramid) ?? BEYOND_LOGIC;
    return { ...pyramid, level, wanted: level };
  }
  const { rows, largest, level: wanted, roll } = made;
  const scale = pyramidScales[rows]!;
  const random = randomStream(...context.streamKey, context.item, roll, 'pyramid');
  return yield* ofLevel(wanted, TRIES, function* () {
    yield;
    const { givens, solution, looks } = makePyramid(rows, largest, random);
    return { rows, givens, solution, wanted, level: levelOn(scale, looks) };
  });
}

/** Solves the puzzle anew, by code that has no part in making it. */
export function inspectNumberPyramid(item: NumberPyramidItem, { label }: { label: string }): ItemProblem[] {
  const answer = onlyAnswer(item);
  const wrong = answerProblems(
    label,
    answer ? [answer] : [],
    (found) => found.join() === item.solution.join(),
  );
  return wrong.length
    ? wrong
    : levelProblems(
        label,
        item,
        'pyramids of so many rows seldom are. Re-roll it, or ask for another level.',
      );
}
