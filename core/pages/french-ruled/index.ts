import * as v from 'valibot';
import { buildPath, type Mark } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { darker, levelLines, paler, steps, stroked, uprightLines, wholeCells } from '../paper/lines.ts';
import { lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';

/** A square of French ruling: 8 mm, with three lines 2 mm apart between two strong ones (common practice, no source). */
const SQUARE = points(8, 'mm');
const SUBLINES = 4;

const options = exactObject({
  pitch: pitchSetting(points(4, 'mm'), points(25, 'mm'), 'Own square', 'squares of 8 mm'),
  margin: setting(enumOf(['none', 'left', 'inner', 'outer']), 'left', {
    label: 'Margin line',
    values: { none: 'None', left: 'At the left', inner: 'By the spine', outer: 'By the outer edge' },
  }),
  marginSquares: setting(integerBetween(1, 6), 2, { label: 'Squares in the margin' }),
  openMargin: setting(v.boolean(), true, {
    label: 'Leave the margin empty',
    help: 'Lines begin at the margin line.',
  }),
  ...headingSettings(),
  ...lookSettings(0.5),
});
type FrenchOptions = v.InferOutput<typeof options>;

function draw(context: DrawContext<FrenchOptions, never>): Mark[] {
  const { frame, options: chosen } = context;
  const square = pitchOf(chosen.pitch, SQUARE);
  const { marks, rest } = drawHeading(context, square);
  const cells = wholeCells(
    { ...rest, x: rest.x + 1, width: rest.width - 2, y: rest.y + 1, height: rest.height - 2 },
    square,
  );
  if (cells.columns === 0 || cells.rows === 0) return marks;
  const { margin } = chosen;
  const left = margin === 'left' || (frame.side === 'recto') === (margin === 'inner');
  const kept = margin === 'none' ? 0 : Math.min(chosen.marginSquares, cells.columns - 1);
  const line = left ? kept : cells.columns - kept;
  const open = chosen.openMargin ? kept : 0;
  const ruledArea = {
    ...cells,
    x: cells.x + (left ? open * square : 0),
    width: cells.width - open * square,
  };
  const heights = steps(cells.y, square / SUBLINES, cells.rows * SUBLINES + 1);
  marks.push(
    stroked(
      levelLines(
        ruledArea,
        heights.filter((_, i) => i % SUBLINES !== 0),
      ),
      paler(chosen),
    ),
    stroked(uprightLines(cells, steps(ruledArea.x, square, cells.columns - open + 1)), paler(chosen, 0.3)),
    stroked(
      levelLines(
        ruledArea,
        heights.filter((_, i) => i % SUBLINES === 0),
      ),
      darker(chosen, 0.3),
    ),
  );
  if (kept > 0)
    marks.push(
      stroked(
        buildPath(2)
          .move(cells.x + line * square, cells.y)
          .line(cells.x + line * square, cells.y + cells.height)
          .done(),
        { ...darker(chosen, 0.6), weight: chosen.weight + 0.75 },
      ),
    );
  return marks;
}

export const frenchRuled = definePaper<FrenchOptions>({
  id: 'french-ruled',
  name: 'French ruling',
  family: 'Writing',
  purpose: 'Squares of 8 mm with lines every 2 mm and a margin.',
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'squares'),
  draw,
  fits: ({ body, options: chosen }) => ({
    count: wholeCells(body, pitchOf(chosen.pitch, SQUARE)).columns - chosen.marginSquares,
    of: 'square beside the margin',
  }),
});
