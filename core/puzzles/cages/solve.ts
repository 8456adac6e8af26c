import { byPairs, byPlaces, bySingles, linesOf, type Mask, numbersOf } from '../latin/index.ts';
import { type Cage, type CageGrid, resultOf } from './grid.ts';

/** What a person looks for, and what it costs to look all over the grid for it once. */
const COST = { singles: 1, places: 2, cages: 3, pairs: 5 } as const;

/**
 * Solves a grid as a person would: by numbers that one cell has alone, by places that a number has alone in a row or column, by what a
 * cage can hold, and by pairs; an easier look is taken again before a harder one.
 * @returns the numbers row by row, null where these looks do not find them all; and what looking cost
 */
export function solveByLogic({ size, cages }: CageGrid): { solution: Uint8Array | null; looks: number } {
  const masks: Mask[] = Array(size * size).fill((1 << size) - 1);
  const lines = linesOf(size);
  const ways = cages.map((cage) => waysOf(cage, size));
  let looks = 0;
  for (;;) {
    looks += COST.singles;
    let changed = bySingles(masks, lines);
    if (!changed) {
      looks += COST.places;
      changed = byPlaces(masks, lines, size);
    }
    if (!changed) {
      looks += COST.cages;
      changed = byCages(masks, cages, ways);
    }
    if (!changed) {
      looks += COST.pairs;
      changed = byPairs(masks, lines);
    }
    if (masks.includes(0)) return { solution: null, looks };
    if (!changed) return { solution: numbersOf(masks), looks };
  }
}

const kept = new Map<string, number[][]>();
const MOST_KEPT = 20_000;

/** The numbers that the cells of a cage can have together, in the order of its cells. */
function waysOf({ cells, operation, target }: Cage, size: number): number[][] {
  const key = `${size} ${cells} ${operation} ${target}`;
  const known = kept.get(key);
  if (known) return known;
  const ways: number[][] = [];
  const numbers: number[] = [];
  const lay = (): void => {
    const at = numbers.length;
    if (at === cells.length) {
      if (resultOf(operation, numbers) === target) ways.push([...numbers]);
      return;
    }
    for (let number = 1; number <= size; number++) {
      const meets = numbers.some(
        (other, i) =>
          other === number &&
          (cells[i]! % size === cells[at]! % size ||
            Math.floor(cells[i]! / size) === Math.floor(cells[at]! / size)),
      );
      if (meets) continue;
      numbers.push(number);
      lay();
      numbers.pop();
    }
  };
  lay();
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(key, ways);
  return ways;
}

function byCages(masks: Mask[], cages: readonly Cage[], ways: readonly number[][][]): boolean {
  let changed = false;
  cages.forEach(({ cells }, c) => {
    const left = cells.map(() => 0);
    for (const way of ways[c]!) {
      if (way.some((number, i) => !(masks[cells[i]!]! & (1 << (number - 1))))) continue;
      way.forEach((number, i) => {
        left[i]! |= 1 << (number - 1);
      });
    }
    cells.forEach((at, i) => {
      if (masks[at] === left[i]) return;
      masks[at] = left[i]!;
      changed = true;
    });
  });
  return changed;
}
