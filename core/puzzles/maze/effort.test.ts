import fc from 'fast-check';
import Graph from 'graphology';
import { connectedComponents } from 'graphology-components';
import { describe, expect, it } from 'vitest';
import { type RandomStream, randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { LEVELS } from '../level.ts';
import { bendBranches, effortOfBranches } from './effort.ts';
import {
  difficulty,
  ENDS,
  GRIDS,
  type Grid,
  gridInSpace,
  isWall,
  type Maze,
  makeMaze,
  mazeGrid,
  mazeOfEffort,
  mazeScale,
  onlyWay,
} from './index.ts';

/** A grid of squares with passages along columns and rows; the first runs along the upper edge and is the way. */
function combed(
  columns: number,
  rows: number,
  passages: readonly (readonly (readonly [number, number])[])[],
) {
  const grid = mazeGrid('square', columns, rows);
  const open = new Uint8Array(grid.walls.one.length);
  const cellAt = ([x, y]: readonly [number, number]) => y * columns + x;
  for (const cells of passages)
    cells.slice(1).forEach((to, i) => {
      const [a, b] = [cellAt(cells[i]!), cellAt(to)].sort((one, other) => one - other);
      const wall = grid.walls.one.findIndex(
        (one, at) => [one, grid.walls.other[at]!].sort((x, y) => x - y).join() === `${a},${b}`,
      );
      open[wall] = 1;
    });
  return { grid, open, way: passages[0]!.map(cellAt) };
}
const along = (columns: number) => Array.from({ length: columns }, (_, x) => [x, 0] as const);
const down = (x: number, rows: number, from = 0) =>
  Array.from({ length: rows + 1 }, (_, y) => [x, from + y] as const);

describe('what it costs to look into branches', () => {
  const cost = (...branches: (readonly (readonly [number, number])[])[]) => {
    const { grid, ...maze } = combed(9, 20, [along(9), ...branches]);
    return effortOfBranches(grid, maze);
  };

  it('is a look where one ends within five cells; otherwise a choice, and what is walked before the end is seen (counted by hand)', () => {
    expect(cost()).toBe(0);
    expect(cost(down(2, 1))).toBe(0.5);
    expect(cost(down(2, 5))).toBe(0.5);
    expect(cost(down(2, 6))).toBe(8 + 1);
    expect(cost(down(2, 12))).toBe(8 + 7);
    expect(cost(down(2, 12), down(4, 3), down(6, 9))).toBe(8 + 7 + 0.5 + 8 + 4);
  });

  it('has half of each choice within, and nothing for what ends in sight there', () => {
    // Twelve cells down, and at the third one a passage to the right.
    const aside = (cells: number) => [[2, 3], [3, 3], ...down(3, cells - 1, 3).slice(1)] as const;
    expect(cost(down(2, 12), aside(5))).toBe(8 + 7);
    expect(cost(down(2, 12), aside(9))).toBe(8 + 7 + 4 + 4);
  });
});

/** Walls that can be open in a maze, and those that are, as cells of either side. */
const passagesOf = ({ walls }: Grid, open: Uint8Array): [number, number][] =>
  [...open.keys()]
    .filter((wall) => open[wall] && walls.other[wall]! >= 0)
    .map((wall) => [walls.one[wall]!, walls.other[wall]!]);

describe('mazes that are bent', () => {
  const anyBent = fc.record({
    id: fc.constantFrom(...GRIDS),
    columns: fc.integer({ min: 5, max: 18 }),
    rows: fc.integer({ min: 5, max: 18 }),
    ends: fc.constantFrom(...ENDS),
    winding: fc.constantFrom(0, 0.7, 1),
    space: fc.constantFrom({ bridges: 0, floors: 1 }, { bridges: 0.5, floors: 1 }, { bridges: 0, floors: 3 }),
    wanted: fc.constantFrom([0, 0], [0, 1e9], [120, 130], [1e9, 1e9]),
    seed: fc.integer(),
  });

  it('are trees with the same way, bridges and stairs, cost what is told, and no less near to what is wanted (graphology)', () => {
    fc.assert(
      fc.property(anyBent, ({ id, columns, rows, ends, winding, space, wanted, seed }) => {
        const random = randomStream('bent', seed);
        const { grid } = gridInSpace(mazeGrid(id, columns, rows), space, ends, random);
        const maze = makeMaze(grid, ends, winding, random);
        const before = maze.open.slice();
        const cost = effortOfBranches(grid, maze);
        const [least, most] = wanted as [number, number];
        const told = atOnce(bendBranches(grid, maze, least, most, random));
        expect(told).toBeCloseTo(effortOfBranches(grid, maze), 6);
        const away = (value: number) => Math.max(0, least - value, value - most);
        expect(away(told)).toBeLessThanOrEqual(away(cost));
        if (!away(cost)) expect(maze.open).toEqual(before);

        expect(onlyWay(grid, maze.open, maze.start, maze.goal)).toEqual(maze.way);
        const graph = new Graph({ type: 'undirected' });
        for (let cell = 0; cell < grid.cells; cell++) graph.addNode(cell);
        const passages = passagesOf(grid, maze.open);
        for (const [one, other] of passages) graph.addEdge(one, other);
        expect(passages).toHaveLength(grid.cells - 1);
        expect(connectedComponents(graph)).toHaveLength(1);
        maze.open.forEach((open, wall) => {
          if (!isWall(grid, wall) || grid.bridged?.bound[wall]) expect(open).toBe(before[wall]);
        });
      }),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 2000 : 120 },
    );
  });
});

/** Cells that a person sees into a passage. */
const SIGHT = 5;

/**
 * One who looks for the way through a maze, sees where a passage ends within some cells, tends towards the goal and comes back from
 * where it does not lead: a simulation that shares nothing with what rates mazes.
 * @returns how often one had to choose, and went off the way
 */
function lost({ first, next, through, x, y }: Grid, { open, way, start, goal }: Maze, random: RandomStream) {
  const onWay = new Set(way);
  const exits = (cell: number, from: number) =>
    [...next.subarray(first[cell]!, first[cell + 1]!)].filter(
      (to, i) => open[through[first[cell]! + i]!] && to !== from,
    );
  const endsWithin = (cell: number, from: number, sight: number): boolean =>
    cell !== goal && sight > 0 && exits(cell, from).every((to) => endsWithin(to, cell, sight - 1));
  const bent = (cell: number, to: number): number => {
    const [leads, wants] = [
      [x[to]! - x[cell]!, y[to]! - y[cell]!],
      [x[goal]! - x[cell]!, y[goal]! - y[cell]!],
    ] as const;
    const size = Math.hypot(...leads) * Math.hypot(...wants);
    return size ? (leads[0] * wants[0] + leads[1] * wants[1]) / size : 0;
  };
  let choices = 0;
  let wrong = 0;
  const looks = (cell: number, from: number): boolean => {
    if (cell === goal) return true;
    const open = exits(cell, from).filter((to) => !endsWithin(to, cell, SIGHT));
    if (open.length > 1) choices++;
    const inOrder = open
      .map((to) => ({ to, drawn: random.unit() * Math.exp(-bent(cell, to)) }))
      .sort((a, b) => a.drawn - b.drawn);
    return inOrder.some(({ to }) => {
      if (onWay.has(cell) && !onWay.has(to)) wrong++;
      return looks(to, cell);
    });
  };
  looks(start, -1);
  return { choices, wrong };
}

describe('levels of mazes by the steps of one who looks for the way', () => {
  it.each([
    { id: 'square', columns: 24, rows: 28, ends: 'outer' },
    { id: 'circle', columns: 30, rows: 30, ends: 'middle' },
    { id: 'hexagon', columns: 20, rows: 20, ends: 'outer' },
  ] as const)(
    'one who looks has more to choose, and is lost more often, at each than at the one before ($id)',
    ({ id, columns, rows, ends }) => {
      const grid = mazeGrid(id, columns, rows);
      const scale = atOnce(mazeScale(`effort test ${id}`, grid, ends, 0.7, 'effort'));
      const random = randomStream('looks', id);
      const MAZES = 40;
      const levels = LEVELS.map((level) => {
        const sum = { choices: 0, wrong: 0 };
        for (let seed = 0; seed < MAZES; seed++) {
          const maze = atOnce(
            mazeOfEffort(grid, ends, 0.7, level, scale, randomStream('level', level, seed)),
          );
          const steps = difficulty(grid, maze, 'effort');
          if (level > 1) expect(steps).toBeGreaterThan(scale[level - 2]! * 0.9);
          if (level < 5) expect(steps).toBeLessThan(scale[level - 1]! * 1.1);
          for (let walk = 0; walk < 3; walk++) {
            const { choices, wrong } = lost(grid, maze, random);
            sum.choices += choices / MAZES / 3;
            sum.wrong += wrong / MAZES / 3;
          }
        }
        return sum;
      });
      levels.slice(1).forEach(({ choices, wrong }, i) => {
        expect(choices).toBeGreaterThan(levels[i]!.choices);
        expect(wrong).toBeGreaterThan(levels[i]!.wrong);
      });
      expect(levels[4]!.wrong).toBeGreaterThan(1.6 * levels[1]!.wrong);
      expect(levels[4]!.choices).toBeGreaterThan(2 * levels[0]!.choices);
    },
  );
});
