import type * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { buildPath, type Mark } from '../../scene/index.ts';
import { exactObject, integerBetween, numberBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { darker, levelLines, paler, stroked } from '../paper/lines.ts';
import { lookSettings, points } from '../paper/settings.ts';

const options = exactObject({
  nib: setting(numberBetween(0.5, 8), 2, { label: 'Width of the nib', unit: 'mm', step: 0.1 }),
  xHeight: setting(numberBetween(2, 10), 5, {
    label: 'Height of small letters',
    unit: 'nib widths',
    step: 0.5,
  }),
  ascender: setting(numberBetween(0, 10), 3, { label: 'Above small letters', unit: 'nib widths', step: 0.5 }),
  descender: setting(numberBetween(0, 10), 3, {
    label: 'Below the base line',
    unit: 'nib widths',
    step: 0.5,
  }),
  gap: setting(numberBetween(0, 10), 1, { label: 'Between rows', unit: 'nib widths', step: 0.5 }),
  slant: setting(integerBetween(0, 60), 7, { label: 'Slant from upright', unit: '°' }),
  guides: setting(integerBetween(0, 40), 12, {
    label: 'Slant lines across',
    help: 'How many cross a row; 0 for none.',
  }),
  ...lookSettings(0.5),
});
type CalligraphyOptions = v.InferOutput<typeof options>;

interface Row {
  top: number;
  waist: number;
  base: number;
  bottom: number;
}

/** Rows that fit, the first at the top and the last at the foot. Heights in points. */
function rowsOf(area: Pick<Rect, 'y' | 'height'>, chosen: CalligraphyOptions): Row[] {
  const nib = points(chosen.nib, 'mm');
  const { ascender, xHeight, descender, gap } = chosen;
  const height = (ascender + xHeight + descender) * nib;
  const count = Math.max(0, Math.floor((area.height + gap * nib + 1e-6) / (height + gap * nib)));
  const step = count > 1 ? (area.height - height) / (count - 1) : 0;
  return Array.from({ length: count }, (_, i) => {
    const top = area.y + i * step;
    return {
      top,
      waist: top + ascender * nib,
      base: top + (ascender + xHeight) * nib,
      bottom: top + height,
    };
  });
}

const inside = ({ x, y, width, height }: Rect): Rect => ({
  x: x + 1,
  y: y + 1,
  width: width - 2,
  height: height - 2,
});

function draw({ body, options: chosen }: DrawContext<CalligraphyOptions, never>): Mark[] {
  const nib = points(chosen.nib, 'mm');
  const area = inside(body);
  const rows = rowsOf(area, chosen);
  if (rows.length === 0) return [];
  // The ladder stands before the writing: squares of the nib, stepping from side to side.
  const before = 2 * nib + points(2, 'mm');
  const writing = { ...area, x: area.x + before, width: area.width - before };
  const lines = (of: keyof Row) =>
    levelLines(
      writing,
      rows.map((row) => row[of]),
    );
  const marks = [
    ...(chosen.guides ? [stroked(slantLines(writing, rows, chosen), paler(chosen, 0.5))] : []),
    ...(chosen.ascender ? [stroked(lines('top'), paler(chosen, 0.25))] : []),
    ...(chosen.descender ? [stroked(lines('bottom'), paler(chosen, 0.25))] : []),
    stroked(lines('waist'), chosen, { dash: [5, 3] }),
    stroked(lines('base'), { ...darker(chosen, 0.6), weight: chosen.weight + 0.35 }),
  ];
  return [...marks, ...rows.map((row) => ladder(area.x, row, nib, chosen))];
}

function slantLines(area: Rect, rows: readonly Row[], { slant, guides }: CalligraphyOptions) {
  const path = buildPath(2 * rows.length * guides);
  const lean = Math.tan((slant * Math.PI) / 180);
  const step = area.width / guides;
  const right = area.x + area.width;
  for (const { top, bottom } of rows)
    for (let x = area.x - (bottom - top) * lean; x < right; x += step) {
      // Leaning to the right going up; cut where the row ends.
      const at = (y: number) => x + (bottom - y) * lean;
      const lower = lean > 0 ? Math.min(bottom, bottom - (area.x - x) / lean) : bottom;
      const upper = lean > 0 ? Math.max(top, bottom - (right - x) / lean) : top;
      if (x >= area.x - 1e-6 || lean > 0)
        if (lower > upper + 1) path.move(at(lower), lower).line(at(upper), upper);
    }
  return path.done();
}

function ladder(x: number, { top, bottom }: Row, nib: number, look: CalligraphyOptions): Mark {
  const path = buildPath(64);
  const count = Math.floor((bottom - top) / nib + 1e-6);
  for (let i = 0; i < count; i++) {
    const left = x + (i % 2) * nib;
    const y = bottom - (i + 1) * nib;
    path
      .move(left, y)
      .line(left + nib, y)
      .line(left + nib, y + nib)
      .line(left, y + nib)
      .close();
  }
  return { type: 'path', path: path.done(), fill: { gray: look.gray } };
}

export const calligraphy = definePaper<CalligraphyOptions>({
  id: 'calligraphy',
  name: 'Calligraphy guides',
  family: 'Learning to write',
  purpose: 'Rows by nib widths, with slant lines and a nib ladder.',
  samples: [
    { name: 'Calligraphy, broad nib' },
    {
      name: 'Calligraphy, pointed nib',
      options: { nib: 1, xHeight: 4, ascender: 5, descender: 5, slant: 55 },
    },
  ],
  options,
  draw,
  fits: ({ body, options: chosen }) => ({ count: rowsOf(inside(body), chosen).length, of: 'row' }),
});
