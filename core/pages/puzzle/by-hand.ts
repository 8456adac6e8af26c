import type { Level } from '../../puzzles/level.ts';
import { LEVEL_NAMES } from './level.ts';
import type { CellTrial } from './trial.ts';

/** What a solver says of a puzzle that is being changed by hand. */
export interface Watched {
  /** It can be kept. */
  isSound: boolean;
  says: string;
  /** Cells that this is about. */
  cells: readonly number[];
}

/**
 * How a puzzle of cells is changed by hand. A draft is what keeps the puzzle as a pin; it is never changed itself, only replaced, and
 * stays the same object where something cannot be done. Cells are those of the trial.
 */
export interface CellsByHand<Item, Draft> {
  draft(item: Item): Draft;
  /** How it looks: what stands in its cells are answers. */
  trial(draft: Draft): CellTrial;
  watch(draft: Draft): Watched;
  /** What can be typed. */
  signs(draft: Draft): readonly string[];
  /** Writes a sign into a cell; nothing empties it. */
  typed(draft: Draft, cell: number, sign: string): Draft;
  /** Gives what stands in a cell to the solver, or does not any more. */
  given?(draft: Draft, cell: number): Draft;
  /** Changes the sign between a cell and the one beside it. */
  between?(draft: Draft, cell: number, other: number): Draft;
  /** Takes another cell into the group of a cell beside it. */
  joined?(draft: Draft, cell: number, other: number): Draft;
}

/** A list of cells with one more, or without it. */
export const toggled = (cells: readonly number[], cell: number): number[] =>
  cells.includes(cell) ? cells.filter((at) => at !== cell) : [...cells, cell].sort((a, b) => a - b);

/** The level of what logic does not solve: a person would have to guess. */
export const BEYOND_LOGIC: Level = 5;

/**
 * What is said of the answers of a puzzle.
 * @param answers that a solver found; it need not look for more than two
 * @param level null where logic does not find the answer
 * @param help what to do where there are two
 * @param cellOf the cell of the trial by its place in an answer, if they differ
 */
export function watchedAnswers(
  answers: readonly ArrayLike<number>[],
  level: Level | null,
  help: string,
  cellOf = (at: number): number => at,
): Watched {
  const [first, second] = answers;
  if (!first)
    return { isSound: false, says: 'There is no answer. Undo, or take out what contradicts.', cells: [] };
  if (second)
    return {
      isSound: false,
      says: severalAnswers(help),
      cells: Array.from(first, (value, at) => (value === second[at] ? -1 : cellOf(at))).filter(
        (cell) => cell >= 0,
      ),
    };
  return { isSound: true, says: oneAnswer(level && [LEVEL_NAMES[level]]), cells: [] };
}

export const severalAnswers = (help: string): string =>
  `There is more than one answer. Two of them differ in the marked cells: ${help}`;

/** @param said of it: its level, and more; null where logic does not find the answer */
export const oneAnswer = (said: readonly string[] | null): string =>
  said
    ? `One answer. ${said.join(', ')}.`
    : 'One answer, but logic does not find it: a person would have to guess.';
