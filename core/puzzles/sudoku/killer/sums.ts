import type { Shape } from '../shape.ts';
import type { Cage } from './cages.ts';

/**
 * Cells whose digits are known to add up to a sum: a cage, or what the rule of 45 leaves. Rows, columns and boxes have a sum of their own, so
 * that what sticks out of some of them, or is left in them by the cages inside, has a known sum too.
 */
export interface Sum {
  cells: readonly number[];
  sum: number;
  /** For each cell those before it that cannot have the same digit, as bits of their place. */
  differ: readonly number[];
  /** How many units it was found from; 0 for a cage. */
  from: number;
}

/** Units that are taken together at the most, where they lie side by side. */
const MOST_UNITS = 3;
/** Cells of a sum that is worth to be known. */
const MOST_CELLS = 5;

const areasKept = new Map<Shape, { cells: Uint8Array; units: number }[]>();

/** Rows, columns and boxes, and rows and columns that lie side by side. */
function areasOf(shape: Shape): { cells: Uint8Array; units: number }[] {
  const known = areasKept.get(shape);
  if (known) return known;
  const { size, units } = shape;
  const areas: { cells: Uint8Array; units: number }[] = [];
  const add = (some: readonly number[]) => {
    const cells = new Uint8Array(shape.cells);
    for (const unit of some) for (const cell of units[unit]!) cells[cell] = 1;
    areas.push({ cells, units: some.length });
  };
  for (let unit = 0; unit < 3 * size; unit++) add([unit]);
  for (let many = 2; many <= MOST_UNITS; many++)
    for (const begin of [0, size])
      for (let first = 0; first + many <= size; first++)
        add(Array.from({ length: many }, (_, i) => begin + first + i));
  areasKept.set(shape, areas);
  return areas;
}

function sumOf(shape: Shape, cells: readonly number[], sum: number, from: number): Sum {
  const differ = cells.map((cell, i) =>
    cells.slice(0, i).reduce((mask, other, j) => mask | (shape.sees[cell * shape.cells + other]! << j), 0),
  );
  return { cells, sum, differ, from };
}

/** Cages as sums: all of their digits differ. */
export const cageSums = (cages: readonly Cage[]): Sum[] =>
  cages.map(({ cells, sum }) => ({ cells, sum, differ: cells.map((_, i) => (1 << i) - 1), from: 0 }));

/** What the rule of 45 tells of a grid with cages, each sum once, from few units first. */
export function sumsOf45(shape: Shape, cages: readonly Cage[]): Sum[] {
  const { size } = shape;
  const whole = (size * (size + 1)) / 2;
  const cageOf = new Uint8Array(shape.cells);
  cages.forEach(({ cells }, i) => {
    for (const cell of cells) cageOf[cell] = i;
  });
  const inside = new Uint8Array(cages.length);
  const found: Sum[] = [];
  const seen = new Set<string>();
  for (const { cells: area, units } of areasOf(shape)) {
    inside.fill(0);
    for (let cell = 0; cell < shape.cells; cell++) if (area[cell]) inside[cageOf[cell]!]!++;
    let left = units * whole;
    let over = -left;
    const inner: number[] = [];
    const outer: number[] = [];
    for (let i = 0; i < cages.length; i++) {
      if (!inside[i]) continue;
      const { cells, sum } = cages[i]!;
      over += sum;
      if (inside[i] === cells.length) left -= sum;
      else for (const cell of cells) (area[cell] ? inner : outer).push(cell);
    }
    for (const [cells, sum] of [
      [inner, left],
      [outer, over],
    ] as const) {
      if (cells.length === 0 || cells.length > MOST_CELLS) continue;
      cells.sort((a, b) => a - b);
      const key = cells.join();
      if (seen.has(key)) continue;
      seen.add(key);
      found.push(sumOf(shape, cells, sum, units));
    }
  }
  return found;
}
