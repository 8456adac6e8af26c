import { leastGroups, leastText, renamed, turnings } from '../turned.ts';
import { canonicalForm } from './canonical.ts';
import type { Cage } from './killer/cages.ts';
import { readGrid, rectangularBoxes, type Size, type Variant } from './shape.ts';

/** A sudoku as it is printed, with its answer. Grids are characters, row by row, `.` for an empty cell. */
export interface PrintedSudoku {
  size: Size;
  variant: Variant;
  givens: string;
  /** With dots where there is no answer. */
  solution: string;
  /** The box of each cell, a letter from A on, where boxes are of any outline. */
  boxes?: string;
  /** Cells that add up to a sum, of a killer sudoku. */
  cages?: readonly Cage[];
}

/**
 * What sudokus share that are the same but for how they are turned, mirrored and named: classic ones of 6 × 6 and 9 × 9 also for the
 * order of bands, stacks, rows and columns. Of 4 × 4 there are too few for that; sums of cages keep their digits.
 */
export function sameSudoku({ size, variant, givens, solution, boxes, cages }: PrintedSudoku): string {
  if (cages)
    return leastGroups(
      size,
      cages.map(({ cells, sum }) => ({ cells, says: `${sum}` })),
    );
  const classic = variant === 'classic' && !solution.includes('.');
  if (classic && size === 9) return canonicalForm(readGrid(size, givens), readGrid(size, solution));
  if (classic && size === 6) return leastShuffled(size, givens, solution);
  return leastText(
    turnings(size, size).map(({ was }) => {
      // Given or not, and the answer: a puzzle without one is told apart by its givens alone.
      const digits = renamed(was.map((cell) => (solution[cell] === '.' ? givens[cell]! : solution[cell]!)));
      const shown = was.map((cell) => (givens[cell] === '.' ? '0' : '1'));
      const outlines = boxes ? renamed(was.map((cell) => boxes[cell]!)) : [];
      return [variant, digits.join(''), shown.join(''), outlines.join('')].join(' ');
    }),
  );
}

/** Orders of so many things. */
function orders(count: number): number[][] {
  if (count === 0) return [[]];
  return orders(count - 1).flatMap((order) =>
    Array.from({ length: count }, (_, at) => [...order.slice(0, at), count - 1, ...order.slice(at)]),
  );
}

/** Orders of lines that keep together, so many to a band. */
function bandOrders(bands: number, each: number): number[][] {
  let lines: number[][] = [[]];
  for (let band = 0; band < bands; band++)
    lines = lines.flatMap((before) => orders(each).map((order) => [...before, ...order]));
  return orders(bands).flatMap((order) =>
    lines.map((inside) =>
      order.flatMap((band) =>
        inside.slice(band * each, band * each + each).map((line) => band * each + line),
      ),
    ),
  );
}

/** By size: the orders of rows and columns that boxes allow, and whether the grid may be mirrored on its diagonal. */
const shuffles = new Map<Size, { rows: number[][]; columns: number[][]; square: boolean }>();

function shufflesOf(size: Size) {
  const known = shuffles.get(size);
  if (known) return known;
  const box = rectangularBoxes(size);
  const wide = box.indexOf(1);
  const high = size / wide;
  const all = {
    rows: bandOrders(size / high, high),
    columns: bandOrders(size / wide, wide),
    square: wide === high,
  };
  shuffles.set(size, all);
  return all;
}

/** The least that a small grid can say, its lines in any order that boxes allow and its digits renamed, by trying all orders. */
export function leastShuffled(size: Size, givens: string, solution: string): string {
  const { rows, columns, square } = shufflesOf(size);
  const shown = Uint8Array.from(givens, (sign) => (sign === '.' ? 0 : 1));
  const answer = readGrid(size, solution);
  const cells = size * size;
  const ways = [(row: number, column: number) => row * size + column];
  if (square) ways.push((row, column) => column * size + row);
  const best = new Uint8Array(2 * cells).fill(size + 2);
  const name = new Uint8Array(size + 1);
  for (const way of ways)
    for (const down of rows)
      for (const along of columns) {
        name.fill(0);
        let names = 0;
        let less = false;
        for (let at = 0; at < 2 * cells; at++) {
          const cell = way(down[Math.floor((at % cells) / size)]!, along[at % size]!);
          if (at < cells && !name[answer[cell]!]) name[answer[cell]!] = ++names;
          const says = at < cells ? name[answer[cell]!]! : shown[cell]!;
          if (!less && says > best[at]!) break;
          less ||= says < best[at]!;
          if (less) best[at] = says;
        }
      }
  return best.join('');
}
