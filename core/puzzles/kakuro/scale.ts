import type { Scale } from '../scale.ts';
import scales from './scales.json' with { type: 'json' };

/** Sides of grids that have a scale. */
export const SIDES = [5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15] as const;

/** How difficult puzzles of each side are, found beforehand: sixty puzzles would keep a first page waiting. */
export const kakuroScales: Readonly<Record<string, Scale>> = scales;

/** The scale of a grid: that of the square with about as many cells. */
export function kakuroScale(columns: number, rows: number): Scale {
  const side = Math.round(Math.sqrt(columns * rows));
  return kakuroScales[Math.max(SIDES[0], Math.min(15, side))]!;
}
