import type { Level } from '../level.ts';
import { Board, FINDS } from './board.ts';
import { chain } from './chain.ts';
import type { Shape } from './shape.ts';
import {
  coloring,
  hiddenPair,
  hiddenSingle,
  hiddenTriple,
  type Look,
  lockedCandidates,
  nakedPair,
  nakedSingle,
  nakedTriple,
  type Step,
  swordfish,
  TECHNIQUES,
  type Technique,
  xWing,
  xyWing,
  xyzWing,
} from './techniques.ts';

/**
 * How far logic goes: each grade has the techniques of those before it and its own. Levels are what a solver is told; two
 * grades share the third.
 */
export const GRADES = [
  { name: 'naked singles', level: 1, own: [nakedSingle] },
  { name: 'singles', level: 2, own: [hiddenSingle] },
  { name: 'locked candidates', level: 3, own: [lockedCandidates] },
  { name: 'pairs and triples', level: 3, own: [nakedPair, hiddenPair, nakedTriple, hiddenTriple] },
  { name: 'fish and wings', level: 4, own: [xWing, xyWing, swordfish, xyzWing, coloring] },
  { name: 'chains', level: 5, own: [chain] },
] as const satisfies readonly { name: string; level: Level; own: readonly Look[] }[];
export type Grade = 0 | 1 | 2 | 3 | 4 | 5;

/** Looks with the grade that each is of, from the easiest on. */
export type GradedLooks = readonly { grade: Grade; look: Look }[];

/** The looks of grades, in their order. */
export const gradedLooks = (grades: readonly { own: readonly Look[] }[]): GradedLooks =>
  grades.flatMap(({ own }, grade) => own.map((look) => ({ grade: grade as Grade, look })));

/** What is looked for in a sudoku without cages. */
export const LOOKS = gradedLooks(GRADES);
/** Beyond singles, which a board finds by itself. */
const LATER = LOOKS.filter(({ grade }) => grade > 1);

/** Does to a board what a step says. */
export const apply = (board: Board, { put, removes }: Step): void => {
  if (put) board.put(put[0], put[1]);
  for (const [cell, digit] of removes) board.remove(cell, digit);
};

/**
 * Solves a board by logic up to a grade, as far as that goes.
 * @param enough ends it early: true once what is wanted is known
 * @param looks beyond what the board finds by itself
 * @returns the highest grade that was needed, 1 for nothing but singles
 */
export function solveByLogic(
  board: Board,
  most: Grade,
  enough?: () => boolean,
  looks: GradedLooks = LATER,
): Grade {
  let needed: Grade = board.finds === FINDS.nakedSingles ? 0 : 1;
  search: while (board.open > 0 && !board.broken && !enough?.()) {
    for (const { grade, look } of looks) {
      if (grade > most) break;
      const found = look(board);
      if (!found) continue;
      if (grade > needed) needed = grade;
      apply(board, found);
      continue search;
    }
    break;
  }
  return needed;
}

/** The step that is easiest to see, with its grade; null where there is none. */
export function easiestStep(looks: GradedLooks, board: Board): { grade: Grade; step: Step } | null {
  for (const { grade, look } of looks) {
    const step = look(board);
    if (step) return { grade, step };
  }
  return null;
}

/** What a board finds by itself where logic goes to a grade. */
export const findsAt = (grade: Grade) => (grade === 0 ? FINDS.nakedSingles : FINDS.singles);

/** A puzzle as a person solves it. */
export interface Rating {
  grade: Grade;
  level: Level;
  /** Techniques that were needed, from the easiest on, with how often. */
  techniques: Partial<Record<Technique, number>>;
  /** Every step, in order. */
  steps: Step[];
  /** The filled grid. */
  solution: Uint8Array;
}

/**
 * Solves a puzzle step by step, always with the easiest technique that finds one.
 * @param givens of each cell, 0 for none
 * @returns null where logic does not solve it
 */
export function rate(shape: Shape, givens: ArrayLike<number>): Rating | null {
  const board = new Board(shape);
  board.finds = FINDS.nothing;
  return rateBy(LOOKS, (grade) => GRADES[grade]!.level, board.give(givens));
}

/**
 * As `rate`, by other looks.
 * @param levelOf the level that solvers are told for a grade
 * @param board that finds nothing by itself
 */
export function rateBy(looks: GradedLooks, levelOf: (grade: Grade) => Level, board: Board): Rating | null {
  const steps: Step[] = [];
  const counts = new Map<Technique, number>();
  let grade: Grade = 0;
  while (board.open > 0 && !board.broken) {
    const found = easiestStep(looks, board);
    if (!found) return null;
    const { step } = found;
    if (found.grade > grade) grade = found.grade;
    counts.set(step.technique, (counts.get(step.technique) ?? 0) + 1);
    steps.push(step);
    apply(board, step);
  }
  if (board.broken) return null;
  const known = Object.keys(TECHNIQUES) as Technique[];
  return {
    grade,
    level: levelOf(grade),
    techniques: Object.fromEntries(
      known.flatMap((one) => (counts.has(one) ? [[one, counts.get(one)!]] : [])),
    ),
    steps,
    solution: board.values.slice(),
  };
}
