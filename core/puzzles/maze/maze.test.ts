import fc from 'fast-check';
import Graph from 'graphology';
import { connectedComponents } from 'graphology-components';
import { bidirectional } from 'graphology-shortest-path/unweighted';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { cellsInside, OUTLINE_LETTERS, SHAPES, solidOf } from '../outline/index.ts';
import { levelOn } from '../scale.ts';
import {
  difficulty,
  ENDS,
  GRIDS,
  type Grid,
  gridWithin,
  makeMaze,
  mazeGrid,
  mazeScale,
  onlyWay,
  type Passages,
  turnsOf,
} from './index.ts';
import { distances, openWallsEvenly, outerCells } from './make.ts';

const everything = process.env.QUILL_SWEEP === 'all';

const anyMaze = fc
  .record({
    id: fc.constantFrom(...GRIDS),
    columns: fc.integer({ min: 5, max: 30 }),
    rows: fc.integer({ min: 5, max: 30 }),
    ends: fc.constantFrom(...ENDS),
    winding: fc.constantFrom<Passages>(0, 0.3, 0.7, 1, 'even'),
    seed: fc.integer(),
  })
  .map(({ id, columns, rows, ends, winding, seed }) => {
    const grid = mazeGrid(id, columns, rows);
    return { grid, ends, maze: makeMaze(grid, ends, winding, randomStream('any', seed)) };
  });

const neighborsOf = ({ first, next }: Grid, cell: number): number[] =>
  [...next.subarray(first[cell]!, first[cell + 1]!)].sort((a, b) => a - b);

describe('grids', () => {
  it('squares are neighbors as their columns and rows say', () => {
    const [columns, rows] = [7, 5];
    const grid = mazeGrid('square', columns, rows);
    for (let cell = 0; cell < grid.cells; cell++) {
      const [x, y] = [cell % columns, Math.floor(cell / columns)];
      const expected = [
        [x, y - 1],
        [x - 1, y],
        [x + 1, y],
        [x, y + 1],
      ]
        .filter(([nx, ny]) => nx! >= 0 && nx! < columns && ny! >= 0 && ny! < rows)
        .map(([nx, ny]) => ny! * columns + nx!);
      expect(neighborsOf(grid, cell)).toEqual(expected);
    }
    expect(outerCells(grid)).toHaveLength(2 * (columns + rows) - 4);
  });

  it('cells are neighbors where their middles are as near as the tiling puts them (a second construction)', () => {
    // Side by side: squares 1, hexagons 1, octagons 1 and half of both diagonals, triangles a third of two heights.
    const near = {
      square: () => 1,
      hexagon: () => 1,
      triangle: () => (2 / 3) * ((1.3 * Math.sqrt(3)) / 2),
      octagon: (a: number, b: number, large: number) => (a < large && b < large ? 1 : Math.SQRT1_2),
    };
    for (const id of ['square', 'hexagon', 'triangle', 'octagon'] as const) {
      const grid = mazeGrid(id, 6, 7);
      const large = id === 'octagon' ? 42 : grid.cells;
      for (let a = 0; a < grid.cells; a++) {
        const expected: number[] = [];
        for (let b = 0; b < grid.cells; b++) {
          const away = Math.hypot(grid.x[a]! - grid.x[b]!, grid.y[a]! - grid.y[b]!);
          if (a !== b && Math.abs(away - near[id](a, b, large)) < 1e-6) expected.push(b);
        }
        expect(neighborsOf(grid, a), `${id} ${a}`).toEqual(expected);
      }
    }
  });

  it('a cell of a ring has two beside it, one inside it, and one or two outside', () => {
    const grid = mazeGrid('circle', 25, 25);
    const ring = (cell: number) =>
      Math.round(Math.hypot(grid.x[cell]! - grid.width / 2, grid.y[cell]! - grid.height / 2) - 0.5);
    expect(neighborsOf(grid, 0)).toEqual([1, 2, 3, 4, 5, 6]);
    for (let cell = 1; cell < grid.cells; cell++) {
      const rings = neighborsOf(grid, cell).map((next) => ring(next) - ring(cell));
      expect(rings.filter((step) => step === 0)).toHaveLength(2);
      expect(rings.filter((step) => step === (ring(cell) === 1 ? -1.5 : -1) || step < 0)).toHaveLength(1);
      const outside = rings.filter((step) => step > 0).length;
      expect(ring(cell) === 12 ? outside === 0 : outside === 1 || outside === 2).toBe(true);
    }
  });

  it('walls lie within the size that a grid says', () => {
    for (const id of GRIDS) {
      const { width, height, walls } = mazeGrid(id, 9, 12);
      walls.ends.forEach((value, i) => {
        expect(value).toBeGreaterThanOrEqual(-1e-9);
        expect(value).toBeLessThanOrEqual((i % 2 ? height : width) + 1e-9);
      });
    }
  });
});

describe('mazes', () => {
  it('have cells − 1 passages in one piece, and the way is the shortest, as a graph library finds them (graphology)', () => {
    fc.assert(
      fc.property(anyMaze, ({ grid, maze }) => {
        const graph = new Graph({ type: 'undirected' });
        for (let cell = 0; cell < grid.cells; cell++) graph.addNode(cell);
        maze.open.forEach((open, wall) => {
          if (open) graph.addEdge(grid.walls.one[wall]!, grid.walls.other[wall]!);
        });
        expect(graph.size).toBe(grid.cells - 1);
        expect(connectedComponents(graph)).toHaveLength(1);
        expect(bidirectional(graph, maze.start, maze.goal)).toEqual(maze.way.map(String));
        expect(onlyWay(grid, maze.open, maze.start, maze.goal)).toEqual(maze.way);
      }),
      { numRuns: everything ? 1000 : 100 },
    );
  });

  it('begin and end where they are to', () => {
    fc.assert(
      fc.property(anyMaze, ({ grid, ends, maze: { start, goal, way } }) => {
        expect(way[0]).toBe(start);
        expect(way.at(-1)).toBe(goal);
        expect(start).not.toBe(goal);
        const outer = outerCells(grid);
        if (ends !== 'anywhere') expect(outer).toContain(start);
        if (ends === 'outer') expect(outer).toContain(goal);
        if (ends === 'middle') {
          const away = Math.hypot(grid.x[goal]! - grid.width / 2, grid.y[goal]! - grid.height / 2);
          expect(away).toBeLessThan(1.2);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('the way is the longest there is where nothing else is asked for', () => {
    // Every pair of a small maze, against the two sweeps.
    for (let seed = 0; seed < 20; seed++) {
      const grid = mazeGrid('hexagon', 6, 6);
      const { open, way, goal } = makeMaze(grid, 'anywhere', 0.5, randomStream('longest', seed));
      let longest = 0;
      for (let cell = 0; cell < grid.cells; cell++)
        longest = Math.max(longest, ...distances(grid, open, cell).far);
      expect(Math.max(...distances(grid, open, goal).far)).toBe(longest);
      expect(way.length - 1).toBeLessThanOrEqual(longest);
    }
  });

  it('a way that is none, or not the only one, is seen', () => {
    const grid = mazeGrid('square', 6, 6);
    const { open, start, goal, way } = makeMaze(grid, 'outer', 0.7, randomStream('seen'));
    const closed = open.slice();
    const [a, b] = [way[1]!, way[2]!];
    const between = grid.walls.one.findIndex((one, wall) => {
      const other = grid.walls.other[wall]!;
      return (one === a && other === b) || (one === b && other === a);
    });
    closed[between] = 0;
    expect(onlyWay(grid, closed, start, goal)).toBeNull();
    // With every inner wall gone there are many.
    const all = open.map((_, wall) => (grid.walls.other[wall]! >= 0 ? 1 : 0));
    expect(onlyWay(grid, all, start, goal)).toBeNull();
  });

  it('winding makes ways long and dead ends few', () => {
    const grid = mazeGrid('square', 30, 30);
    const mean = (winding: number) => {
      let [way, dead] = [0, 0];
      for (let seed = 0; seed < 40; seed++) {
        const maze = makeMaze(grid, 'anywhere', winding, randomStream('winding', seed));
        way += maze.way.length / 40;
        for (let cell = 0; cell < grid.cells; cell++) {
          let exits = 0;
          for (let i = grid.first[cell]!; i < grid.first[cell + 1]!; i++)
            exits += maze.open[grid.through[i]!]!;
          if (exits === 1) dead += 1 / 40;
        }
      }
      return { way: way / grid.cells, dead: dead / grid.cells };
    };
    const [straight, branching] = [mean(1), mean(0)];
    // Depth-first mazes are known for about a tenth of dead ends (Buck 2015, Mazes for Programmers, from memory).
    expect(straight.dead).toBeGreaterThan(0.08);
    expect(straight.dead).toBeLessThan(0.13);
    expect(branching.dead).toBeGreaterThan(2 * straight.dead);
    expect(straight.way).toBeGreaterThan(2 * branching.way);
  });
});

describe('the turns of a way', () => {
  it('are its quarter turns on squares, and none where it runs straight on, whatever the grid', () => {
    const grid = mazeGrid('square', 6, 6);
    const turns = (...cells: [column: number, row: number][]) =>
      turnsOf(
        grid,
        cells.map(([column, row]) => row * 6 + column),
      );
    expect(turns([0, 0], [1, 0], [2, 0], [3, 0])).toBe(0);
    expect(turns([0, 0], [1, 0], [2, 0], [2, 1], [2, 2])).toBeCloseTo(1);
    expect(turns([0, 0], [1, 0], [2, 0], [2, 1], [2, 2], [1, 2], [0, 2])).toBeCloseTo(2);
    expect(turns([0, 0])).toBe(0);
    // A row of triangles is gone through straight on.
    const triangles = mazeGrid('triangle', 8, 6);
    const row = [...triangles.x.keys()]
      .filter((cell) => Math.abs(triangles.y[cell]! - triangles.y[0]!) < 0.5)
      .sort((a, b) => triangles.x[a]! - triangles.x[b]!);
    expect(row.length).toBeGreaterThan(5);
    expect(turnsOf(triangles, row)).toBeCloseTo(0);
  });
});

describe('levels of mazes', () => {
  it('each has a fifth of those that are made; harder ones have longer ways with more turns, and more deep branches to get lost in', () => {
    const grid = mazeGrid('square', 14, 14);
    const steps = mazeScale('test', grid, 'outer', 0.7, 'turns');
    let scale: readonly number[] = [];
    for (let step = steps.next(); ; step = steps.next())
      if (step.done) {
        scale = step.value;
        break;
      }
    const levels = [1, 2, 3, 4, 5].map(() => ({ mazes: 0, way: 0, deep: 0, turns: 0 }));
    for (let seed = 0; seed < 600; seed++) {
      const maze = makeMaze(grid, 'outer', 0.7, randomStream('levels', seed));
      const level = levels[levelOn(scale, difficulty(grid, maze, 'turns')) - 1]!;
      level.mazes++;
      level.way += maze.way.length;
      level.deep += deepBranches(grid, maze.open, maze.way);
      level.turns += turnsOf(grid, maze.way);
    }
    for (const { mazes } of levels) expect(mazes).toBeGreaterThan(50);
    const mean = (of: 'way' | 'deep' | 'turns') => levels.map((level) => level[of] / level.mazes);
    for (const means of [mean('way'), mean('deep'), mean('turns')]) {
      expect(means[2]!).toBeGreaterThan(means[0]!);
      expect(means[4]!).toBeGreaterThan(means[2]!);
      expect(means[4]!).toBeGreaterThan(1.15 * means[0]!);
    }
  });
});

/** Branches off the way that go on for more than four cells. */
function deepBranches(grid: Grid, open: Uint8Array, way: readonly number[]): number {
  const barred = open.slice();
  for (let wall = 0; wall < open.length; wall++)
    if (way.includes(grid.walls.one[wall]!) && way.includes(grid.walls.other[wall]!)) barred[wall] = 0;
  let deep = 0;
  for (const cell of way) {
    const { far, before } = distances(grid, barred, cell);
    const begun = new Set<number>();
    far.forEach((steps, at) => {
      if (steps <= 4) return;
      let branch = at;
      while (before[branch] !== cell) branch = before[branch]!;
      begun.add(branch);
    });
    deep += begun.size;
  }
  return deep;
}

describe('mazes in an outline', () => {
  const OUTLINES = [...Object.keys(SHAPES), ...OUTLINE_LETTERS];
  const TILINGS = GRIDS.filter((id) => id !== 'circle');

  it('have the largest part that lies in it, one way through it, and doors with room before them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TILINGS),
        fc.constantFrom(...OUTLINES),
        fc.integer({ min: 8, max: 30 }),
        fc.constantFrom(...ENDS),
        fc.integer(),
        (id, outline, side, ends, seed) => {
          const whole = mazeGrid(id, side, side);
          const solid = solidOf(outline);
          const grid = gridWithin(whole, solid);
          expect(grid.cells).toBeGreaterThan(3);
          expect(grid.cells).toBeLessThan(whole.cells);
          // By a library of graphs: all cells of the grid in one part, and a tree of passages.
          const graph = new Graph({ type: 'undirected' });
          for (let cell = 0; cell < grid.cells; cell++) graph.addNode(cell);
          const maze = makeMaze(grid, ends, 0.7, randomStream('outline', seed));
          maze.open.forEach((open, wall) => {
            if (open) graph.addEdge(grid.walls.one[wall], grid.walls.other[wall]);
          });
          expect(graph.size).toBe(grid.cells - 1);
          expect(connectedComponents(graph)).toHaveLength(1);
          expect(bidirectional(graph, maze.start, maze.goal)?.map(Number)).toEqual(maze.way);
          if (ends === 'outer')
            for (const end of [maze.start, maze.goal]) expect(grid.doors!.has(end)).toBe(true);
          for (const [cell, wall] of grid.doors!) {
            expect(grid.walls.one[wall]).toBe(cell);
            expect(grid.walls.other[wall]).toBe(-1);
          }
        },
      ),
      { numRuns: everything ? 1_000 : 60 },
    );
  });

  it('of squares are the cells that the outline of letters has, but for those at its edge', () => {
    const squares = mazeGrid('square', 24, 24);
    for (const outline of ['heart', 'star', 'cat', 'E']) {
      const cells = gridWithin(squares, solidOf(outline)).cells;
      const looked = cellsInside(outline, 24, 24).reduce((sum, one) => sum + one, 0);
      expect(Math.abs(cells - looked) / looked).toBeLessThan(0.08);
    }
  });
});

describe('mazes that are all as likely', () => {
  /** As many trees as a grid has: any cofactor of its Laplacian (Kirchhoff 1847, the matrix-tree theorem). */
  function treesOf({ cells, first, next }: Grid): number {
    const matrix = Array.from({ length: cells - 1 }, (_, row) => {
      const line = Array<number>(cells - 1).fill(0);
      for (const to of next.subarray(first[row]!, first[row + 1]!)) {
        line[row]!++;
        if (to < cells - 1) line[to]!--;
      }
      return line;
    });
    let determinant = 1;
    for (let at = 0; at < matrix.length; at++) {
      const best = matrix
        .slice(at)
        .reduce((one, line) => (Math.abs(line[at]!) > Math.abs(one[at]!) ? line : one));
      const from = matrix.indexOf(best);
      if (from !== at) {
        [matrix[at], matrix[from]] = [matrix[from]!, matrix[at]!];
        determinant = -determinant;
      }
      const pivot = matrix[at]!;
      determinant *= pivot[at]!;
      for (const line of matrix.slice(at + 1)) {
        const share = line[at]! / pivot[at]!;
        for (let i = at; i < line.length; i++) line[i]! -= share * pivot[i]!;
      }
    }
    return Math.round(determinant);
  }

  it.each([
    // Known numbers of spanning trees of square grids, OEIS A007341: 4, 192, 100352.
    [mazeGrid('square', 3, 3), 192],
    // A triangle grid of three rows, counted by the theorem alone.
    [mazeGrid('triangle', 3, 3), null],
  ] as const)('are as many as the matrix-tree theorem counts, each as often as another', (grid, known) => {
    const trees = treesOf(grid);
    if (known) expect(trees).toBe(known);
    expect(trees).toBeGreaterThan(10);
    const each = 60;
    const random = randomStream('even', grid.id);
    const counts = new Map<string, number>();
    for (let i = 0; i < each * trees; i++) {
      const tree = openWallsEvenly(grid, random).join('');
      counts.set(tree, (counts.get(tree) ?? 0) + 1);
    }
    expect(counts.size).toBe(trees);
    const spread = [...counts.values()].reduce((sum, count) => sum + (count - each) ** 2 / each, 0);
    // Chi-square of so many degrees lies within four standard deviations of their number.
    const degrees = trees - 1;
    expect(Math.abs(spread - degrees)).toBeLessThan(4 * Math.sqrt(2 * degrees));
  });

  it('are not what growing trees give: some of those come more often', () => {
    const grid = mazeGrid('square', 3, 3);
    const random = randomStream('grown');
    const counts = new Map<string, number>();
    for (let i = 0; i < 60 * 192; i++) {
      const tree = makeMaze(grid, 'outer', 0.7, random).open.join('');
      counts.set(tree, (counts.get(tree) ?? 0) + 1);
    }
    const spread = [...counts.values()].reduce((sum, count) => sum + (count - 60) ** 2 / 60, 0);
    expect(spread).toBeGreaterThan(191 + 4 * Math.sqrt(2 * 191));
  });
});
