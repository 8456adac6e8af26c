import { quantile } from './quantile.ts';
import type { IndexedRivals, RivalNumber } from './rivals.ts';

export interface Bar {
  from: number;
  to: number;
  /** Rivals, and the copies they sell a month. */
  count: number;
  copies: number;
  /** The last of all, which takes in whatever lies above it. */
  open: boolean;
}

const NICE = [1, 2, 2.5, 5, 10];

/** A step of 1, 2, 2.5 or 5 times a power of ten that parts a width into at most so many. */
export function niceStep(width: number, max: number): number {
  const rough = width / max;
  const power = 10 ** Math.floor(Math.log10(rough));
  return NICE.find((step) => step * power >= rough)! * power;
}

/** Values looked at to find out how far most of them reach. */
const SAMPLED = 2000;
/** Of the values so many are shown in full; an axis that ends where these do is worth it when it is so much shorter. */
const SHOWN = 0.97;
const SHORTER = 0.6;

/** Up to where an axis goes that a few values far off would stretch: to nearly all of them, or to the last. */
function reachOf(values: Float64Array, rowIndices: Uint32Array, min: number, top: number): number {
  const every = Math.max(1, Math.floor(rowIndices.length / SAMPLED));
  const sample: number[] = [];
  for (let k = 0; k < rowIndices.length; k += every) {
    const value = values[rowIndices[k]!]!;
    if (!Number.isNaN(value)) sample.push(value);
  }
  const most = quantile(sample, SHOWN);
  return most - min < SHORTER * (top - min) ? most : top;
}

/**
 * How many of the rivals have which value, and what they sell: even steps from a round number, the last bar with the few
 * that lie far above. Values that are not known are left out.
 */
export function histogram(
  indexed: IndexedRivals,
  rowIndices: Uint32Array,
  key: RivalNumber | 'age',
  max = 14,
): Bar[] {
  const values = indexed.numbers[key];
  let min = Number.POSITIVE_INFINITY;
  let top = Number.NEGATIVE_INFINITY;
  for (const i of rowIndices) {
    const value = values[i]!;
    if (value < min) min = value;
    if (value > top) top = value;
  }
  if (!(top >= min)) return [];
  const reach = reachOf(values, rowIndices, min, top);
  const step = reach > min ? niceStep(reach - min, max - 1) : Math.max(1, niceStep(Math.abs(top) || 1, max));
  const first = Math.floor(min / step) * step;
  const bars = Math.max(1, Math.floor((reach - first) / step) + 1);
  const all = Array.from({ length: bars }, (_, i) => ({
    from: first + i * step,
    to: first + (i + 1) * step,
    count: 0,
    copies: 0,
    open: i === bars - 1 && top >= first + bars * step,
  }));
  const sold = indexed.numbers.copies;
  for (const i of rowIndices) {
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    // A step of a tenth is not exact: the least value may lie a hair before the first bar.
    const bar = Math.max(0, Math.min(all.length - 1, Math.floor((value - first) / step)));
    all[bar]!.count++;
    all[bar]!.copies += sold[i]! || 0;
  }
  return all;
}

/** How often each trim occurs and what it sells, the most sold first. */
export function trimShares(
  { trims, trimOf, numbers }: IndexedRivals,
  rowIndices: Uint32Array,
): { trim: string; count: number; copies: number }[] {
  const tally = new Uint32Array(trims.length);
  const sold = new Float64Array(trims.length);
  for (const i of rowIndices) {
    tally[trimOf[i]!]!++;
    sold[trimOf[i]!]! += numbers.copies[i]! || 0;
  }
  return trims
    .map((trim, number) => ({ trim, count: tally[number]!, copies: sold[number]! }))
    .filter(({ trim, count }) => trim && count)
    .sort((a, b) => b.copies - a.copies || b.count - a.count || (a.trim < b.trim ? -1 : 1));
}

export interface Dot {
  x: number;
  y: number;
  /** How many rivals lie here, and one of them. */
  count: number;
  at: number;
}

export interface Dots {
  dots: Dot[];
  /** How many lie so far to the right that they are left out, so that the others keep their room. */
  beyond: number;
}

/** Cells of the raster that dots are gathered in when there are more than can be told apart. */
const RASTER = 10;

/**
 * Dots of one number against another, the second positive and on a scale of powers; of many thousands, those that
 * fall together are one.
 * @param max so many are drawn one by one
 */
export function scatterPoints(
  indexed: IndexedRivals,
  rowIndices: Uint32Array,
  xKey: RivalNumber | 'age',
  yKey: RivalNumber | 'age',
  max = 150,
): Dots {
  const xs = indexed.numbers[xKey];
  const ys = indexed.numbers[yKey];
  const logs = indexed.logs(yKey);
  const known = new Uint32Array(rowIndices.length);
  let n = 0;
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let k = 0; k < rowIndices.length; k++) {
    const i = rowIndices[k]!;
    const x = xs[i]!;
    const y = logs[i]!;
    // Neither a number that is not known nor the logarithm of nothing is more than minus infinity.
    if (!(y > Number.NEGATIVE_INFINITY) || Number.isNaN(x)) continue;
    known[n++] = i;
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  const reach = n ? reachOf(xs, known.subarray(0, n), x0, x1) : x1;
  let beyond = 0;
  if (reach < x1) {
    const all = n;
    n = 0;
    for (let k = 0; k < all; k++) if (xs[known[k]!]! <= reach) known[n++] = known[k]!;
    beyond = all - n;
    x1 = reach;
  }
  if (n <= max)
    return {
      dots: Array.from(known.subarray(0, n), (at) => ({ x: xs[at]!, y: ys[at]!, count: 1, at })),
      beyond,
    };
  const across = x1 > x0 ? RASTER / (x1 - x0) : 0;
  const upwards = y1 > y0 ? RASTER / (y1 - y0) : 0;
  const counts = new Uint32Array(RASTER * RASTER);
  const firsts = new Uint32Array(RASTER * RASTER);
  for (let k = 0; k < n; k++) {
    const i = known[k]!;
    const column = Math.min(RASTER - 1, Math.floor((xs[i]! - x0) * across));
    const row = Math.min(RASTER - 1, Math.floor((logs[i]! - y0) * upwards));
    const cell = column * RASTER + row;
    if (counts[cell]!++ === 0) firsts[cell] = i;
  }
  const gathered: Dot[] = [];
  counts.forEach((count, cell) => {
    const at = firsts[cell]!;
    if (count) gathered.push({ x: xs[at]!, y: ys[at]!, count, at });
  });
  return { dots: gathered, beyond };
}
