import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, rectPath, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { levelLines, stroked } from '../paper/lines.ts';
import { lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';

/** Width over height of a frame. */
const RATIOS = { free: null, '1:1': 1, '4:3': 4 / 3, '16:9': 16 / 9, '2.39:1': 2.39 } as const;

const options = exactObject({
  frames: setting(integerBetween(1, 8), 1, { label: 'Frames on a page' }),
  columns: setting(integerBetween(1, 3), 1, { label: 'Columns', help: 'More than one makes a storyboard.' }),
  ratio: setting(enumOf(Object.keys(RATIOS) as (keyof typeof RATIOS)[]), 'free', {
    label: 'Shape of a frame',
    values: {
      free: 'As large as fits',
      '1:1': 'Square',
      '4:3': '4 : 3',
      '16:9': '16 : 9',
      '2.39:1': '2.39 : 1',
    },
  }),
  caption: setting(enumOf(['none', 'below', 'beside']), 'below', {
    label: 'Caption',
    values: { none: 'None', below: 'Lines below', beside: 'Lines beside' },
  }),
  lines: setting(integerBetween(1, 20), 4, { label: 'Caption lines' }),
  pitch: pitchSetting(points(4, 'mm'), points(20, 'mm'), 'Own ruling', 'that of the trim'),
  numbers: setting(v.boolean(), false, { label: 'Number the frames' }),
  ...headingSettings(),
  ...lookSettings(0.4, 1),
});
type SketchOptions = v.InferOutput<typeof options>;

const BETWEEN = points(5, 'mm');
/** Room for the number of a frame, in points at 6 × 9 in. */
const NUMBER = 11;
/** Of a cell whose caption stands beside the frame, the share of the frame. */
const FRAME_SHARE = 0.58;
/** A frame smaller than this is none to draw in, in points. */
const LEAST = points(18, 'mm');

interface Cell {
  frame: Rect;
  /** Where the caption stands. */
  lines: Rect | null;
  /** Baseline of the number. */
  numberAt: number;
}

function cellsOf(area: Rect, chosen: SketchOptions, pitch: number, scale: number): Cell[] {
  const columns = Math.min(chosen.columns, chosen.frames);
  const rows = Math.ceil(chosen.frames / columns);
  const width = (area.width - (columns - 1) * BETWEEN) / columns;
  const height = (area.height - (rows - 1) * BETWEEN) / rows;
  const number = chosen.numbers ? NUMBER * scale : 0;
  const ratio = RATIOS[chosen.ratio];
  return Array.from({ length: chosen.frames }, (_, i) => {
    const x = area.x + (i % columns) * (width + BETWEEN);
    const y = area.y + Math.floor(i / columns) * (height + BETWEEN);
    const beside = chosen.caption === 'beside';
    const caption = chosen.caption === 'below' ? Math.min(chosen.lines * pitch, height / 2) : 0;
    const box = {
      width: beside ? width * FRAME_SHARE : width,
      height: height - number - caption - (caption ? 2 : 0),
    };
    const fitted = ratio
      ? { width: Math.min(box.width, box.height * ratio), height: Math.min(box.height, box.width / ratio) }
      : box;
    const framed = { x: x + (beside ? 0 : (width - fitted.width) / 2), y: y + number, ...fitted };
    const right = x + width;
    const besideX = framed.x + framed.width + BETWEEN;
    return {
      frame: framed,
      numberAt: y + number - 3,
      lines:
        chosen.caption === 'none'
          ? null
          : beside
            ? { x: besideX, y: framed.y, width: right - besideX, height: framed.height }
            : { x, y: framed.y + framed.height, width, height: y + height - framed.y - framed.height },
    };
  });
}

function areaOf(rest: Rect, body: Rect): Rect {
  const gap = rest.y > body.y ? points(4, 'mm') : 1;
  return { x: rest.x + 1, y: rest.y + gap, width: rest.width - 2, height: rest.height - gap - 1 };
}

function draw(context: DrawContext<SketchOptions, never>): Mark[] {
  const { body, frame, options: chosen, type, faces } = context;
  const pitch = pitchOf(chosen.pitch, frame.grid.pitch);
  const scale = frame.grid.typeScale;
  const { marks, rest } = drawHeading(context);
  cellsOf(areaOf(rest, body), chosen, pitch, scale).forEach((cell, i) => {
    const { x, y, width, height } = cell.frame;
    marks.push(stroked(rectPath(x, y, width, height), chosen));
    if (chosen.numbers)
      marks.push(
        textLine(type, String(i + 1), { face: faces.text, size: 9 * scale, color: BLACK }, x, cell.numberAt),
      );
    if (!cell.lines) return;
    const most = Math.floor((cell.lines.height + 1e-6) / pitch);
    const count = chosen.caption === 'beside' ? most : Math.min(most, chosen.lines);
    const heights = Array.from({ length: count }, (_, k) => cell.lines!.y + (k + 1) * pitch);
    marks.push(stroked(levelLines(cell.lines, heights), { ...chosen, gray: 0.55, weight: 0.75 }));
  });
  return marks;
}

export const sketch = definePaper<SketchOptions>({
  id: 'sketch',
  name: 'Sketch frames',
  family: 'Drawing',
  purpose: 'Frames to draw in with captions, one large or a storyboard.',
  samples: [
    { name: 'Sketch frame' },
    { name: 'Storyboard', options: { frames: 6, columns: 2, ratio: '16:9', lines: 3, numbers: true } },
    { name: 'Frames with notes', options: { frames: 3, ratio: '4:3', caption: 'beside' } },
  ],
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'frames'),
  draw,
  fits: ({ body, frame, options: chosen }) => {
    const cells = cellsOf(
      areaOf(body, body),
      chosen,
      pitchOf(chosen.pitch, frame.grid.pitch),
      frame.grid.typeScale,
    );
    return {
      count: Math.min(cells[0]!.frame.width, cells[0]!.frame.height) < LEAST ? 0 : cells.length,
      of: 'frame',
    };
  },
});
