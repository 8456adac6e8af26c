import { leastText } from '../turned.ts';
import { bricksIn, type Pyramid } from './solve.ts';

/** What pyramids share that are the same in a mirror. */
export function samePyramid({ rows, givens, solution }: Pyramid & { solution: readonly number[] }): string {
  const bricks = solution.map((number, at) => `${number}${givens[at] === null ? '' : '!'}`);
  const mirrored = Array.from({ length: rows }, (_, row) =>
    bricks.slice(bricksIn(row), bricksIn(row + 1)).reverse(),
  ).flat();
  return leastText([bricks.join(' '), mirrored.join(' ')]);
}
