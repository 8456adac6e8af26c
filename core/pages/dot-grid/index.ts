import type * as v from 'valibot';
import type { Mark } from '../../scene/index.ts';
import { enumOf, exactObject, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { coveringCells, dots, overEdge, runsOver, wholeCells } from '../paper/lines.ts';
import { extentSetting, lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';

const SPACINGS = {
  '5mm': points(5, 'mm'),
  '1/4in': points(1 / 4, 'in'),
  '1/5in': points(1 / 5, 'in'),
} as const;

const { gray, color } = lookSettings(0.4);
const options = exactObject({
  spacing: setting(enumOf(Object.keys(SPACINGS) as (keyof typeof SPACINGS)[]), '5mm', {
    label: 'Spacing',
    values: { '5mm': '5 mm', '1/4in': '1/4 in', '1/5in': '1/5 in' },
  }),
  pitch: pitchSetting(points(2, 'mm'), points(40, 'mm'), 'Own spacing', 'a named spacing'),
  dot: setting(numberBetween(0.75, 4), 1.25, { label: 'Dot diameter', unit: 'pt', step: 0.25 }),
  extent: extentSetting,
  gray,
  color,
  ...sideSettings(),
});
type DotOptions = v.InferOutput<typeof options>;

const pitchIn = ({ pitch, spacing }: DotOptions) => pitchOf(pitch, SPACINGS[spacing]);

function draw({ body, frame, options: chosen }: DrawContext<DotOptions, never>): Mark[] {
  const pitch = pitchIn(chosen);
  const whole = runsOver(chosen.extent, frame);
  // The dots of the outer rows are whole.
  const inside = { x: body.x + 1, y: body.y + 1, width: body.width - 2, height: body.height - 2 };
  const cells = whole ? coveringCells(frame, pitch) : wholeCells(inside, pitch);
  const places: number[] = [];
  for (let row = 0; row <= cells.rows; row++)
    for (let column = 0; column <= cells.columns; column++)
      places.push(cells.x + column * pitch, cells.y + row * pitch);
  const marks = [dots(places, chosen.dot, chosen)];
  return whole ? overEdge(marks, frame) : marks;
}

export const dotGrid = definePaper<DotOptions>({
  id: 'dot-grid',
  later: NO_SIDE,
  name: 'Dot grid',
  family: 'Grids',
  purpose: 'Dots for journals and drawings.',
  options,
  draw,
  fits: ({ body, options: chosen }) => ({
    count: wholeCells(body, pitchIn(chosen)).columns,
    of: 'row of dots',
  }),
});
