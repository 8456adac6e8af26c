import type { Level } from '../../level.ts';
import { Board, FINDS } from '../board.ts';
import { chain } from '../chain.ts';
import { type Grade, type GradedLooks, gradedLooks, type Rating, rateBy, solveByLogic } from '../rate.ts';
import type { Shape } from '../shape.ts';
import {
  coloring,
  hiddenPair,
  hiddenSingle,
  hiddenTriple,
  lockedCandidates,
  nakedPair,
  nakedSingle,
  nakedTriple,
  swordfish,
  xWing,
  xyWing,
  xyzWing,
} from '../techniques.ts';
import type { Cage } from './cages.ts';
import { SumLook } from './looks.ts';
import { cageSums, type Sum, sumsOf45 } from './sums.ts';

/** Cells that may be open in what the rule of 45 leaves for a person to see through it. */
const MOST_OPEN = 3;

interface Sums {
  ofCages: readonly Sum[];
  of45: readonly Sum[];
}

/** What is looked for, from the easiest on: each of the five grades is a level. */
function looksFor({ ofCages, of45 }: Sums): GradedLooks {
  const fromOne = of45.filter(({ from }) => from === 1);
  return gradedLooks([
    { own: [new SumLook('cage-sum', ofCages, Number.POSITIVE_INFINITY).look, nakedSingle] },
    { own: [hiddenSingle] },
    { own: [new SumLook('unit-sum', fromOne, 1).look] },
    {
      own: [
        lockedCandidates,
        new SumLook('unit-sum', fromOne, MOST_OPEN).look,
        new SumLook('unit-sums', of45, 1).look,
        nakedPair,
        hiddenPair,
      ],
    },
    {
      own: [
        new SumLook('unit-sums', of45, MOST_OPEN).look,
        ...[nakedTriple, hiddenTriple, xWing, xyWing, swordfish, xyzWing, coloring, chain],
      ],
    },
  ]);
}

/** The grade from which on the rule of 45 is used. */
const OF_45: Grade = 2;
export const levelOfGrade = (grade: Grade): Level => (grade + 1) as Level;

/** What is looked for in a grid with cages. */
export const looksOfCages = (shape: Shape, cages: readonly Cage[]): GradedLooks =>
  looksFor({ ofCages: cageSums(cages), of45: sumsOf45(shape, cages) });

/** Solves a grid with cages step by step, always with the easiest technique that finds one. @returns null where logic does not solve it */
export function rateKiller(shape: Shape, cages: readonly Cage[]): Rating | null {
  const board = new Board(shape);
  board.finds = FINDS.nothing;
  return rateBy(looksOfCages(shape, cages), levelOfGrade, board);
}

/** Whether logic up to a grade solves a grid with cages. @param board is used for it, of the grid’s shape */
export function isSolvedBy(board: Board, cages: readonly Cage[], most: Grade): boolean {
  board.clear().finds = most === 0 ? FINDS.nakedSingles : FINDS.singles;
  for (const { cells, sum } of cages) if (cells.length === 1) board.put(cells[0]!, sum - 1);
  const of45 = most >= OF_45 ? sumsOf45(board.shape, cages) : [];
  // What a board finds by itself need not be looked for.
  const looks = looksFor({ ofCages: cageSums(cages), of45 }).filter(
    ({ look }) => look !== nakedSingle && look !== hiddenSingle,
  );
  solveByLogic(board, most, undefined, looks);
  return board.open === 0 && !board.broken;
}
