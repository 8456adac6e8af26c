/** What a step of a path does, and how many numbers it takes: move 2, line 2, curve 6, close 0. */
export const MOVE = 0;
export const LINE = 1;
export const CURVE = 2;
export const CLOSE = 3;

/**
 * A path as two flat arrays: 20,000 curves take half a megabyte. `ops` holds MOVE, LINE, CURVE and CLOSE; `points` their
 * numbers in order, in points: x y; x y; x1 y1 x2 y2 x y (a cubic Bézier); none. Every subpath begins with MOVE.
 */
export interface Path {
  readonly ops: Uint8Array;
  readonly points: Float32Array;
}

/** Puts a path together step by step; grows as needed. */
export interface PathBuilder {
  move(x: number, y: number): PathBuilder;
  line(x: number, y: number): PathBuilder;
  curve(x1: number, y1: number, x2: number, y2: number, x: number, y: number): PathBuilder;
  close(): PathBuilder;
  /** The path so far. The builder may go on. */
  done(): Path;
}

/** @param steps expected, so that a large path is not copied as it grows */
export function buildPath(steps = 8): PathBuilder {
  let ops = new Uint8Array(steps);
  let points = new Float32Array(steps * 4);
  let n = 0;
  let m = 0;
  const room = (numbers: number) => {
    if (n === ops.length) {
      const wider = new Uint8Array(ops.length * 2);
      wider.set(ops);
      ops = wider;
    }
    if (m + numbers > points.length) {
      const wider = new Float32Array(points.length * 2 + 6);
      wider.set(points);
      points = wider;
    }
  };
  const builder: PathBuilder = {
    move(x, y) {
      room(2);
      ops[n++] = MOVE;
      points[m++] = x;
      points[m++] = y;
      return builder;
    },
    line(x, y) {
      room(2);
      ops[n++] = LINE;
      points[m++] = x;
      points[m++] = y;
      return builder;
    },
    curve(x1, y1, x2, y2, x, y) {
      room(6);
      ops[n++] = CURVE;
      points[m++] = x1;
      points[m++] = y1;
      points[m++] = x2;
      points[m++] = y2;
      points[m++] = x;
      points[m++] = y;
      return builder;
    },
    close() {
      room(0);
      ops[n++] = CLOSE;
      return builder;
    },
    done: () => ({ ops: ops.slice(0, n), points: points.slice(0, m) }),
  };
  return builder;
}

/** What is called for each step of a path, with the numbers it takes. */
export interface PathReader {
  move(x: number, y: number): void;
  line(x: number, y: number): void;
  curve(x1: number, y1: number, x2: number, y2: number, x: number, y: number): void;
  close(): void;
}

/** Reads a path step by step. */
export function readPath({ ops, points: p }: Path, reader: PathReader): void {
  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    if (op === CURVE) {
      reader.curve(p[i]!, p[i + 1]!, p[i + 2]!, p[i + 3]!, p[i + 4]!, p[i + 5]!);
      i += 6;
    } else if (op === LINE) {
      reader.line(p[i]!, p[i + 1]!);
      i += 2;
    } else if (op === MOVE) {
      reader.move(p[i]!, p[i + 1]!);
      i += 2;
    } else reader.close();
  }
}

const CLOSED_RECTANGLE = Uint8Array.of(MOVE, LINE, LINE, LINE, CLOSE);
const ONE_LINE = Uint8Array.of(MOVE, LINE);

export const rectPath = (x: number, y: number, width: number, height: number): Path => ({
  ops: CLOSED_RECTANGLE,
  points: Float32Array.of(x, y, x + width, y, x + width, y + height, x, y + height),
});

export const linePath = (x1: number, y1: number, x2: number, y2: number): Path => ({
  ops: ONE_LINE,
  points: Float32Array.of(x1, y1, x2, y2),
});

/** A closed path through corners. */
export function polygonPath(corners: readonly (readonly [number, number])[]): Path {
  const path = buildPath(corners.length + 1);
  corners.forEach(([x, y], i) => {
    if (i === 0) path.move(x, y);
    else path.line(x, y);
  });
  return path.close().done();
}

/** Quarter of a circle as one cubic Bézier: control points at 4/3 × (√2 − 1) of the radius. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

/** An ellipse, closed, clockwise from its right. @param ry the same as `rx` for a circle */
export function ellipsePath(x: number, y: number, rx: number, ry = rx): Path {
  const kx = rx * QUARTER;
  const ky = ry * QUARTER;
  return buildPath(6)
    .move(x + rx, y)
    .curve(x + rx, y + ky, x + kx, y + ry, x, y + ry)
    .curve(x - kx, y + ry, x - rx, y + ky, x - rx, y)
    .curve(x - rx, y - ky, x - kx, y - ry, x, y - ry)
    .curve(x + kx, y - ry, x + rx, y - ky, x + rx, y)
    .close()
    .done();
}

/** The outline of a line with round ends: a rectangle between two points with half circles on it. */
export function capsulePath(x1: number, y1: number, x2: number, y2: number, r: number): Path {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const ux = ((x2 - x1) / length) * r;
  const uy = ((y2 - y1) / length) * r;
  const k = QUARTER;
  // (nx, ny) is (ux, uy) turned a quarter.
  const nx = -uy;
  const ny = ux;
  return buildPath(8)
    .move(x1 + nx, y1 + ny)
    .line(x2 + nx, y2 + ny)
    .curve(x2 + nx + ux * k, y2 + ny + uy * k, x2 + ux + nx * k, y2 + uy + ny * k, x2 + ux, y2 + uy)
    .curve(x2 + ux - nx * k, y2 + uy - ny * k, x2 - nx + ux * k, y2 - ny + uy * k, x2 - nx, y2 - ny)
    .line(x1 - nx, y1 - ny)
    .curve(x1 - nx - ux * k, y1 - ny - uy * k, x1 - ux - nx * k, y1 - uy - ny * k, x1 - ux, y1 - uy)
    .curve(x1 - ux + nx * k, y1 - uy + ny * k, x1 + nx - ux * k, y1 + ny - uy * k, x1 + nx, y1 + ny)
    .close()
    .done();
}
