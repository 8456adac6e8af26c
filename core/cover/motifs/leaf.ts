import { buildPath, linePath } from '../../scene/index.ts';
import type { Motif } from './index.ts';

/** A pointed leaf with its midrib, turned any way. */
export const leaf: Motif = (x, y, r, random) => {
  const turn = random.unit() * Math.PI * 2;
  const to = (along: number, across: number): [number, number] => [
    x + r * (along * Math.cos(turn) - across * Math.sin(turn)),
    y + r * (along * Math.sin(turn) + across * Math.cos(turn)),
  ];
  const tip = to(1, 0);
  const stem = to(-1, 0);
  return {
    path: buildPath(4)
      .move(...stem)
      .curve(...to(-0.5, 0.62), ...to(0.4, 0.55), ...tip)
      .curve(...to(0.4, -0.55), ...to(-0.5, -0.62), ...stem)
      .close()
      .done(),
    detail: linePath(...to(-0.8, 0), ...to(0.75, 0)),
  };
};
