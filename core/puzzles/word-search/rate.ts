import type { Level } from '../level.ts';
import { type Direction, type Placement, STEPS } from './grid.ts';

/** How much longer the eye takes in a direction than across. Our own measure, no source. */
const SLOWER: Readonly<Record<Direction, number>> = {
  across: 1,
  down: 1.2,
  'down-right': 1.8,
  'up-right': 2,
  back: 2,
  up: 2.2,
  'up-left': 3,
  'down-left': 2.8,
};

/** Efforts at which each further level begins. Our own measure, no source: midway between what levels are made with. */
const BEGINS = [2.7, 3.05, 3.85, 4.85] as const;
/** Cells of a grid of the usual size, whose efforts others are set to. */
const USUAL_CELLS = 225;

/**
 * What it takes to find the words of a grid: of each, the places at which its first two letters can be read in one of the
 * directions, more where three can, as bits; and slower directions more. On average over the words, and set to a grid of the usual
 * size: larger ones take longer in any case. Our own measure, no source.
 */
export function searchEffort(
  {
    columns,
    rows,
    letters,
    placements,
  }: {
    columns: number;
    rows: number;
    letters: readonly (string | null)[];
    placements: readonly Placement[];
  },
  directions: readonly Direction[],
): number {
  let sum = 0;
  for (const { column, row, direction } of placements) {
    const [dx, dy] = STEPS[direction];
    const word = [0, 1, 2].map((i) => letters[(row + i * dy) * columns + column + i * dx]);
    let stops = 0;
    letters.forEach((letter, at) => {
      if (letter !== word[0]) return;
      const x = at % columns;
      const y = (at - x) / columns;
      for (const other of directions) {
        const [stepX, stepY] = STEPS[other];
        const read = (i: number) => {
          const [u, v] = [x + i * stepX, y + i * stepY];
          return u >= 0 && u < columns && v >= 0 && v < rows ? letters[v * columns + u] : null;
        };
        if (read(1) !== word[1]) continue;
        stops += read(2) === word[2] ? 3 : 1;
      }
    });
    sum += Math.log2(1 + stops) * SLOWER[direction] ** 0.5;
  }
  const cells = Math.max(2, letters.filter((letter) => letter !== null).length);
  return placements.length ? (sum / placements.length) * (Math.log2(USUAL_CELLS) / Math.log2(cells)) : 0;
}

/** The level of an effort. */
export const searchLevel = (effort: number): Level =>
  (1 + BEGINS.filter((begins) => effort >= begins).length) as Level;
