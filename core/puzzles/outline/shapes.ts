import {
  all,
  both,
  box,
  ellipse,
  mirrored,
  polygon,
  regular,
  round,
  type Solid,
  thick,
  without,
} from './solid.ts';

/** Outlines for grids, drawn for this program: each fills the square from −1 to 1. */
export const SHAPES = {
  circle: ellipse(0, 0, 1),
  diamond: regular(4),
  hexagon: regular(6, 1.08),
  octagon: regular(8, 1.08, 0.5),
  triangle: polygon([0, -1], [1, 1], [-1, 1]),
  ring: without(ellipse(0, 0, 1), ellipse(0, 0, 0.42)),
  cross: all(box(-0.38, -1, 0.38, 1), box(-1, -0.38, 1, 0.38)),
  // The curve (x² + y² − 1)³ = x² y³, which is well known.
  heart: (x, y) => {
    const [u, v] = [x * 1.14, 0.12 - y * 1.12];
    return (u * u + v * v - 1) ** 3 - u * u * v ** 3 <= 0;
  },
  star: polygon(
    ...Array.from({ length: 10 }, (_, i) => {
      const angle = (Math.PI * i) / 5 - Math.PI / 2;
      const radius = i % 2 ? 0.52 : 1.08;
      return [radius * Math.cos(angle), 0.08 + radius * Math.sin(angle)] as const;
    }),
  ),
  moon: (x, y) => without(ellipse(0, 0, 1), ellipse(0.62, -0.1, 0.78))(x * 0.82 - 0.18, y),
  sun: round((angle) => 0.82 + 0.18 * Math.cos(12 * angle)),
  cloud: all(
    ellipse(-0.5, 0.2, 0.5, 0.55),
    ellipse(0, -0.22, 0.55, 0.68),
    ellipse(0.52, 0.22, 0.48, 0.5),
    box(-0.5, 0.1, 0.55, 0.74),
  ),
  drop: all(ellipse(0, 0.32, 0.78, 0.68), polygon([0, -1], [0.72, 0.08], [-0.72, 0.08])),
  flower: round((angle) => 0.72 + 0.28 * Math.cos(6 * angle)),
  leaf: all(both(ellipse(-0.62, -0.1, 1.32, 1.22), ellipse(0.62, -0.1, 1.32, 1.22)), box(-0.1, 0.7, 0.1, 1)),
  tree: all(
    polygon([0, -1], [0.62, -0.3], [-0.62, -0.3]),
    polygon([0, -0.6], [0.82, 0.2], [-0.82, 0.2]),
    polygon([0, -0.2], [1, 0.7], [-1, 0.7]),
    box(-0.2, 0.6, 0.2, 1),
  ),
  mushroom: all(both(ellipse(0, 0.1, 1, 1.1), box(-1, -1, 1, 0.14)), box(-0.36, 0, 0.36, 0.96)),
  apple: all(ellipse(-0.36, 0.18, 0.62, 0.8), ellipse(0.36, 0.18, 0.62, 0.8), ellipse(0.3, -0.8, 0.34, 0.2)),
  pear: all(ellipse(0, 0.36, 0.86, 0.64), ellipse(0, -0.34, 0.46, 0.56), box(-0.1, -1, 0.1, -0.7)),
  house: all(polygon([0, -1], [1, -0.1], [-1, -0.1]), box(-0.78, -0.12, 0.78, 1)),
  bell: all(
    both(ellipse(0, -0.1, 0.7, 0.9), box(-1, -1, 1, 0.3)),
    polygon([-0.7, 0.1], [0.7, 0.1], [1, 0.7], [-1, 0.7]),
    ellipse(0, 0.76, 0.28, 0.24),
  ),
  boat: all(
    polygon([-1, 0.4], [1, 0.4], [0.7, 1], [-0.7, 1]),
    polygon([0.06, -1], [0.9, 0.28], [0.06, 0.28]),
    polygon([-0.06, -0.72], [-0.06, 0.28], [-0.78, 0.28]),
    box(-0.1, -1, 0.1, 0.5),
  ),
  gift: all(
    box(-1, -0.42, 1, -0.02),
    box(-0.86, -0.1, 0.86, 1),
    ellipse(-0.36, -0.68, 0.38, 0.32),
    ellipse(0.36, -0.68, 0.38, 0.32),
  ),
  egg: (x, y) => ellipse(0, 0, 1)(x / (0.84 + 0.12 * y), y),
  fish: all(ellipse(-0.28, 0, 0.72, 0.72), polygon([0.2, 0], [1, -0.8], [0.84, 0], [1, 0.8])),
  cat: all(ellipse(0, 0.16, 0.92, 0.82), mirrored(polygon([0.2, -0.5], [0.86, -1], [0.94, 0.1]))),
  rabbit: all(ellipse(0, 0.42, 0.68, 0.58), mirrored(ellipse(0.32, -0.42, 0.24, 0.58))),
  bear: all(ellipse(0, 0.14, 0.88, 0.84), mirrored(ellipse(0.66, -0.66, 0.34, 0.34))),
  butterfly: all(
    mirrored(ellipse(0.52, -0.42, 0.5, 0.54)),
    mirrored(ellipse(0.44, 0.5, 0.4, 0.46)),
    ellipse(0, 0, 0.16, 0.9),
  ),
  bird: all(
    ellipse(-0.06, 0.3, 0.66, 0.5),
    ellipse(0.5, -0.34, 0.36, 0.36),
    polygon([0.76, -0.5], [1, -0.3], [0.76, -0.16]),
    polygon([-0.5, 0.1], [-1, -0.36], [-0.9, 0.44]),
    box(-0.16, 0.7, 0.2, 1),
  ),
  snail: all(
    ellipse(-0.16, -0.14, 0.72, 0.72),
    both(ellipse(0, 0.72, 1, 0.34), box(-1, 0.3, 1, 1)),
    thick(0.17, [0.72, 0.7], [0.82, -0.3]),
  ),
  whale: all(
    both(ellipse(-0.16, 0.22, 0.84, 0.74), box(-1, -0.52, 0.68, 0.8)),
    thick(0.2, [0.5, 0.3], [0.76, -0.24]),
    polygon([0.78, -0.06], [0.34, -0.6], [0.74, -0.5], [1, -0.86], [1, -0.3]),
  ),
} as const satisfies Record<string, Solid>;

export type ShapeId = keyof typeof SHAPES;
