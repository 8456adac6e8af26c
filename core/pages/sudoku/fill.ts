import type { Level } from '../../puzzles/level.ts';
import {
  type Cage,
  coversOf,
  gridText,
  killerAnswers,
  killerSteps,
  LARGEST_KILLER,
  type PrintedSudoku,
  rate,
  rateKiller,
  readGrid,
  type Shape,
  type Size,
  shapeOf,
  shapeWith,
  sudokuSteps,
  type Technique,
  type Variant,
} from '../../puzzles/sudoku/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { BEYOND_LOGIC } from '../puzzle/by-hand.ts';
import { answerProblems, levelProblems } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { SudokuKiller, SudokuMade, SudokuOptions, SudokuPin, SudokuWithGivens } from './options.ts';

/** A puzzle with its answer, and what it is like. */
export interface SudokuItem extends PrintedSudoku {
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
  /** Techniques that a person needs, from the easiest on. */
  techniques: Technique[];
}

/** Up to which size variants are made. */
const LARGEST: Partial<Record<Variant, number>> = { jigsaw: 9, killer: LARGEST_KILLER };
const isTooLarge = ({ size, variant }: Pick<SudokuOptions, 'size' | 'variant'>): boolean =>
  size > (LARGEST[variant] ?? size);

/** What a pinned puzzle is made from. */
export function pinnedSudoku({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<SudokuOptions>): SudokuMade {
  const { size, variant, symmetry, level } = options;
  return {
    size,
    variant: isTooLarge(options) ? 'classic' : variant,
    symmetry,
    level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')),
    roll,
  };
}

const A = 'A'.charCodeAt(0);

/** The box of each cell, from its letters. */
export const boxesOf = (letters: string): Uint8Array =>
  Uint8Array.from(letters, (letter) => letter.charCodeAt(0) - A);

/** The shape that a puzzle stands on. */
export const shapeOfItem = ({
  size,
  variant,
  boxes,
}: Pick<SudokuItem, 'size' | 'variant' | 'boxes'>): Shape =>
  boxes
    ? shapeWith(size, variant, boxesOf(boxes))
    : shapeOf(size, variant === 'diagonal' ? variant : 'classic');

/** A puzzle that was brought in, with its answer; without one, where it has none, its cells stay empty in it. */
function solvedSudoku(pin: SudokuWithGivens): SudokuItem {
  const { size, variant, givens } = pin;
  const shape = shapeOfItem(pin);
  const cells = readGrid(size, givens);
  const rating = rate(shape, cells);
  const solution = rating?.solution ?? (size <= LARGEST_SEARCHED ? coversOf(shape, cells)[0] : undefined);
  const level = rating?.level ?? BEYOND_LOGIC;
  return {
    ...{ size, variant, givens, level, wanted: level },
    ...('boxes' in pin ? { boxes: pin.boxes } : {}),
    solution: solution ? gridText(solution) : givens,
    techniques: Object.keys(rating?.techniques ?? {}) as Technique[],
  };
}

/** Cages with the sums of the answer. */
export const cagesOfPin = ({ cages, solution }: Pick<SudokuKiller, 'cages' | 'solution'>): Cage[] =>
  cages.map((cells) => ({ cells, sum: cells.reduce((sum, at) => sum + Number(solution[at]), 0) }));

/** A puzzle whose cages were changed by hand. */
function killerOf(pin: SudokuKiller): SudokuItem {
  const { size, variant, solution } = pin;
  const cages = cagesOfPin(pin);
  const rating = rateKiller(shapeOf(size), cages);
  const level = rating?.level ?? BEYOND_LOGIC;
  return {
    ...{ size, variant, cages, solution, level, wanted: level },
    givens: '.'.repeat(size * size),
    techniques: Object.keys(rating?.techniques ?? {}) as Technique[],
  };
}

/** Grids that are searched where logic does not solve them; in larger ones that may take for ever. */
export const LARGEST_SEARCHED = 9;

/** A puzzle that has nothing but sums, as hard as it turns out. */
function* fillKiller(size: Size, wanted: Level, random: RandomStream): Generator<void, SudokuItem> {
  const { cages, solution, level } = yield* killerSteps(size, wanted, random);
  yield;
  return {
    ...{ size, variant: 'killer' as const, cages, level, wanted },
    givens: '.'.repeat(size * size),
    solution: gridText(solution),
    techniques: Object.keys(rateKiller(shapeOf(size), cages)!.techniques) as Technique[],
  };
}

/** Makes one puzzle from its own random stream, giving way while it works. */
export function* fillSudoku(context: FillContext<SudokuOptions>): Generator<void, SudokuItem> {
  const [seed, section] = context.streamKey;
  const made = (context.pin as SudokuPin | undefined) ?? pinnedSudoku(context);
  if ('givens' in made) return solvedSudoku(made);
  if ('cages' in made) return killerOf(made);
  const { size, variant, level, symmetry, roll } = made;
  const random = randomStream(seed, section, context.item, roll, 'grid');
  if (variant === 'killer') return yield* fillKiller(size, level, random);
  const { givens, solution, shape } = yield* sudokuSteps({ size, variant, level, symmetry }, random);
  yield;
  const rating = rate(shape, givens)!;
  return {
    size,
    variant,
    givens: gridText(givens),
    solution: gridText(solution),
    ...(variant === 'jigsaw' ? { boxes: String.fromCharCode(...shape.boxOf.map((box) => box + A)) } : {}),
    level: rating.level,
    wanted: level,
    techniques: Object.keys(rating.techniques) as Technique[],
  };
}

/** Solves the puzzle anew, by code that has no part in making it, and looks for a second answer. */
export function inspectSudoku(item: SudokuItem, { label }: { label: string }): ItemProblem[] {
  const { size, givens, solution, cages } = item;
  const shape = shapeOfItem(item);
  const found = cages ? killerAnswers(shape, cages) : coversOf(shape, readGrid(size, givens));
  const wrong = answerProblems(label, found, (answer) => gridText(answer) === solution);
  if (wrong.length) return wrong;
  return levelProblems(
    label,
    item,
    'grids of this size are seldom that hard. Re-roll it, or ask for another level.',
  );
}

/** What is asked for and cannot be made. */
export function inspectSudokus(
  items: readonly { number: number }[],
  options: SudokuOptions,
): SectionProblem[] {
  const first = items[0];
  if (!first || !isTooLarge(options)) return [];
  return [
    {
      severity: 'fix',
      message:
        options.variant === 'killer'
          ? `killer sudokus are made up to 9 × 9; these ${options.size} × ${options.size} grids are classic ones. Choose a smaller size, or another variant.`
          : `boxes of irregular outline are made up to 9 × 9; these ${options.size} × ${options.size} grids have usual ones. Choose a smaller size, or another variant.`,
      item: first.number,
    },
  ];
}
