import type { RandomStream } from '../../../random.ts';
import type { Level } from '../../level.ts';
import { BandSolver } from '../bands.ts';
import { Board } from '../board.ts';
import { filledGrid } from '../fill.ts';
import type { Grade } from '../rate.ts';
import { type Shape, type Size, shapeOf } from '../shape.ts';
import type { Cage } from './cages.ts';
import { isSolvedBy, levelOfGrade, rateKiller } from './rate.ts';

/** Sizes up to which grids with cages are made. */
export const LARGEST_KILLER = 9;

export interface Killer {
  cages: Cage[];
  solution: Uint8Array;
  level: Level;
}

/** Cells of a cage at the most, and single cells that stay, as a share of the side, by level. Common practice, no source. */
const LARGEST: Record<Level, number> = { 1: 3, 2: 4, 3: 4, 4: 4, 5: 4 };
const SINGLES: Record<Level, number> = { 1: 1, 2: 0.45, 3: 0, 4: 0, 5: 0 };

/** Tries before what comes nearest is taken. */
const TRIES = 12;
/** Joins tried at once; where they are too many, half of them are. */
const FIRST_AT_ONCE = 16;
/** Up to this grade, looking is quick. Beyond it only what makes a grid harder is tried, until so many joins have. */
const PLAIN: Grade = 2;
const ENOUGH = 3;
/** A cage that takes in a single cell may grow to so many. */
const ABSORBING = 5;
const MOST_TRIED = 80;

/** A round of joining. */
interface Pass {
  sides: readonly (readonly [number, number])[];
  /** Cells of a cage. */
  most: number;
  /** Single cells that stay. */
  leastSingles: number;
  /** Joins after which it is over. */
  enough?: number;
}

/** Makes grids with cages of one shape. */
class KillerMaker {
  readonly #shape: Shape;
  readonly #board: Board;
  readonly #bands: BandSolver | null;
  readonly #sides: [number, number][];

  constructor(shape: Shape) {
    this.#shape = shape;
    this.#board = new Board(shape);
    this.#bands = shape === shapeOf(9) ? new BandSolver() : null;
    const { size, cells } = shape;
    this.#sides = Array.from({ length: cells }, (_, cell): [number, number][] => [
      ...((cell + 1) % size ? [[cell, cell + 1] as [number, number]] : []),
      ...(cell + size < cells ? [[cell, cell + size] as [number, number]] : []),
    ]).flat();
  }

  /**
   * Makes one: makes a cage of every cell, and joins cages that touch, first pairs of cells, as long as logic up to the grade still solves it;
   * what it finds is the only answer.
   */
  *made(grade: Grade, random: RandomStream): Generator<void, Killer> {
    const solution = this.#bands ? this.#bands.fill(random) : filledGrid(this.#shape, random)!;
    const level = levelOfGrade(grade);
    const plain = grade < PLAIN ? grade : PLAIN;
    const leastSingles = Math.round(SINGLES[level] * this.#shape.size);
    let cages: Cage[] = Array.from(solution, (sum, cell) => ({ cells: [cell], sum }));
    for (const most of [2, LARGEST[level]])
      cages = yield* this.#joined(
        cages,
        { most, leastSingles, sides: random.shuffled(this.#sides) },
        solution,
        plain,
      );
    if (leastSingles === 0) {
      const hard = {
        most: LARGEST[level],
        leastSingles,
        sides: random.shuffled(this.#sides).slice(0, MOST_TRIED),
      };
      if (grade > plain) cages = yield* this.#joined(cages, { ...hard, enough: ENOUGH }, solution, grade);
      const alone = new Set(cages.flatMap(({ cells }) => (cells.length === 1 ? cells : [])));
      const sides = random.shuffled(this.#sides.filter((side) => side.some((cell) => alone.has(cell))));
      cages = yield* this.#joined(cages, { most: ABSORBING, leastSingles, sides }, solution, grade);
    }
    cages.sort((a, b) => a.cells[0]! - b.cells[0]!);
    return { cages, solution, level: rateKiller(this.#shape, cages)!.level };
  }

  /** Joins cages at sides, in their order, as far as logic up to a grade still solves what comes out. */
  *#joined(cages: Cage[], pass: Pass, solution: Uint8Array, grade: Grade): Generator<void, Cage[]> {
    const { sides, enough = Number.POSITIVE_INFINITY } = pass;
    let now = cages;
    let done = 0;
    for (let at = 0, many = FIRST_AT_ONCE; at < sides.length && done < enough; ) {
      const joined = joinedAt(now, sides.slice(at, at + many), solution, pass);
      if (joined === now || isSolvedBy(this.#board, joined, grade)) {
        if (joined !== now) done++;
        now = joined;
        at += many;
        many = grade > PLAIN ? 1 : Math.min(FIRST_AT_ONCE, many * 2);
      } else if (many > 1) many = Math.ceil(many / 2);
      else at++;
      yield;
    }
    return now;
  }
}

/** Cages once those that touch at some sides are joined, where both have different digits and room. */
function joinedAt(
  cages: Cage[],
  sides: readonly (readonly [number, number])[],
  solution: Uint8Array,
  { most, leastSingles }: Pass,
): Cage[] {
  let joined = cages;
  let singles = cages.filter(({ cells }) => cells.length === 1).length;
  for (const side of sides) {
    const [one, other] = side.map((cell) => joined.find(({ cells }) => cells.includes(cell))!) as [
      Cage,
      Cage,
    ];
    const taken = [one, other].filter(({ cells }) => cells.length === 1).length;
    const cells = [...one.cells, ...other.cells].sort((a, b) => a - b);
    if (one === other || cells.length > most || singles - taken < leastSingles) continue;
    if (new Set(cells.map((cell) => solution[cell])).size < cells.length) continue;
    singles -= taken;
    joined = [
      ...joined.filter((cage) => cage !== one && cage !== other),
      { cells, sum: one.sum + other.sum },
    ];
  }
  return joined;
}

const makers = new Map<Size, KillerMaker>();

/**
 * Makes a grid with cages of a level, giving way every few milliseconds: the level is what a person needs to solve it. Where no try comes out
 * at it, the hardest below is taken.
 */
export function* killerSteps(size: Size, level: Level, random: RandomStream): Generator<void, Killer> {
  const maker = makers.get(size) ?? new KillerMaker(shapeOf(size));
  makers.set(size, maker);
  let best: Killer | null = null;
  for (let i = 0; i < TRIES; i++) {
    const made = yield* maker.made((level - 1) as Grade, random);
    if (!best || made.level > best.level) best = made;
    if (made.level === level) break;
  }
  return best!;
}
