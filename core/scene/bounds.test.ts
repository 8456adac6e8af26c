import { Resvg } from '@resvg/resvg-js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sceneToSvg } from '../export/svg.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import {
  type Bounds,
  boundsOf,
  buildPath,
  ellipsePath,
  IDENTITY,
  type InkMark,
  linePath,
  type Mark,
  type Matrix,
  markBounds,
  type Path,
  pathBounds,
  polygonPath,
  readPath,
  rectPath,
  type Stroke,
  turnedRound,
} from './index.ts';

const type = typesetterFromDisk();
/** Sheet in points and pixels a point of the picture that ink is looked for in. */
const SIDE = 400;
const SCALE = 3;
/** Ink covers a pixel in part: an edge is known to one pixel on either side. */
const SLACK = 1.01 / SCALE;
const BLACK = { gray: 0 };

/** The box of all ink, by resvg, which knows nothing of our measuring. */
function inkOf(marks: Mark[]): Bounds | null {
  const pixels = SIDE * SCALE;
  const scene = { width: SIDE, height: SIDE, gray: true, layers: [{ marks }] };
  const svg = sceneToSvg(scene, type, { width: pixels, height: pixels });
  const image = new Resvg(svg, { font: { loadSystemFonts: false } }).render();
  const alpha = new Uint32Array(image.pixels.buffer, image.pixels.byteOffset, pixels * pixels);
  let [left, top, right, bottom] = [Infinity, -1, -1, -1];
  for (let y = 0; y < pixels; y++) {
    for (let x = 0; x < pixels; x++) {
      if (alpha[y * pixels + x]! >>> 24 === 0) continue;
      if (top < 0) top = y;
      bottom = y;
      if (x < left) left = x;
      if (x > right) right = x;
    }
  }
  if (top < 0) return null;
  return { left: left / SCALE, top: top / SCALE, right: (right + 1) / SCALE, bottom: (bottom + 1) / SCALE };
}

/** The box of a thousand points on every curve, by de Casteljau's construction. */
function sampled(path: Path, [a, b, c, d, e, f]: Matrix): Bounds {
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  let pen: [number, number] = [0, 0];
  const mix = (p: [number, number], q: [number, number], t: number): [number, number] => [
    p[0] + (q[0] - p[0]) * t,
    p[1] + (q[1] - p[1]) * t,
  ];
  const see = ([x, y]: [number, number]) => {
    box.left = Math.min(box.left, a * x + c * y + e);
    box.right = Math.max(box.right, a * x + c * y + e);
    box.top = Math.min(box.top, b * x + d * y + f);
    box.bottom = Math.max(box.bottom, b * x + d * y + f);
  };
  readPath(path, {
    move(x, y) {
      pen = [x, y];
      see(pen);
    },
    line(x, y) {
      pen = [x, y];
      see(pen);
    },
    curve(x1, y1, x2, y2, x, y) {
      for (let i = 0; i <= 1000; i++) {
        const t = i / 1000;
        const [p, q, r] = [mix(pen, [x1, y1], t), mix([x1, y1], [x2, y2], t), mix([x2, y2], [x, y], t)];
        see(mix(mix(p, q, t), mix(q, r, t), t));
      }
      pen = [x, y];
    },
    close() {},
  });
  return box;
}

function expectAround(box: Bounds | null, ink: Bounds | null, slack = SLACK) {
  if (!ink) return;
  expect(box).not.toBeNull();
  for (const edge of ['left', 'top', 'right', 'bottom'] as const)
    expect(Math.abs(box![edge] - ink[edge]), `${edge} is ${box![edge]}, ink at ${ink[edge]}`).toBeLessThan(
      slack,
    );
}

const place = fc.double({ min: 120, max: 280, noNaN: true });
const point = fc.tuple(place, place);
const matrix: fc.Arbitrary<Matrix> = fc.oneof(
  fc.constant(IDENTITY),
  fc.integer({ min: 0, max: 359 }).map((degrees) => turnedRound(degrees, 200, 200)),
  fc.constant([1.2, 0.3, -0.4, 0.7, 50, 20] as Matrix),
);
const curves: fc.Arbitrary<Path> = fc
  .tuple(point, fc.array(fc.tuple(point, point, point), { minLength: 1, maxLength: 3 }), fc.boolean())
  .map(([start, steps, closed]) => {
    const path = buildPath().move(...start);
    for (const [[x1, y1], [x2, y2], [x, y]] of steps) path.curve(x1, y1, x2, y2, x, y);
    return closed ? path.close().done() : path.done();
  });
/** Corners far enough apart that every segment is longer than half the stroke. */
const corners: fc.Arbitrary<Path> = fc
  .tuple(fc.array(point, { minLength: 2, maxLength: 6 }), fc.boolean())
  .filter(([points]) =>
    points.every(([x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length]!;
      return Math.hypot(nx - x, ny - y) > 20;
    }),
  )
  .map(([points, closed]) => {
    if (closed) return polygonPath(points);
    const path = buildPath().move(...points[0]!);
    for (const [x, y] of points.slice(1)) path.line(x, y);
    return path.done();
  });
const stroke: fc.Arbitrary<Stroke> = fc.record({
  width: fc.double({ min: 2, max: 20, noNaN: true }),
  paint: fc.constant(BLACK),
  cap: fc.constantFrom('butt' as const, 'round' as const, 'square' as const),
  join: fc.constantFrom('miter' as const, 'round' as const, 'bevel' as const),
  miterLimit: fc.constantFrom(1.5, 4, 10),
});

describe('the box round ink, against the pixels that resvg covers', () => {
  const check = (mark: Mark, m: Matrix) => {
    const marks: Mark[] = [{ type: 'group', matrix: m, marks: [mark] }];
    expectAround(boundsOf(marks, type), inkOf(marks));
  };

  it('filled curves: no pixel outside, and no larger than the points of the curve, taken closely', () => {
    fc.assert(
      fc.property(curves, matrix, (path, m) => {
        const marks: Mark[] = [{ type: 'group', matrix: m, marks: [{ type: 'path', path, fill: BLACK }] }];
        const box = boundsOf(marks, type)!;
        // A tip may be too sharp to cover any pixel: ink reaches at most as far as the box.
        const ink = inkOf(marks);
        if (ink) {
          expect(ink.left).toBeGreaterThan(box.left - SLACK);
          expect(ink.top).toBeGreaterThan(box.top - SLACK);
          expect(ink.right).toBeLessThan(box.right + SLACK);
          expect(ink.bottom).toBeLessThan(box.bottom + SLACK);
        }
        expectAround(box, sampled(path, m), 0.01);
      }),
      { numRuns: 25 },
    );
  });

  it('stroked corners: miters to their tips, limits, bevels, round corners, every kind of end', () => {
    fc.assert(
      fc.property(corners, stroke, matrix, (path, line, m) => check({ type: 'path', path, stroke: line }, m)),
      { numRuns: 40 },
    );
  });

  it('stroked curves', () => {
    // A curve that bends tighter than half the stroke has cusps on its inner side, where renderers differ.
    const gentle = fc.tuple(point, point).map(([[x0, y0], [x3, y3]]) =>
      buildPath()
        .move(x0, y0)
        .curve(x0 + 60, y0 - 40, x3 - 50, y3 - 60, x3, y3)
        .done(),
    );
    fc.assert(
      fc.property(gentle, stroke, matrix, (path, line, m) =>
        check({ type: 'path', path, stroke: { ...line, width: Math.min(line.width, 4) } }, m),
      ),
      { numRuns: 25 },
    );
  });

  it.each([0, 25, 90, 210])('text turned by %d degrees', (degrees) => {
    check(
      { type: 'text', text: 'AVAVA fjord', face: 'alegreya-bold', size: 40, x: 110, y: 210, color: BLACK },
      turnedRound(degrees, 200, 200),
    );
  });
});

describe('the box round ink, worked by hand', () => {
  const boxOf = (mark: InkMark) => markBounds(mark, IDENTITY, type)!;
  const stroked = (path: Path, more: Partial<Stroke> = {}): InkMark => ({
    type: 'path',
    path,
    stroke: { width: 2, paint: BLACK, ...more },
  });

  it('a single line adds its width across and nothing along, unless its ends are round or square', () => {
    const line = linePath(30, 300, 90, 300);
    expect(boxOf(stroked(line))).toEqual({ left: 30, right: 90, top: 299, bottom: 301 });
    expect(boxOf(stroked(line, { cap: 'round' }))).toEqual({ left: 29, right: 91, top: 299, bottom: 301 });
    expect(boxOf(stroked(line, { cap: 'square' }))).toEqual({ left: 29, right: 91, top: 299, bottom: 301 });
  });

  it('the tip of a miter of 60° lies a whole width from its corner: half a width ÷ sin 30°', () => {
    const side = 100;
    const roof = buildPath()
      .move(0, 0)
      .line(side / 2, (-side * Math.sqrt(3)) / 2)
      .line(side, 0)
      .done();
    const top = (-side * Math.sqrt(3)) / 2;
    expect(boxOf(stroked(roof, { width: 10 })).top).toBeCloseTo(top - 10, 4);
    // 1 ÷ sin 30° is 2: a lower limit bevels the corner, level with the middle of its two edges.
    expect(boxOf(stroked(roof, { width: 10, miterLimit: 1.9 })).top).toBeCloseTo(top - 2.5, 4);
    expect(boxOf(stroked(roof, { width: 10, join: 'round' })).top).toBeCloseTo(top - 5, 4);
  });

  it('a circle of Béziers is as wide as the circle, although its control points form a square', () => {
    expect(pathBounds(ellipsePath(50, 60, 20), IDENTITY)).toEqual({
      left: 30,
      right: 70,
      top: 40,
      bottom: 80,
    });
    const turned = pathBounds(ellipsePath(50, 60, 20), turnedRound(45, 50, 60));
    // The usual cubic is at most 0.03 % outside its circle (Riškus, 2006).
    for (const edge of [turned.right - 50, 50 - turned.left]) expect(edge).toBeCloseTo(20, 1);
  });

  it('what a clip cuts off does not count, and a move alone leaves no ink', () => {
    const clipped: Mark[] = [
      {
        type: 'group',
        clip: { path: rectPath(10, 10, 20, 20) },
        marks: [{ type: 'path', path: rectPath(0, 15, 100, 5), fill: BLACK }],
      },
    ];
    expect(boundsOf(clipped, type)).toEqual({ left: 10, right: 30, top: 15, bottom: 20 });
    const move = buildPath().move(5, 5).done();
    expect(markBounds({ type: 'path', path: move, fill: BLACK }, IDENTITY, type)).toBeNull();
    expect(boundsOf([], type)).toBeNull();
  });
});

describe('a path', () => {
  it('of 20,000 curves takes about half a megabyte', () => {
    const path = buildPath(20_001).move(0, 0);
    for (let i = 0; i < 20_000; i++) path.curve(i, 1, i, 2, i, 3);
    const { ops, points } = path.done();
    expect(ops.byteLength + points.byteLength).toBeLessThan(0.55 * 1024 * 1024);
  });
});
