import { leastText, turnings } from '../turned.ts';
import type { Sign } from './grid.ts';

/** As it is printed, with its answer. */
export interface Printed {
  size: number;
  /** Numbers row by row, `.` for a cell that is to be filled. */
  givens: string;
  signs: readonly Sign[];
  solution: string;
}

/** What inequality grids share that are the same turned or mirrored, or counted from the other end with all signs the other way. */
export function sameInequality({ size, givens, signs, solution }: Printed): string {
  const counted = (number: string, downwards: boolean) =>
    number === '.' ? number : `${downwards ? size + 1 - Number(number) : number}`;
  return leastText(
    turnings(size, size).flatMap(({ was, now }) =>
      [false, true].map((downwards) => {
        const [numbers, given] = [solution, givens].map((text) =>
          was.map((cell) => counted(text[cell]!, downwards)).join(''),
        );
        const ordered = signs.map(({ less, more }) =>
          downwards ? `${now[more]}<${now[less]}` : `${now[less]}<${now[more]}`,
        );
        return [numbers, given, ...ordered.sort()].join(' ');
      }),
    ),
  );
}
