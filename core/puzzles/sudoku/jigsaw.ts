import type { RandomStream } from '../../random.ts';
import { filledGrid } from './fill.ts';
import { rectangularBoxes, type Shape, type Size, shapeWith } from './shape.ts';

/** Exchanges of cells between boxes that make the outlines of a grid, for each of its cells. */
const EXCHANGES = 3;

const neighborsOf = (cell: number, size: number): number[] => {
  const [row, column] = [Math.floor(cell / size), cell % size];
  return [
    ...(row > 0 ? [cell - size] : []),
    ...(row < size - 1 ? [cell + size] : []),
    ...(column > 0 ? [cell - 1] : []),
    ...(column < size - 1 ? [cell + 1] : []),
  ];
};

/** Whether the cells of a box hang together by their sides. */
function isWhole(boxOf: Uint8Array, box: number, size: number): boolean {
  const start = boxOf.indexOf(box);
  const seen = new Set([start]);
  for (const cell of seen)
    for (const next of neighborsOf(cell, size)) if (boxOf[next] === box) seen.add(next);
  return seen.size === size;
}

/** Boxes of any outline: neighbors exchange cells again and again, and each stays in one piece. */
function boxesOf(size: Size, random: RandomStream): Uint8Array {
  const boxOf = rectangularBoxes(size);
  for (let done = 0; done < EXCHANGES * size * size; ) {
    const cell = random.int(size * size);
    const one = boxOf[cell]!;
    const other = boxOf[random.pick(neighborsOf(cell, size))]!;
    if (one === other) continue;
    // What comes back lies at the box as well.
    const back: number[] = [];
    for (let at = 0; at < boxOf.length; at++)
      if (boxOf[at] === other && neighborsOf(at, size).some((next) => next !== cell && boxOf[next] === one))
        back.push(at);
    if (!back.length) continue;
    const returned = random.pick(back);
    boxOf[cell] = other;
    boxOf[returned] = one;
    if (isWhole(boxOf, one, size) && isWhole(boxOf, other, size)) {
      done++;
      continue;
    }
    boxOf[cell] = one;
    boxOf[returned] = other;
  }
  return boxOf;
}

/** A shape whose boxes are of any outline, and for which there is a grid. */
export function jigsawShape(size: Size, random: RandomStream): Shape {
  for (;;) {
    const shape = shapeWith(size, 'jigsaw', boxesOf(size, random));
    if (filledGrid(shape, random)) return shape;
  }
}
