import type { RandomStream } from '../../random.ts';
import { type Coded, EMPTY } from './coded.ts';
import { type Direction, type Placement, STEPS } from './grid.ts';
import type { HideOrder } from './hide.ts';

/** Places looked at for one word: many crossings take many looks. */
const LOOKS = { few: 20, some: 20, many: 240 } as const;
const LEAST_LOOKS = 6;
/** Looks for one near-miss, on average. */
const DECOY_LOOKS = 60;
/** Of a layout with an outline, most places lie outside: more are looked at. */
const OUTLINE_LOOKS = 3;
const LEAST_DECOY = 4;

/** A direction with its steps, and with what it adds to a place. */
interface Way {
  direction: Direction;
  dx: number;
  dy: number;
  step: number;
}

/** The directions of an order. */
export const waysOf = ({ columns, directions }: HideOrder): Way[] =>
  directions.map((direction) => {
    const [dx, dy] = STEPS[direction];
    return { direction, dx, dy, step: dy * columns + dx };
  });

/** From where to where the first letter may stand, along one side of the grid. */
const span = (step: number, size: number, length: number): [number, number] => [
  step < 0 ? length - 1 : 0,
  step > 0 ? size - length : size - 1,
];

/** How many letters a word shares with what is laid, at a place; −1 where it does not fit. */
function sharedAt(cells: Int16Array, codes: Int16Array, at: number, step: number): number {
  let shared = 0;
  for (let i = 0; i < codes.length; i++, at += step) {
    const cell = cells[at]!;
    if (cell === codes[i]) shared++;
    else if (cell !== EMPTY) return -1;
  }
  // Lying wholly on other words' letters would hide it twice over.
  return shared === codes.length ? -1 : shared;
}

/** Lays a word at the best of a number of places, or where it fits at all. @returns null where it fits nowhere */
export function place(
  cells: Int16Array,
  { columns, rows, crossings, inside }: HideOrder,
  ways: readonly Way[],
  { word, codes }: Coded,
  random: RandomStream,
): Placement | null {
  const n = codes.length;
  const open = ways.filter(({ dx, dy }) => (dx === 0 || n <= columns) && (dy === 0 || n <= rows));
  if (!open.length) return null;
  // A direction leaves a word so many columns and rows to begin in.
  const [wide, high] = [columns - n + 1, rows - n + 1];
  let best: Way | null = null;
  let bestAt = 0;
  let worth = Number.NEGATIVE_INFINITY;
  const most = LOOKS[crossings] * (inside ? OUTLINE_LOOKS : 1);
  // Without need for crossings the first place that is as good as can be is taken.
  const enough = crossings === 'few' ? 0 : crossings === 'some' ? 1 : n;
  const isFew = crossings === 'few';
  for (let look = 0; look < most && (worth < enough || look < LEAST_LOOKS); look++) {
    const way = open[random.int(open.length)]!;
    const { dx, dy, step } = way;
    const row = (dy < 0 ? n - 1 : 0) + random.int(dy === 0 ? rows : high);
    const column = (dx < 0 ? n - 1 : 0) + random.int(dx === 0 ? columns : wide);
    const at = row * columns + column;
    const shared = sharedAt(cells, codes, at, step);
    if (shared < 0) continue;
    const found = isFew ? -shared : shared;
    if (found <= worth) continue;
    worth = found;
    best = way;
    bestAt = at;
  }
  if (!best) {
    // A full grid: every place, beginning anywhere, and the first that fits.
    const start = random.int(cells.length);
    search: for (let k = 0; k < cells.length; k++) {
      const at = (start + k) % cells.length;
      const column = at % columns;
      const row = (at - column) / columns;
      for (const way of open) {
        const [left, right] = span(way.dx, columns, n);
        const [top, bottom] = span(way.dy, rows, n);
        if (column < left || column > right || row < top || row > bottom) continue;
        if (sharedAt(cells, codes, at, way.step) < 0) continue;
        best = way;
        bestAt = at;
        break search;
      }
    }
  }
  if (!best) return null;
  const { direction, step } = best;
  for (let i = 0; i < n; i++) cells[bestAt + i * step] = codes[i]!;
  const column = bestAt % columns;
  return { word, column, row: (bestAt - column) / columns, direction, length: n };
}

/** Lays beginnings of words that end in another letter. @returns where they lie and with which letters */
export function layDecoys(
  cells: Int16Array,
  { columns, rows, directions, decoys }: HideOrder,
  words: readonly Coded[],
  draw: () => number,
  random: RandomStream,
): { at: number[]; codes: number[] }[] {
  const long = words.filter(({ codes }) => codes.length >= LEAST_DECOY);
  const laid: { at: number[]; codes: number[] }[] = [];
  if (!long.length || !directions.length) return laid;
  for (let look = 0; look < decoys * DECOY_LOOKS && laid.length < decoys; look++) {
    const { codes } = random.pick(long);
    // The wrong letter is the last one, or the one before it.
    const wrong = codes.length - 1 - (codes.length > LEAST_DECOY ? random.int(2) : 0);
    const decoy = codes.slice(0, wrong + 1);
    decoy[wrong] = draw();
    if (decoy[wrong] === codes[wrong]) continue;
    const direction = random.pick(directions);
    const [dx, dy] = STEPS[direction];
    const n = decoy.length;
    const [left, right] = span(dx, columns, n);
    const [top, bottom] = span(dy, rows, n);
    if (left > right || top > bottom) continue;
    const first = (top + random.int(bottom - top + 1)) * columns + left + random.int(right - left + 1);
    const step = dy * columns + dx;
    if (sharedAt(cells, decoy, first, step) < 0) continue;
    const at = Array.from(decoy, (_, i) => first + i * step);
    at.forEach((cell, i) => {
      cells[cell] = decoy[i]!;
    });
    laid.push({ at, codes: [...decoy] });
  }
  return laid;
}
