import type { Rect } from '../../print/index.ts';
import { buildPath, ellipsePath, type Mark, type Path, rectPath } from '../../scene/index.ts';
import { leaf, roundedRect, sprig } from '../blocks/pen.ts';

/** An ornament around a rectangle, and the room it leaves inside. */
export interface Framed {
  marks: Mark[];
  inside: Rect;
}

const shrunk = ({ x, y, width, height }: Rect, by: number): Rect => ({
  x: x + by,
  y: y + by,
  width: width - 2 * by,
  height: height - 2 * by,
});

const line = (path: Path, width: number, gray = 0): Mark => ({
  type: 'path',
  path,
  stroke: { width, paint: { gray }, join: 'round' },
});
const outline = ({ x, y, width, height }: Rect): Path => rectPath(x, y, width, height);

/** A thick line with a thin one inside. */
const double = (rect: Rect): Framed => ({
  marks: [line(outline(rect), 1.8), line(outline(shrunk(rect, 5)), 0.75)],
  inside: shrunk(rect, 18),
});

const rounded = (rect: Rect): Framed => ({
  marks: [line(roundedRect(rect, 16), 1.5, 0.15), line(roundedRect(shrunk(rect, 5), 12), 0.75, 0.35)],
  inside: shrunk(rect, 18),
});

/** A quarter of a circle as a cubic curve. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

/** A rectangle whose corners are cut out round. */
function notchedPath({ x, y, width, height }: Rect, r: number): Path {
  const [right, bottom, k] = [x + width, y + height, r * QUARTER];
  return buildPath(12)
    .move(x + r, y)
    .line(right - r, y)
    .curve(right - r, y + k, right - k, y + r, right, y + r)
    .line(right, bottom - r)
    .curve(right - k, bottom - r, right - r, bottom - k, right - r, bottom)
    .line(x + r, bottom)
    .curve(x + r, bottom - k, x + k, bottom - r, x, bottom - r)
    .line(x, y + r)
    .curve(x + k, y + r, x + r, y + k, x + r, y)
    .close()
    .done();
}

const notched = (rect: Rect): Framed => ({
  marks: [
    line(notchedPath(rect, 15), 1.5),
    line(notchedPath(shrunk(rect, 5), 15), 0.75),
    ...[0, 1].flatMap((i) =>
      [0, 1].map(
        (k): Mark => ({
          type: 'path',
          path: ellipsePath(rect.x + i * rect.width, rect.y + k * rect.height, 2.6),
          fill: { gray: 0 },
        }),
      ),
    ),
  ],
  inside: shrunk(rect, 22),
});

/** A line with the scalloped edge of a stamp outside it. */
function stamp(rect: Rect): Framed {
  const radius = 4.2;
  const edge = shrunk(rect, radius);
  const path = buildPath(400);
  const side = (x: number, y: number, dx: number, dy: number, length: number) => {
    const count = Math.max(3, Math.round(length / (2 * radius)));
    const step = length / count;
    const r = step / 2;
    const k = r * QUARTER * 1.0;
    for (let i = 0; i < count; i++) {
      const [ax, ay] = [x + dx * i * step, y + dy * i * step];
      // A half circle outward, which is to the left of the way round.
      const [ox, oy] = [dy, -dx];
      const [mx, my] = [ax + dx * r + ox * r, ay + dy * r + oy * r];
      const [bx, by] = [ax + dx * step, ay + dy * step];
      path
        .curve(ax + ox * k, ay + oy * k, mx - dx * k, my - dy * k, mx, my)
        .curve(mx + dx * k, my + dy * k, bx + ox * k, by + oy * k, bx, by);
    }
  };
  path.move(edge.x, edge.y);
  side(edge.x, edge.y, 1, 0, edge.width);
  side(edge.x + edge.width, edge.y, 0, 1, edge.height);
  side(edge.x + edge.width, edge.y + edge.height, -1, 0, edge.width);
  side(edge.x, edge.y + edge.height, 0, -1, edge.height);
  return {
    marks: [line(path.close().done(), 1, 0.15), line(outline(shrunk(edge, 7)), 1.25, 0)],
    inside: shrunk(edge, 20),
  };
}

/** Sprigs that grow from each corner along both edges. */
function corners(rect: Rect): Framed {
  const length = Math.min(rect.width, rect.height) * 0.3;
  const inset = 6;
  const marks: Mark[] = [];
  for (const [x, across] of [
    [rect.x + inset, 1],
    [rect.x + rect.width - inset, -1],
  ] as const)
    for (const [y, down] of [
      [rect.y + inset, 1],
      [rect.y + rect.height - inset, -1],
    ] as const) {
      marks.push(
        ...sprig(x, y, length, across, 9),
        // The same, turned to grow up or down.
        { type: 'group', matrix: [0, 1, 1, 0, x - y, y - x], marks: turned(x, y, length, down) },
        { type: 'path', path: ellipsePath(x, y, 3), fill: { gray: 0 } },
      );
    }
  return { marks, inside: shrunk(rect, 24) };
}
/** A sprig that the group mirrors at the diagonal through its root. */
const turned = (x: number, y: number, length: number, direction: 1 | -1): Mark[] =>
  sprig(x, y, length, direction, 9);

/** A wreath of leaves, open at the top, with berries between. */
function wreath(rect: Rect): Framed {
  const leafLength = Math.max(8, Math.min(rect.width, rect.height) * 0.055);
  const radius = Math.min(rect.width, rect.height) / 2 - leafLength * 1.1;
  const [x, y] = [rect.x + rect.width / 2, rect.y + rect.height / 2];
  const marks: Mark[] = [line(ellipsePath(x, y, radius), 0.75)];
  const count = Math.max(16, 2 * Math.round((2 * Math.PI * radius) / (leafLength * 1.25)));
  // From the foot up on either side, as two branches that are bound together.
  for (const hand of [1, -1])
    for (let i = 0; i < count / 2 - 1; i++) {
      const along = (i + 0.5) / (count / 2);
      const angle = Math.PI / 2 - hand * along * Math.PI * 0.97;
      const [px, py] = [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
      const grows = angle - (hand * Math.PI) / 2;
      marks.push(...leaf(px, py, leafLength, grows + (i % 2 ? 0.62 : -0.62)));
      if (i % 5 === 2)
        marks.push({
          type: 'path',
          path: ellipsePath(
            px + Math.cos(angle) * leafLength * 0.62,
            py + Math.sin(angle) * leafLength * 0.62,
            leafLength * 0.15,
          ),
          fill: { gray: 0 },
        });
    }
  const half = (radius - leafLength) * 0.76;
  return { marks, inside: { x: x - half, y: y - half * 0.85, width: 2 * half, height: 1.7 * half } };
}

/** Ornaments that words stand in. */
export const FRAMES = { double, rounded, notched, stamp, corners, wreath } as const;
export type FrameId = keyof typeof FRAMES;
