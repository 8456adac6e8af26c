import { BLACK, buildPath, ellipsePath, type Mark, type Path } from '../../scene/index.ts';

/** Small drawings of our own, to tick, to rate with, or to stand beside a title. Drawn about a middle, in a square. */
export const ICONS = [
  'star',
  'heart',
  'drop',
  'sun',
  'cloud',
  'rain',
  'snow',
  'moon',
  'leaf',
  'paw',
  'book',
  'cup',
  'flower',
  'bee',
  'fish',
  'house',
  'clock',
  'face',
] as const;
export type IconId = (typeof ICONS)[number];

const WEIGHT = 0.9;
const line = (path: Path, gray = 0.15): Mark => ({
  type: 'path',
  path,
  stroke: { width: WEIGHT, paint: { gray }, cap: 'round', join: 'round' },
});
const filled = (path: Path): Mark => ({ type: 'path', path, fill: BLACK });

/** @param edge of the square, in points */
export function icon(id: IconId, x: number, y: number, edge: number): Mark[] {
  const r = edge / 2;
  return DRAWINGS[id](x, y, r - WEIGHT / 2);
}

type Draw = (x: number, y: number, r: number) => Mark[];

function star(x: number, y: number, r: number): Path {
  const path = buildPath(12);
  for (let i = 0; i < 10; i++) {
    const radius = i % 2 ? r * 0.42 : r;
    const angle = -Math.PI / 2 + (i * Math.PI) / 5;
    const point = [x + radius * Math.cos(angle), y + radius * Math.sin(angle)] as const;
    if (i === 0) path.move(...point);
    else path.line(...point);
  }
  return path.close().done();
}

const rays = (x: number, y: number, from: number, to: number, count: number): Path => {
  const path = buildPath(2 * count);
  for (let i = 0; i < count; i++) {
    const [cos, sin] = [Math.cos((2 * Math.PI * i) / count), Math.sin((2 * Math.PI * i) / count)];
    path.move(x + from * cos, y + from * sin).line(x + to * cos, y + to * sin);
  }
  return path.done();
};

const cloudPath = (x: number, y: number, r: number): Path =>
  buildPath(8)
    .move(x - 0.6 * r, y + 0.5 * r)
    .curve(x - 1.15 * r, y + 0.5 * r, x - 1.1 * r, y - 0.25 * r, x - 0.55 * r, y - 0.2 * r)
    .curve(x - 0.5 * r, y - 0.85 * r, x + 0.4 * r, y - 0.85 * r, x + 0.42 * r, y - 0.22 * r)
    .curve(x + 1.1 * r, y - 0.3 * r, x + 1.15 * r, y + 0.5 * r, x + 0.6 * r, y + 0.5 * r)
    .close()
    .done();

const drops = (x: number, y: number, r: number, dots: boolean): Mark => {
  const path = buildPath(6);
  for (const at of [-0.5, 0, 0.5])
    if (dots) path.move(x + at * r - 0.01, y + 0.8 * r).line(x + at * r + 0.01, y + 0.8 * r);
    else path.move(x + at * r, y + 0.62 * r).line(x + (at - 0.12) * r, y + 0.98 * r);
  return dots
    ? { type: 'path', path: path.done(), stroke: { width: WEIGHT * 2, paint: { gray: 0.15 }, cap: 'round' } }
    : line(path.done());
};

/** A face of a mood from 0 (sad) to 1 (glad). */
export function face(x: number, y: number, edge: number, mood: number): Mark[] {
  const r = edge / 2 - WEIGHT / 2;
  const smile = (mood - 0.5) * 2;
  const corner = y + r * (0.36 - 0.1 * smile);
  const mouth = buildPath(2)
    .move(x - 0.42 * r, corner)
    .curve(
      x - 0.2 * r,
      corner + 0.36 * r * smile,
      x + 0.2 * r,
      corner + 0.36 * r * smile,
      x + 0.42 * r,
      corner,
    )
    .done();
  const eye = (at: number) => filled(ellipsePath(x + at * r, y - 0.22 * r, Math.max(0.5, r * 0.1)));
  return [line(ellipsePath(x, y, r)), line(mouth), eye(-0.36), eye(0.36)];
}

/** A phase of the moon: new, first quarter, full, last quarter. */
export function phase(x: number, y: number, edge: number, quarter: number): Mark[] {
  const r = edge / 2 - WEIGHT / 2;
  const ring = line(ellipsePath(x, y, r));
  if (quarter === 0) return [ring, filled(ellipsePath(x, y, r))];
  if (quarter === 2) return [ring];
  const side = quarter === 1 ? -1 : 1;
  const k = (4 / 3) * (Math.SQRT2 - 1) * r;
  const half = buildPath(4)
    .move(x, y - r)
    .curve(x + side * k, y - r, x + side * r, y - k, x + side * r, y)
    .curve(x + side * r, y + k, x + side * k, y + r, x, y + r)
    .close()
    .done();
  return [filled(half), ring];
}

const DRAWINGS: Record<IconId, Draw> = {
  star: (x, y, r) => [line(star(x, y + 0.05 * r, r))],
  heart: (x, y, r) => [
    line(
      buildPath(6)
        .move(x, y + 0.85 * r)
        .curve(x - 1.3 * r, y - 0.05 * r, x - 0.95 * r, y - 0.95 * r, x - 0.45 * r, y - 0.85 * r)
        .curve(x - 0.2 * r, y - 0.8 * r, x - 0.05 * r, y - 0.6 * r, x, y - 0.4 * r)
        .curve(x + 0.05 * r, y - 0.6 * r, x + 0.2 * r, y - 0.8 * r, x + 0.45 * r, y - 0.85 * r)
        .curve(x + 0.95 * r, y - 0.95 * r, x + 1.3 * r, y - 0.05 * r, x, y + 0.85 * r)
        .close()
        .done(),
    ),
  ],
  drop: (x, y, r) => [
    line(
      buildPath(4)
        .move(x, y - r)
        .curve(x + 0.2 * r, y - 0.45 * r, x + 0.72 * r, y - 0.05 * r, x + 0.68 * r, y + 0.35 * r)
        .curve(x + 0.64 * r, y + 1.2 * r, x - 0.64 * r, y + 1.2 * r, x - 0.68 * r, y + 0.35 * r)
        .curve(x - 0.72 * r, y - 0.05 * r, x - 0.2 * r, y - 0.45 * r, x, y - r)
        .close()
        .done(),
    ),
  ],
  sun: (x, y, r) => [line(ellipsePath(x, y, 0.46 * r)), line(rays(x, y, 0.68 * r, r, 8))],
  cloud: (x, y, r) => [line(cloudPath(x, y, r))],
  rain: (x, y, r) => [line(cloudPath(x, y - 0.25 * r, 0.85 * r)), drops(x, y, r, false)],
  snow: (x, y, r) => [line(cloudPath(x, y - 0.25 * r, 0.85 * r)), drops(x, y, r, true)],
  moon: (x, y, r) => [
    line(
      buildPath(4)
        .move(x + 0.25 * r, y - 0.95 * r)
        .curve(x - 1.35 * r, y - 0.75 * r, x - 1.1 * r, y + 1.25 * r, x + 0.75 * r, y + 0.65 * r)
        .curve(x - 0.4 * r, y + 0.6 * r, x - 0.5 * r, y - 0.5 * r, x + 0.25 * r, y - 0.95 * r)
        .close()
        .done(),
    ),
  ],
  leaf: (x, y, r) => [
    line(
      buildPath(4)
        .move(x - 0.75 * r, y + 0.75 * r)
        .curve(x - 1.1 * r, y - 0.6 * r, x + 0.1 * r, y - 1.1 * r, x + 0.9 * r, y - 0.9 * r)
        .curve(x + 1.1 * r, y - 0.1 * r, x + 0.6 * r, y + 1.1 * r, x - 0.75 * r, y + 0.75 * r)
        .close()
        .done(),
    ),
    line(
      buildPath(2)
        .move(x - 0.95 * r, y + 0.95 * r)
        .line(x + 0.4 * r, y - 0.4 * r)
        .done(),
    ),
  ],
  paw: (x, y, r) => [
    filled(ellipsePath(x, y + 0.4 * r, 0.52 * r, 0.42 * r)),
    ...[
      [-0.68, -0.05],
      [-0.27, -0.55],
      [0.27, -0.55],
      [0.68, -0.05],
    ].map(([dx, dy]) => filled(ellipsePath(x + dx! * r, y + dy! * r, 0.19 * r, 0.26 * r))),
  ],
  book: (x, y, r) => [
    line(
      buildPath(8)
        .move(x, y - 0.55 * r)
        .curve(x - 0.35 * r, y - 0.85 * r, x - 0.75 * r, y - 0.85 * r, x - r, y - 0.7 * r)
        .line(x - r, y + 0.6 * r)
        .curve(x - 0.75 * r, y + 0.45 * r, x - 0.35 * r, y + 0.45 * r, x, y + 0.75 * r)
        .curve(x + 0.35 * r, y + 0.45 * r, x + 0.75 * r, y + 0.45 * r, x + r, y + 0.6 * r)
        .line(x + r, y - 0.7 * r)
        .curve(x + 0.75 * r, y - 0.85 * r, x + 0.35 * r, y - 0.85 * r, x, y - 0.55 * r)
        .line(x, y + 0.75 * r)
        .done(),
    ),
  ],
  cup: (x, y, r) => [
    line(
      buildPath(5)
        .move(x - 0.8 * r, y - 0.5 * r)
        .line(x + 0.5 * r, y - 0.5 * r)
        .curve(x + 0.5 * r, y + 0.9 * r, x - 0.8 * r, y + 0.9 * r, x - 0.8 * r, y - 0.5 * r)
        .done(),
    ),
    line(
      buildPath(2)
        .move(x + 0.5 * r, y - 0.3 * r)
        .curve(x + 1.1 * r, y - 0.4 * r, x + 1.05 * r, y + 0.35 * r, x + 0.36 * r, y + 0.25 * r)
        .done(),
    ),
    line(
      buildPath(2)
        .move(x - r, y + 0.8 * r)
        .line(x + 0.7 * r, y + 0.8 * r)
        .done(),
    ),
  ],
  flower: (x, y, r) => [
    ...Array.from({ length: 6 }, (_, i) => {
      const angle = (i * Math.PI) / 3;
      return line(ellipsePath(x + 0.58 * r * Math.cos(angle), y + 0.58 * r * Math.sin(angle), 0.32 * r));
    }),
    filled(ellipsePath(x, y, 0.24 * r)),
  ],
  bee: (x, y, r) => [
    line(ellipsePath(x, y + 0.2 * r, 0.42 * r, 0.7 * r)),
    line(ellipsePath(x - 0.6 * r, y - 0.25 * r, 0.38 * r, 0.25 * r)),
    line(ellipsePath(x + 0.6 * r, y - 0.25 * r, 0.38 * r, 0.25 * r)),
    line(
      buildPath(6)
        .move(x - 0.38 * r, y)
        .line(x + 0.38 * r, y)
        .move(x - 0.42 * r, y + 0.3 * r)
        .line(x + 0.42 * r, y + 0.3 * r)
        .move(x - 0.32 * r, y + 0.6 * r)
        .line(x + 0.32 * r, y + 0.6 * r)
        .done(),
    ),
    filled(ellipsePath(x, y - 0.62 * r, 0.24 * r)),
  ],
  fish: (x, y, r) => [
    line(
      buildPath(6)
        .move(x + r, y)
        .curve(x + 0.5 * r, y - 0.75 * r, x - 0.2 * r, y - 0.6 * r, x - 0.55 * r, y)
        .curve(x - 0.2 * r, y + 0.6 * r, x + 0.5 * r, y + 0.75 * r, x + r, y)
        .close()
        .done(),
    ),
    line(
      buildPath(3)
        .move(x - 0.5 * r, y)
        .line(x - r, y - 0.5 * r)
        .line(x - r, y + 0.5 * r)
        .close()
        .done(),
    ),
    filled(ellipsePath(x + 0.5 * r, y - 0.12 * r, 0.09 * r)),
  ],
  house: (x, y, r) => [
    line(
      buildPath(8)
        .move(x - r, y)
        .line(x, y - 0.9 * r)
        .line(x + r, y)
        .move(x - 0.7 * r, y - 0.2 * r)
        .line(x - 0.7 * r, y + 0.85 * r)
        .line(x + 0.7 * r, y + 0.85 * r)
        .line(x + 0.7 * r, y - 0.2 * r)
        .done(),
    ),
  ],
  clock: (x, y, r) => [
    line(ellipsePath(x, y, r)),
    line(
      buildPath(3)
        .move(x, y - 0.6 * r)
        .line(x, y)
        .line(x + 0.42 * r, y + 0.2 * r)
        .done(),
    ),
  ],
  face: (x, y, r) => face(x, y, 2 * r + WEIGHT, 1),
};
