import type { Color, Gradient } from './color.ts';
import type { Mark } from './marks.ts';
import { turnedRound } from './matrix.ts';
import { buildPath, ellipsePath, linePath, type Path, polygonPath, rectPath } from './path.ts';
import type { Raster } from './raster.ts';

/** One drawing for each thing a scene can hold, on a sheet of 240 × 240 points: what every renderer must agree on. */

const INK: Color = { rgb: [0.11, 0.3, 0.42] };
const RED: Color = { rgb: [0.75, 0.2, 0.1] };

const star = (points: number, step: number): Path =>
  polygonPath(
    Array.from({ length: points }, (_, i) => {
      const angle = (2 * Math.PI * ((i * step) % points)) / points - Math.PI / 2;
      return [120 + 95 * Math.cos(angle), 120 + 95 * Math.sin(angle)] as const;
    }),
  );

const zigzag = buildPath(8).move(30, 190).line(70, 50).line(110, 190).line(150, 50).line(190, 190).done();
const wave = buildPath(4).move(25, 150).curve(70, -40, 120, 290, 215, 90).done();

/** Columns of light to dark, rows of one color to another, with one white corner to see how it is turned. */
export function rasterSample(channels: 1 | 3, withAlpha = false, width = 64, height = 48): Raster {
  const pixels = new Uint8Array(width * height * channels);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const corner = x < width / 4 && y < height / 4;
      const values = corner ? [255, 255, 255] : [(x * 200) / width, (y * 200) / height, 90];
      for (let part = 0; part < channels; part++)
        pixels[(y * width + x) * channels + part] = values[channels === 1 ? 0 : part]!;
    }
  const alpha = Uint8Array.from({ length: width * height }, (_, i) => ((i % width) * 255) / (width - 1));
  return {
    id: `sample ${channels} ${withAlpha} ${width} ${height}`,
    width,
    height,
    channels,
    pixels,
    ...(withAlpha ? { alpha } : {}),
  };
}

const rows: Gradient = {
  gradient: 'linear',
  from: [40, 40],
  to: [200, 160],
  stops: [
    { at: 0, color: { rgb: [0.95, 0.75, 0.2] } },
    { at: 0.4, color: RED },
    { at: 1, color: INK },
  ],
};
const glow: Gradient = {
  gradient: 'radial',
  center: [120, 120],
  radius: 90,
  focus: [90, 100],
  stops: [
    { at: 0.1, color: { gray: 1 } },
    { at: 1, color: INK },
  ],
};

const overlapping: Mark[] = [
  { type: 'path', path: ellipsePath(90, 120, 60), fill: INK },
  { type: 'path', path: ellipsePath(150, 120, 60), fill: RED, stroke: { width: 8, paint: { gray: 0 } } },
];
const flower = {
  marks: [
    { type: 'path', path: ellipsePath(0, -18, 9, 16), fill: RED } as const,
    { type: 'path', path: ellipsePath(0, 0, 10), fill: rows, stroke: { width: 2, paint: INK } } as const,
  ],
};

export const MARK_SAMPLES: Record<string, Mark[]> = {
  'filled curves': [{ type: 'path', path: ellipsePath(120, 120, 100, 60), fill: INK }],
  'a star, non-zero': [{ type: 'path', path: star(5, 2), fill: INK }],
  'a star, even-odd': [{ type: 'path', path: star(5, 2), fill: INK, rule: 'evenodd' }],
  'butt ends, mitered corners': [{ type: 'path', path: zigzag, stroke: { width: 16, paint: INK } }],
  'mitered corners over their limit': [
    { type: 'path', path: zigzag, stroke: { width: 16, paint: INK, miterLimit: 2 } },
  ],
  'round ends and corners': [
    { type: 'path', path: zigzag, stroke: { width: 16, paint: INK, cap: 'round', join: 'round' } },
  ],
  'square ends, beveled corners': [
    { type: 'path', path: zigzag, stroke: { width: 16, paint: INK, cap: 'square', join: 'bevel' } },
  ],
  'a dashed curve': [{ type: 'path', path: wave, stroke: { width: 24, paint: INK, dash: [24, 10, 6, 10] } }],
  'filled and stroked': [
    { type: 'path', path: star(7, 3), fill: RED, stroke: { width: 6, paint: INK, join: 'round' } },
  ],
  text: [
    { type: 'text', text: 'AVAVA fjord', face: 'alegreya-bold', size: 34, x: 20, y: 90, color: INK },
    {
      type: 'text',
      text: 'spaced',
      face: 'alegreya-sans-bold',
      size: 30,
      x: 20,
      y: 150,
      color: RED,
      tracking: 8,
    },
    {
      type: 'text',
      text: 'GRID',
      face: 'alegreya-sans-medium',
      size: 36,
      x: 0,
      y: 210,
      color: INK,
      centers: [40, 95, 150, 205],
    },
  ],
  'shapes over small type': [
    ...Array.from({ length: 30 }, (_, line): Mark => {
      const words = 'bees gather nectar on the heather and carry it home';
      return {
        type: 'text',
        text: words,
        face: 'alegreya-bold',
        size: 5.5,
        x: 20,
        y: 20 + 7 * line,
        color: { gray: 0.1 },
      };
    }),
    { type: 'path', path: rectPath(60, 50, 90, 110), fill: RED },
    { type: 'text', text: 'over it', face: 'alegreya-bold', size: 5.5, x: 70, y: 80, color: { gray: 0 } },
    { type: 'path', path: ellipsePath(170, 150, 45, 60), fill: INK },
  ],
  'small capitals': [
    { ...{ type: 'text', text: 'Bees & Avens', face: 'alegreya-bold', size: 32 }, x: 15, y: 100, color: INK },
    {
      ...{ type: 'text', text: 'Bees & Avens', face: 'alegreya-bold', size: 32 },
      ...{ x: 15, y: 150, color: INK, smallCaps: true, tracking: 1 },
    },
  ],
  'a gray picture': [{ type: 'image', image: rasterSample(1), x: 20, y: 45, width: 200, height: 150 }],
  'a color picture, cropped': [
    {
      type: 'image',
      image: rasterSample(3),
      x: 30,
      y: 30,
      width: 180,
      height: 180,
      crop: { x: 8, y: 4, width: 40, height: 40 },
    },
  ],
  'a picture, turned': [
    {
      type: 'group',
      matrix: turnedRound(30, 120, 120),
      marks: [{ type: 'image', image: rasterSample(3), x: 50, y: 67, width: 140, height: 105 }],
    },
  ],
  'a see-through picture': [
    { type: 'path', path: star(5, 2), fill: INK },
    { type: 'image', image: rasterSample(3, true), x: 20, y: 60, width: 200, height: 120 },
  ],
  'a clip, even-odd': [
    {
      type: 'group',
      clip: { path: star(5, 2), rule: 'evenodd' },
      marks: [{ type: 'path', path: rectPath(10, 60, 220, 150), fill: INK }],
    },
  ],
  'a clip in a clip, moved': [
    {
      type: 'group',
      matrix: [0.9, 0.2, -0.2, 0.9, 40, -10],
      clip: { path: rectPath(30, 40, 170, 140) },
      marks: [
        {
          type: 'group',
          clip: { path: ellipsePath(120, 110, 90, 60) },
          marks: [
            { type: 'path', path: rectPath(0, 0, 240, 240), fill: INK },
            { type: 'path', path: zigzag, stroke: { width: 14, paint: { gray: 1 } } },
          ],
        },
      ],
    },
  ],
  'faded together': [
    { type: 'path', path: linePath(0, 120, 240, 120), stroke: { width: 30, paint: { gray: 0 } } },
    { type: 'group', opacity: 0.5, marks: overlapping },
  ],
  'faded alone': [
    { type: 'path', path: linePath(0, 120, 240, 120), stroke: { width: 30, paint: { gray: 0 } } },
    { type: 'group', opacity: 0.4, marks: [{ type: 'path', path: ellipsePath(120, 120, 80), fill: RED }] },
  ],
  'a linear gradient': [{ type: 'path', path: rectPath(20, 20, 200, 200), fill: rows }],
  'a radial gradient, turned': [
    {
      type: 'group',
      matrix: [0.8, 0.3, -0.3, 0.8, 60, -12],
      marks: [{ type: 'path', path: rectPath(20, 20, 200, 200), fill: glow }],
    },
  ],
  'a stroked gradient': [{ type: 'path', path: wave, stroke: { width: 26, paint: rows, cap: 'round' } }],
  'a drawing placed often': Array.from({ length: 9 }, (_, i) => ({
    type: 'symbol' as const,
    drawing: flower,
    matrix: [
      1 + (i % 3) * 0.4,
      0.1 * i,
      -0.1 * i,
      1,
      45 + (i % 3) * 72,
      55 + Math.floor(i / 3) * 70,
    ] as const,
  })),
  'a small scale': [
    {
      type: 'group',
      matrix: [0.01234, 0, 0, 0.01234, 10, 10],
      marks: [
        { type: 'path', path: rectPath(0, 0, 16000, 16000), stroke: { width: 700, paint: INK } },
        { type: 'path', path: ellipsePath(8000, 8000, 6000), fill: RED },
      ],
    },
  ],
  'a large scale': [
    {
      type: 'group',
      matrix: [200, 0, 0, 200, 20, 20],
      marks: [{ type: 'path', path: ellipsePath(0.5, 0.5, 0.444, 0.333), fill: INK }],
    },
  ],
};

/** Width and height of the sheet of the samples, in points. */
export const SAMPLE_SIDE = 240;
