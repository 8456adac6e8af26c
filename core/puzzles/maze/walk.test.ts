import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { GRIDS, makeMaze, mazeGrid, walkOn, walkTo } from './index.ts';

const maze = (id: (typeof GRIDS)[number], seed: number) => {
  const grid = mazeGrid(id, 9, 8);
  return { grid, ...makeMaze(grid, 'outer', 0.7, randomStream('walk', id, seed)) };
};
/** Where a step leads. */
const toward = ({ x, y }: { x: Float64Array; y: Float64Array }, from: number, to: number) =>
  [x[to]! - x[from]!, y[to]! - y[from]!] as const;

describe('a way that is walked', () => {
  it('leads along the way to the goal, step by step, and back again', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRIDS), fc.nat(1000), (id, seed) => {
        const { grid, open, start, way } = maze(id, seed);
        let trail: readonly number[] = [start];
        for (let i = 1; i < way.length; i++) {
          trail = walkOn(grid, open, trail, ...toward(grid, way[i - 1]!, way[i]!));
          expect(trail).toEqual(way.slice(0, i + 1));
        }
        for (let i = way.length - 1; i > 0; i--)
          trail = walkOn(grid, open, trail, ...toward(grid, way[i]!, way[i - 1]!));
        expect(trail).toEqual([start]);
      }),
      { numRuns: 40 },
    );
  });

  it('does not go through walls, nor anywhere without a direction', () => {
    const { grid, start } = maze('square', 1);
    const shut = new Uint8Array(grid.walls.one.length);
    const trail = [start];
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const)
      expect(walkOn(grid, shut, trail, dx, dy)).toBe(trail);
    expect(walkTo(grid, shut, trail, start + 1, 5)).toBe(trail);
  });

  it('follows a pointer that is some steps ahead, and lets it go that is farther', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRIDS), fc.nat(1000), fc.nat(20), (id, seed, ahead) => {
        const { grid, open, start, goal, way } = maze(id, seed);
        const at = Math.min(ahead, way.length - 1);
        const trail = walkTo(grid, open, [start], way[at]!, 20);
        expect(trail).toEqual(way.slice(0, at + 1));
        expect(walkTo(grid, open, trail, start, 20)).toEqual([start]);
        expect(walkTo(grid, open, trail, trail.at(-1)!, 20)).toEqual(trail);
        if (way.length > 6) {
          const still = [start];
          expect(walkTo(grid, open, still, goal, 5)).toBe(still);
        }
      }),
      { numRuns: 40 },
    );
  });
});
