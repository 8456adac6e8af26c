import type { Path } from './path.ts';

/** A path as plain data: its steps as digits in a row, and their numbers. */
export interface WrittenPath {
  ops: string;
  points: number[];
}

/** The shortest number that has the value of another one in single precision (IEEE 754): nine digits tell them all apart. */
function shortest(value: number): number {
  for (let digits = 3; digits < 9; digits++) {
    const short = Number(value.toPrecision(digits));
    if (Math.fround(short) === value) return short;
  }
  return Number(value.toPrecision(9));
}

const ZERO = '0'.charCodeAt(0);

/** A path as plain data, to be read as the very same path. */
export const writtenPath = ({ ops, points }: Path): WrittenPath => ({
  ops: ops.join(''),
  points: Array.from(points, shortest),
});

/** The path that was written. */
export function readWrittenPath({ ops, points }: WrittenPath): Path {
  const read = new Uint8Array(ops.length);
  for (let i = 0; i < ops.length; i++) read[i] = ops.charCodeAt(i) - ZERO;
  return { ops: read, points: Float32Array.from(points) };
}
