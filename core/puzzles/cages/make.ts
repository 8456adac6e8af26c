import type { RandomStream } from '../../random.ts';
import { latinSquare } from '../latin/index.ts';
import {
  type Cage,
  type CageGrid,
  type Calculation,
  LARGEST_PRODUCT,
  type Operation,
  resultOf,
} from './grid.ts';
import { solveByLogic } from './solve.ts';

export interface MadeCages extends CageGrid {
  cages: Cage[];
  solution: Uint8Array;
  /** What it costs a person to look; see `solveByLogic`. */
  looks: number;
}

/** Cells of a cage, at most; the larger, the more there is to reckon. */
const LARGEST = 4;
/** Single cells that a puzzle may keep, by its size. */
const MOST_SINGLES = 0.7;
/** Joins tried before other work is let in. */
const STRETCH = 8;

const ALLOWED: Record<Calculation, readonly Operation[]> = {
  sums: ['+'],
  'sums-differences': ['−', '−', '+'],
  // What only two numbers have comes more often where it can.
  all: ['÷', '÷', '−', '−', '×', '+'],
};

/**
 * Makes one puzzle: fills a square, makes a cage of every cell, and joins neighboring cages, first pairs of cells, as long as logic still finds all
 * numbers; what it finds is the only answer. Easy puzzles keep some single cells.
 */
export function* cageSteps(
  size: number,
  calculation: Calculation,
  random: RandomStream,
): Generator<void, MadeCages> {
  const solution = latinSquare(size, random);
  let cages: Cage[] = Array.from(solution, (target, at) => ({ cells: [at], operation: null, target }));
  const singles = Math.floor(random.unit() * size * MOST_SINGLES);
  let tried = 0;
  for (let pass = 0, joined = true; joined || pass === 1; pass++) {
    joined = false;
    for (const [one, other] of random.shuffled(neighborsOf(size))) {
      const [a, b] = [one, other].map((at) => cages.find(({ cells }) => cells.includes(at))!) as [Cage, Cage];
      const isSingle = a.cells.length === 1 || b.cells.length === 1;
      const most = pass === 0 ? 2 : LARGEST;
      if (a === b || !isSingle || a.cells.length + b.cells.length > most) continue;
      if (cages.filter(({ cells }) => cells.length === 1).length <= singles) break;
      const cage = joinedOf(a, b, solution, ALLOWED[calculation], random);
      if (!cage) continue;
      const next = [...cages.filter((known) => known !== a && known !== b), cage];
      if (solveByLogic({ size, cages: next }).solution) {
        cages = next;
        joined = true;
      }
      if (++tried % STRETCH === 0) yield;
    }
  }
  cages.sort((a, b) => a.cells[0]! - b.cells[0]!);
  return { size, cages, solution, looks: solveByLogic({ size, cages }).looks };
}

/** Cells that touch, each pair once. */
const neighborsOf = (size: number): [number, number][] =>
  Array.from({ length: size * size }, (_, at): [number, number][] => [
    ...((at + 1) % size ? [[at, at + 1] as [number, number]] : []),
    ...(at + size < size * size ? [[at, at + size] as [number, number]] : []),
  ]).flat();

/** One cage of two, with an operation that its numbers allow; null where there is none. */
function joinedOf(
  a: Cage,
  b: Cage,
  solution: Uint8Array,
  allowed: readonly Operation[],
  random: RandomStream,
): Cage | null {
  const cells = [...a.cells, ...b.cells].sort((one, other) => one - other);
  const numbers = cells.map((at) => solution[at]!);
  const fitting = allowed.flatMap((operation) => {
    const target = resultOf(operation, numbers);
    return target === null || target > LARGEST_PRODUCT ? [] : [{ cells, operation, target }];
  });
  return fitting.length ? random.pick(fitting) : null;
}
