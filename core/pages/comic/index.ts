import type * as v from 'valibot';
import type { Rect, Side } from '../../print/index.ts';
import { buildPath, type Mark, type Path } from '../../scene/index.ts';
import { enumOf, exactObject, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext, Unit } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { stroked } from '../paper/lines.ts';
import { lookSettings, points } from '../paper/settings.ts';
import { ARRANGEMENTS, type Arrangement, type ArrangementId } from './arrangements.ts';

const IDS = Object.keys(ARRANGEMENTS) as ArrangementId[];

const options = exactObject({
  arrangement: setting(enumOf([...IDS, 'varied']), 'varied', {
    label: 'Arrangement',
    values: {
      ...Object.fromEntries(IDS.map((id) => [id, ARRANGEMENTS[id].name])),
      varied: 'All in turn',
    },
  }),
  gutter: setting(numberBetween(0, 12), 3.5, { label: 'Between panels', unit: 'mm', step: 0.5 }),
  corner: setting(numberBetween(0, 8), 0, { label: 'Roundness of corners', unit: 'mm', step: 0.5 }),
  ...lookSettings(0, 1.5),
});
type ComicOptions = v.InferOutput<typeof options>;

type Point = readonly [x: number, y: number];

/** The corners of each panel of a page, clockwise from the upper left. @param gutter in points */
export function panelsOf(arrangement: Arrangement, area: Rect, gutter: number): Point[][] {
  const byRows = arrangement.by === 'rows';
  const along = byRows ? area.height : area.width;
  const across = byRows ? area.width : area.height;
  const { bands } = arrangement;
  const shares = bands.reduce((sum, { share }) => sum + share, 0);
  const unit = (along - gutter * (bands.length - 1)) / shares;
  const panels: Point[][] = [];
  let start = 0;
  for (const { share, panels: widths, lean = 0 } of bands) {
    const size = share * unit;
    const all = widths.reduce((sum, width) => sum + width, 0);
    const part = (across - gutter * (widths.length - 1)) / all;
    let from = 0;
    widths.forEach((width, i) => {
      const to = from + width * part;
      const tilt = (lean * size) / 2;
      // Outer edges stay upright.
      const [left, right] = [i === 0 ? 0 : tilt, i === widths.length - 1 ? 0 : tilt];
      panels.push(
        byRows
          ? [
              [area.x + from + left, area.y + start],
              [area.x + to + right, area.y + start],
              [area.x + to - right, area.y + start + size],
              [area.x + from - left, area.y + start + size],
            ]
          : [
              [area.x + start, area.y + from],
              [area.x + start + size, area.y + from],
              [area.x + start + size, area.y + to],
              [area.x + start, area.y + to],
            ],
      );
      from = to + gutter;
    });
    start += size + gutter;
  }
  return panels;
}

/** Left and right change places, so that facing pages mirror. */
const mirrored = (arrangement: Arrangement): Arrangement =>
  arrangement.by === 'columns'
    ? { ...arrangement, bands: [...arrangement.bands].reverse() }
    : {
        ...arrangement,
        bands: arrangement.bands.map(({ share, panels, lean = 0 }) => ({
          share,
          panels: [...panels].reverse(),
          lean: -lean,
        })),
      };

/** A closed path through corners, each rounded by a radius. */
function rounded(corners: readonly Point[], radius: number): Path {
  const path = buildPath(2 * corners.length + 2);
  corners.forEach((corner, i) => {
    const before = corners[(i + corners.length - 1) % corners.length]!;
    const after = corners[(i + 1) % corners.length]!;
    const toward = ([x, y]: Point): Point => {
      const length = Math.hypot(x - corner[0], y - corner[1]) || 1;
      const by = Math.min(radius, length / 2) / length;
      return [corner[0] + (x - corner[0]) * by, corner[1] + (y - corner[1]) * by];
    };
    const [from, to] = [toward(before), toward(after)];
    if (i === 0) path.move(...from);
    else path.line(...from);
    if (radius > 0)
      // A quadratic curve through the corner, as a cubic one.
      path.curve(
        from[0] + (2 / 3) * (corner[0] - from[0]),
        from[1] + (2 / 3) * (corner[1] - from[1]),
        to[0] + (2 / 3) * (corner[0] - to[0]),
        to[1] + (2 / 3) * (corner[1] - to[1]),
        ...to,
      );
  });
  return path.close().done();
}

const arrangementOf = (unit: Unit, side: Side): Arrangement => {
  const arrangement = ARRANGEMENTS[(unit.data as { arrangement: ArrangementId }).arrangement];
  return side === 'verso' ? arrangement : mirrored(arrangement);
};

function draw({ body, frame, options: chosen, unit }: DrawContext<ComicOptions, never>): Mark[] {
  const half = chosen.weight / 2;
  const area = {
    x: body.x + half,
    y: body.y + half,
    width: body.width - chosen.weight,
    height: body.height - chosen.weight,
  };
  return panelsOf(arrangementOf(unit, frame.side), area, points(chosen.gutter, 'mm')).map((panel) =>
    stroked(rounded(panel, points(chosen.corner, 'mm')), chosen),
  );
}

export const comic = definePaper<ComicOptions>({
  id: 'comic',
  name: 'Comic panels',
  family: 'Drawing',
  purpose: 'Twenty arrangements of panels to draw a story in.',
  samples: [
    { name: 'Comic panels, all in turn', shown: { arrangement: 'mixed' } },
    { name: 'Comic, six panels', options: { arrangement: 'six' } },
    { name: 'Comic, slanted panels', options: { arrangement: 'action' } },
  ],
  options,
  units: (count, { arrangement }) =>
    Array.from({ length: count }, (_, i) => {
      const id = arrangement === 'varied' ? IDS[i % IDS.length]! : arrangement;
      return { key: id, data: { arrangement: id } };
    }),
  draw,
});
