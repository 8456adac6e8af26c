import type { Mark, PathMark, TextMark } from './marks.ts';
import { IDENTITY } from './marks.ts';
import { eachPlacedGlyph } from './placed-glyphs.ts';
import type { Typesetter } from './typesetter.ts';

/** Edges in points. */
export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

type Matrix = readonly [number, number, number, number, number, number];

export const multiply = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

/** Calls `each` for every path and text mark with the matrix of the groups round it. */
export function eachMark(
  marks: readonly Mark[],
  each: (
    mark: (PathMark | TextMark) & { background?: boolean; quote?: string },
    matrix: Matrix,
    background: boolean,
  ) => void,
  matrix: Matrix = IDENTITY,
  background = false,
): void {
  for (const mark of marks) {
    const ground = background || mark.background === true;
    if (mark.mark === 'group') eachMark(mark.marks, each, multiply(matrix, mark.matrix), ground);
    else each(mark, matrix, ground);
  }
}

/**
 * The box round a mark's ink, stroke width included. Control points stand in for curves, so the box is never too
 * small. Null for a mark that leaves no ink.
 */
export function markBounds(mark: PathMark | TextMark, matrix: Matrix, type: Typesetter): Bounds | null {
  const box: Bounds = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  const cover = (x: number, y: number) => {
    const px = matrix[0] * x + matrix[2] * y + matrix[4];
    const py = matrix[1] * x + matrix[3] * y + matrix[5];
    if (px < box.left) box.left = px;
    if (px > box.right) box.right = px;
    if (py < box.top) box.top = py;
    if (py > box.bottom) box.bottom = py;
  };
  if (mark.mark === 'path') {
    const half = (mark.stroke?.width ?? 0) / 2;
    const [start, end] = mark.path;
    if (mark.path.length === 2 && start![0] === 'M' && end![0] === 'L' && !mark.stroke?.round) {
      // A single line with butt ends adds its width across, nothing along.
      const length = Math.hypot(end![1] - start![1], end![2] - start![2]) || 1;
      const dx = (half * (end![2] - start![2])) / length;
      const dy = (half * (end![1] - start![1])) / length;
      for (const [, x, y] of [start!, end!]) {
        cover(x - dx, y + dy);
        cover(x + dx, y - dy);
      }
      return box;
    }
    // A corner or a round end may reach half a width any way.
    for (const command of mark.path) {
      for (let i = 1; i < command.length; i += 2) {
        const x = command[i] as number;
        const y = command[i + 1] as number;
        cover(x - half, y - half);
        cover(x + half, y + half);
      }
    }
  } else {
    eachPlacedGlyph(mark, type, (face, glyph, x) => {
      const ink = type.box(face, glyph);
      if (ink.minX === ink.maxX) return;
      cover(x + ink.minX * mark.size, mark.y - ink.maxY * mark.size);
      cover(x + ink.maxX * mark.size, mark.y - ink.minY * mark.size);
    });
  }
  return box.left > box.right ? null : box;
}
