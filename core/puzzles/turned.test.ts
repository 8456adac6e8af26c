import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../random.ts';
import { sameInequality } from './inequality/same.ts';
import { mazeGrid, sameMaze } from './maze/index.ts';
import { openWalls } from './maze/make.ts';
import { makePyramid } from './pyramid/index.ts';
import { samePyramid } from './pyramid/same.ts';
import { leastGroups, leastTurned, renamed, turnings } from './turned.ts';

const rectangle = fc
  .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }))
  .chain(([columns, rows]) =>
    fc.record({
      columns: fc.constant(columns),
      cells: fc.array(fc.constantFrom('a', 'b', 'c'), {
        minLength: columns * rows,
        maxLength: columns * rows,
      }),
    }),
  );

/** A quarter turn clockwise, by the definition: the first column, from below, becomes the first row. */
function quarter({ columns, cells }: { columns: number; cells: string[] }) {
  const rows = cells.length / columns;
  const lines = Array.from({ length: columns }, (_, x) =>
    Array.from({ length: rows }, (_, i) => cells[(rows - 1 - i) * columns + x]!),
  );
  return { columns: rows, cells: lines.flat() };
}
const mirror = ({ columns, cells }: { columns: number; cells: string[] }) => ({
  columns,
  cells: Array.from({ length: cells.length / columns }, (_, row) =>
    cells.slice(row * columns, (row + 1) * columns).reverse(),
  ).flat(),
});
const told = ({ columns, cells }: { columns: number; cells: string[] }) => leastTurned(columns, cells);

describe('a rectangle that is turned and mirrored', () => {
  it('is eight ways to lay it, each with every cell once', () => {
    const ways = turnings(3, 2);
    expect(new Set(ways.map(({ was }) => was.join())).size).toBe(8);
    for (const { columns, was, now } of ways) {
      expect([2, 3]).toContain(columns);
      expect([...was].sort()).toEqual([0, 1, 2, 3, 4, 5]);
      expect(was.map((cell) => now[cell])).toEqual([0, 1, 2, 3, 4, 5]);
    }
  });

  it('says the same after quarter turns and in a mirror', () => {
    fc.assert(
      fc.property(rectangle, (given) => {
        expect(told(quarter(given))).toBe(told(given));
        expect(told(mirror(given))).toBe(told(given));
      }),
    );
  });

  it('says something else when a cell is another', () => {
    fc.assert(
      fc.property(rectangle, ({ columns, cells }) => {
        const other: string[] = cells.slice();
        other[0] = 'd';
        expect(told({ columns, cells: other })).not.toBe(told({ columns, cells }));
      }),
    );
    expect(told({ columns: 1, cells: ['a', 'b', 'c', 'a'] })).not.toBe(
      told({ columns: 2, cells: ['a', 'b', 'c', 'a'] }),
    );
  });

  it('keeps groups of cells together', () => {
    const groups = [
      { cells: [0, 1], says: '3+' },
      { cells: [2, 3], says: '1-' },
    ];
    const turned = [
      { cells: [1, 3], says: '3+' },
      { cells: [0, 2], says: '1-' },
    ];
    expect(leastGroups(2, turned)).toBe(leastGroups(2, groups));
    expect(leastGroups(2, [{ cells: [0, 1], says: '4+' }, groups[1]!])).not.toBe(leastGroups(2, groups));
  });

  it('names signs by their order', () => {
    expect(renamed([...'7.73.1']).join('')).toBe('a.ab.c');
  });
});

describe('mazes that are the same', () => {
  const mazeOn = (id: 'square' | 'hexagon' | 'triangle' | 'circle', seed: number) => {
    const grid = mazeGrid(id, 6, 5);
    const open = openWalls(grid, 0.5, randomStream('same', seed));
    return { grid, maze: { open, start: 0, goal: grid.cells - 1, way: [] } };
  };

  it('are so from the other end, and are told apart by one wall', () => {
    for (const id of ['square', 'hexagon', 'triangle', 'circle'] as const) {
      const { grid, maze } = mazeOn(id, 1);
      const form = sameMaze(grid, maze);
      expect(sameMaze(grid, { ...maze, start: maze.goal, goal: maze.start })).toBe(form);
      const open = maze.open.slice();
      const wall = open.findIndex((is, i) => !is && grid.walls.one[i]! >= 0 && grid.walls.other[i]! >= 0);
      open[wall] = 1;
      expect(sameMaze(grid, { ...maze, open })).not.toBe(form);
      expect(sameMaze(mazeOn(id, 2).grid, mazeOn(id, 2).maze)).not.toBe(form);
    }
  });

  it('are so turned: squares moved cell by cell', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.nat(7), (seed, way) => {
        const { grid, maze } = mazeOn('square', seed);
        const { columns, now } = turnings(6, 5)[way]!;
        const turned = mazeGrid('square', columns, 30 / columns);
        const between = (a: number, b: number) => [a, b].sort((x, y) => x - y).join();
        const opened = new Set<string>();
        maze.open.forEach((is, wall) => {
          if (is) opened.add(between(now[grid.walls.one[wall]!]!, now[grid.walls.other[wall]!]!));
        });
        const open = Uint8Array.from(turned.walls.one, (one, wall) =>
          opened.has(between(one, turned.walls.other[wall]!)) ? 1 : 0,
        );
        const ends = { start: now[maze.start]!, goal: now[maze.goal]!, way: [] };
        expect(sameMaze(turned, { open, ...ends })).toBe(sameMaze(grid, maze));
      }),
      { numRuns: 40 },
    );
  });
});

describe('other puzzles that are the same', () => {
  it('inequality grids counted from the other end', () => {
    const puzzle = {
      size: 2,
      givens: '1...',
      solution: '1221',
      signs: [{ less: 0, more: 1 }],
    };
    const downwards = { size: 2, givens: '2...', solution: '2112', signs: [{ less: 1, more: 0 }] };
    expect(sameInequality(downwards)).toBe(sameInequality(puzzle));
    expect(sameInequality({ ...puzzle, signs: [] })).not.toBe(sameInequality(puzzle));
    const mirrored = { size: 2, givens: '.1..', solution: '2112', signs: [{ less: 1, more: 0 }] };
    expect(sameInequality(mirrored)).toBe(sameInequality(puzzle));
  });

  it('pyramids in a mirror', () => {
    const made = makePyramid(4, 9, randomStream('pyramid'));
    const swap = <T>(bricks: readonly T[]) =>
      [0, 1, 2, 3].flatMap((row) =>
        bricks.slice((row * (row + 1)) / 2, ((row + 1) * (row + 2)) / 2).reverse(),
      );
    const mirrored = { ...made, givens: swap(made.givens), solution: swap(made.solution) };
    expect(mirrored.solution).not.toEqual(made.solution);
    expect(samePyramid(mirrored)).toBe(samePyramid(made));
    expect(samePyramid({ ...made, givens: made.solution })).not.toBe(samePyramid(made));
  });
});
