import type { PathCommand } from '../../scene/index.ts';
import { linePath } from '../../scene/index.ts';
import type { Motif } from './index.ts';

const RIBS = 5;

/** A scallop: a fan with ribs. */
export const shell: Motif = (x, y, r) => {
  const base = y + r * 0.7;
  const fan: PathCommand[] = [['M', x, base]];
  const at = (i: number): [number, number] => {
    const angle = Math.PI * (0.12 + (0.76 * i) / RIBS);
    return [x - Math.cos(angle) * r, base - Math.sin(angle) * r * 1.5];
  };
  fan.push(['L', ...at(0)]);
  for (let i = 1; i <= RIBS; i++) {
    const [ax, ay] = at(i - 1);
    const [bx, by] = at(i);
    const bulge = r * 0.22;
    fan.push(['C', ax + (bx - ax) * 0.1, ay - bulge, bx - (bx - ax) * 0.1, by - bulge, bx, by]);
  }
  fan.push(['Z']);
  const detail = Array.from({ length: RIBS - 1 }, (_, i) => {
    const [px, py] = at(i + 1);
    return linePath(
      x + (px - x) * 0.25,
      base + (py - base) * 0.25,
      x + (px - x) * 0.9,
      base + (py - base) * 0.9,
    );
  }).flat();
  return { path: fan, detail };
};
