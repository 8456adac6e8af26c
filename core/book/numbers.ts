import type { Plan } from './planned.ts';
import type { Recipe } from './recipe.ts';

const NUMERALS = [
  [1000, 'm'],
  [900, 'cm'],
  [500, 'd'],
  [400, 'cd'],
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
] as const;

/** A whole number from 1 on in small roman numerals, as front matter is counted (Chicago Manual of Style, 1.4, from memory). */
export function romanNumeral(n: number): string {
  let rest = n;
  let said = '';
  for (const [value, letters] of NUMERALS)
    while (rest >= value) {
      said += letters;
      rest -= value;
    }
  return said;
}

/** The page number as a reader finds it printed: from `style.numbering.from`, counted from the first page that is. */
export const folioNumber = (
  recipe: Recipe,
  { firstCounted }: Pick<Plan, 'firstCounted'>,
  page: number,
): number => page - firstCounted + (recipe.style.numbering.from ?? 1);
