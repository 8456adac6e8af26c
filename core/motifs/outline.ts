import { LRUCache } from 'lru-cache';
import { largestPart } from '../largest-part.ts';
import { CURVE, type Mark, type Matrix, meanScale, readPath, walk } from '../scene/index.ts';
import { type MotifId, motif } from './index.ts';

export type Point = readonly [x: number, y: number];

/** Cells along the edge of the square that a drawing is traced in. */
const CELLS = 220;
/** One more on every side, so that no outline runs along the edge. */
const MARGIN = 2;
const SIDE = CELLS + 2 * MARGIN;
const EDGE = 100;
/** Straight pieces that a curve is taken for. */
const PIECES = 12;
/** Neighbors on either side that a point of the outline is evened out with. */
const EVEN = 3;

const kept = new LRUCache<MotifId, readonly Point[]>({ max: 60 });

/**
 * The outline of a drawing as one shape, clockwise as it is seen, from its highest point: what its fills and lines cover together,
 * traced (Moore neighborhood; Pavlidis, Algorithms for Graphics and Image Processing, 1982, ch. 7, from memory).
 * @returns points of a closed line in a square of edge 1
 * @throws Error when the drawings were not loaded
 */
export function motifOutline(id: MotifId): readonly Point[] {
  const found =
    kept.get(id) ?? evened(traced(largest(covered(id)))).map(([x, y]): Point => [x / SIDE, y / SIDE]);
  kept.set(id, found);
  return found;
}

/** The cells that a drawing covers, row by row. */
function covered(id: MotifId): Uint8Array {
  const { drawing, scale } = motif(id, EDGE);
  const cells = new Uint8Array(SIDE * SIDE);
  const unit = (CELLS / EDGE) * scale;
  const base: Matrix = [unit, 0, 0, unit, MARGIN, MARGIN];
  const whole: Mark = { type: 'group', matrix: base, marks: drawing.marks };
  walk([whole], {
    // What is cut by anything but the sheet lies on a shape that is drawn besides.
    enter: (group) => (group.clip?.path.ops.includes(CURVE) ? 'taken' : undefined),
    path(mark, { matrix }) {
      const lines = flattened(mark.path, matrix);
      if (mark.fill) fill(cells, lines);
      if (mark.stroke) draw(cells, lines, Math.max(1.2, mark.stroke.width * meanScale(matrix)) / 2);
    },
  });
  return cells;
}

type Line = { points: Point[]; closed: boolean };

function flattened(path: Parameters<typeof readPath>[0], m: Matrix): Line[] {
  const lines: Line[] = [];
  const at = (x: number, y: number): Point => [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]];
  let from: Point = [0, 0];
  const add = (x: number, y: number) => {
    lines.at(-1)?.points.push(at(x, y));
    from = [x, y];
  };
  readPath(path, {
    move(x, y) {
      lines.push({ points: [], closed: false });
      add(x, y);
    },
    line: add,
    curve(x1, y1, x2, y2, x, y) {
      const [x0, y0] = from;
      for (let i = 1; i <= PIECES; i++) {
        const t = i / PIECES;
        const s = 1 - t;
        add(
          s ** 3 * x0 + 3 * s * s * t * x1 + 3 * s * t * t * x2 + t ** 3 * x,
          s ** 3 * y0 + 3 * s * s * t * y1 + 3 * s * t * t * y2 + t ** 3 * y,
        );
      }
    },
    close() {
      const line = lines.at(-1);
      if (line) line.closed = true;
    },
  });
  return lines;
}

/** Cells whose middles lie inside, by winding number. */
function fill(cells: Uint8Array, lines: readonly Line[]): void {
  for (let row = 0; row < SIDE; row++) {
    const y = row + 0.5;
    const crossings: { x: number; turn: number }[] = [];
    for (const { points } of lines)
      points.forEach(([x1, y1], i) => {
        const [x2, y2] = points[(i + 1) % points.length]!;
        if (y1 <= y === y2 <= y) return;
        crossings.push({ x: x1 + ((y - y1) / (y2 - y1)) * (x2 - x1), turn: y1 < y2 ? 1 : -1 });
      });
    crossings.sort((a, b) => a.x - b.x);
    let winding = 0;
    crossings.forEach(({ x, turn }, i) => {
      winding += turn;
      const next = crossings[i + 1];
      if (winding === 0 || !next) return;
      for (let column = Math.ceil(x - 0.5); column + 0.5 < next.x; column++)
        if (column >= 0 && column < SIDE) cells[row * SIDE + column] = 1;
    });
  }
}

/** Cells near lines. */
function draw(cells: Uint8Array, lines: readonly Line[], reach: number): void {
  const dab = (x: number, y: number) => {
    for (let row = Math.floor(y - reach); row <= y + reach; row++)
      for (let column = Math.floor(x - reach); column <= x + reach; column++)
        if (
          Math.hypot(column + 0.5 - x, row + 0.5 - y) <= reach &&
          row >= 0 &&
          column >= 0 &&
          row < SIDE &&
          column < SIDE
        )
          cells[row * SIDE + column] = 1;
  };
  for (const { points, closed } of lines)
    points.forEach(([x1, y1], i) => {
      const next = points[i + 1] ?? (closed ? points[0] : undefined);
      if (!next) return;
      const steps = Math.max(1, Math.ceil(Math.hypot(next[0] - x1, next[1] - y1) * 2));
      for (let k = 0; k <= steps; k++)
        dab(x1 + ((next[0] - x1) * k) / steps, y1 + ((next[1] - y1) * k) / steps);
    });
}

const BESIDE = [1, -1, SIDE, -SIDE] as const;

/** The largest of the parts that hang together. */
function largest(cells: Uint8Array): Uint8Array {
  const whole = new Uint8Array(cells.length);
  const part = largestPart(
    cells.length,
    (cell) => cells[cell] === 1,
    (cell) => BESIDE.map((step) => cell + step),
  );
  for (const cell of part) whole[cell] = 1;
  return whole;
}

/** The eight cells around one, clockwise as they are seen, from the left. */
const AROUND = [
  [-1, 0],
  [-1, -1],
  [0, -1],
  [1, -1],
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
] as const;

/** The middles of the cells at the edge of a shape, in order. */
function traced(cells: Uint8Array): Point[] {
  const first = cells.indexOf(1);
  const start: [number, number] = [first % SIDE, Math.floor(first / SIDE)];
  const isCovered = (x: number, y: number) => cells[y * SIDE + x] === 1;
  const points: Point[] = [];
  let [x, y] = start;
  let came = 0;
  do {
    points.push([x + 0.5, y + 0.5]);
    let turn = 0;
    let direction = came;
    for (; turn < AROUND.length; turn++) {
      direction = (came + turn) % AROUND.length;
      const [dx, dy] = AROUND[direction]!;
      if (isCovered(x + dx, y + dy)) break;
    }
    const [dx, dy] = AROUND[direction]!;
    x += dx;
    y += dy;
    // Goes on from the cell that was free before this one.
    came = (direction + 5) % AROUND.length;
  } while ((x !== start[0] || y !== start[1]) && points.length < cells.length);
  return points;
}

/** Takes out the steps of the cells. */
const evened = (points: readonly Point[]): Point[] =>
  points.map((_, i): Point => {
    let [x, y] = [0, 0];
    for (let k = -EVEN; k <= EVEN; k++) {
      const [px, py] = points[(i + k + points.length) % points.length]!;
      x += px;
      y += py;
    }
    return [x / (2 * EVEN + 1), y / (2 * EVEN + 1)];
  });
