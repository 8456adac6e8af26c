import type { FillRule } from './marks.ts';
import type { Matrix } from './matrix.ts';
import { type Path, readPath } from './path.ts';

/** Pieces that a curve is taken for: what is filled is asked for at single points, not at edges. */
const PIECES = 12;

/**
 * Whether a fill paints a point of the sheet: by how often its outline winds round the point (ISO 32000-1 §8.5.3.3).
 * @param matrix from the path to the sheet
 */
export function holds(path: Path, rule: FillRule, matrix: Matrix, x: number, y: number): boolean {
  const [a, b, c, d, e, f] = matrix;
  let winding = 0;
  let crossings = 0;
  let start: readonly [number, number] = [0, 0];
  let at = start;
  /** Counts what crosses the ray that runs from the point to the right. */
  const edge = (to: readonly [number, number]): void => {
    const [x1, y1] = at;
    const [x2, y2] = to;
    if (y1 <= y !== y2 <= y && x1 + ((y - y1) / (y2 - y1)) * (x2 - x1) > x) {
      crossings++;
      winding += y2 > y1 ? 1 : -1;
    }
    at = to;
  };
  const place = (px: number, py: number) => [a * px + c * py + e, b * px + d * py + f] as const;
  readPath(path, {
    move(px, py) {
      edge(start);
      start = place(px, py);
      at = start;
    },
    line: (px, py) => edge(place(px, py)),
    curve(x1, y1, x2, y2, x3, y3) {
      const p0 = at;
      const [p1, p2, p3] = [place(x1, y1), place(x2, y2), place(x3, y3)];
      for (let i = 1; i <= PIECES; i++) {
        const t = i / PIECES;
        const u = 1 - t;
        const along = (k: 0 | 1) =>
          u * u * u * p0[k] + 3 * u * u * t * p1[k] + 3 * u * t * t * p2[k] + t * t * t * p3[k];
        edge([along(0), along(1)]);
      }
    },
    close: () => edge(start),
  });
  edge(start);
  return rule === 'evenodd' ? crossings % 2 === 1 : winding !== 0;
}
