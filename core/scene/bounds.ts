import { type InkMark, MITER_LIMIT, type Stroke } from './marks.ts';
import type { Matrix } from './matrix.ts';
import { CLOSE, CURVE, LINE, MOVE, type Path } from './path.ts';
import { eachPlacedGlyph } from './placed-glyphs.ts';
import type { Typesetter } from './typesetter.ts';

/** Edges in points. Empty when left is greater than right. */
export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

const nothing = (): Bounds => ({ left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity });
const isNothing = (box: Bounds): boolean => !(box.left <= box.right && box.top <= box.bottom);

/** What two boxes have in common; `other` null stands for everywhere. */
export function intersection(box: Bounds | null, other: Bounds | null): Bounds | null {
  if (!box) return other ?? nothing();
  if (!other) return box;
  return {
    left: Math.max(box.left, other.left),
    top: Math.max(box.top, other.top),
    right: Math.min(box.right, other.right),
    bottom: Math.min(box.bottom, other.bottom),
  };
}

/**
 * Grows a box by points and by single edges, all in the coordinates of a mark; the box is that of the sheet. Of a point
 * (x, y) the sheet sees ax + cy + e across and bx + dy + f down, so every extent is asked for in these two directions.
 */
class Cover {
  readonly box = nothing();
  /** How far a unit circle reaches across and down. */
  readonly reachX: number;
  readonly reachY: number;
  constructor(readonly m: Matrix) {
    this.reachX = Math.hypot(m[0], m[2]);
    this.reachY = Math.hypot(m[1], m[3]);
  }

  point(x: number, y: number): void {
    const [a, b, c, d, e, f] = this.m;
    this.across(a * x + c * y + e);
    this.down(b * x + d * y + f);
  }

  disc(x: number, y: number, r: number): void {
    const [a, b, c, d, e, f] = this.m;
    const px = a * x + c * y + e;
    const py = b * x + d * y + f;
    this.across(px - r * this.reachX);
    this.across(px + r * this.reachX);
    this.down(py - r * this.reachY);
    this.down(py + r * this.reachY);
  }

  across(x: number): void {
    if (x < this.box.left) this.box.left = x;
    if (x > this.box.right) this.box.right = x;
  }

  down(y: number): void {
    if (y < this.box.top) this.box.top = y;
    if (y > this.box.bottom) this.box.bottom = y;
  }

  /** True when a disc round a point lies in the box already: most points of a large drawing do. */
  holds(x: number, y: number, r: number): boolean {
    const [a, b, c, d, e, f] = this.m;
    const px = a * x + c * y + e;
    const py = b * x + d * y + f;
    const { box } = this;
    return (
      px - r * this.reachX >= box.left &&
      px + r * this.reachX <= box.right &&
      py - r * this.reachY >= box.top &&
      py + r * this.reachY <= box.bottom
    );
  }

  /** The inner extremes of a cubic Bézier, each with `r` of stroke beyond it, where the stroke is level with the edge. */
  curve(
    x0: number,
    y0: number,
    x1: number,
    y1: number,
    x2: number,
    y2: number,
    x3: number,
    y3: number,
    r: number,
  ): void {
    const [a, b, c, d, e, f] = this.m;
    eachExtreme(a * x0 + c * y0, a * x1 + c * y1, a * x2 + c * y2, a * x3 + c * y3, (v) => {
      this.across(v + e - r * this.reachX);
      this.across(v + e + r * this.reachX);
    });
    eachExtreme(b * x0 + d * y0, b * x1 + d * y1, b * x2 + d * y2, b * x3 + d * y3, (v) => {
      this.down(v + f - r * this.reachY);
      this.down(v + f + r * this.reachY);
    });
  }
}

/** Values of a cubic Bézier in one direction where it turns back: the roots of its derivative between 0 and 1. */
function eachExtreme(p0: number, p1: number, p2: number, p3: number, each: (value: number) => void): void {
  // Monotonic control points make a monotonic curve.
  if ((p0 <= p1 && p1 <= p2 && p2 <= p3) || (p0 >= p1 && p1 >= p2 && p2 >= p3)) return;
  const a = p3 - p0 + 3 * (p1 - p2);
  const b = 2 * (p0 - 2 * p1 + p2);
  const c = p1 - p0;
  const at = (t: number) => {
    if (!(t > 0 && t < 1)) return;
    const s = 1 - t;
    each(s * s * s * p0 + 3 * s * s * t * p1 + 3 * s * t * t * p2 + t * t * t * p3);
  };
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) {
    if (b !== 0) at(-c / b);
    return;
  }
  const inner = b * b - 4 * a * c;
  if (inner < 0) return;
  // Numerically stable form of the quadratic formula (Press et al., Numerical Recipes §5.6).
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(inner));
  at(q / a);
  if (q !== 0) at(c / q);
}

/** The box of a path's points, curves followed exactly. */
export function pathBounds(path: Path, matrix: Matrix): Bounds {
  const cover = new Cover(matrix);
  fillExtent(path, cover);
  return cover.box;
}

function fillExtent({ ops, points: p }: Path, cover: Cover): void {
  let x = 0;
  let y = 0;
  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    if (op === CLOSE) continue;
    // A move with nothing after it paints nothing.
    if (op === MOVE && (k + 1 === ops.length || ops[k + 1] === MOVE)) {
      i += 2;
      continue;
    }
    if (op === CURVE) {
      if (
        !cover.holds(p[i]!, p[i + 1]!, 0) ||
        !cover.holds(p[i + 2]!, p[i + 3]!, 0) ||
        !cover.holds(p[i + 4]!, p[i + 5]!, 0)
      ) {
        cover.point(p[i + 4]!, p[i + 5]!);
        cover.curve(x, y, p[i]!, p[i + 1]!, p[i + 2]!, p[i + 3]!, p[i + 4]!, p[i + 5]!, 0);
      }
      i += 4;
    } else cover.point(p[i]!, p[i + 1]!);
    x = p[i]!;
    y = p[i + 1]!;
    i += 2;
  }
}

/**
 * Follows the outline of a stroke: butt edges of every segment, curves where they are level with an edge, caps at open
 * ends, joins at corners (ISO 32000-1 §8.4.3.3 to §8.4.3.5). Exact for segments longer than half the stroke's width; a
 * dashed stroke with round or square caps is taken as if every point had such a cap.
 */
function strokeExtent({ ops, points: p }: Path, stroke: Stroke, cover: Cover): void {
  const h = stroke.width / 2;
  const cap = stroke.cap ?? 'butt';
  const join = stroke.join ?? 'miter';
  const limit = join === 'miter' ? (stroke.miterLimit ?? MITER_LIMIT) : 1;
  const dotted = (stroke.dash?.length ?? 0) > 0 && cap !== 'butt';
  const dotReach = dotted ? (cap === 'square' ? h * Math.SQRT2 : h) : h;
  const cornerReach = Math.max(dotReach, h * limit);

  // Start of the subpath and its first direction; where the pen is and the way it came by, of any length.
  let sx = 0;
  let sy = 0;
  let sdx = 0;
  let sdy = 0;
  let x = 0;
  let y = 0;
  let dx = 0;
  let dy = 0;
  let drawn = false;
  let stepped = false;

  const edge = (px: number, py: number, ux: number, uy: number) => {
    cover.point(px - uy * h, py + ux * h);
    cover.point(px + uy * h, py - ux * h);
    if (dotted) cover.disc(px, py, dotReach);
  };
  /** A corner, come to by (cx, cy) of any length, left by the unit vector v. */
  const corner = (px: number, py: number, cx: number, cy: number, vx: number, vy: number) => {
    if (join === 'round') {
      cover.disc(px, py, h);
      return;
    }
    if (join === 'bevel' || cover.holds(px, py, h * limit)) return;
    const length = Math.hypot(cx, cy);
    const ux = cx / length;
    const uy = cy / length;
    const turn = ux * vy - uy * vx;
    const cosine = ux * vx + uy * vy;
    // Ratio of miter length to width: 1 ÷ sin(φ/2), φ the angle between the segments.
    if (turn === 0 || 2 > limit * limit * (1 + cosine)) return;
    const side = turn > 0 ? -h : h;
    const scale = side / (1 + cosine);
    cover.point(px + (-uy - vy) * scale, py + (ux + vx) * scale);
  };
  const end = (px: number, py: number, outX: number, outY: number) => {
    if (cap === 'round') cover.disc(px, py, h);
    else if (cap === 'square') {
      cover.point(px + (outX - outY) * h, py + (outY + outX) * h);
      cover.point(px + (outX + outY) * h, py + (outY - outX) * h);
    }
  };
  const finish = () => {
    if (drawn) {
      const length = Math.hypot(dx, dy);
      end(sx, sy, -sdx, -sdy);
      end(x, y, dx / length, dy / length);
    } else if (stepped && cap !== 'butt') {
      // A subpath without length is a dot.
      end(x, y, 1, 0);
      end(x, y, -1, 0);
    }
    drawn = stepped = false;
  };
  /** A segment from the pen to (ex, ey), leaving by u and coming in by v. */
  const segment = (ex: number, ey: number, ux: number, uy: number, vx: number, vy: number) => {
    if (drawn) corner(x, y, dx, dy, ux, uy);
    else {
      sdx = ux;
      sdy = uy;
    }
    edge(x, y, ux, uy);
    edge(ex, ey, vx, vy);
    x = ex;
    y = ey;
    dx = vx;
    dy = vy;
    drawn = true;
  };
  const lineTo = (ex: number, ey: number) => {
    stepped = true;
    const length = Math.hypot(ex - x, ey - y);
    if (length === 0) return;
    const ux = (ex - x) / length;
    const uy = (ey - y) / length;
    segment(ex, ey, ux, uy, ux, uy);
  };

  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    if (op === MOVE) {
      finish();
      x = sx = p[i]!;
      y = sy = p[i + 1]!;
      i += 2;
    } else if (op === LINE) {
      lineTo(p[i]!, p[i + 1]!);
      i += 2;
    } else if (op === CURVE) {
      const x1 = p[i]!;
      const y1 = p[i + 1]!;
      const x2 = p[i + 2]!;
      const y2 = p[i + 3]!;
      const x3 = p[i + 4]!;
      const y3 = p[i + 5]!;
      i += 6;
      stepped = true;
      // Most curves of a large drawing lie well inside of what is covered already.
      if (
        drawn &&
        (x3 !== x2 || y3 !== y2) &&
        cover.holds(x, y, cornerReach) &&
        cover.holds(x1, y1, dotReach) &&
        cover.holds(x2, y2, dotReach) &&
        cover.holds(x3, y3, dotReach)
      ) {
        x = x3;
        y = y3;
        dx = x3 - x2;
        dy = y3 - y2;
        continue;
      }
      const out = direction(x, y, x1, y1, x2, y2, x3, y3);
      if (!out) continue;
      const into = direction(x3, y3, x2, y2, x1, y1, x, y)!;
      const x0 = x;
      const y0 = y;
      segment(x3, y3, out[0], out[1], -into[0], -into[1]);
      cover.curve(x0, y0, x1, y1, x2, y2, x3, y3, dotReach);
    } else {
      if (x !== sx || y !== sy) lineTo(sx, sy);
      if (drawn) corner(sx, sy, dx, dy, sdx, sdy);
      else {
        stepped = true;
        finish();
      }
      drawn = stepped = false;
      x = sx;
      y = sy;
    }
  }
  finish();
}

/** The direction in which a cubic Bézier leaves its first point; null for one without length. */
function direction(
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
): [number, number] | null {
  let dx = x1 - x0;
  let dy = y1 - y0;
  if (dx === 0 && dy === 0) {
    dx = x2 - x0;
    dy = y2 - y0;
  }
  if (dx === 0 && dy === 0) {
    dx = x3 - x0;
    dy = y3 - y0;
  }
  const length = Math.hypot(dx, dy);
  return length === 0 ? null : [dx / length, dy / length];
}

/**
 * The box round a mark's ink on the sheet, stroke included. Null for a mark that leaves no ink, or none that a clip
 * leaves.
 * @param clip what the groups round it leave, or null
 */
export function markBounds(
  mark: InkMark,
  matrix: Matrix,
  type: Typesetter,
  clip: Bounds | null = null,
): Bounds | null {
  const cover = new Cover(matrix);
  if (mark.type === 'path') {
    if (mark.fill) fillExtent(mark.path, cover);
    if (mark.stroke) strokeExtent(mark.path, mark.stroke, cover);
  } else if (mark.type === 'image') {
    cover.point(mark.x, mark.y);
    cover.point(mark.x + mark.width, mark.y);
    cover.point(mark.x, mark.y + mark.height);
    cover.point(mark.x + mark.width, mark.y + mark.height);
  } else {
    const [a, b, c, d, e, f] = matrix;
    const level = (b === 0 && c === 0) || (a === 0 && d === 0);
    const { size, y } = mark;
    eachPlacedGlyph(mark, type, (face, glyph, x) => {
      const ink = type.box(face, glyph);
      if (ink.minX === ink.maxX) return;
      if (level) {
        cover.point(x + ink.minX * size, y - ink.maxY * size);
        cover.point(x + ink.maxX * size, y - ink.minY * size);
        return;
      }
      // Turned, the box of a glyph says too much: its outline is followed.
      const turned = pathBounds(type.outline(face, glyph), [
        a * size,
        b * size,
        -c * size,
        -d * size,
        a * x + c * y + e,
        b * x + d * y + f,
      ]);
      cover.across(turned.left);
      cover.across(turned.right);
      cover.down(turned.top);
      cover.down(turned.bottom);
    });
  }
  const box = clip ? intersection(cover.box, clip)! : cover.box;
  return isNothing(box) ? null : box;
}
