/** [a b c d e f]: x′ = ax + cy + e, y′ = bx + dy + f, as in ISO 32000-1 §8.3.4 but with y downwards. */
export type Matrix = readonly [number, number, number, number, number, number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** What `inner` does, then what `outer` does. */
export const multiply = (outer: Matrix, inner: Matrix): Matrix => [
  outer[0] * inner[0] + outer[2] * inner[1],
  outer[1] * inner[0] + outer[3] * inner[1],
  outer[0] * inner[2] + outer[2] * inner[3],
  outer[1] * inner[2] + outer[3] * inner[3],
  outer[0] * inner[4] + outer[2] * inner[5] + outer[4],
  outer[1] * inner[4] + outer[3] * inner[5] + outer[5],
];

/** The factor by which areas grow, as a factor of lengths: what a stroke of an even scale is multiplied with. */
export const meanScale = (m: Matrix): number => Math.sqrt(Math.abs(m[0] * m[3] - m[1] * m[2]));

/** Turned clockwise, as seen with y downwards, round a point. @param degrees clockwise */
export function turnedRound(degrees: number, x: number, y: number): Matrix {
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return [cos, sin, -sin, cos, x - cos * x + sin * y, y - sin * x - cos * y];
}
