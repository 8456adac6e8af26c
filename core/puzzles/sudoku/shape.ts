/** How many cells a side can have. */
export const SIZES = [4, 6, 9, 12, 16] as const;
export type Size = (typeof SIZES)[number];

/**
 * `diagonal`: both long diagonals hold every digit too; `jigsaw`: the boxes are of any outline; `killer`: nothing is given but the sums of
 * cages.
 */
export const VARIANTS = ['classic', 'diagonal', 'jigsaw', 'killer'] as const;
export type Variant = (typeof VARIANTS)[number];

/** Rows and columns of a box. */
const BOXES: Record<Size, readonly [rows: number, columns: number]> = {
  4: [2, 2],
  6: [2, 3],
  9: [3, 3],
  12: [3, 4],
  16: [4, 4],
};

/** Two units that share cells: what is locked in them in one leaves the rest of the other. */
export interface Crossing {
  /** The units, and which of their places they share, as bits. */
  one: number;
  inOne: number;
  other: number;
  inOther: number;
}

/**
 * What a grid is made of: cells by index, row by row; units are the groups in which every digit stands once. Rows come
 * first, then columns, then boxes, then diagonals. Nothing in it changes.
 */
export interface Shape {
  size: Size;
  variant: Variant;
  cells: number;
  /** Cells of each unit, in order. */
  units: readonly Int16Array[];
  /** The box of each cell, from 0. */
  boxOf: Uint8Array;
  /** For each cell its units, each times the size, and the bit of its place in each, in turn. */
  places: readonly Int32Array[];
  /** For each cell those that share a unit with it. */
  peers: readonly Int16Array[];
  /** 1 where two cells share a unit: `sees[one * cells + other]`. */
  sees: Uint8Array;
  crossings: readonly Crossing[];
}

/** @param boxOf the box of each cell, `size` cells to each */
export function shapeWith(size: Size, variant: Variant, boxOf: Uint8Array): Shape {
  const cells = size * size;
  const side = Array.from({ length: size }, (_, i) => i);
  const all = Array.from({ length: cells }, (_, i) => i);
  const unit = (of: number[]) => Int16Array.from(of);
  const units = [
    ...side.map((row) => unit(side.map((i) => row * size + i))),
    ...side.map((column) => unit(side.map((i) => i * size + column))),
    ...side.map((box) => unit(all.filter((cell) => boxOf[cell] === box))),
  ];
  if (variant === 'diagonal')
    units.push(unit(side.map((i) => i * size + i)), unit(side.map((i) => i * size + size - 1 - i)));
  const unitsOf = all.map((cell) => units.flatMap((of, u) => (of.includes(cell) ? [u] : [])));
  const peers = all.map((cell) =>
    unit([...new Set(unitsOf[cell]!.flatMap((u) => [...units[u]!]))].filter((other) => other !== cell)),
  );
  const sees = new Uint8Array(cells * cells);
  peers.forEach((of, cell) => {
    for (const other of of) sees[cell * cells + other] = 1;
  });
  const bits = (of: Int16Array, shared: readonly number[]) =>
    shared.reduce((mask, cell) => mask | (1 << of.indexOf(cell)), 0);
  const crossings = units.flatMap((one, i) =>
    units.flatMap((other, j): Crossing[] => {
      if (i === j) return [];
      const shared = [...one].filter((cell) => other.includes(cell));
      return shared.length < 2 || shared.length === size
        ? []
        : [{ one: i, inOne: bits(one, shared), other: j, inOther: bits(other, shared) }];
    }),
  );
  return {
    size,
    variant,
    cells,
    units,
    boxOf,
    places: all.map((cell) =>
      Int32Array.from(unitsOf[cell]!.flatMap((u) => [u * size, 1 << units[u]!.indexOf(cell)])),
    ),
    peers,
    sees,
    crossings,
  };
}

/** The box of each cell where boxes are rectangles. */
export function rectangularBoxes(size: Size): Uint8Array {
  const [rows, columns] = BOXES[size];
  return Uint8Array.from({ length: size * size }, (_, cell) => {
    const row = Math.floor(cell / size);
    return Math.floor(row / rows) * rows + Math.floor((cell % size) / columns);
  });
}

const made = new Map<string, Shape>();

/** The shape of a size with rectangular boxes, made once. */
export function shapeOf(size: Size, variant: 'classic' | 'diagonal' = 'classic'): Shape {
  const key = `${size} ${variant}`;
  const shape = made.get(key) ?? shapeWith(size, variant, rectangularBoxes(size));
  made.set(key, shape);
  return shape;
}

/** Digits first, then letters: what stands for the values from 1 on. */
export const SIGNS = '123456789ABCDEFG';

/** A grid in characters, row by row, `.` for an empty cell. */
export const gridText = (values: ArrayLike<number>): string =>
  Array.from(values, (value) => (value === 0 ? '.' : SIGNS[value - 1])).join('');

/**
 * Reads a grid in characters; what is no sign of the size is an empty cell.
 * @throws Error where the number of characters is not that of the cells
 */
export function readGrid(size: Size, text: string): Uint8Array {
  const signs = text.replace(/\s/g, '').toUpperCase();
  if (signs.length !== size * size)
    throw new Error(`A grid of ${size} × ${size} has ${size * size} characters, not ${signs.length}.`);
  const grid = new Uint8Array(signs.length);
  for (let cell = 0; cell < grid.length; cell++) {
    const value = SIGNS.indexOf(signs[cell]!) + 1;
    if (value <= size) grid[cell] = value;
  }
  return grid;
}
