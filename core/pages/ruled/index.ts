import * as v from 'valibot';
import { keyed, numberBetween, oneOf, text } from '../../keyed.ts';
import { buildPath, type Mark, type Path, textLine } from '../../scene/index.ts';
import { inches } from '../../units.ts';
import { type DrawContext, defineKind, pageUnits } from '../kind.ts';

/** Line spacing of the usual rulings, in points (common practice, no source). */
export const RULINGS = { wide: inches(11 / 32), college: inches(9 / 32), narrow: inches(1 / 4) } as const;

const options = keyed({
  ruling: v.optional(oneOf(['wide', 'college', 'narrow']), 'college'),
  /** 0 is black, 1 is white. */
  grey: v.optional(numberBetween(0, 0.85), 0.55),
  /** Points. */
  weight: v.optional(numberBetween(0.75, 3), 0.75),
  heading: v.optional(oneOf(['none', 'date', 'subject']), 'none'),
  /** Words before the heading line; the kind's own word when empty. */
  label: v.optional(text(0, 30), ''),
});

type RuledOptions = v.InferOutput<typeof options>;

const HEADING_WORDS = { none: '', date: 'Date', subject: 'Subject' } as const;

function draw({
  body,
  options: { ruling, grey, weight, heading, label },
  type,
}: DrawContext<RuledOptions, never>): Mark[] {
  const spacing = RULINGS[ruling];
  const right = body.x + body.width;
  const stroked = (path: Path): Mark => ({
    type: 'path',
    path,
    stroke: { width: weight, paint: { gray: grey } },
  });
  const marks: Mark[] = [];
  let top = body.y;
  if (heading !== 'none') {
    const words = label || HEADING_WORDS[heading];
    const style = { face: 'alegreya-sans-regular', size: 11, color: { gray: 0.3 } } as const;
    // A J reaches left of where it begins.
    const start = heading === 'date' ? right - body.width * 0.4 : body.x + 2;
    const y = body.y + spacing * 0.8;
    const from = start + type.width(words, style.face, style.size) + 6;
    marks.push(
      textLine(type, words, style, start, y),
      stroked(buildPath(2).move(from, y).line(right, y).done()),
    );
    top = y + spacing * 0.25;
  }
  const count = Math.floor((body.y + body.height - weight / 2 - top) / spacing);
  const lines = buildPath(2 * count + 1);
  for (let i = 1; i <= count; i++) lines.move(body.x, top + i * spacing).line(right, top + i * spacing);
  if (count > 0) marks.push(stroked(lines.done()));
  return marks;
}

export const ruled = defineKind({
  id: 'ruled',
  version: 1,
  name: 'Ruled pages',
  purpose: 'Lines to write on, wide, college or narrow.',
  extent: 'pages',
  defaultCount: 24,
  numbered: true,
  options,
  fields: [
    {
      control: 'choice',
      key: 'ruling',
      label: 'Ruling',
      choices: [
        { value: 'wide', label: 'Wide' },
        { value: 'college', label: 'College' },
        { value: 'narrow', label: 'Narrow' },
      ],
    },
    {
      control: 'choice',
      key: 'heading',
      label: 'At the head',
      choices: [
        { value: 'none', label: 'Nothing' },
        { value: 'date', label: 'Date' },
        { value: 'subject', label: 'Subject' },
      ],
    },
    { control: 'text', key: 'label', label: 'Word at the head', hint: 'Instead of Date or Subject' },
    { control: 'number', key: 'grey', label: 'Grey, 0 black to 0.85 pale', least: 0, most: 0.85, step: 0.05 },
    { control: 'number', key: 'weight', label: 'Line weight', least: 0.75, most: 3, step: 0.25, unit: 'pt' },
  ],
  units: ({ count }) => pageUnits(count, 'lines'),
  draw,
});
