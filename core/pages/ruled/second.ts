import type * as v from 'valibot';
import { printedWords } from '../../printed-words/index.ts';
import { buildPath, type Mark, type Path, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, numberBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { inches } from '../../units.ts';
import { type DrawContext, defineKind, pageUnits } from '../kind.ts';

/** Line spacing of the usual rulings, in points (common practice, no source). */
const RULINGS = { wide: inches(11 / 32), college: inches(9 / 32), narrow: inches(1 / 4) } as const;

const options = exactObject({
  ruling: setting(enumOf(['wide', 'college', 'narrow']), 'college', {
    label: 'Ruling',
    help: 'From line to line: wide 11/32 in, college 9/32 in, narrow 1/4 in.',
    values: { wide: 'Wide', college: 'College', narrow: 'Narrow' },
  }),
  heading: setting(enumOf(['none', 'date', 'subject']), 'none', {
    label: 'Page heading',
    values: { none: 'None', date: 'Date', subject: 'Subject' },
  }),
  label: setting(text(0, 30), '', {
    label: 'Heading label',
    help: 'Instead of “Date” or “Subject” in the language of the book.',
  }),
  gray: setting(numberBetween(0, 0.85), 0.55, {
    label: 'Line shade (0 black – 0.85 light gray)',
    step: 0.05,
  }),
  weight: setting(numberBetween(0.75, 3), 0.75, { label: 'Line weight', step: 0.25, unit: 'pt' }),
});

type RuledOptions = v.InferOutput<typeof options>;

const headingWords = printedWords({
  en: { date: 'Date', subject: 'Subject' },
  es: { date: 'Fecha', subject: 'Tema' },
  de: { date: 'Datum', subject: 'Thema' },
  fr: { date: 'Date', subject: 'Sujet' },
});

function draw({
  body,
  options: { ruling, gray, weight, heading, label },
  language,
  type,
}: DrawContext<RuledOptions, never>): Mark[] {
  const spacing = RULINGS[ruling];
  const right = body.x + body.width;
  const stroked = (path: Path): Mark => ({
    type: 'path',
    path,
    stroke: { width: weight, paint: { gray } },
  });
  const marks: Mark[] = [];
  let top = body.y;
  if (heading !== 'none') {
    const words = label || headingWords(language, heading);
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

/** As it was: lines from the top down, in one ruling of three, with a heading in a face of its own. */
export const second = defineKind({
  id: 'ruled',
  version: 2,
  name: 'Ruled pages',
  family: 'Writing',
  purpose: 'Lines to write on, wide, college or narrow.',
  extent: 'pages',
  defaultCount: 24,
  numbered: true,
  options,
  units: ({ count }) => pageUnits(count, 'lines'),
  draw,
});
