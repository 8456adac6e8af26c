import type * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { buildPath, ellipsePath, type Mark } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import {
  coveringCells,
  darker,
  type LineLook,
  levelLines,
  overEdge,
  runsOver,
  steps,
  stroked,
  uprightLines,
  wholeCells,
} from '../paper/lines.ts';
import { extentSetting, lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';

const CELLS = {
  '5mm': points(5, 'mm'),
  '1/4in': points(1 / 4, 'in'),
  '1/5in': points(1 / 5, 'in'),
  '4mm': points(4, 'mm'),
  '1cm': points(10, 'mm'),
} as const;

const options = exactObject({
  grid: setting(enumOf(['square', 'polar', 'semi-log', 'log-log']), 'square', {
    label: 'Grid',
    values: {
      square: 'Squares',
      polar: 'Circles and rays',
      'semi-log': 'Logarithmic upwards',
      'log-log': 'Logarithmic both ways',
    },
  }),
  cell: setting(enumOf(Object.keys(CELLS) as (keyof typeof CELLS)[]), '5mm', {
    label: 'Cell',
    values: { '5mm': '5 mm', '1/4in': '1/4 in', '1/5in': '1/5 in', '4mm': '4 mm', '1cm': '1 cm' },
  }),
  pitch: pitchSetting(points(2, 'mm'), points(40, 'mm'), 'Own cell', 'a named cell'),
  heavyEvery: setting(enumOf(['none', '2', '4', '5', '10']), 'none', {
    label: 'Heavier line every',
    values: { none: 'None', '2': '2 cells', '4': '4 cells', '5': '5 cells', '10': '10 cells' },
    help: 'Fifths or tenths make engineering paper; the grid then holds whole blocks.',
  }),
  rays: setting(integerBetween(4, 72), 24, { label: 'Rays of a circle', when: { grid: ['polar'] } }),
  decades: setting(integerBetween(1, 6), 3, {
    label: 'Decades upwards',
    help: 'Of logarithmic paper.',
    when: { grid: ['semi-log', 'log-log'] },
  }),
  extent: extentSetting,
  ...lookSettings(0.62),
  ...sideSettings(),
});
type GraphOptions = v.InferOutput<typeof options>;

/** Points of the weight that heavier lines have more. */
const HEAVIER = 0.5;
const heavy = (look: LineLook): LineLook => ({ ...darker(look, 0.4), weight: look.weight + HEAVIER });

const everyOf = ({ heavyEvery }: Pick<GraphOptions, 'heavyEvery'>) =>
  heavyEvery === 'none' ? 1 : Number(heavyEvery);
const pitchIn = ({ pitch, cell }: GraphOptions) => pitchOf(pitch, CELLS[cell]);

/** Whole cells of a page; whole blocks where heavier lines bound blocks and there is room for any. */
function cellsOf(body: Rect, chosen: GraphOptions) {
  const pitch = pitchIn(chosen);
  // Outer lines lie inside with their whole weight.
  const half = (chosen.weight + HEAVIER) / 2;
  const inside = {
    x: body.x + half,
    y: body.y + half,
    width: body.width - 2 * half,
    height: body.height - 2 * half,
  };
  const block = pitch * everyOf(chosen);
  const blocks = wholeCells(inside, block);
  if (blocks.columns > 0 && blocks.rows > 0)
    return {
      ...blocks,
      columns: blocks.columns * everyOf(chosen),
      rows: blocks.rows * everyOf(chosen),
      pitch,
    };
  return { ...wholeCells(inside, pitch), pitch };
}

function squares({ body, frame, options: chosen }: DrawContext<GraphOptions, never>): Mark[] {
  const every = everyOf(chosen);
  const whole = runsOver(chosen.extent, frame);
  const pitch = pitchIn(chosen);
  const cells = whole ? { ...coveringCells(frame, pitch * every), pitch } : cellsOf(body, chosen);
  const columns = whole ? cells.columns * every : cells.columns;
  const rows = whole ? cells.rows * every : cells.rows;
  const xs = steps(cells.x, pitch, columns + 1);
  const ys = steps(cells.y, pitch, rows + 1);
  const light = (_: number, i: number) => every === 1 || i % every !== 0;
  const strong = (_: number, i: number) => every > 1 && i % every === 0;
  const marks = [
    stroked(levelLines(cells, ys.filter(light)), chosen),
    stroked(uprightLines(cells, xs.filter(light)), chosen),
    ...(every > 1
      ? [
          stroked(levelLines(cells, ys.filter(strong)), heavy(chosen), { cap: 'square' as const }),
          stroked(uprightLines(cells, xs.filter(strong)), heavy(chosen), { cap: 'square' as const }),
        ]
      : []),
  ];
  return whole ? overEdge(marks, frame) : marks;
}

/** Circles around the middle of the page and rays through it, of which the near ones begin further out. */
function polar({ body, options: chosen }: DrawContext<GraphOptions, never>): Mark[] {
  const pitch = pitchIn(chosen);
  const every = everyOf(chosen);
  const [x, y] = [body.x + body.width / 2, body.y + body.height / 2];
  const circles = Math.floor((Math.min(body.width, body.height) / 2 - 1) / pitch);
  const radius = circles * pitch;
  const marks: Mark[] = [];
  for (let i = 1; i <= circles; i++)
    marks.push(stroked(ellipsePath(x, y, i * pitch), every > 1 && i % every === 0 ? heavy(chosen) : chosen));
  const rays = buildPath(2 * chosen.rays);
  const axes = buildPath(8);
  for (let i = 0; i < chosen.rays; i++) {
    const angle = (2 * Math.PI * i) / chosen.rays;
    const axis = (4 * i) % chosen.rays === 0;
    // Beyond the circle where rays lie a third of a cell apart: nearer they would fill it with ink.
    const from = axis ? 0 : Math.min(radius, (pitch / 3 / (2 * Math.PI)) * chosen.rays);
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    (axis ? axes : rays).move(x + from * cos, y + from * sin).line(x + radius * cos, y + radius * sin);
  }
  return [...marks, stroked(rays.done(), chosen), stroked(axes.done(), heavy(chosen))];
}

/** Nine lines a decade, at the logarithms of 1 to 9. @returns offsets from the start, and which begin a decade */
export function logSteps(length: number, decades: number): { at: number; first: boolean }[] {
  const all: { at: number; first: boolean }[] = [];
  for (let decade = 0; decade < decades; decade++)
    for (let digit = 1; digit <= 9; digit++)
      all.push({ at: (length * (decade + Math.log10(digit))) / decades, first: digit === 1 });
  return [...all, { at: length, first: true }];
}

function logarithmic({ body, options: chosen }: DrawContext<GraphOptions, never>): Mark[] {
  const cells = cellsOf(body, chosen);
  const area = chosen.grid === 'log-log' ? body : { ...body, x: cells.x, width: cells.width };
  const half = (chosen.weight + HEAVIER) / 2;
  const box = {
    x: area.x + half,
    y: area.y + half,
    width: area.width - 2 * half,
    height: area.height - 2 * half,
  };
  const up = logSteps(box.height, chosen.decades).map(({ at, first }) => ({
    at: box.y + box.height - at,
    first,
  }));
  // Decades are as long across as upwards, as far as they fit.
  const across =
    chosen.grid === 'log-log'
      ? logSteps(box.width, Math.max(1, Math.round((chosen.decades * box.width) / box.height))).map(
          ({ at, first }) => ({ at: box.x + at, first }),
        )
      : steps(cells.x, cells.pitch, cells.columns + 1).map((at, i) => ({
          at,
          first: i === 0 || i === cells.columns || (everyOf(chosen) > 1 && i % everyOf(chosen) === 0),
        }));
  const places = (all: typeof up, first: boolean) =>
    all.filter((one) => one.first === first).map(({ at }) => at);
  return [
    stroked(levelLines(box, places(up, false)), chosen),
    stroked(uprightLines(box, places(across, false)), chosen),
    stroked(levelLines(box, places(up, true)), heavy(chosen), { cap: 'square' }),
    stroked(uprightLines(box, places(across, true)), heavy(chosen), { cap: 'square' }),
  ];
}

export const graph = definePaper<GraphOptions>({
  id: 'graph',
  later: NO_SIDE,
  name: 'Graph paper',
  family: 'Grids',
  purpose: 'Squares, engineering, polar and logarithmic grids.',
  samples: [
    { name: 'Graph paper' },
    { name: 'Engineering paper', options: { cell: '1/5in', heavyEvery: '5' } },
    { name: 'Polar paper', options: { grid: 'polar', heavyEvery: '5' } },
    { name: 'Semi-logarithmic paper', options: { grid: 'semi-log' } },
    { name: 'Logarithmic paper', options: { grid: 'log-log' } },
  ],
  options,
  draw: (context) =>
    context.options.grid === 'square'
      ? squares(context)
      : context.options.grid === 'polar'
        ? polar(context)
        : logarithmic(context),
  fits: ({ body, options: chosen }) => ({ count: cellsOf(body, chosen).columns, of: 'cell' }),
});
