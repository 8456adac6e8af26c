import type * as v from 'valibot';
import { printedWords } from '../../printed-words/index.ts';
import { ellipsePath, linePath, type Mark } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { roundedRect } from '../blocks/pen.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterHeading, matterRoom } from '../matter/prose.ts';

const options = exactObject({
  heading: setting(text(0, 80), '', {
    label: 'Heading',
    help: 'Instead of “Try your colors here” in the language of the book.',
  }),
  columns: setting(integerBetween(2, 8), 4, { label: 'Columns' }),
  rows: setting(integerBetween(2, 12), 6, { label: 'Rows' }),
  shape: setting(enumOf(['circles', 'boxes']), 'circles', {
    label: 'Shape',
    values: { circles: 'Circles', boxes: 'Boxes' },
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: { heading: 'Try your colors here' },
  es: { heading: 'Pruebe aquí sus colores' },
  de: { heading: 'Farben ausprobieren' },
  fr: { heading: 'Essayez vos couleurs ici' },
});

function draw(context: DrawContext<Options, never>): Mark[] {
  const { type, faces, frame, language, options: chosen } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const { marks, bottom } = matterHeading(
    { type, faces, heading: chosen.heading || said(language, 'heading'), max: 22 * scale },
    { ...body, y: body.y + body.height * 0.02 },
  );
  const grid = { x: body.x + 1, y: bottom, width: body.width - 2, height: body.y + body.height - bottom - 2 };
  const [width, height] = [grid.width / chosen.columns, grid.height / chosen.rows];
  const edge = Math.min(width * 0.8, height * 0.66);
  for (let i = 0; i < chosen.columns * chosen.rows; i++) {
    const x = grid.x + ((i % chosen.columns) + 0.5) * width;
    const y = grid.y + (Math.floor(i / chosen.columns) + 0.44) * height;
    const path =
      chosen.shape === 'circles'
        ? ellipsePath(x, y, edge / 2)
        : roundedRect({ x: x - edge / 2, y: y - edge / 2, width: edge, height: edge }, edge * 0.08);
    const line = y + edge / 2 + height * 0.14;
    marks.push(
      { type: 'path', path, stroke: { width: 1.5, paint: { gray: 0.15 } } },
      {
        type: 'path',
        path: linePath(x - edge / 2, line, x + edge / 2, line),
        stroke: { width: 0.75, paint: { gray: 0.55 } },
      },
    );
  }
  return marks;
}

export const colorTest = defineKind<Options, never>({
  id: 'color-test',
  version: 1,
  name: 'Test page for colors',
  family: 'Front and back matter',
  purpose: 'Shapes to try pens and pencils in, each with a line for its name.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  inHouseFaces: () => true,
  options,
  units: () => [{}],
  draw,
});
