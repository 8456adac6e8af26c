import type * as v from 'valibot';
import { type Mark, rectPath } from '../../scene/index.ts';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { stroked } from '../paper/lines.ts';
import { lookSettings, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';

const options = exactObject({
  border: setting(enumOf(['none', 'line', 'double']), 'none', {
    label: 'Border',
    values: { none: 'None', line: 'A line', double: 'A double line' },
  }),
  ...headingSettings(),
  ...lookSettings(0.4),
  ...sideSettings(),
});
type BlankOptions = v.InferOutput<typeof options>;

function draw(context: DrawContext<BlankOptions, never>): Mark[] {
  const { options: chosen } = context;
  const { marks, rest } = drawHeading(context);
  const gap = rest.y > context.body.y ? points(3, 'mm') : 0;
  const frame = (inset: number): Mark =>
    stroked(
      rectPath(rest.x + inset, rest.y + gap + inset, rest.width - 2 * inset, rest.height - gap - 2 * inset),
      chosen,
    );
  const half = chosen.weight / 2;
  if (chosen.border !== 'none') marks.push(frame(half));
  if (chosen.border === 'double') marks.push(frame(half + 3 + chosen.weight));
  return marks;
}

export const blank = definePaper<BlankOptions>({
  id: 'blank',
  later: NO_SIDE,
  name: 'Blank pages',
  family: 'Drawing',
  purpose: 'Nothing, or a border to draw in.',
  samples: [{ name: 'Blank pages' }, { name: 'Bordered pages', options: { border: 'double' } }],
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'blank'),
  draw,
});
