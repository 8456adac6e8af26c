import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import { BLACK, buildPath, ellipsePath, type Mark } from '../../../scene/index.ts';
import { enumOf, integerBetween, text } from '../../../schema.ts';
import { defineBlock, words as shortText } from '../block.ts';
import {
  boxed,
  centered,
  circle,
  label,
  type Pen,
  roundedRect,
  rule,
  size,
  sizes,
  TITLE,
  title,
  words,
} from '../pen.ts';

const outline = (path: Mark & { type: 'path' }): Mark => path;
const drawnLine = (build: ReturnType<typeof buildPath>, gray = 0.15): Mark =>
  outline({
    type: 'path',
    path: build.done(),
    stroke: { width: 0.9, paint: { gray }, join: 'round', cap: 'round' },
  });

/** A standing body, front view, in a box; measuring places carry letters. */
function body(pen: Pen, rect: Rect): Mark[] {
  const h = rect.height;
  const cx = rect.x + rect.width / 2;
  const y = (share: number) => rect.y + share * h;
  const x = (share: number, side: number) => cx + side * share * h;
  const half = (side: number) =>
    buildPath(24)
      .move(x(0.022, side), y(0.135))
      .curve(x(0.024, side), y(0.16), x(0.05, side), y(0.168), x(0.085, side), y(0.178))
      .curve(x(0.118, side), y(0.19), x(0.122, side), y(0.235), x(0.126, side), y(0.29))
      .curve(x(0.13, side), y(0.35), x(0.142, side), y(0.41), x(0.15, side), y(0.475))
      .curve(x(0.152, side), y(0.5), x(0.135, side), y(0.505), x(0.13, side), y(0.48))
      .curve(x(0.118, side), y(0.42), x(0.1, side), y(0.36), x(0.09, side), y(0.265))
      .curve(x(0.082, side), y(0.33), x(0.07, side), y(0.36), x(0.07, side), y(0.4))
      .curve(x(0.075, side), y(0.45), x(0.098, side), y(0.48), x(0.096, side), y(0.56))
      .curve(x(0.092, side), y(0.65), x(0.07, side), y(0.7), x(0.068, side), y(0.75))
      .curve(x(0.075, side), y(0.82), x(0.055, side), y(0.89), x(0.048, side), y(0.945))
      .curve(x(0.068, side), y(0.97), x(0.07, side), y(0.985), x(0.04, side), y(0.985))
      .curve(x(0.02, side), y(0.985), x(0.02, side), y(0.96), x(0.022, side), y(0.94))
      .curve(x(0.012, side), y(0.86), x(0.022, side), y(0.78), x(0.016, side), y(0.73))
      .curve(x(0.014, side), y(0.66), x(0.006, side), y(0.58), x(0, side), y(0.53));
  const places: [string, number, number][] = [
    ['A', 0.15, 0.03],
    ['B', 0.21, 0.1],
    ['C', 0.262, 0.085],
    ['D', 0.275, 0.118],
    ['E', 0.385, 0.07],
    ['F', 0.475, 0.092],
    ['G', 0.6, 0.09],
    ['H', 0.79, 0.07],
  ];
  const dash = size(pen, 1.4);
  return [
    outline({
      type: 'path',
      path: ellipsePath(cx, y(0.07), 0.048 * h, 0.062 * h),
      stroke: { width: 0.9, paint: { gray: 0.15 } },
    }),
    drawnLine(half(1)),
    drawnLine(half(-1)),
    ...places.flatMap(([letter, at, wide], i) => {
      const side = i % 2 ? 1 : -1;
      const end = cx + side * Math.min(rect.width / 2 - size(pen, 3), 0.24 * h);
      return [
        outline({
          type: 'path',
          path: buildPath(2)
            .move(cx + side * wide * h, y(at))
            .line(end - side * dash, y(at))
            .done(),
          stroke: { width: 0.75, paint: { gray: 0.5 }, dash: [2, 2] },
        }),
        circle(end, y(at), size(pen, 2.1), { fill: 1, weight: 0.75, gray: 0 }),
        ...words(pen, letter, {
          x: end,
          y: y(at) + sizes(pen).small * 0.33,
          align: 'center',
          size: sizes(pen).small,
        }),
      ];
    }),
  ];
}

/** Two arches of ten milk teeth, upper and lower, the front ones at the middle. */
function teeth(_: Pen, rect: Rect): Mark[] {
  const COUNT = 10;
  const cx = rect.x + rect.width / 2;
  const cy = rect.y + rect.height / 2;
  const gap = rect.height * 0.06;
  const ry = rect.height / 2 - gap;
  const rx = Math.min(rect.width * 0.42, ry * 1.15);
  // Of the length of half an ellipse, the share of one tooth (Ramanujan 1914, first approximation).
  const around = (Math.PI * (3 * (rx + ry) - Math.sqrt((3 * rx + ry) * (rx + 3 * ry)))) / 2;
  const edge = (around / COUNT) * 0.92;
  const marks: Mark[] = [];
  for (const half of [-1, 1])
    for (let i = 0; i < COUNT; i++) {
      const angle = (Math.PI * (i + 0.5)) / COUNT;
      const [inX, inY] = [rx - edge / 2, ry - edge / 2];
      const x = cx - Math.cos(angle) * inX;
      const y = cy + half * (gap + Math.sin(angle) * inY);
      const turn = Math.atan2(half * Math.sin(angle), -Math.cos(angle));
      const [wide, deep] = [edge * 0.86, edge * (i > 1 && i < 8 ? 0.8 : 0.95)];
      marks.push({
        type: 'group',
        matrix: [-Math.sin(turn), Math.cos(turn), Math.cos(turn), Math.sin(turn), x, y],
        marks: [
          {
            type: 'path',
            path: roundedRect({ x: -wide / 2, y: -deep / 2, width: wide, height: deep }, edge * 0.34),
            stroke: { width: 1.25, paint: { gray: 0.1 } },
          },
        ],
      });
    }
  return marks;
}

/** A round field of view with its middle and points of the compass. */
function field(pen: Pen, rect: Rect): Mark[] {
  const r = Math.min(rect.width, rect.height) / 2 - 1;
  const [x, y] = [rect.x + rect.width / 2, rect.y + rect.height / 2];
  const tick = size(pen, 2.5);
  const ticks = buildPath(16);
  for (let i = 0; i < 8; i++) {
    const [cos, sin] = [Math.cos((i * Math.PI) / 4), Math.sin((i * Math.PI) / 4)];
    ticks.move(x + (r - tick) * cos, y + (r - tick) * sin).line(x + r * cos, y + r * sin);
  }
  const cross = buildPath(4)
    .move(x - tick, y)
    .line(x + tick, y)
    .move(x, y - tick)
    .line(x, y + tick);
  return [
    circle(x, y, r, { weight: 1.25, gray: 0 }),
    outline({
      type: 'path',
      path: ellipsePath(x, y, r / 2),
      stroke: { width: 0.75, paint: { gray: 0.55 }, dash: [2, 3] },
    }),
    drawnLine(ticks, 0.2),
    drawnLine(cross, 0.45),
  ];
}

/** A clock face without hands. */
function clockFace(pen: Pen, rect: Rect): Mark[] {
  const r = Math.min(rect.width, rect.height) / 2 - 1;
  const [x, y] = [rect.x + rect.width / 2, rect.y + rect.height / 2];
  const own = sizes(pen);
  const ticks = buildPath(120);
  for (let i = 0; i < 60; i++) {
    const [cos, sin] = [Math.cos((i * Math.PI) / 30), Math.sin((i * Math.PI) / 30)];
    const length = i % 5 ? 0.03 : 0.07;
    ticks
      .move(x + r * (0.97 - length) * cos, y + r * (0.97 - length) * sin)
      .line(x + r * 0.97 * cos, y + r * 0.97 * sin);
  }
  return [
    circle(x, y, r, { weight: 1.25, gray: 0 }),
    drawnLine(ticks, 0.2),
    ...Array.from({ length: 12 }, (_, i) => {
      const angle = ((i + 1) * Math.PI) / 6 - Math.PI / 2;
      return words(pen, String(i + 1), {
        x: x + r * 0.76 * Math.cos(angle),
        y: y + r * 0.76 * Math.sin(angle) + own.text * 0.33,
        align: 'center',
      });
    }).flat(),
    outline({ type: 'path', path: ellipsePath(x, y, 1.4), fill: BLACK }),
  ];
}

/** A plot seen from above: beds with a path between them. */
function garden(pen: Pen, rect: Rect): Mark[] {
  const gap = size(pen, 5);
  const [w, h] = [(rect.width - gap) / 2, (rect.height - gap) / 2];
  return [0, 1].flatMap((row) =>
    [0, 1].map((column) =>
      boxed(
        pen,
        { x: rect.x + column * (w + gap), y: rect.y + row * (h + gap), width: w, height: h },
        { weight: 0.9, gray: 0.25, radius: size(pen, 2) },
      ),
    ),
  );
}

const FIGURES = { body, teeth, field, clock: clockFace, garden } as const;

/** An outline of ours to mark or draw in. */
export const figure = defineBlock({
  type: 'figure',
  name: 'Outline',
  fresh: { figure: 'clock' },
  entries: {
    figure: enumOf(Object.keys(FIGURES) as (keyof typeof FIGURES)[]),
    title: shortText(),
    caption: shortText(60),
    least: v.optional(integerBetween(6, 60), 14),
  },
  least: ({ title: said, least }) => (said ? TITLE : 0) + least,
  step: () => 1,
  draw(block, rect, pen) {
    const top = block.title ? TITLE * pen.unit : 0;
    const foot = block.caption ? 1.6 * pen.unit : 0;
    const inner = { ...rect, y: rect.y + top, height: rect.height - top - foot };
    return [
      ...(block.title ? title(pen, block.title, rect) : []),
      ...FIGURES[block.figure](pen, inner),
      ...(block.caption
        ? words(pen, block.caption, {
            x: rect.x + rect.width / 2,
            y: rect.y + rect.height - pen.unit * 0.4,
            align: 'center',
            size: sizes(pen).small,
            face: pen.look.faces.note,
            width: rect.width,
          })
        : []),
    ];
  },
});

/** A row of equal drawn frames for each of several things, to shade what is covered. */
export const frames = defineBlock({
  type: 'frames',
  name: 'Row of frames',
  fresh: { rows: ['Morning', 'Evening'] },
  entries: {
    title: shortText(),
    remark: shortText(80),
    rows: v.pipe(v.array(text(0, 20)), v.minLength(1), v.maxLength(8)),
    count: v.optional(integerBetween(2, 14), 10),
  },
  least: ({ title: said, rows }) => (said ? TITLE : 0) + 1 + 3 * rows.length,
  step: ({ rows }) => rows.length,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const names = size(pen, 15);
    const cell = (rect.width - names) / block.count;
    const row = (rect.y + rect.height - top - pen.unit) / block.rows.length;
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...Array.from({ length: block.count }, (_, i) =>
        words(pen, String(i + 1), {
          x: rect.x + names + (i + 0.5) * cell,
          y: top + pen.unit * 0.7,
          align: 'center',
          size: own.small,
        }),
      ).flat(),
      ...block.rows.flatMap((name, i): Mark[] => {
        const y = top + pen.unit + i * row;
        return [
          ...label(pen, name, { x: rect.x, y: centered(pen, y + row / 2), width: names - size(pen, 2) }),
          ...Array.from({ length: block.count }, (_, k) => {
            const x = rect.x + names + k * cell + cell * 0.08;
            const [w, h] = [cell * 0.84, row * 0.82];
            return [
              boxed(
                pen,
                { x, y: y + row * 0.09, width: w, height: h },
                { weight: 1.2, gray: 0.1, radius: 0 },
              ),
              // The top bar of a frame reaches over its sides.
              rule([x - cell * 0.05, y + row * 0.09], [x + w + cell * 0.05, y + row * 0.09], 1.8, 0.1),
            ];
          }).flat(),
        ];
      }),
    ];
  },
});

/** A bar of cells to fill, or stations on a line. */
export const progress = defineBlock({
  type: 'progress',
  name: 'Progress',
  fresh: { label: 'Done' },
  entries: {
    label: shortText(30),
    cells: v.optional(integerBetween(2, 60), 20),
    stations: v.optional(v.boolean(), false),
  },
  least: ({ stations }) => (stations ? 4 : 2),
  step: () => 0,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const from = rect.x + (block.label ? size(pen, 24) : 0);
    const middle = rect.y + pen.unit * (block.stations ? 1.2 : 1);
    const said = block.label
      ? label(pen, block.label, { x: rect.x, y: centered(pen, middle), width: size(pen, 22) })
      : [];
    const width = rect.x + rect.width - from;
    if (block.stations) {
      const count = Math.min(10, block.cells);
      const radius = size(pen, 2.2);
      const step = (width - 2 * radius) / Math.max(1, count - 1);
      return [
        ...said,
        rule([from + radius, middle], [from + width - radius, middle]),
        ...Array.from({ length: count }, (_, i) => {
          const x = from + radius + i * step;
          return [
            circle(x, middle, radius, { fill: 1, weight: 0.9, gray: 0 }),
            ...words(pen, String(i + 1), {
              x,
              y: middle + own.small * 0.33,
              align: 'center',
              size: own.small,
            }),
            rule(
              [x - step * 0.4 < from ? from : x - step * 0.4, rect.y + 4 * pen.unit - 2],
              [Math.min(x + step * 0.4, from + width), rect.y + 4 * pen.unit - 2],
              0.75,
              0.55,
            ),
          ];
        }).flat(),
      ];
    }
    const bar = { x: from, y: middle - size(pen, 2), width, height: size(pen, 4) };
    const ticks = buildPath(2 * block.cells);
    for (let i = 1; i < block.cells; i++)
      ticks
        .move(bar.x + (i * width) / block.cells, bar.y)
        .line(bar.x + (i * width) / block.cells, bar.y + bar.height);
    return [...said, drawnLine(ticks, 0.4), boxed(pen, bar, { weight: 0.9, gray: 0.1 })];
  },
});
