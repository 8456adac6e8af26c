import { polygonPath } from '../../scene/index.ts';
import type { Motif } from './index.ts';

/** A star of four to six points, slightly turned. */
export const star: Motif = (x, y, r, random) => {
  const points = 4 + random.int(3);
  const turn = random.unit() * Math.PI;
  const outer = r * (0.55 + random.unit() * 0.4);
  return {
    path: polygonPath(
      Array.from({ length: points * 2 }, (_, i) => {
        const radius = i % 2 === 0 ? outer : outer * 0.34;
        const angle = turn + (Math.PI * i) / points;
        return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)] as const;
      }),
    ),
  };
};
