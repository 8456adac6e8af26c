import { Board, FINDS } from './board.ts';
import { type Cage, looksOfCages } from './killer/index.ts';
import { easiestStep, type GradedLooks, LOOKS } from './rate.ts';
import type { Shape } from './shape.ts';
import type { Step } from './techniques.ts';

/** A sudoku as far as somebody has got with it. Never changed, only replaced. */
export interface Attempt {
  /** The digit of each cell, from 1; 0 where it is open. */
  values: readonly number[];
  /** Candidates that are noted in each cell, bit 0 for the digit 1. */
  notes: readonly number[];
  /** Candidates that steps have ruled out, likewise. */
  ruledOut: readonly number[];
}

/** An attempt with nothing but the givens. */
export function attemptAt(givens: ArrayLike<number>): Attempt {
  const none = Array<number>(givens.length).fill(0);
  return { values: Array.from(givens), notes: none, ruledOut: none };
}

const withAt = (list: readonly number[], at: number, value: number): number[] =>
  list.map((before, i) => (i === at ? value : before));

/** Puts a digit into a cell, or takes it away with 0; what was noted there goes, and that digit goes from the notes of all cells that see it. */
export function putDigit(attempt: Attempt, { peers }: Shape, cell: number, digit: number): Attempt {
  const notes = attempt.notes.slice();
  if (digit) {
    notes[cell] = 0;
    for (const peer of peers[cell]!) notes[peer] = notes[peer]! & ~(1 << (digit - 1));
  }
  return { ...attempt, values: withAt(attempt.values, cell, digit), notes };
}

/** Notes a candidate, or takes it out of the notes; a cell with a digit has none. */
export const toggleNote = (attempt: Attempt, cell: number, digit: number): Attempt =>
  attempt.values[cell]
    ? attempt
    : { ...attempt, notes: withAt(attempt.notes, cell, attempt.notes[cell]! ^ (1 << (digit - 1))) };

/** Candidates of each open cell by the digits that it sees and what was ruled out, bit 0 for the digit 1; 0 for a filled one. */
export function candidatesOf({ values, ruledOut }: Attempt, { size, peers }: Shape): number[] {
  const every = (1 << size) - 1;
  return values.map((value, cell) => {
    if (value) return 0;
    let left = every & ~ruledOut[cell]!;
    for (const peer of peers[cell]!) if (values[peer]) left &= ~(1 << (values[peer]! - 1));
    return left;
  });
}

/** Notes all candidates there are. */
export const noteAll = (attempt: Attempt, shape: Shape): Attempt => ({
  ...attempt,
  notes: candidatesOf(attempt, shape),
});

/** Cells that have the digit of another that they see, or one that was ruled out. */
export function clashes({ values }: Attempt, { peers }: Shape): number[] {
  return values.flatMap((value, cell) =>
    value && peers[cell]!.some((peer) => values[peer] === value) ? [cell] : [],
  );
}

/** Cells whose digit is not that of the answer. */
export const mistakes = ({ values }: Attempt, solution: ArrayLike<number>): number[] =>
  values.flatMap((value, cell) => (value && value !== solution[cell] ? [cell] : []));

const looksKept = new WeakMap<readonly Cage[], GradedLooks>();

/**
 * The step that is easiest to see from here.
 * @returns null where the grid is full, says something twice, or logic sees nothing more
 */
export function nextStep({ values, ruledOut }: Attempt, shape: Shape, cages?: readonly Cage[]): Step | null {
  const board = new Board(shape);
  board.finds = FINDS.nothing;
  board.give(values);
  for (let cell = 0; cell < shape.cells && !board.broken; cell++)
    for (let digit = 0; digit < shape.size; digit++)
      if (ruledOut[cell]! & (1 << digit)) board.remove(cell, digit);
  if (board.broken || board.open === 0) return null;
  let looks = LOOKS;
  if (cages) {
    looks = looksKept.get(cages) ?? looksOfCages(shape, cages);
    looksKept.set(cages, looks);
  }
  return easiestStep(looks, board)?.step ?? null;
}

/** Does what a step says. Cells that lose candidates have notes then, so that it is seen. */
export function takeStep(attempt: Attempt, shape: Shape, { put, removes }: Step): Attempt {
  if (put) return putDigit(attempt, shape, put[0], put[1] + 1);
  const ruledOut = attempt.ruledOut.slice();
  for (const [cell, digit] of removes) ruledOut[cell] = ruledOut[cell]! | (1 << digit);
  const left = candidatesOf({ ...attempt, ruledOut }, shape);
  const notes = attempt.notes.slice();
  for (const [cell] of removes) notes[cell] = (notes[cell] || left[cell]!) & left[cell]!;
  return { ...attempt, notes, ruledOut };
}
