import { buildPath } from '../../scene/index.ts';
import type { Motif } from './index.ts';

const RIBS = 5;

/** A scallop: a fan with ribs. */
export const shell: Motif = (x, y, r) => {
  const base = y + r * 0.7;
  const at = (i: number): [number, number] => {
    const angle = Math.PI * (0.12 + (0.76 * i) / RIBS);
    return [x - Math.cos(angle) * r, base - Math.sin(angle) * r * 1.5];
  };
  const fan = buildPath(RIBS + 3)
    .move(x, base)
    .line(...at(0));
  const detail = buildPath(2 * RIBS);
  for (let i = 1; i <= RIBS; i++) {
    const [ax, ay] = at(i - 1);
    const [bx, by] = at(i);
    const bulge = r * 0.22;
    fan.curve(ax + (bx - ax) * 0.1, ay - bulge, bx - (bx - ax) * 0.1, by - bulge, bx, by);
    if (i < RIBS)
      detail
        .move(x + (bx - x) * 0.25, base + (by - base) * 0.25)
        .line(x + (bx - x) * 0.9, base + (by - base) * 0.9);
  }
  return { path: fan.close().done(), detail: detail.done() };
};
