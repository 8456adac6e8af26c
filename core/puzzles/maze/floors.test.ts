import fc from 'fast-check';
import Graph from 'graphology';
import { connectedComponents } from 'graphology-components';
import { bidirectional } from 'graphology-shortest-path/unweighted';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { solidOf } from '../outline/index.ts';
import { anyStairs } from './floors.ts';
import {
  ENDS,
  FLOOR_HEAD,
  floorOf,
  GRIDS,
  type Grid,
  gridInSpace,
  gridWithFloors,
  gridWithin,
  isWall,
  MOST_FLOORS,
  makeMaze,
  mazeGrid,
  neighborToward,
  onlyWay,
  placeOnFloor,
  sameMaze,
  seenWay,
  stairsAt,
  stairsWithRoom,
  takeStairs,
  turnsOf,
  walkTo,
} from './index.ts';
import { middleCell } from './make.ts';

const everything = process.env.QUILL_SWEEP === 'all';

const anyTower = fc
  .record({
    id: fc.constantFrom(...GRIDS),
    columns: fc.integer({ min: 5, max: 18 }),
    rows: fc.integer({ min: 5, max: 18 }),
    floors: fc.integer({ min: 2, max: MOST_FLOORS }),
    inOutline: fc.boolean(),
    ends: fc.constantFrom(...ENDS),
    passages: fc.constantFrom(0, 0.6, 1, 'even' as const),
    seed: fc.integer(),
  })
  .map(({ id, columns, rows, floors, inOutline, ends, passages, seed }) => {
    const random = randomStream('floors', seed);
    const whole = mazeGrid(id, columns, rows);
    const plain = inOutline && id !== 'circle' ? gridWithin(whole, solidOf('heart')) : whole;
    const { grid, stairs } = gridInSpace(plain, { bridges: 0, floors }, ends, random);
    return { plain, grid, stairs, ends, count: floors, maze: makeMaze(grid, ends, passages, random) };
  });

/** Stairs that there are, as pairs of cells. */
const stairsOf = (grid: Grid, open: Uint8Array): [number, number][] =>
  Array.from({ length: grid.cells }, (_, cell) => cell).flatMap((cell) =>
    stairsAt(grid, cell, open).flatMap(({ to, isUp }): [number, number][] => (isUp ? [[cell, to]] : [])),
  );

describe('mazes on floors', () => {
  it('have one way to every cell of every floor, as a graph library finds it, too', () => {
    fc.assert(
      fc.property(anyTower, ({ plain, grid, maze, count }) => {
        expect(grid.cells).toBe(count * plain.cells);
        const graph = new Graph({ type: 'undirected' });
        for (let cell = 0; cell < grid.cells; cell++) graph.addNode(cell);
        maze.open.forEach((open, wall) => {
          if (open) graph.addEdge(grid.walls.one[wall], grid.walls.other[wall]);
        });
        expect(graph.size).toBe(grid.cells - 1);
        expect(connectedComponents(graph)).toHaveLength(1);
        expect(bidirectional(graph, maze.start, maze.goal)!.map(Number)).toEqual(maze.way);
        expect(onlyWay(grid, maze.open, maze.start, maze.goal)).toEqual(maze.way);
      }),
      { numRuns: everything ? 400 : 40 },
    );
  });

  it('lead from the lowest floor to the top one, over stairs that join the same place on the next floor', () => {
    fc.assert(
      fc.property(anyTower, ({ plain, grid, maze, count, ends }) => {
        expect([floorOf(grid, maze.start), floorOf(grid, maze.goal)]).toEqual([0, count - 1]);
        if (ends === 'middle') expect(maze.goal % plain.cells).toBe(middleCell(plain));
        const stairs = stairsOf(grid, maze.open);
        for (const [from, to] of stairs) {
          expect(floorOf(grid, to)).toBe(floorOf(grid, from) + 1);
          expect(placeOnFloor(grid, to)).toEqual(placeOnFloor(grid, from));
        }
        // Every floor is reached, and the way takes each floor in between.
        expect(new Set(stairs.map(([from]) => floorOf(grid, from))).size).toBe(count - 1);
        expect(new Set(maze.way.map((cell) => floorOf(grid, cell))).size).toBe(count);
        expect(seenWay(grid, maze.way)).toHaveLength(
          1 +
            maze.way.filter((cell, i) => i && floorOf(grid, cell) !== floorOf(grid, maze.way[i - 1]!)).length,
        );
        // No step by arrow keys leaves a floor.
        for (const cell of maze.way)
          for (const [dx, dy] of [
            [0, 1],
            [1, 0],
            [0, -1],
            [-1, 0],
          ] as const)
            expect(floorOf(grid, neighborToward(grid, cell, dx, dy).cell)).toBe(floorOf(grid, cell));
      }),
      { numRuns: everything ? 400 : 40 },
    );
  });

  it('lie beside each other on the page, with room above each, and open to where there is no floor', () => {
    fc.assert(
      fc.property(anyTower, ({ plain, grid, maze, ends }) => {
        const { at } = grid.floors!;
        at.forEach(([left, top], floor) => {
          expect(top).toBeGreaterThanOrEqual(FLOOR_HEAD);
          expect(left + plain.width).toBeLessThanOrEqual(grid.width + 1e-9);
          expect(top + plain.height).toBeLessThanOrEqual(grid.height + 1e-9);
          at.forEach(([x, y], other) => {
            if (other > floor)
              expect(
                Math.abs(x - left) >= plain.width + FLOOR_HEAD - 1e-9 ||
                  Math.abs(y - top) >= plain.height + FLOOR_HEAD - 1e-9,
              ).toBe(true);
          });
        });
        if (ends !== 'outer') return;
        for (const cell of [maze.start, maze.goal]) {
          const wall = grid.doors!.get(cell)!;
          expect([grid.walls.one[wall], grid.walls.other[wall]]).toEqual([cell, -1]);
        }
      }),
      { numRuns: everything ? 400 : 40 },
    );
  });

  it('have places for stairs between any two floors, none beside another or where an end is known to be', () => {
    fc.assert(
      fc.property(anyTower, ({ plain, grid, stairs, count, ends, maze }) => {
        expect(stairsWithRoom(plain, count, stairs)).toEqual(stairs);
        for (let floor = 0; floor < count - 1; floor++)
          expect(stairs.some((one) => one.floor === floor)).toBe(true);
        if (ends !== 'outer') expect(stairsAt(grid, maze.goal)).toEqual([]);
        // A small grid has no room for all of them apart.
        if (plain.cells < 60) return;
        for (const one of stairs)
          for (const other of stairs)
            if (one !== other)
              expect([
                ...plain.next.subarray(plain.first[one.cell]!, plain.first[one.cell + 1]!),
              ]).not.toContain(other.cell);
      }),
      { numRuns: everything ? 400 : 40 },
    );
    const plain = mazeGrid('square', 6, 6);
    const wanted = [
      { floor: 0, cell: 3 },
      { floor: 0, cell: 3 },
      { floor: 2, cell: 3 },
      { floor: 1, cell: 36 },
      { floor: 1, cell: 3 },
    ];
    expect(stairsWithRoom(plain, 3, wanted)).toEqual([wanted[0], wanted[4]]);
    // As many floors as there are, on as few cells.
    const tiny = mazeGrid('square', 3, 3);
    const all = anyStairs(tiny, 4, [4], randomStream('tiny'));
    expect(new Set(all.map(({ floor }) => floor)).size).toBe(3);
    expect(all.some(({ cell }) => cell === 4)).toBe(false);
  });

  it('are walked by stairs from floor to floor, by key and by pointer, and back', () => {
    const plain = mazeGrid('square', 5, 5);
    const grid = gridWithFloors(plain, 2, [
      { floor: 0, cell: 6 },
      { floor: 0, cell: 18 },
    ]);
    const open = new Uint8Array(grid.walls.one.length);
    open[grid.floors!.stairs] = 1;
    expect(takeStairs(grid, open, [6])).toEqual([6, 31]);
    expect(takeStairs(grid, open, [6, 31])).toEqual([6]);
    expect(walkTo(grid, open, [6], 31, 12)).toEqual([6, 31]);
    // Without stairs, or with none that are open, nothing is taken.
    for (const trail of [[7], [18]]) expect(takeStairs(grid, open, trail)).toBe(trail);
    expect(stairsAt(grid, 18, open)).toEqual([]);
    expect(stairsAt(grid, 43)).toEqual([{ to: 18, isUp: false, wall: grid.floors!.stairs + 1 }]);
    expect([isWall(grid, grid.floors!.stairs - 1), isWall(grid, grid.floors!.stairs)]).toEqual([true, false]);
    // From the other stairs of a cell that has two.
    const tower = gridWithFloors(plain, 3, [
      { floor: 0, cell: 6 },
      { floor: 1, cell: 6 },
    ]);
    const all = new Uint8Array(tower.walls.one.length).fill(1, tower.floors!.stairs);
    expect(takeStairs(tower, all, [6, 31])).toEqual([6, 31, 56]);
  });

  it('turn as far as they do seen from above', () => {
    const grid = gridWithFloors(mazeGrid('square', 5, 5), 2, [{ floor: 0, cell: 2 }]);
    expect(turnsOf(grid, [0, 1, 2, 27, 28, 29])).toBe(0);
    expect(turnsOf(grid, [0, 1, 2, 27, 32, 37])).toBeCloseTo(1);
  });

  it('are the same turned, walked from the other end, and with the top floor below', () => {
    const plain = mazeGrid('square', 6, 6);
    const stairs = [
      { floor: 0, cell: 7 },
      { floor: 0, cell: 28 },
    ];
    const grid = gridWithFloors(plain, 2, stairs);
    const maze = makeMaze(grid, 'anywhere', 0.5, randomStream('same'));
    const same = sameMaze(grid, maze);
    /** The maze with each cell at another place. */
    const moved = (to: (cell: number) => number) => {
      const other = gridWithFloors(
        plain,
        2,
        stairs.map(({ floor, cell }) => ({ floor, cell: to(cell) % 36 })),
      );
      const name = (a: number, b: number) => [a, b].sort((one, two) => one - two).join();
      const open = new Set<string>();
      maze.open.forEach((is, wall) => {
        if (is) open.add(name(to(grid.walls.one[wall]!), to(grid.walls.other[wall]!)));
      });
      const { one, other: two } = other.walls;
      return sameMaze(other, {
        open: Uint8Array.from(one, (cell, wall) => (open.has(name(cell, two[wall]!)) ? 1 : 0)),
        ...{ start: to(maze.goal), goal: to(maze.start), way: [] },
      });
    };
    const floor = (cell: number) => 36 * Math.floor(cell / 36);
    expect(moved((cell) => floor(cell) + 35 - (cell % 36))).toBe(same);
    expect(moved((cell) => (cell + 36) % 72)).toBe(same);
    // Another with the lower floor turned alone.
    expect(sameMaze(grid, makeMaze(grid, 'anywhere', 0.5, randomStream('other')))).not.toBe(same);
  });
});
