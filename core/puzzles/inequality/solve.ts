import { byPairs, byPlaces, bySingles, linesOf, numbersOf } from '../latin/index.ts';
import type { InequalityGrid } from './grid.ts';

/** What a person looks for, and what it costs to look all over the grid for it once. */
const COST = { signs: 1, places: 2, pairs: 5 } as const;

const lowest = (mask: number): number => mask & -mask;
const highest = (mask: number): number => 1 << (31 - Math.clz32(mask));

/**
 * Solves a grid as a person would: by what signs leave, by numbers that one cell has alone, by places that a number has alone in a row
 * or column, and by pairs; an easier look is taken again before a harder one.
 * @returns the numbers row by row, null where these looks do not find them all; and what looking cost
 */
export function solveByLogic({ size, givens, signs }: InequalityGrid): {
  solution: Uint8Array | null;
  looks: number;
} {
  const all = (1 << size) - 1;
  const masks = Array.from({ length: size * size }, (_, at) => (givens[at] ? 1 << (givens[at]! - 1) : all));
  const lines = linesOf(size);
  let looks = 0;
  for (;;) {
    looks += COST.signs;
    let changed = bySigns(masks, signs) || bySingles(masks, lines);
    if (!changed) {
      looks += COST.places;
      changed = byPlaces(masks, lines, size);
    }
    if (!changed) {
      looks += COST.pairs;
      changed = byPairs(masks, lines);
    }
    if (masks.includes(0)) return { solution: null, looks };
    if (!changed) break;
  }
  return { solution: numbersOf(masks), looks };
}

function bySigns(masks: number[], signs: InequalityGrid['signs']): boolean {
  let changed = false;
  for (const { less, more } of signs) {
    if (!masks[less] || !masks[more]) return true;
    const below = masks[less]! & (highest(masks[more]!) - 1);
    const above = masks[more]! & ~(2 * lowest(masks[less]!) - 1);
    if (below === masks[less] && above === masks[more]) continue;
    masks[less] = below;
    masks[more] = above;
    changed = true;
  }
  return changed;
}
