import { buildPath, type Path, type PathBuilder } from '../scene/index.ts';

/**
 * A stroke of a letter as a hand makes it. Tenths of the height of a capital: the base line at 0, the middle line at 5, the top
 * line at 10, tails down to -5; y upwards.
 */
export interface Stroke {
  path: Path;
  /** Where it begins, and in which direction, in radians from the right, counterclockwise. */
  start: readonly [x: number, y: number];
  heading: number;
}

/** A letter: its strokes in the order in which they are made, and its width from its left to its right edge. */
export interface Letter {
  strokes: readonly Stroke[];
  width: number;
}

interface Hand {
  line(...to: readonly (readonly [number, number])[]): Hand;
  curve(x1: number, y1: number, x2: number, y2: number, x: number, y: number): Hand;
  /** An arc of an ellipse about a center, from one angle to another, in degrees; a line leads to where it begins. */
  arc(cx: number, cy: number, rx: number, ry: number, from: number, to: number): Hand;
  /** Lifts the pen: what follows goes back over what is there. */
  lift(x: number, y: number): Hand;
  done(): Stroke;
}

const RADIANS = Math.PI / 180;
/** An arc is cut into pieces no longer than this, in degrees: a cubic curve is then within a hair of it. */
const PIECE = 60;

/** Begins a stroke at a point. */
export function stroke(x: number, y: number): Hand {
  const path: PathBuilder = buildPath(24).move(x, y);
  const start = [x, y] as const;
  let at: readonly [number, number] = start;
  let heading: number | null = null;
  const headFor = (toX: number, toY: number) => {
    if (Math.hypot(toX - start[0], toY - start[1]) > 1e-6)
      heading ??= Math.atan2(toY - start[1], toX - start[0]);
  };
  const hand: Hand = {
    line(...to) {
      for (const [toX, toY] of to) {
        headFor(toX, toY);
        path.line(toX, toY);
        at = [toX, toY];
      }
      return hand;
    },
    curve(x1, y1, x2, y2, toX, toY) {
      headFor(x1, y1);
      headFor(x2, y2);
      path.curve(x1, y1, x2, y2, toX, toY);
      at = [toX, toY];
      return hand;
    },
    arc(cx, cy, rx, ry, from, to) {
      const point = (degrees: number) =>
        [cx + rx * Math.cos(degrees * RADIANS), cy + ry * Math.sin(degrees * RADIANS)] as const;
      const first = point(from);
      if (Math.hypot(first[0] - at[0], first[1] - at[1]) > 0.01) hand.line(first);
      const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / PIECE));
      const step = (to - from) / pieces;
      const k = (4 / 3) * Math.tan((step * RADIANS) / 4);
      for (let i = 0; i < pieces; i++) {
        const [a, b] = [(from + i * step) * RADIANS, (from + (i + 1) * step) * RADIANS];
        const [ax, ay] = [cx + rx * Math.cos(a), cy + ry * Math.sin(a)];
        const [bx, by] = [cx + rx * Math.cos(b), cy + ry * Math.sin(b)];
        hand.curve(
          ax - k * rx * Math.sin(a),
          ay + k * ry * Math.cos(a),
          bx + k * rx * Math.sin(b),
          by - k * ry * Math.cos(b),
          bx,
          by,
        );
      }
      return hand;
    },
    lift(toX, toY) {
      path.move(toX, toY);
      at = [toX, toY];
      return hand;
    },
    done: () => ({ path: path.done(), start, heading: heading ?? 0 }),
  };
  return hand;
}

/** Begins a stroke on an arc. */
export const arc = (cx: number, cy: number, rx: number, ry: number, from: number, to: number): Hand =>
  stroke(cx + rx * Math.cos(from * RADIANS), cy + ry * Math.sin(from * RADIANS)).arc(
    cx,
    cy,
    rx,
    ry,
    from,
    to,
  );

/** A straight stroke through points. */
export const straight = (
  [x, y]: readonly [number, number],
  ...to: readonly (readonly [number, number])[]
): Hand => stroke(x, y).line(...to);

export const letter = (width: number, ...hands: readonly Hand[]): Letter => ({
  width,
  strokes: hands.map((hand) => hand.done()),
});
