import type { Color, Gradient, Path, Stop } from '../../scene/index.ts';
import { ellipsePath, polygonPath } from '../../scene/index.ts';

/** What pdf.js makes of black ink alone: red, green and blue of 255, by its strength (its DeviceCmykCS). */
const shownInk = (k: number): readonly number[] => [
  255 + k * (-21.86122147463605 * k - 189.48180835922747),
  255 + k * (-20.737325471181034 * k - 187.80453709719578),
  255 + k * (-22.33816807309886 * k - 180.12613974708367),
];

/**
 * The strength of black ink that is shown as this color, null where it is another color. Inks come to us as colors of a
 * screen, and black text as a dark gray, which a press would print in dots.
 */
function blackInk(parts: readonly number[]): number | null {
  // The green of the formula above, solved for the strength.
  const [a, b, c] = [20.737325471181034, 187.80453709719578, parts[1]! - 255];
  const k = Math.min(1, (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a));
  return shownInk(k).every((part, i) => Math.abs(part - parts[i]!) <= 1) ? k : null;
}

/** A color as pdf.js writes it, `#rrggbb`; null for one that paints nothing. */
export function colorOf(written: unknown): Color | null {
  const digits = /^#([\da-f]{6})$/i.exec(String(written))?.[1];
  if (!digits) return null;
  const number = Number.parseInt(digits, 16);
  const parts = [number >> 16, (number >> 8) & 255, number & 255] as const;
  if (parts[0] === parts[1] && parts[1] === parts[2]) return { gray: parts[0] / 255 };
  const black = blackInk(parts);
  if (black !== null) return { gray: 1 - black };
  return { rgb: [parts[0] / 255, parts[1] / 255, parts[2] / 255] };
}

/** A gradient and where it paints: everywhere, where no clip is told. In its own coordinates. */
export interface Shading {
  gradient: Gradient;
  clip: Path | null;
}

/** Farther than any page reaches, in points. */
const FAR = 1e5;
/** pdf.js writes an end that does not go on as one more stop, so near. */
const NEAR = 1e-5;

/** A stop for each place, in order; stops of an end that does not go on are left out, and told. */
function stopsOf(written: readonly (readonly [number, string])[]) {
  const stops: Stop[] = [];
  let [from, to] = [0, written.length];
  const cutStart = written.length > 2 && written[1]![0] < NEAR && written[1]![0] > 0;
  const cutEnd = written.length > 2 && written.at(-2)![0] > 1 - NEAR && written.at(-2)![0] < 1;
  if (cutStart) from++;
  if (cutEnd) to--;
  for (const [at, color] of written.slice(from, to)) {
    const read = colorOf(color);
    if (read) stops.push({ at: Math.min(1, Math.max(0, at)), color: read });
  }
  return { stops, cutStart, cutEnd };
}

type Point = readonly [number, number];

/**
 * A shading as pdf.js describes it (ISO 32000-1 §8.7.4.5.3 and §8.7.4.5.4).
 * @returns null for one that no gradient of ours says: a mesh, circles apart, a box of its own
 */
export function shadingOf(described: readonly unknown[]): Shading | null {
  const [sort, form, box, written, p0, p1, r0, r1] = described as [
    string,
    string,
    unknown,
    readonly (readonly [number, string])[],
    Point,
    Point,
    number,
    number,
  ];
  if (sort !== 'RadialAxial' || box) return null;
  const { stops, cutStart, cutEnd } = stopsOf(written);
  if (stops.length === 0) return null;
  if (form === 'axial') {
    if (p0[0] === p1[0] && p0[1] === p1[1]) return null;
    const gradient = { gradient: 'linear', from: p0, to: p1, stops } as const;
    return { gradient, clip: cutStart || cutEnd ? stripOf(p0, p1, cutStart, cutEnd) : null };
  }
  // Circles round one center, the smaller first, or a point inside a circle.
  const outward = r1 >= r0;
  const [center, radius, inner, focus] = outward ? [p1, r1, r0, p0] : [p0, r0, r1, p1];
  const away = Math.hypot(focus[0] - center[0], focus[1] - center[1]);
  if (radius <= 0 || away >= radius || (inner > 0 && away > 1e-6)) return null;
  if (inner > 0 && (outward ? cutStart : cutEnd)) return null;
  const turned = outward ? stops : stops.map(({ at, color }) => ({ at: 1 - at, color })).reverse();
  const share = inner / radius;
  const moved = turned.map(({ at, color }) => ({ at: share + at * (1 - share), color }));
  return {
    gradient: { gradient: 'radial', center, radius, ...(away > 1e-6 ? { focus } : {}), stops: moved },
    clip: (outward ? cutEnd : cutStart) ? ellipsePath(center[0], center[1], radius) : null,
  };
}

/** Between the lines across the ends of a gradient that does not go on there. */
function stripOf(p0: Point, p1: Point, cutStart: boolean, cutEnd: boolean): Path {
  const length = Math.hypot(p1[0] - p0[0], p1[1] - p0[1]);
  const [ux, uy] = [(p1[0] - p0[0]) / length, (p1[1] - p0[1]) / length];
  const at = ([x, y]: Point, along: number, across: number): Point => [
    x + ux * along - uy * across,
    y + uy * along + ux * across,
  ];
  const [back, on] = [cutStart ? 0 : -FAR, cutEnd ? 0 : FAR];
  return polygonPath([at(p0, back, -FAR), at(p1, on, -FAR), at(p1, on, FAR), at(p0, back, FAR)]);
}
