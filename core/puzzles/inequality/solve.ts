import type { InequalityGrid } from './grid.ts';

/** What a person looks for, and what it costs to look all over the grid for it once. */
const COST = { signs: 1, places: 2, pairs: 5 } as const;

const lowest = (mask: number): number => mask & -mask;
const highest = (mask: number): number => 1 << (31 - Math.clz32(mask));
const isOne = (mask: number): boolean => mask !== 0 && (mask & (mask - 1)) === 0;

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
  const done = masks.every(isOne);
  return { solution: done ? Uint8Array.from(masks, (mask) => 32 - Math.clz32(mask)) : null, looks };
}

const kept = new Map<number, number[][]>();

/** The cells of each row and of each column. */
function linesOf(size: number): number[][] {
  const known = kept.get(size);
  if (known) return known;
  const sides = Array.from({ length: size }, (_, i) => i);
  const lines = sides.flatMap((i) => [sides.map((j) => i * size + j), sides.map((j) => j * size + i)]);
  kept.set(size, lines);
  return lines;
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

function bySingles(masks: number[], lines: readonly number[][]): boolean {
  let changed = false;
  for (const line of lines)
    for (const at of line) {
      if (!isOne(masks[at]!)) continue;
      for (const other of line)
        if (other !== at && masks[other]! & masks[at]!) {
          masks[other]! &= ~masks[at]!;
          changed = true;
        }
    }
  return changed;
}

function byPlaces(masks: number[], lines: readonly number[][], size: number): boolean {
  let changed = false;
  for (const line of lines)
    for (let number = 0; number < size; number++) {
      const places = line.filter((at) => masks[at]! & (1 << number));
      const [only] = places;
      if (places.length !== 1 || isOne(masks[only!]!)) continue;
      masks[only!] = 1 << number;
      changed = true;
    }
  return changed;
}

/** Two cells of a line that have the same two numbers: no other cell of it has one of them. */
function byPairs(masks: number[], lines: readonly number[][]): boolean {
  let changed = false;
  for (const line of lines)
    for (const one of line) {
      const mask = masks[one]!;
      if (!mask || isOne(mask) || !isOne(mask & (mask - 1))) continue;
      const other = line.find((at) => at > one && masks[at] === mask);
      if (other === undefined) continue;
      for (const at of line)
        if (at !== one && at !== other && masks[at]! & mask) {
          masks[at]! &= ~mask;
          changed = true;
        }
    }
  return changed;
}
