import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { buildPath, type Mark, rectPath } from '../../scene/index.ts';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { darker, paler, stroked } from '../paper/lines.ts';
import { lookSettings, points } from '../paper/settings.ts';
import { heightOf, TAIL, writingHeight } from '../paper/writing-heights.ts';

const options = exactObject({
  ...writingHeight(),
  descender: setting(v.boolean(), true, {
    label: 'Line for tails',
    help: 'Half a height under the base line.',
  }),
  picture: setting(enumOf(['none', 'third', 'half']), 'none', {
    label: 'Picture box above',
    values: { none: 'None', third: 'A third of the page', half: 'Half the page' },
  }),
  ...headingSettings(),
  ...lookSettings(0.5),
});
type HandwritingOptions = v.InferOutput<typeof options>;

/** From the tails of a row to the next top line, in heights. */
const GAP = 0.2;
const SHARES = { none: 0, third: 1 / 3, half: 1 / 2 } as const;

/** Base lines of the rows that fit, spread over the height. */
export function rowsOf(area: Rect, height: number): { tops: number[] } {
  const row = height * (1 + TAIL);
  const count = Math.max(0, Math.floor((area.height + GAP * height + 1e-6) / (row + GAP * height)));
  const step = count > 1 ? (area.height - row) / (count - 1) : 0;
  return { tops: Array.from({ length: count }, (_, i) => area.y + i * step) };
}

function roomFor(rest: Rect, { picture }: HandwritingOptions): { box: Rect | null; rows: Rect } {
  if (picture === 'none') return { box: null, rows: rest };
  const boxHeight = rest.height * SHARES[picture];
  const gap = points(6, 'mm');
  return {
    box: { x: rest.x + 1, y: rest.y, width: rest.width - 2, height: boxHeight - gap },
    rows: { ...rest, y: rest.y + boxHeight, height: rest.height - boxHeight },
  };
}

function draw(context: DrawContext<HandwritingOptions, never>): Mark[] {
  const { options: chosen } = context;
  const height = heightOf(chosen);
  const { marks, rest } = drawHeading(context);
  const below = rest.y > context.body.y ? points(3, 'mm') : 1;
  const { box, rows } = roomFor({ ...rest, y: rest.y + below, height: rest.height - below - 1 }, chosen);
  if (box)
    marks.push({
      type: 'path',
      path: rectPath(box.x, box.y, box.width, box.height),
      stroke: { width: 1.25, paint: { gray: 0.3 }, join: 'round' },
    });
  const { tops } = rowsOf(rows, height);
  const lines = (offset: number) => {
    const path = buildPath(2 * tops.length);
    for (const top of tops) path.move(rows.x, top + offset).line(rows.x + rows.width, top + offset);
    return path.done();
  };
  if (tops.length === 0) return marks;
  marks.push(
    stroked(lines(0), chosen),
    stroked(lines(height / 2), chosen, { dash: [4, 3] }),
    // The line that letters stand on is the one a child looks for.
    stroked(lines(height), { ...darker(chosen, 0.7), weight: chosen.weight + 0.35 }),
  );
  if (chosen.descender) marks.push(stroked(lines(height * (1 + TAIL)), paler(chosen, 0.35)));
  return marks;
}

export const handwriting = definePaper<HandwritingOptions>({
  id: 'handwriting',
  name: 'Handwriting lines',
  family: 'Learning to write',
  purpose: 'Top, middle and base lines to learn to write on.',
  samples: [
    { name: 'Handwriting lines' },
    { name: 'Handwriting lines with a picture box', options: { picture: 'third', height: '3/4in' } },
  ],
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'lines'),
  draw,
  fits: ({ body, options: chosen }) => ({
    count: rowsOf(roomFor(body, chosen).rows, heightOf(chosen)).tops.length,
    of: 'row of lines',
  }),
});
