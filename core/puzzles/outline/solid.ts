/** Whether a point lies inside a shape. Shapes fill the square from −1 to 1, y downwards. */
export type Solid = (x: number, y: number) => boolean;

export const ellipse =
  (cx: number, cy: number, rx: number, ry = rx): Solid =>
  (x, y) =>
    ((x - cx) / rx) ** 2 + ((y - cy) / ry) ** 2 <= 1;

export const box =
  (left: number, top: number, right: number, bottom: number): Solid =>
  (x, y) =>
    x >= left && x <= right && y >= top && y <= bottom;

/** Inside by the number of edges to the right of a point (even–odd rule). */
export const polygon =
  (...corners: readonly (readonly [x: number, y: number])[]): Solid =>
  (x, y) => {
    let inside = false;
    corners.forEach(([x1, y1], i) => {
      const [x2, y2] = corners[(i + 1) % corners.length]!;
      if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) inside = !inside;
    });
    return inside;
  };

/** What lies no further than `reach` from a line of straight pieces. */
export const thick =
  (reach: number, ...points: readonly (readonly [x: number, y: number])[]): Solid =>
  (x, y) =>
    points.some(([x2, y2], i) => {
      const [x1, y1] = points[Math.max(0, i - 1)]!;
      const length = (x2 - x1) ** 2 + (y2 - y1) ** 2;
      const t = length ? Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length)) : 0;
      return (x - x1 - t * (x2 - x1)) ** 2 + (y - y1 - t * (y2 - y1)) ** 2 <= reach * reach;
    });

/** By the distance of its edge from the middle, at an angle from the right, clockwise as it is seen. */
export const round =
  (radius: (angle: number) => number): Solid =>
  (x, y) =>
    Math.hypot(x, y) <= radius(Math.atan2(y, x));

export const all =
  (...solids: readonly Solid[]): Solid =>
  (x, y) =>
    solids.some((solid) => solid(x, y));

export const both =
  (one: Solid, other: Solid): Solid =>
  (x, y) =>
    one(x, y) && other(x, y);

export const without =
  (whole: Solid, ...parts: readonly Solid[]): Solid =>
  (x, y) =>
    whole(x, y) && !parts.some((part) => part(x, y));

/** The same at both sides of the upright middle. */
export const mirrored =
  (solid: Solid): Solid =>
  (x, y) =>
    solid(x, y) || solid(-x, y);

/** A polygon with corners on a circle, the first at the top. */
export const regular = (corners: number, radius = 1, turn = 0): Solid =>
  polygon(
    ...Array.from({ length: corners }, (_, i) => {
      const angle = (2 * Math.PI * (i + turn)) / corners - Math.PI / 2;
      return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
    }),
  );
