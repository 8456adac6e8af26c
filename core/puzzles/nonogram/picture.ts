import type { RandomStream } from '../../random.ts';
import { cellsInside, type Outline } from '../outline/index.ts';
import { EMPTY, FILLED } from './line.ts';
import { type Nonogram, untilSolved } from './make.ts';

export interface PictureOrder {
  columns: number;
  rows: number;
  outline: Outline;
  /** Nothing but its edge is filled. */
  hollow: boolean;
}

/** Ways to lay a shape into the grid that are tried; the one is kept of which the fewest cells had to be changed. */
const TRIES = 16;
/** Cells that a shape may stay away from the edges, in columns and rows together. */
const AWAY = 2;
/** Grids from so many cells of a side on have edges of two cells. */
const THICK_FROM = 22;

/** The cells of a shape that are near what is outside of it. */
function edgeOf(inside: Uint8Array, columns: number, rows: number): Uint8Array {
  const reach = Math.min(columns, rows) >= THICK_FROM ? 2 : 1;
  return inside.map((is, at) => {
    if (!is) return 0;
    const [x, y] = [at % columns, Math.floor(at / columns)];
    for (let dy = -reach; dy <= reach; dy++)
      for (let dx = -reach; dx <= reach; dx++) {
        const [u, v] = [x + dx, y + dy];
        if (u < 0 || v < 0 || u >= columns || v >= rows || !inside[v * columns + u]) return 1;
      }
    return 0;
  });
}

/** A shape somewhere in the grid, as large as it can be or a little smaller, perhaps in a mirror. */
function laid({ columns, rows, outline, hollow }: PictureOrder, random: RandomStream): Uint8Array {
  const [lessWide, lessHigh] = [random.int(AWAY + 1), random.int(AWAY + 1)];
  const [width, height] = [columns - lessWide, rows - lessHigh];
  const [left, top] = [random.int(lessWide + 1), random.int(lessHigh + 1)];
  const isMirrored = random.int(2) === 1;
  const shape = cellsInside(outline, width, height);
  const inside = new Uint8Array(columns * rows);
  shape.forEach((is, at) => {
    const x = isMirrored ? width - 1 - (at % width) : at % width;
    inside[(top + Math.floor(at / width)) * columns + left + x] = is;
  });
  return (hollow ? edgeOf(inside, columns, rows) : inside).map((is) => (is ? FILLED : EMPTY));
}

/**
 * A picture of a shape that its clues tell, line after line, and so only this one: where they do not, cells are changed, as few as may be.
 * Gives way after each try.
 * @returns null where a shape would need too many changes
 */
export function* pictureSteps(order: PictureOrder, random: RandomStream): Generator<void, Nonogram | null> {
  const { columns, rows } = order;
  let best: { made: Nonogram; changed: number } | null = null;
  for (let i = 0; i < TRIES && best?.changed !== 0; i++) {
    yield;
    const meant = laid(order, random);
    const cells = meant.slice();
    const solved = untilSolved(cells, { columns, rows, mirrored: false }, random);
    if (!solved) continue;
    const changed = cells.filter((cell, at) => cell !== meant[at]).length;
    if (!best || changed < best.changed)
      best = { made: { columns, rows, cells, looks: solved.looks }, changed };
  }
  return best?.made ?? null;
}
