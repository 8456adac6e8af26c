import type * as v from 'valibot';
import { fitText, fittedLines, type Mark } from '../../scene/index.ts';
import { exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { sprig } from '../blocks/pen.ts';
import { type DrawContext, defineKind } from '../kind.ts';

const options = exactObject({
  text: setting(text(0, 400), '', {
    label: 'Dedication',
    help: 'Such as “For Ada, who keeps the bees”.',
    rows: 3,
  }),
});
type Options = v.InferOutput<typeof options>;

const set = ({
  body,
  type,
  faces,
  frame,
  options: { text: said },
}: Pick<DrawContext<Options, never>, 'body' | 'type' | 'faces' | 'frame' | 'options'>) =>
  fitText(
    type,
    said,
    faces.text,
    { width: body.width * 0.7, height: body.height * 0.4 },
    { max: Math.max(14, body.width / 22, frame.grid.leastType), min: 9, lines: 12, leading: 1.4 },
  );

function draw(context: DrawContext<Options, never>): Mark[] {
  const { body, type, faces } = context;
  if (!context.options.text.trim()) return [];
  const fitted = set(context);
  const middle = body.x + body.width / 2;
  const top = body.y + body.height * 0.28;
  const bottom = top + fitted.height + fitted.size * 1.6;
  const length = body.width * 0.09;
  return [
    ...fittedLines(type, fitted, { face: faces.text }, middle, top + fitted.size),
    ...sprig(middle - 4, bottom, length, -1, length * 0.28),
    ...sprig(middle + 4, bottom, length, 1, length * 0.28),
  ];
}

export const dedication = defineKind<Options, never>({
  id: 'dedication',
  version: 1,
  name: 'Dedication',
  family: 'Front and back matter',
  purpose: 'A few words to somebody, alone on a page.',
  samples: [{ name: 'Dedication', shown: { text: 'For those who get up before the bees do' } }],
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  inHouseFaces: () => true,
  options,
  units: () => [{ side: 'recto' }],
  draw,
  inspectUnit: (context) =>
    context.options.text.trim() === ''
      ? [{ severity: 'look', message: 'the dedication is empty. Write one, or delete the page.' }]
      : set(context).fits
        ? []
        : [{ severity: 'fix', message: 'the dedication does not fit. Shorten it.' }],
});
