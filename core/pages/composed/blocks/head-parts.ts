import type { Rect } from '../../../print/index.ts';
import type { Mark } from '../../../scene/index.ts';
import { circle, rule } from '../pen.ts';

/** A thick line with a thin one under it. */
export const doubleRule = ({ x, width }: Pick<Rect, 'x' | 'width'>, y: number): Mark[] => [
  rule([x, y], [x + width, y], 1.8),
  rule([x, y + 2.6], [x + width, y + 2.6], 0.75),
];

/** A gray disc. */
export const disc = (x: number, y: number, radius: number): Mark =>
  circle(x, y, radius, { fill: 0.9, weight: 0 });
