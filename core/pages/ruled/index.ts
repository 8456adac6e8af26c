import * as v from 'valibot';
import { typeSize } from '../../print/index.ts';
import { type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext, PageKind } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { darker, levelLines, stroked, uprightLines, writingLines } from '../paper/lines.ts';
import { lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';
import { second } from './second.ts';

/** From line to line, in points (common practice, no source). */
export const RULINGS = {
  wide: points(11 / 32, 'in'),
  college: points(9 / 32, 'in'),
  narrow: points(1 / 4, 'in'),
  '6mm': points(6, 'mm'),
  '7mm': points(7, 'mm'),
  '8mm': points(8, 'mm'),
} as const;

const options = exactObject({
  ruling: setting(enumOf(Object.keys(RULINGS) as (keyof typeof RULINGS)[]), 'college', {
    label: 'Ruling',
    help: 'From line to line: wide 11/32 in, college 9/32 in, narrow 1/4 in.',
    values: {
      wide: 'Wide',
      college: 'College',
      narrow: 'Narrow',
      '6mm': '6 mm',
      '7mm': '7 mm',
      '8mm': '8 mm',
    },
  }),
  pitch: pitchSetting(points(3, 'mm'), points(40, 'mm'), 'Own ruling', 'a named ruling'),
  style: setting(enumOf(['solid', 'dotted', 'dashed']), 'solid', {
    label: 'Lines',
    values: { solid: 'Solid', dotted: 'Dotted', dashed: 'Dashed' },
  }),
  margin: setting(enumOf(['none', 'left', 'inner', 'outer']), 'none', {
    label: 'Margin line',
    values: { none: 'None', left: 'At the left', inner: 'By the spine', outer: 'By the outer edge' },
  }),
  marginWidth: setting(numberBetween(10, 70), 25, {
    label: 'Width of the margin',
    unit: 'mm',
    step: 1,
    when: { margin: ['left', 'inner', 'outer'] },
  }),
  numbers: setting(v.boolean(), false, { label: 'Number the lines' }),
  ...headingSettings(),
  ...lookSettings(0.55),
  ...sideSettings(),
});
type RuledOptions = v.InferOutput<typeof options>;

/** Dashes and gaps, in points. */
const DASHES = { solid: undefined, dotted: [0.02, 3.4], dashed: [5, 3] } as const;
/** Dots of a dotted line are round, and this many times as thick as a line (by eye). */
const DOTTED = 1.4;

/** Room for the number of a line, in points at 6 × 9 in. */
const NUMBERS = 16;

function draw(context: DrawContext<RuledOptions, never>): Mark[] {
  const { body, frame, options: chosen, type, faces } = context;
  const pitch = pitchIn(chosen);
  const { marks, rest } = drawHeading(context, pitch);
  const heights = writingLines(rest, pitch);
  if (heights.length === 0) return marks;
  const scale = frame.grid.typeScale;
  const numbered = chosen.numbers ? NUMBERS * scale : 0;
  const lines = { x: body.x + numbered, width: body.width - numbered };
  const dash = DASHES[chosen.style];
  marks.push(
    stroked(levelLines(lines, heights), chosen, {
      ...(dash ? { dash } : {}),
      ...(chosen.style === 'dotted' ? { cap: 'round', width: chosen.weight * DOTTED } : {}),
    }),
  );
  if (chosen.numbers)
    marks.push(
      ...heights.map((y, i) =>
        textLine(
          type,
          String(i + 1),
          { face: faces.text, size: typeSize(frame.grid, 7.5), color: { gray: 0 } },
          lines.x - 5 * scale,
          y - 1.5 * scale,
          'right',
        ),
      ),
    );
  const margin = marginAt(context);
  if (margin !== null)
    marks.push(stroked(uprightLines({ y: rest.y, height: rest.height }, [margin]), darker(chosen, 0.35)));
  return marks;
}

/** Where the margin line stands, mirrored on facing pages unless it is always at the left. @returns x, or null */
function marginAt({
  body,
  frame,
  options: { margin, marginWidth },
}: DrawContext<RuledOptions, never>): number | null {
  if (margin === 'none') return null;
  const left = margin === 'left' || (frame.side === 'recto') === (margin === 'inner');
  const width = Math.min(points(marginWidth, 'mm'), body.width / 2);
  return left ? body.x + width : body.x + body.width - width;
}

const pitchIn = ({ pitch, ruling }: RuledOptions) => pitchOf(pitch, RULINGS[ruling]);

export const ruled = definePaper<RuledOptions>({
  id: 'ruled',
  later: NO_SIDE,
  version: 3,
  earlier: [
    // The option had its British name.
    {
      version: 1,
      migrate: ({ grey, ...rest }) => (grey === undefined ? rest : { ...rest, gray: grey }),
    },
    {
      version: 2,
      migrate: (same) => same,
      changes:
        'The last line stands on the lower margin, the heading is set in the typefaces of the house style, and lines can be numbered, dotted and have a margin.',
      kept: second as unknown as PageKind,
    },
  ],
  name: 'Ruled pages',
  family: 'Writing',
  purpose: 'Lines to write on, in any ruling.',
  samples: [
    { name: 'Ruled pages' },
    { name: 'Ruled, with date', options: { heading: 'date' } },
    { name: 'Ruled, with subject and margin', options: { heading: 'subject and date', margin: 'left' } },
    {
      name: 'Ruled, with side column',
      options: { sideColumn: 'outer', heading: 'date', sideLabel: 'Notes' },
    },
    { name: 'Numbered lines', options: { numbers: true, ruling: '7mm' } },
    { name: 'Dotted lines', options: { style: 'dotted', ruling: '8mm' } },
  ],
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'lines'),
  draw,
  fits: ({ body, options: chosen }) => ({ count: writingLines(body, pitchIn(chosen)).length, of: 'line' }),
});
