import { largestPart } from '../../largest-part.ts';
import type { Bridge } from './bridges.ts';
import type { Floors } from './floors.ts';

/** The tilings that a maze can stand on. */
export const GRIDS = ['square', 'triangle', 'hexagon', 'octagon', 'circle'] as const;
export type GridId = (typeof GRIDS)[number];

/**
 * Cells of a tiling and the walls between them, as one compact graph. Lengths in cells: the pitch of the squares, the height of
 * a ring. y goes downwards.
 */
export interface Grid {
  id: GridId;
  cells: number;
  /** Round all walls; its upper left corner is 0, 0. */
  width: number;
  height: number;
  /** The middle of each cell. */
  x: Float64Array;
  y: Float64Array;
  walls: {
    /** The cells on either side; -1 for the outside. */
    one: Int32Array;
    other: Int32Array;
    /** Ends, four numbers a wall. */
    ends: Float64Array;
    /** Of arcs about the middle of the grid, or of their floor, clockwise from the first end to the second; 0 for a straight wall. */
    radius: Float64Array;
  };
  /** Neighbors of a cell: `next[first[cell]]` up to `next[first[cell + 1]]`, each through the wall of the same place in `through`. */
  first: Int32Array;
  next: Int32Array;
  through: Int32Array;
  /** In an outline, by cell: the wall to the outside that has room before it. Any wall to the outside has, if left out. */
  doors?: ReadonlyMap<number, number>;
  /** Where passages cross: cells from `cells` on lie under the bridges, in their order; the walls that are open in every maze. */
  bridged?: { cells: number; bridges: readonly Bridge[]; bound: Uint8Array };
  /** Where it lies on several floors. */
  floors?: Floors;
}

export interface Wall {
  one: number;
  other: number;
  ends: readonly [x1: number, y1: number, x2: number, y2: number];
  radius?: number;
}

/** The graph of cells and walls whose places are those on the grid. */
export function graphOf(
  { id, width, height }: Pick<Grid, 'id' | 'width' | 'height'>,
  centers: readonly (readonly [number, number])[],
  walls: readonly Wall[],
): Grid {
  const cells = centers.length;
  const first = new Int32Array(cells + 1);
  for (const { one, other } of walls)
    if (other >= 0) {
      first[one + 1]!++;
      first[other + 1]!++;
    }
  for (let cell = 0; cell < cells; cell++) first[cell + 1]! += first[cell]!;
  const at = first.slice();
  const next = new Int32Array(first[cells]!);
  const through = new Int32Array(first[cells]!);
  walls.forEach(({ one, other }, wall) => {
    if (other < 0) return;
    for (const [from, to] of [
      [one, other],
      [other, one],
    ] as const) {
      next[at[from]!] = to;
      through[at[from]!++] = wall;
    }
  });
  return {
    ...{ id, cells, width, height },
    x: Float64Array.from(centers, ([x]) => x),
    y: Float64Array.from(centers, ([, y]) => y),
    walls: {
      one: Int32Array.from(walls, ({ one }) => one),
      other: Int32Array.from(walls, ({ other }) => other),
      ends: Float64Array.from(walls.flatMap(({ ends }) => ends)),
      radius: Float64Array.from(walls, ({ radius }) => radius ?? 0),
    },
    ...{ first, next, through },
  };
}

/** As `graphOf`, of cells and walls wherever they lie: moved so that the upper left corner of all walls is at 0, 0. */
export function gridOf(
  id: GridId,
  centers: readonly (readonly [number, number])[],
  walls: readonly Wall[],
): Grid {
  // A circle reaches as far as its outermost ring, whatever the ends of its arcs are.
  const reach = -least(walls.map(({ radius = 0 }) => -radius));
  const xs = reach ? [-reach, reach] : walls.flatMap(({ ends: [x1, , x2] }) => [x1, x2]);
  const ys = reach ? [-reach, reach] : walls.flatMap(({ ends: [, y1, , y2] }) => [y1, y2]);
  const [left, top] = [least(xs), least(ys)];
  return graphOf(
    { id, width: -least(xs.map((x) => -x)) - left, height: -least(ys.map((y) => -y)) - top },
    centers.map(([x, y]) => [x - left, y - top] as const),
    walls.map((wall): Wall => {
      const [x1, y1, x2, y2] = wall.ends;
      return { ...wall, ends: [x1 - left, y1 - top, x2 - left, y2 - top] };
    }),
  );
}

/** About what its arcs are drawn. */
export const middleOf = ({ width, height }: Pick<Grid, 'width' | 'height'>): readonly [number, number] => [
  width / 2,
  height / 2,
];

/** Where a wall ends. */
export const endsOfWall = ({ walls }: Grid, wall: number) =>
  Array.from(walls.ends.subarray(4 * wall, 4 * wall + 4)) as unknown as Wall['ends'];

const least = (numbers: readonly number[]): number =>
  numbers.reduce((one, other) => Math.min(one, other), Infinity);

type Corner = readonly [x: number, y: number];

/** A grid of polygons: those that share a side are neighbors. */
function gridOfPolygons(id: GridId, polygons: readonly (readonly Corner[])[]): Grid {
  const name = ([x, y]: Corner) => `${Math.round(x * 1e6)},${Math.round(y * 1e6)}`;
  const walls = new Map<string, { one: number; other: number; ends: [number, number, number, number] }>();
  polygons.forEach((corners, cell) => {
    corners.forEach((from, i) => {
      const to = corners[(i + 1) % corners.length]!;
      const key = [name(from), name(to)].sort().join(' ');
      const known = walls.get(key);
      if (known) known.other = cell;
      else walls.set(key, { one: cell, other: -1, ends: [...from, ...to] });
    });
  });
  const middle = (corners: readonly Corner[]): Corner => [
    corners.reduce((sum, [x]) => sum + x, 0) / corners.length,
    corners.reduce((sum, [, y]) => sum + y, 0) / corners.length,
  ];
  return gridOf(id, polygons.map(middle), [...walls.values()]);
}

const times = <T>(count: number, make: (i: number) => T): T[] =>
  Array.from({ length: count }, (_, i) => make(i));
const regular = (sides: number, x: number, y: number, radius: number, turn: number): Corner[] =>
  times(sides, (i) => {
    const angle = turn + (2 * Math.PI * i) / sides;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

const squares = (columns: number, rows: number): Grid =>
  gridOfPolygons(
    'square',
    times(columns * rows, (cell) => {
      const [x, y] = [cell % columns, Math.floor(cell / columns)];
      return [
        [x, y],
        [x + 1, y],
        [x + 1, y + 1],
        [x, y + 1],
      ];
    }),
  );

/** Sides of triangles, so that their height and half their side are about a cell. */
const TRIANGLE = 1.3;

const triangles = (columns: number, rows: number): Grid =>
  gridOfPolygons(
    'triangle',
    times(columns * rows, (cell) => {
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      const high = (TRIANGLE * Math.sqrt(3)) / 2;
      const [left, right] = [(column * TRIANGLE) / 2, ((column + 2) * TRIANGLE) / 2];
      const [top, bottom] = [row * high, (row + 1) * high];
      return (column + row) % 2 === 0
        ? [
            [left, bottom],
            [(left + right) / 2, top],
            [right, bottom],
          ]
        : [
            [left, top],
            [right, top],
            [(left + right) / 2, bottom],
          ];
    }),
  );

const hexagons = (columns: number, rows: number): Grid =>
  gridOfPolygons(
    'hexagon',
    times(columns * rows, (cell) => {
      const [column, row] = [cell % columns, Math.floor(cell / columns)];
      const side = 1 / Math.sqrt(3);
      return regular(6, column + (row % 2) / 2, row * 1.5 * side, side, Math.PI / 6);
    }),
  );

/** What is cut off each corner of a square to make it an octagon with equal sides. */
const CUT = 1 / (2 + Math.SQRT2);

const octagons = (columns: number, rows: number): Grid => {
  const large = times(columns * rows, (cell): Corner[] => {
    const [x, y] = [cell % columns, Math.floor(cell / columns)];
    return [
      [x + CUT, y],
      [x + 1 - CUT, y],
      [x + 1, y + CUT],
      [x + 1, y + 1 - CUT],
      [x + 1 - CUT, y + 1],
      [x + CUT, y + 1],
      [x, y + 1 - CUT],
      [x, y + CUT],
    ];
  });
  // A small square where four of them meet.
  const small = times((columns - 1) * (rows - 1), (i): Corner[] => {
    const [x, y] = [(i % (columns - 1)) + 1, Math.floor(i / (columns - 1)) + 1];
    return [
      [x, y - CUT],
      [x + CUT, y],
      [x, y + CUT],
      [x - CUT, y],
    ];
  });
  return gridOfPolygons('octagon', [...large, ...small]);
};

/** Cells of the ring about the middle, and the width of a cell from which a ring has twice as many. */
const INNERMOST = 6;
const WIDEST = 1.6;

/** Rings about a round cell; a ring has twice the cells of the one inside it where they would become too wide. */
function rings(count: number): Grid {
  const centers: Corner[] = [[0, 0]];
  const walls: Wall[] = [];
  const point = (radius: number, angle: number): Corner => [
    radius * Math.cos(angle),
    radius * Math.sin(angle),
  ];
  let inner = { from: 0, cells: 1 };
  for (let ring = 1; ring <= count; ring++) {
    const wide = (2 * Math.PI * ring) / inner.cells;
    const cells = ring === 1 ? INNERMOST : inner.cells * (wide > WIDEST ? 2 : 1);
    const from = centers.length;
    const step = (2 * Math.PI) / cells;
    for (let i = 0; i < cells; i++) {
      const [start, end] = [i * step, (i + 1) * step];
      centers.push(point(ring + 0.5, (start + end) / 2));
      // Its wall to the next of the ring, and to the cell inside it.
      walls.push({
        one: from + i,
        other: from + ((i + 1) % cells),
        ends: [...point(ring, end), ...point(ring + 1, end)],
      });
      walls.push({
        one: from + i,
        other: inner.from + Math.floor((i * inner.cells) / cells),
        ends: [...point(ring, start), ...point(ring, end)],
        radius: ring,
      });
      if (ring === count)
        walls.push({
          one: from + i,
          other: -1,
          ends: [...point(ring + 1, start), ...point(ring + 1, end)],
          radius: ring + 1,
        });
    }
    inner = { from, cells };
  }
  return gridOf('circle', centers, walls);
}

/**
 * A grid of about so many cells across and down; rings as many as fit the smaller of both.
 * @param columns at least 3 @param rows at least 3
 */
export function mazeGrid(id: GridId, columns: number, rows: number): Grid {
  switch (id) {
    case 'square':
      return squares(columns, rows);
    case 'triangle':
      // So that triangles cover as much as squares would.
      return triangles(
        Math.max(3, Math.round((columns * 2) / TRIANGLE) - 1),
        Math.max(3, Math.round((rows * 2) / (TRIANGLE * Math.sqrt(3)))),
      );
    case 'hexagon':
      return hexagons(columns, Math.max(3, Math.round((rows * 2) / Math.sqrt(3))));
    case 'octagon':
      return octagons(columns, rows);
    case 'circle':
      return rings(Math.max(2, Math.floor((Math.min(columns, rows) - 1) / 2)));
  }
}

/** What stands before a door reaches so far, in cells, and comes no nearer to a cell than this. */
const REACH = [0.6, 1.2, 1.8];
const CLEAR = 1.02;

/**
 * The part of a grid that lies in an outline: the largest that hangs together, of cells whose middle does.
 * @param grid of straight walls
 * @param inside the outline, in the square from −1 to 1
 */
export function gridWithin(grid: Grid, inside: (x: number, y: number) => boolean): Grid {
  const { cells, x, y, first, next, walls } = grid;
  const kept = new Int32Array(cells).fill(-1);
  const isInside = Uint8Array.from(x, (_, cell) =>
    inside((2 * x[cell]!) / grid.width - 1, (2 * y[cell]!) / grid.height - 1) ? 1 : 0,
  );
  const best = largestPart(
    cells,
    (cell) => isInside[cell] === 1,
    (cell) => next.subarray(first[cell]!, first[cell + 1]!),
  );
  best.sort((a, b) => a - b);
  best.forEach((cell, i) => {
    kept[cell] = i;
  });
  const left: Wall[] = [];
  walls.one.forEach((one, wall) => {
    const other = walls.other[wall]!;
    const [a, b] = [kept[one]!, other < 0 ? -1 : kept[other]!];
    if (a < 0 && b < 0) return;
    const ends = endsOfWall(grid, wall);
    left.push({ one: a < 0 ? b : a, other: a < 0 ? -1 : b, ends });
  });
  const part = gridOf(
    grid.id,
    best.map((cell) => [x[cell]!, y[cell]!] as const),
    left,
  );
  return { ...part, doors: doorsOf(part) };
}

/** By cell, the first of its walls to the outside before which no other cell lies. */
function doorsOf(grid: Grid): Map<number, number> {
  const { x, y } = grid;
  return doorsWith(grid, (cell, before) =>
    REACH.every((reach) => {
      const [px, py] = before(reach);
      return x.every((cx, i) => i === cell || Math.hypot(cx - px, y[i]! - py) >= CLEAR);
    }),
  );
}

/**
 * By cell, the first of its walls to the outside that has room before it.
 * @param hasRoom asked with the place that lies so far out before the middle of the wall, in cells
 */
export function doorsWith(
  grid: Grid,
  hasRoom: (cell: number, before: (reach: number) => readonly [number, number]) => boolean,
): Map<number, number> {
  const { x, y, walls } = grid;
  const doors = new Map<number, number>();
  walls.other.forEach((other, wall) => {
    const cell = walls.one[wall]!;
    if (other >= 0 || doors.has(cell)) return;
    const [x1, y1, x2, y2] = endsOfWall(grid, wall);
    const at = [(x1 + x2) / 2, (y1 + y2) / 2] as const;
    const away = Math.hypot(at[0] - x[cell]!, at[1] - y[cell]!);
    const out = [(at[0] - x[cell]!) / away, (at[1] - y[cell]!) / away] as const;
    if (hasRoom(cell, (reach) => [at[0] + out[0] * reach, at[1] + out[1] * reach])) doors.set(cell, wall);
  });
  return doors;
}
