import { LRUCache } from 'lru-cache';
import { largestPart } from '../../largest-part.ts';
import { letterSolid, OUTLINE_LETTERS } from './letter.ts';
import { SHAPES, type ShapeId } from './shapes.ts';
import type { Solid } from './solid.ts';

export { OUTLINE_LETTERS, SHAPES, type ShapeId };

/** A shape by its name, or a capital or digit itself. */
export type Outline = ShapeId | (string & {});

/** Points along the edge of a cell that are looked at, and how many of them must lie inside. */
const LOOKS = 4;
const ENOUGH = 8;

const kept = new LRUCache<string, Uint8Array>({ max: 100 });

/** What lies in an outline. @throws RangeError for one that does not exist */
export const solidOf = (outline: Outline): Solid =>
  Object.hasOwn(SHAPES, outline) ? SHAPES[outline as ShapeId] : letterSolid(outline);

/**
 * The cells of a grid that lie in an outline, as it is when it fills the grid: the largest part of them that hangs together.
 * @returns 1 for each cell inside and 0 for each outside, row by row; not to be changed
 * @throws RangeError for an outline that does not exist
 */
export function cellsInside(outline: Outline, columns: number, rows: number): Uint8Array {
  const key = `${outline} ${columns} ${rows}`;
  const known = kept.get(key);
  if (known) return known;
  const solid = solidOf(outline);
  const inside = new Uint8Array(columns * rows);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      let hits = 0;
      for (let v = 0; v < LOOKS; v++)
        for (let u = 0; u < LOOKS; u++)
          if (
            solid(
              (2 * (column + (u + 0.5) / LOOKS)) / columns - 1,
              (2 * (row + (v + 0.5) / LOOKS)) / rows - 1,
            )
          )
            hits++;
      if (hits >= ENOUGH) inside[row * columns + column] = 1;
    }
  const whole = new Uint8Array(inside.length);
  for (const at of largestPart(
    inside.length,
    (cell) => inside[cell] === 1,
    (cell) => beside(cell, columns),
  ))
    whole[at] = 1;
  kept.set(key, whole);
  return whole;
}

/** The cells that share a side with one; −1 for one beyond the side of the grid. */
const beside = (at: number, columns: number): number[] => [
  at - columns,
  at + columns,
  at % columns ? at - 1 : -1,
  (at + 1) % columns ? at + 1 : -1,
];
