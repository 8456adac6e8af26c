import type * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { buildPath, type Mark, type PathBuilder } from '../../scene/index.ts';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { coveringCells, darker, dots, overEdge, runsOver, stroked, wholeCells } from '../paper/lines.ts';
import { extentSetting, lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';

const SIDES = {
  '5mm': points(5, 'mm'),
  '6mm': points(6, 'mm'),
  '1/4in': points(1 / 4, 'in'),
  '1cm': points(10, 'mm'),
} as const;

const options = exactObject({
  side: setting(enumOf(Object.keys(SIDES) as (keyof typeof SIDES)[]), '6mm', {
    label: 'Side of a triangle',
    values: { '5mm': '5 mm', '6mm': '6 mm', '1/4in': '1/4 in', '1cm': '1 cm' },
  }),
  pitch: pitchSetting(points(3, 'mm'), points(40, 'mm'), 'Own side', 'a named side'),
  marks: setting(enumOf(['lines', 'dots']), 'lines', {
    label: 'Drawn as',
    values: { lines: 'Lines', dots: 'Dots' },
  }),
  extent: extentSetting,
  ...lookSettings(0.62),
  ...sideSettings(),
});
type IsometricOptions = v.InferOutput<typeof options>;

/** Upright lines lie so many sides of a triangle apart. */
const APART = Math.sqrt(3) / 2;
/** Dots are thicker than lines. */
const DOT = 1.7;

const sideOf = ({ pitch, side }: IsometricOptions) => pitchOf(pitch, SIDES[side]);
const cellsIn = (body: Rect, side: number) =>
  wholeCells(
    { x: body.x + 1, y: body.y + 1, width: body.width - 2, height: body.height - 2 },
    side * APART,
    side,
  );

function draw({ body, frame, options: chosen }: DrawContext<IsometricOptions, never>): Mark[] {
  const side = sideOf(chosen);
  const whole = runsOver(chosen.extent, frame);
  const cells = whole ? coveringCells(frame, side * APART, side) : cellsIn(body, side);
  const marks =
    chosen.marks === 'dots'
      ? [dots(lattice(cells, side), chosen.weight * DOT, darker(chosen, 0.35))]
      : [stroked(triangles(cells, side), chosen, { cap: 'round' })];
  return whole ? overEdge(marks, frame) : marks;
}

type Cells = Rect & { columns: number; rows: number };

/** Corners of triangles: every second column lies half a side lower. */
function lattice({ x, y, columns, rows }: Cells, side: number): number[] {
  const places: number[] = [];
  for (let column = 0; column <= columns; column++) {
    const odd = column % 2;
    for (let row = 0; row <= rows - odd; row++)
      places.push(x + column * side * APART, y + (row + odd / 2) * side);
  }
  return places;
}

/** Lines upright and 30 degrees up and down, each from edge to edge of the cells. */
function triangles(cells: Cells, side: number): ReturnType<PathBuilder['done']> {
  const path = buildPath(4 * (cells.columns + cells.rows));
  for (let column = 0; column <= cells.columns; column++)
    path
      .move(cells.x + column * side * APART, cells.y)
      .line(cells.x + column * side * APART, cells.y + cells.height);
  // From one upright to the next a slanting line rises or falls half a side.
  const across = (cells.columns * side) / 2;
  const first = -Math.ceil(cells.columns / 2);
  for (let row = first; row <= cells.rows - first; row++)
    for (const fall of [across, -across]) clipped(path, cells, row * side, fall);
  return path.done();
}

/** A line over the whole width that falls by `fall` from `start` under the top, as far as it lies inside. */
function clipped(path: PathBuilder, { x, y, width, height }: Rect, start: number, fall: number): void {
  const at = (level: number) => (level - start) / fall;
  const [one, other] = [at(0), at(height)];
  const from = Math.max(0, Math.min(one, other));
  const to = Math.min(1, Math.max(one, other));
  if (to - from > 1e-6)
    path.move(x + from * width, y + start + from * fall).line(x + to * width, y + start + to * fall);
}

export const isometric = definePaper<IsometricOptions>({
  id: 'isometric',
  later: NO_SIDE,
  name: 'Isometric grid',
  family: 'Grids',
  purpose: 'Triangles for drawing in three dimensions.',
  samples: [{ name: 'Isometric grid' }, { name: 'Isometric dots', options: { marks: 'dots' } }],
  options,
  draw,
  fits: ({ body, options: chosen }) => ({ count: cellsIn(body, sideOf(chosen)).columns, of: 'triangle' }),
});
