import { buildPath, type Matrix, type Path } from '../../scene/index.ts';

/** Steps of a path as pdf.js writes it, and how many numbers each takes. */
const MOVE_TO = 0;
const LINE_TO = 1;
const CURVE_TO = 2;
const QUADRATIC_TO = 3;

/** A path of pdf.js, moved into other coordinates. */
export function outlineOf(steps: ArrayLike<number>, matrix: Matrix): Path {
  const [a, b, c, d, e, f] = matrix;
  const path = buildPath(Math.ceil(steps.length / 3) + 1);
  // Where the pen is, in the coordinates of the steps.
  let x = 0;
  let y = 0;
  let begun = false;
  const across = (px: number, py: number) => a * px + c * py + e;
  const down = (px: number, py: number) => b * px + d * py + f;
  const curve = (x1: number, y1: number, x2: number, y2: number, x3: number, y3: number) => {
    path.curve(across(x1, y1), down(x1, y1), across(x2, y2), down(x2, y2), across(x3, y3), down(x3, y3));
    x = x3;
    y = y3;
  };
  const begin = () => {
    // A line after a closed path goes on from where that began (ISO 32000-1 §8.5.2.1).
    if (!begun) path.move(across(x, y), down(x, y));
    begun = true;
  };
  let start: [number, number] = [0, 0];
  for (let i = 0; i < steps.length; ) {
    const step = steps[i++];
    if (step === MOVE_TO) {
      x = steps[i++]!;
      y = steps[i++]!;
      start = [x, y];
      path.move(across(x, y), down(x, y));
      begun = true;
    } else if (step === LINE_TO) {
      begin();
      x = steps[i++]!;
      y = steps[i++]!;
      path.line(across(x, y), down(x, y));
    } else if (step === CURVE_TO) {
      begin();
      curve(steps[i]!, steps[i + 1]!, steps[i + 2]!, steps[i + 3]!, steps[i + 4]!, steps[i + 5]!);
      i += 6;
    } else if (step === QUADRATIC_TO) {
      begin();
      const [qx, qy, x3, y3] = [steps[i]!, steps[i + 1]!, steps[i + 2]!, steps[i + 3]!];
      i += 4;
      // A quadratic curve as a cubic one: each control point two thirds of the way.
      curve(
        x + (2 / 3) * (qx - x),
        y + (2 / 3) * (qy - y),
        x3 + (2 / 3) * (qx - x3),
        y3 + (2 / 3) * (qy - y3),
        x3,
        y3,
      );
    } else {
      if (begun) path.close();
      begun = false;
      [x, y] = start;
    }
  }
  return path.done();
}

/** A path of ours, moved. */
export function movedPath({ ops, points }: Path, [a, b, c, d, e, f]: Matrix): Path {
  const out = new Float32Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    out[i] = a * points[i]! + c * points[i + 1]! + e;
    out[i + 1] = b * points[i]! + d * points[i + 1]! + f;
  }
  return { ops, points: out };
}
