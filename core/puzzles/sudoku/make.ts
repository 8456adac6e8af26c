import type { RandomStream } from '../../random.ts';
import type { Level } from '../level.ts';
import { BandSolver } from './bands.ts';
import { Board } from './board.ts';
import { filledGrid } from './fill.ts';
import { jigsawShape } from './jigsaw.ts';
import { findsAt, GRADES, type Grade, solveByLogic } from './rate.ts';
import { type Shape, type Size, shapeOf, type Variant } from './shape.ts';
import { Unavoidable } from './unavoidable.ts';

/** How givens lie: anywhere, or turned about the middle or mirrored as the whole grid is. */
export const SYMMETRIES = ['none', 'half-turn', 'quarter-turn', 'mirror'] as const;
export type Symmetry = (typeof SYMMETRIES)[number];

/** What a puzzle is to be: solved by logic of the grades `from` to `to`, and no lower. */
export interface Wanted {
  from: Grade;
  to: Grade;
  symmetry: Symmetry;
  /** Cells that stay given, at the least. */
  leastGivens: number;
}

export interface Sudoku {
  /** Of each cell, 0 where it is empty. */
  givens: Uint8Array;
  solution: Uint8Array;
  grade: Grade;
}

/** The cells that go with each cell in a symmetry, in groups, in no order. */
function orbits({ size, cells }: Shape, symmetry: Symmetry): number[][] {
  const moves: ((row: number, column: number) => readonly [number, number])[] = {
    none: [],
    'half-turn': [(row: number, column: number) => [size - 1 - row, size - 1 - column] as const],
    'quarter-turn': [(row: number, column: number) => [column, size - 1 - row] as const],
    mirror: [(row: number, column: number) => [row, size - 1 - column] as const],
  }[symmetry];
  const seen = new Set<number>();
  const groups: number[][] = [];
  for (let cell = 0; cell < cells; cell++) {
    if (seen.has(cell)) continue;
    const group = [cell];
    for (const one of group)
      for (const move of moves) {
        const [row, column] = move(Math.floor(one / size), one % size);
        const other = row * size + column;
        if (!group.includes(other)) group.push(other);
      }
    for (const one of group) seen.add(one);
    groups.push(group);
  }
  return groups;
}

/**
 * Whether a cell's digit is seen at once from the givens around it: it is the only one that they leave for the cell or, if
 * wanted, the only cell that they leave for it in a unit. A quick answer for most cells of a full grid.
 */
function isPlain(shape: Shape, givens: Uint8Array, cell: number, value: number, hidden: boolean): boolean {
  const { peers, places, units, size } = shape;
  let seen = 0;
  for (const peer of peers[cell]!) seen |= 1 << givens[peer]!;
  // Bit 0 stands for empty cells.
  if ((seen | 1 | (1 << value)) === (2 << shape.size) - 1) return true;
  if (!hidden) return false;
  const own = places[cell]!;
  unit: for (let i = 0; i < own.length; i += 2) {
    for (const other of units[own[i]! / size]!) {
      if (other === cell || givens[other]) continue;
      let barred = false;
      for (const peer of peers[other]!)
        if (givens[peer] === value) {
          barred = true;
          break;
        }
      if (!barred) continue unit;
    }
    return true;
  }
  return false;
}

/** What making puzzles of a shape works with, so that it is set up once. */
export class SudokuMaker {
  readonly shape: Shape;
  readonly #board: Board;
  readonly #sure: Board;
  readonly #bands: BandSolver | null;
  readonly #unavoidable: Unavoidable;
  readonly #orbits = new Map<Symmetry, number[][]>();

  constructor(shape: Shape) {
    this.shape = shape;
    this.#board = new Board(shape);
    this.#sure = new Board(shape);
    this.#bands = shape === shapeOf(9) ? new BandSolver() : null;
    this.#unavoidable = new Unavoidable(shape);
  }

  #groups(symmetry: Symmetry): number[][] {
    const known = this.#orbits.get(symmetry) ?? orbits(this.shape, symmetry);
    this.#orbits.set(symmetry, known);
    return known;
  }

  /**
   * Tries to make one puzzle, in steps of some milliseconds.
   * @returns what came out, of the wanted grades or easier; null where logic of these grades does not solve it
   */
  *attempt(
    { from, to, symmetry, leastGivens }: Wanted,
    random: RandomStream,
  ): Generator<void, Sudoku | null> {
    const solution = this.#bands ? this.#bands.fill(random) : filledGrid(this.shape, random);
    if (!solution) return null;
    yield;
    const searched = this.#bands !== null && to >= SEARCHED_FROM;
    const givens = solution.slice();
    const groups = random.shuffled(this.#groups(symmetry));
    /** What follows from the givens that stay: what is still to be decided only adds to it. */
    const sure = this.#sure.clear();
    sure.finds = findsAt(to);
    this.#bands?.forget();
    this.#unavoidable.begin(solution);
    let left = this.shape.cells;
    for (const [at, group] of groups.entries()) {
      let goes = left - group.length >= leastGivens && this.#unavoidable.take(group);
      if (goes) {
        let plain = true;
        for (const cell of group) {
          givens[cell] = 0;
          plain &&= isPlain(this.shape, givens, cell, solution[cell]!, to > 0);
        }
        goes =
          plain ||
          (searched
            ? group.every((cell) => this.#bands!.leavesOnly(groups, at + 1, solution, cell))
            : this.#follows(groups, at, solution, to));
        if (!plain && !this.#bands) yield;
        if (!goes) this.#unavoidable.giveBack(group);
      }
      if (goes) left -= group.length;
      else
        for (const cell of group) {
          givens[cell] = solution[cell]!;
          if (searched) this.#bands!.keep(cell, solution[cell]!);
          else sure.put(cell, solution[cell]! - 1);
        }
    }
    const grade =
      this.#gradeOf(givens, from, to) ??
      (from >= EASED_FROM ? this.#eased(givens, groups, solution, to) : null);
    return grade === null ? null : { givens, solution, grade };
  }

  /** Gives a group back to a puzzle that is too hard, the first of some that brings it down to a grade. */
  #eased(givens: Uint8Array, groups: readonly number[][], solution: Uint8Array, grade: Grade): Grade | null {
    for (const group of groups.filter(([cell]) => !givens[cell!]).slice(0, GIVEN_BACK)) {
      for (const cell of group) givens[cell] = solution[cell]!;
      const eased = this.#gradeOf(givens, grade, grade);
      if (eased === grade) return eased;
      for (const cell of group) givens[cell] = 0;
    }
    return null;
  }

  /** Whether a group that was taken out is found by logic from what stays for sure and all groups after it. */
  #follows(groups: readonly number[][], at: number, solution: Uint8Array, grade: Grade): boolean {
    const board = this.#board.copy(this.#sure);
    const group = groups[at]!;
    const found = () => group.every((cell) => board.values[cell] !== 0);
    // Once what was taken out is found again the rest goes as it went before; what lies near tells the most.
    const { sees, cells } = this.shape;
    for (const near of [1, 0])
      for (let i = at + 1; i < groups.length; i++)
        for (const cell of groups[i]!) {
          if (sees[group[0]! * cells + cell] !== near || board.values[cell]) continue;
          board.put(cell, solution[cell]! - 1);
          if (found()) return true;
        }
    solveByLogic(board, grade, found);
    return found();
  }

  /** The grade of a puzzle, where that is no higher than `to`. */
  #gradeOf(givens: Uint8Array, from: Grade, to: Grade): Grade | null {
    const board = this.#board;
    const solved = (most: Grade): Grade | null => {
      board.clear().finds = findsAt(most);
      const grade = solveByLogic(board.give(givens), most);
      return board.open === 0 && !board.broken ? grade : null;
    };
    const grade = solved(to);
    // Where singles are enough, those that are the easier to see may be.
    return grade === 1 && from > 0 ? (solved(0) ?? 1) : grade;
  }
}

/** From this grade on a grid is thinned by search where that is fast: more of what comes out needs the grade. */
const SEARCHED_FROM: Grade = 2;

/** From this grade on, most of what is too hard is so by little: trying to give two groups back is cheaper than a new grid. */
const EASED_FROM: Grade = 4;
const GIVEN_BACK = 2;

/** Tries before what comes nearest is taken: small grids are seldom hard, and large ones take long. */
const TRIES: Record<Size, number> = { 4: 20, 6: 400, 9: 400, 12: 30, 16: 8 };

/** Tries with the same boxes, where they are of any outline. */
const TRIES_OF_JIGSAW = 20;

/**
 * Givens that stay at the least, as a share of the cells: beginners are not made to search. Common practice, no source.
 */
const LEAST_GIVENS: Record<Level, number> = { 1: 0.44, 2: 0.36, 3: 0, 4: 0, 5: 0 };

export interface SudokuOrder {
  size: Size;
  variant: Exclude<Variant, 'killer'>;
  level: Level;
  symmetry: Symmetry;
}

/** What making shapes of a size again and again would cost. */
const makers = new WeakMap<Shape, SudokuMaker>();
const makerOf = (shape: Shape): SudokuMaker => {
  const maker = makers.get(shape) ?? new SudokuMaker(shape);
  makers.set(shape, maker);
  return maker;
};

/**
 * Makes a puzzle of a level, giving way every few milliseconds. Every puzzle has one answer: logic finds it, or a search
 * finds no other, and logic then solves it. Where no try comes out at the level, the hardest below it is taken.
 */
export function* sudokuSteps(
  order: SudokuOrder,
  random: RandomStream,
): Generator<void, Sudoku & { shape: Shape }> {
  const { size, variant, level, symmetry } = order;
  const grades = ([0, 1, 2, 3, 4, 5] as const).filter((grade) => GRADES[grade].level === level);
  const leastGivens = Math.round(size * size * LEAST_GIVENS[level]);
  const wanted: Wanted = { from: grades[0]!, to: grades.at(-1)!, symmetry, leastGivens };
  let best: (Sudoku & { shape: Shape }) | null = null;
  let shape = variant === 'jigsaw' ? jigsawShape(size, random) : shapeOf(size, variant);
  for (let i = 0; i < TRIES[size] || !best; i++) {
    if (variant === 'jigsaw' && i > 0 && i % TRIES_OF_JIGSAW === 0) shape = jigsawShape(size, random);
    const found = yield* makerOf(shape).attempt(wanted, random);
    if (!found || (best && found.grade <= best.grade)) continue;
    best = { ...found, shape };
    if (found.grade >= wanted.from) break;
  }
  return best;
}
