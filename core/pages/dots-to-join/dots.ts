import type { Point } from '../../motifs/outline.ts';

/** Of all dots, those that stand where the outline turns; the others part its long ways. */
const AT_TURNS = 0.72;

const areaOf = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;

/** So near to each other, in shares of the way from one dot to the next if all were as far apart, two would be one. */
const NEAR = 0.4;

const lengthOf = (outline: readonly Point[]): number =>
  outline.reduce((sum, [x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);

/** Without those that stand too near to the one before, be it along the outline or across a thin part of it. */
function apart(outline: readonly Point[], places: readonly number[], least: number): number[] {
  const staying: number[] = [];
  for (const place of places) {
    const [x, y] = outline[place]!;
    const near = (other: number) => Math.hypot(outline[other]![0] - x, outline[other]![1] - y) < least;
    if (!staying.some(near)) staying.push(place);
  }
  return staying;
}

/**
 * Dots on an outline, in its order: most where it turns, found by leaving out again and again the point that matters least
 * (Visvalingam and Whyatt, Line generalisation by repeated elimination of points, 1993), the rest in the middle of the longest ways.
 * @param count at least 4; a small outline has fewer
 */
export function dotsOn(outline: readonly Point[], count: number): Point[] {
  let left = outline.map((_, i) => i);
  const turns = Math.max(4, Math.round(count * AT_TURNS));
  while (left.length > turns) {
    let least = 0;
    let smallest = Number.POSITIVE_INFINITY;
    for (let i = 0; i < left.length; i++) {
      const before = outline[left[(i + left.length - 1) % left.length]!]!;
      const after = outline[left[(i + 1) % left.length]!]!;
      const area = areaOf(before, outline[left[i]!]!, after);
      if (area >= smallest) continue;
      smallest = area;
      least = i;
    }
    left = left.toSpliced(least, 1);
  }
  const least = (NEAR * lengthOf(outline)) / count;
  left = apart(outline, left, least);
  /** Ways that have no room for another dot, by the place where they begin. */
  const full = new Set<number>();
  while (left.length < count) {
    const ways = left.map((place, i) => ({
      i,
      place,
      length: (left[(i + 1) % left.length]! - place + outline.length) % outline.length,
    }));
    const longest = ways
      .filter(({ place }) => !full.has(place))
      .reduce<(typeof ways)[number] | null>(
        (best, way) => (best && best.length >= way.length ? best : way),
        null,
      );
    if (!longest) break;
    const between = (longest.place + Math.floor(longest.length / 2)) % outline.length;
    const more = left.toSpliced(longest.i + 1, 0, between);
    if (apart(outline, more, least).length < more.length) full.add(longest.place);
    else left = more;
  }
  return left.map((i) => outline[i]!);
}

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** Turns from the way outwards that are tried for a number, in eighths of a circle. */
const TURNS = [0, 1, -1, 2, -2, 3, -3, 4] as const;

/**
 * A place for the number of each dot: outside the outline if it can be, clear of all dots and other numbers.
 * @param sizeOf width and height of the number of a dot, from 1
 * @param reach radius of a dot with the room around it
 * @param room where numbers may stand
 * @returns their boxes; null for one that finds no place
 */
export function placeNumbers(
  dots: readonly Point[],
  sizeOf: (number: number) => { width: number; height: number },
  reach: number,
  room: Box,
): (Box | null)[] {
  const taken: Box[] = dots.map(([x, y]) => ({
    x: x - reach,
    y: y - reach,
    width: 2 * reach,
    height: 2 * reach,
  }));
  return dots.map(([x, y], i) => {
    const [bx, by] = dots[(i + dots.length - 1) % dots.length]!;
    const [ax, ay] = dots[(i + 1) % dots.length]!;
    // The outline runs clockwise: outwards is to the left of the way on.
    const outwards = Math.atan2(-(ax - bx), ay - by);
    const { width, height } = sizeOf(i + 1);
    for (const further of [1, 1.6, 2.3])
      for (const turn of TURNS) {
        const angle = outwards + (turn * Math.PI) / 4;
        const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
        // As far as its box reaches in that direction.
        const own = Math.min(
          width / 2 / Math.max(1e-6, Math.abs(cos)),
          height / 2 / Math.max(1e-6, Math.abs(sin)),
        );
        const away = reach * further + own;
        const box = { x: x + cos * away - width / 2, y: y + sin * away - height / 2, width, height };
        const within =
          box.x >= room.x &&
          box.y >= room.y &&
          box.x + width <= room.x + room.width &&
          box.y + height <= room.y + room.height;
        if (!within || taken.some((other) => overlap(box, other))) continue;
        taken.push(box);
        return box;
      }
    return null;
  });
}
