import type { RandomStream } from '../../random.ts';
import { EMPTY, FILLED, UNKNOWN } from './line.ts';
import { cluesOf, type Solved, solveByLines } from './solve.ts';

export interface NonogramOrder {
  columns: number;
  rows: number;
  /** Share of cells that are filled, 0 to 1. */
  density: number;
  /** The left half is the right one in a mirror. */
  mirrored: boolean;
}

export interface Nonogram {
  columns: number;
  rows: number;
  /** `FILLED` or `EMPTY`, row by row. */
  cells: Uint8Array;
  /** See `Solved`. */
  looks: number;
}

/** Changes to one picture before another is begun. Two are usual. */
const CHANGES = 40;
const CELLS_A_CHANGE = 20;

/** Cells of a side for each evening out of the noise: larger pictures have larger shapes, and are solved by lines more often. */
const EVENED_EACH = 10;

/** The mean of each value and of those around it. */
const evened = (value: Float64Array, columns: number, rows: number): Float64Array =>
  value.map((_, at) => {
    const [x, y] = [at % columns, Math.floor(at / columns)];
    let [sum, count] = [0, 0];
    for (let ny = Math.max(0, y - 1); ny <= Math.min(rows - 1, y + 1); ny++)
      for (let nx = Math.max(0, x - 1); nx <= Math.min(columns - 1, x + 1); nx++) {
        sum += value[ny * columns + nx]!;
        count++;
      }
    return sum / count;
  });

/** Filled cells that lie together, as a drawing has them: noise, evened out more or less, and the highest of it taken. */
function blots({ columns, rows, density, mirrored }: NonogramOrder, random: RandomStream): Uint8Array {
  const noise = Float64Array.from({ length: columns * rows }, () => random.unit());
  let smooth = evened(noise, columns, rows);
  for (let more = Math.max(columns, rows) - EVENED_EACH; more >= EVENED_EACH; more -= EVENED_EACH)
    smooth = evened(smooth, columns, rows);
  const share = random.unit() * 3 * (Math.max(columns, rows) / EVENED_EACH);
  const value = noise.map((own, at) => own + share * smooth[at]!);
  if (mirrored)
    for (let at = 0; at < value.length; at++) {
      const x = at % columns;
      if (x >= columns / 2) value[at] = value[at - x + (columns - 1 - x)]!;
    }
  const sorted = value.slice().sort();
  const least = sorted[Math.floor((1 - density) * sorted.length)]!;
  return Uint8Array.from(value, (one) => (one >= least ? FILLED : EMPTY));
}

/**
 * Changes cells of a picture that its clues do not tell, until line after line they tell all of it.
 * @param cells changed in place
 * @returns null where that many changes do not suffice
 */
export function untilSolved(
  cells: Uint8Array,
  { columns, rows, mirrored }: Pick<NonogramOrder, 'columns' | 'rows' | 'mirrored'>,
  random: RandomStream,
): Solved | null {
  for (let change = 0; change < CHANGES; change++) {
    const solved = solveByLines(cluesOf(cells, columns, rows))!;
    if (solved.unknown === 0) return solved;
    // Of many that are not told, several are changed before the lines are solved anew.
    for (let i = 0; i <= solved.unknown / CELLS_A_CHANGE; i++) {
      let chosen = random.int(solved.unknown);
      const at = solved.cells.findIndex((known) => known === UNKNOWN && chosen-- === 0);
      const turned = cells[at] === FILLED ? EMPTY : FILLED;
      cells[at] = turned;
      if (mirrored) cells[at - (at % columns) + columns - 1 - (at % columns)] = turned;
    }
  }
  return null;
}

/** A picture that its clues tell, line after line, and so only this one. Gives way after each that is tried. */
export function* nonogramSteps(order: NonogramOrder, random: RandomStream): Generator<void, Nonogram> {
  for (;;) {
    const cells = blots(order, random);
    const solved = untilSolved(cells, order, random);
    if (solved) return { columns: order.columns, rows: order.rows, cells, looks: solved.looks };
    yield;
  }
}
