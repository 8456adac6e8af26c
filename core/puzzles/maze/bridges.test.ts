import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { solidOf } from '../outline/index.ts';
import {
  anyBridges,
  bridgesWithRoom,
  type Grid,
  gridWithBridges,
  gridWithin,
  isUnder,
  layOfPassages,
  makeMaze,
  mazeGrid,
  onlyWay,
  sameMaze,
  seenWay,
  twinOf,
  walkTo,
} from './index.ts';

const everything = process.env.QUILL_SWEEP === 'all';

const plainGrid = (columns: number, rows: number, inOutline = false): Grid => {
  const whole = mazeGrid('square', columns, rows);
  return inOutline ? gridWithin(whole, solidOf('heart')) : whole;
};

const anyBridged = fc
  .record({
    columns: fc.integer({ min: 6, max: 24 }),
    rows: fc.integer({ min: 6, max: 24 }),
    share: fc.constantFrom(0.3, 0.7, 1),
    inOutline: fc.boolean(),
    ends: fc.constantFrom('outer', 'middle', 'anywhere'),
    winding: fc.constantFrom(0, 0.5, 1),
    seed: fc.integer(),
  })
  .map(({ columns, rows, share, inOutline, ends, winding, seed }) => {
    const random = randomStream('bridges', seed);
    const plain = plainGrid(columns, rows, inOutline && Math.min(columns, rows) > 11);
    const grid = gridWithBridges(plain, anyBridges(plain, share, random));
    return { plain, grid, maze: makeMaze(grid, ends as 'outer', winding, random) };
  });

const exitsOf = ({ first, next, through }: Grid, open: Uint8Array, cell: number): number[] => {
  const exits: number[] = [];
  for (let i = first[cell]!; i < first[cell + 1]!; i++) if (open[through[i]!]) exits.push(next[i]!);
  return exits;
};

/** Do two segments cross within both of them? */
function cross(
  [ax, ay]: readonly number[],
  [bx, by]: readonly number[],
  [x1, y1, x2, y2]: readonly number[],
): boolean {
  const side = (px: number, py: number, qx: number, qy: number, rx: number, ry: number) =>
    Math.sign((qx - px) * (ry - py) - (qy - py) * (rx - px));
  return (
    side(ax!, ay!, bx!, by!, x1!, y1!) * side(ax!, ay!, bx!, by!, x2!, y2!) < 0 &&
    side(x1!, y1!, x2!, y2!, ax!, ay!) * side(x1!, y1!, x2!, y2!, bx!, by!) < 0
  );
}

describe('mazes with bridges', () => {
  it('have one way to every cell, and each bridge leads straight on, above and below', () => {
    fc.assert(
      fc.property(anyBridged, ({ plain, grid, maze }) => {
        const passages = maze.open.reduce((sum, open) => sum + open, 0);
        expect(passages).toBe(grid.cells - 1);
        expect(onlyWay(grid, maze.open, maze.start, maze.goal)).toEqual(maze.way);
        expect(isUnder(grid, maze.start) || isUnder(grid, maze.goal)).toBe(false);
        for (const { cell, across } of grid.bridged?.bridges ?? []) {
          const under = twinOf(grid, cell);
          expect([twinOf(grid, under), isUnder(grid, under), isUnder(grid, cell)]).toEqual([
            cell,
            true,
            false,
          ]);
          for (const [at, isAcross] of [
            [cell, across],
            [under, !across],
          ] as const) {
            const exits = exitsOf(grid, maze.open, at);
            expect(exits).toHaveLength(2);
            const [one, other] = exits.map((exit) => [
              grid.x[exit]! - grid.x[at]!,
              grid.y[exit]! - grid.y[at]!,
            ]);
            expect(one!.map((step) => Math.abs(step))).toEqual(isAcross ? [1, 0] : [0, 1]);
            expect(one!.map((step, i) => step + other![i]!)).toEqual([0, 0]);
          }
        }
        // Whatever the bridges cut, all of the grid is reached.
        expect(grid.cells).toBe(plain.cells + (grid.bridged?.bridges.length ?? 0));
      }),
      { numRuns: everything ? 500 : 60 },
    );
  });

  it('are drawn as they are: no wall lies across an open passage, one at least across a closed one, and the sides of a bridge over the passage below', () => {
    fc.assert(
      fc.property(anyBridged, ({ grid, maze }) => {
        if (!grid.bridged) return;
        const { walls, paved, ground } = layOfPassages(grid, maze.open);
        expect(ground).toHaveLength(grid.bridged.cells);
        const place = (cell: number) => [grid.x[cell]!, grid.y[cell]!] as const;
        maze.open.forEach((open, wall) => {
          const [one, other] = [grid.walls.one[wall]!, grid.walls.other[wall]!];
          if (other < 0) return;
          const between = walls.filter((segment) => cross(place(one), place(other), segment)).length;
          const below = Number(isUnder(grid, one)) + Number(isUnder(grid, other));
          if (open) expect(between).toBe(below);
          else expect(between).toBe(2);
        });
        // What is seen of the way lies on what is paved, and crosses nothing.
        for (const piece of seenWay(grid, maze.way))
          piece.forEach(([px, py], i) => {
            expect(
              paved.some(
                ([x, y, width, height]) =>
                  px >= x - 1e-9 && px <= x + width + 1e-9 && py >= y - 1e-9 && py <= y + height + 1e-9,
              ),
            ).toBe(true);
            const before = piece[i - 1];
            if (before) expect(walls.some((segment) => cross(before, [px, py], segment))).toBe(false);
          });
      }),
      { numRuns: everything ? 200 : 20 },
    );
  });

  it('are as many as asked for of those that have room, none beside another', () => {
    const grid = plainGrid(20, 20);
    const all = anyBridges(grid, 1, randomStream('all'));
    expect(anyBridges(grid, 0.5, randomStream('all'))).toHaveLength(Math.round(all.length / 2));
    expect(anyBridges(grid, 0, randomStream('all'))).toEqual([]);
    // A square of nine cells has room for one; 18 × 18 cells inside take 36 at the least, as each keeps 24 others away.
    expect(all.length).toBeGreaterThanOrEqual(14);
    for (const one of all)
      for (const other of all)
        if (one !== other)
          expect(
            Math.max(
              Math.abs(grid.x[one.cell]! - grid.x[other.cell]!),
              Math.abs(grid.y[one.cell]! - grid.y[other.cell]!),
            ),
          ).toBeGreaterThanOrEqual(2);
  });

  it('that have no room are left out: at the edge, beside another, twice, outside, or on other grids', () => {
    const grid = plainGrid(7, 7);
    const wanted = [0, 3, 24, 25, 24, 31, 48, 49, 1000].map((cell) => ({ cell, across: true }));
    expect(bridgesWithRoom(grid, wanted).map(({ cell }) => cell)).toEqual([24]);
    expect(bridgesWithRoom(mazeGrid('hexagon', 7, 7), wanted)).toEqual([]);
  });

  it('differ where another passage is above, and are walked under a bridge by the pointer', () => {
    const plain = plainGrid(5, 5);
    const made = (across: boolean) => {
      const grid = gridWithBridges(plain, [{ cell: 12, across }]);
      const maze = makeMaze(grid, 'outer', 0.7, randomStream('above'));
      return { grid, maze };
    };
    const { grid, maze } = made(true);
    expect(sameMaze(grid, maze)).toBe(sameMaze(grid, { ...maze, start: maze.goal, goal: maze.start }));
    const other = made(false);
    expect(sameMaze(other.grid, other.maze)).not.toBe(sameMaze(grid, maze));
    // From above the bridge, the place of the bridge means what runs under it.
    expect(walkTo(grid, maze.open, [7], 12, 1)).toEqual([7, 25]);
    expect(walkTo(grid, maze.open, [11], 12, 1)).toEqual([11, 12]);
  });
});
