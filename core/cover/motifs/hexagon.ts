import { polygonPath } from '../../scene/index.ts';
import type { Motif } from './index.ts';

/** A cell of the comb, point upwards. */
export const hexagon: Motif = (x, y, r) => ({
  path: polygonPath(
    Array.from({ length: 6 }, (_, i) => {
      const angle = (Math.PI / 3) * i + Math.PI / 6;
      return [x + r * 0.94 * Math.cos(angle), y + r * 0.94 * Math.sin(angle)] as const;
    }),
  ),
});
