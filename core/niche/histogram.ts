import type { IndexedRivals, RivalNumber } from './rivals.ts';

export interface Bar {
  from: number;
  to: number;
  count: number;
}

const NICE = [1, 2, 2.5, 5, 10];

/** A step of 1, 2, 2.5 or 5 times a power of ten that parts a width into at most so many. */
export function niceStep(width: number, max: number): number {
  const rough = width / max;
  const power = 10 ** Math.floor(Math.log10(rough));
  return NICE.find((step) => step * power >= rough)! * power;
}

/** How many of the rivals have which value: even steps from a round number. Values that are not known are left out. */
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
  const step = top > min ? niceStep(top - min, max - 1) : Math.max(1, niceStep(Math.abs(top) || 1, max));
  const first = Math.floor(min / step) * step;
  const all = Array.from({ length: Math.max(1, Math.floor((top - first) / step) + 1) }, (_, i) => ({
    from: first + i * step,
    to: first + (i + 1) * step,
    count: 0,
  }));
  for (const i of rowIndices) {
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    // A step of a tenth is not exact: the least value may lie a hair before the first bar.
    const bar = Math.max(0, Math.min(all.length - 1, Math.floor((value - first) / step)));
    all[bar]!.count++;
  }
  return all;
}

/** How often each trim occurs, the most frequent first. */
export function trimShares(
  { trims, trimOf }: IndexedRivals,
  rowIndices: Uint32Array,
): { trim: string; count: number }[] {
  const tally = new Uint32Array(trims.length);
  for (const i of rowIndices) tally[trimOf[i]!]!++;
  return trims
    .map((trim, number) => ({ trim, count: tally[number]! }))
    .filter(({ trim, count }) => trim && count)
    .sort((a, b) => b.count - a.count || (a.trim < b.trim ? -1 : 1));
}

export interface Dot {
  x: number;
  y: number;
  /** How many rivals lie here, and one of them. */
  count: number;
  at: number;
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
): Dot[] {
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
  if (n <= max) return Array.from(known.subarray(0, n), (at) => ({ x: xs[at]!, y: ys[at]!, count: 1, at }));
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
  return gathered;
}
