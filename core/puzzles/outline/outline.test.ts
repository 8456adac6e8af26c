import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellsInside, OUTLINE_LETTERS, SHAPES } from './index.ts';

const OUTLINES = [...Object.keys(SHAPES), ...OUTLINE_LETTERS];

/** How many parts of cells there are that share no side with each other, by union and find. */
function parts(cells: Uint8Array, columns: number): number {
  const parent = Array.from(cells, (_, at) => at);
  const root = (at: number): number => {
    let top = at;
    while (parent[top] !== top) top = parent[top]!;
    return top;
  };
  cells.forEach((inside, at) => {
    if (!inside) return;
    if (at % columns && cells[at - 1]) parent[root(at)] = root(at - 1);
    if (at >= columns && cells[at - columns]) parent[root(at)] = root(at - columns);
  });
  return new Set([...cells.keys()].filter((at) => cells[at]).map(root)).size;
}

const rowsOf = (outline: string, side: number): string[] => {
  const cells = cellsInside(outline, side, side);
  return Array.from({ length: side }, (_, row) =>
    [...cells.slice(row * side, (row + 1) * side)].map((one) => (one ? '#' : '.')).join(''),
  );
};

describe('outlines of grids', () => {
  it('are 24 and more, apart from the letters and digits', () => {
    expect(Object.keys(SHAPES).length).toBeGreaterThanOrEqual(24);
    expect(OUTLINE_LETTERS).toHaveLength(36);
  });

  it('hang together at any size, and take a good part of the grid', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...OUTLINES),
        fc.integer({ min: 6, max: 40 }),
        fc.integer({ min: 6, max: 40 }),
        (outline, columns, rows) => {
          const cells = cellsInside(outline, columns, rows);
          expect(cells).toHaveLength(columns * rows);
          expect(parts(cells, columns)).toBe(1);
          const share = cells.reduce((sum, one) => sum + one, 0) / cells.length;
          expect(share).toBeGreaterThan(0.15);
          expect(share).toBeLessThan(0.97);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('are told from each other at the size of a usual grid', () => {
    const all = OUTLINES.map((outline) => rowsOf(outline, 16).join('\n'));
    const twice = all.filter((one, i) => all.indexOf(one) !== i);
    // 0 and O are drawn alike, as in most alphabets.
    expect(twice.length).toBeLessThanOrEqual(1);
  });

  it('are what they say: a circle has the area of one, a ring its hole, an L two strokes', () => {
    const circle = cellsInside('circle', 40, 40).reduce((sum, one) => sum + one, 0) / 1600;
    expect(Math.abs(circle - Math.PI / 4)).toBeLessThan(0.01);
    expect(rowsOf('ring', 15)[7]).toMatch(/^#+\.+#+$/);
    const l = rowsOf('L', 15);
    expect(l[7]).toMatch(/^#+\.+$/);
    expect(l[13]).toMatch(/^#+$/);
  });

  it('are the same on both sides where they are drawn so', () => {
    for (const outline of ['heart', 'star', 'tree', 'cat', 'bear', 'butterfly', 'bell', 'A', 'T', 'O', '8'])
      for (const row of rowsOf(outline, 21)) expect([...row].reverse().join(''), outline).toBe(row);
  });

  it('that do not exist are refused', () => {
    expect(() => cellsInside('é', 10, 10)).toThrow(/“é” is no capital/);
    expect(() => cellsInside('toString', 10, 10)).toThrow(RangeError);
  });
});
