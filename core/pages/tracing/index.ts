import { write } from '../../letters/index.ts';
import { loadMotifs } from '../../motifs/index.ts';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { linePath, type Mark, textLine } from '../../scene/index.ts';
import { defineKind, type ItemProblem } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';
import { oneLine } from '../paper/one-line.ts';
import { entriesOf } from './entries.ts';
import { entryOn, INSET, layoutOf, type Room, unitOf } from './layout.ts';
import { modelMarks } from './model.ts';
import { options, type TracingOptions } from './options.ts';
import { guideLines, rowMarks } from './rows.ts';

const said = printedWords({
  en: { name: 'Name' },
  es: { name: 'Nombre' },
  de: { name: 'Name' },
  fr: { name: 'Nom' },
});

function headingMarks(context: Room, { x, y, width, height }: Rect): Mark[] {
  const { options: chosen, faces, type, frame, language, unit } = context;
  const scale = frame.grid.typeScale;
  const base = y + height * 0.78;
  const named = chosen.heading === 'title and name';
  const room = named ? width * 0.55 : width;
  const title = entryOn(unit).title;
  const heading = title
    ? oneLine(type, title, { face: faces.display, size: 20 * scale }, { x, y: base, width: room })
    : null;
  const label = { face: faces.text, size: Math.max(7, 9 * scale), color: { gray: 0 } } as const;
  const words = said(language, 'name');
  const from = title ? x + width * 0.6 : x;
  const start = from + type.width(words, label.face, label.size) + 5;
  return [
    ...(heading ? [heading] : []),
    ...(named
      ? [
          textLine(type, words, label, from, base),
          {
            type: 'path' as const,
            path: linePath(start, base + 1, x + width, base + 1),
            stroke: { width: 0.75, paint: { gray: 0.45 } },
          },
        ]
      : []),
  ];
}

function draw(context: Room): Mark[] {
  const { body, frame, options: chosen } = context;
  const { height, heading, box, rows } = layoutOf(context);
  const room = inkRoom(body, frame.safe, { weight: 2 });
  return [
    ...(heading ? headingMarks(context, heading) : []),
    ...(box ? modelMarks(context, box, height) : []),
    ...(rows.length ? guideLines(rows, room, height) : []),
    ...rows.flatMap((row) => rowMarks(row, room, height, chosen)),
  ];
}

/** A sentence that is longer is no entry of an index. */
const MOST_TERM = 40;

export const tracing = defineKind<TracingOptions, never>({
  id: 'tracing',
  version: 1,
  name: 'Tracing pages',
  called: ({ what }) =>
    ({
      letters: 'Tracing: letters',
      numbers: 'Tracing: numbers',
      'first-words': 'Tracing: first words',
      list: 'Tracing: a list',
    })[what],
  family: 'Learning to write',
  purpose: 'Letters, numbers, words and sentences to trace.',
  samples: [
    { name: 'Letters to trace' },
    { name: 'Joined letters to trace', options: { alphabet: 'joined' } },
    { name: 'Joined letters and capitals to trace', options: { alphabet: 'all-joined' } },
    { name: 'Numbers to trace', options: { what: 'numbers' } },
    { name: 'First words to trace', options: { what: 'first-words', height: '1/2in' } },
    {
      name: 'Names and sentences to trace',
      options: { what: 'list', height: '1/2in' },
      shown: { list: 'My name is Wren.' },
    },
  ],
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  inHouseFaces: () => true,
  prepare: async ({ what, pictures }) => {
    if (pictures && (what === 'letters' || what === 'list')) await loadMotifs();
  },
  options,
  units: ({ options: chosen, language }) =>
    entriesOf(chosen, language).map((entry) => ({
      key: JSON.stringify(entry),
      data: entry,
      ...(chosen.what === 'list' && entry.model.length <= MOST_TERM ? { terms: [entry.model] } : {}),
    })),
  draw,
  inspectUnit(context) {
    const problems: ItemProblem[] = [];
    const { body, frame, options: chosen, unit } = context;
    const entry = entryOn(unit);
    const { rows, texts, height } = layoutOf(context);
    if (entry.model === '')
      problems.push({ severity: 'fix', message: 'the list is empty. Write a line for each page.' });
    const missing = new Set(entry.rows.flatMap((text) => write(text, chosen.alphabet).missing));
    if (missing.size > 0)
      problems.push({
        severity: 'fix',
        message: `the alphabet to trace has no ${[...missing].map((letter) => `“${letter}”`).join(', ')}. Write it another way.`,
      });
    const room = inkRoom(body, frame.safe, { weight: 2 }).width / unitOf(height) - 2 * INSET;
    const wide = texts.filter((text) => write(text, chosen.alphabet).width > room);
    if (wide.length > 0)
      problems.push({
        severity: 'fix',
        message: `${wide.map((text) => `“${text}”`).join(', ')} is wider than a line. Use a lower line, or a larger trim.`,
      });
    if (rows.length < texts.length)
      problems.push({
        severity: 'fix',
        message: `${texts.length} lines are to be traced, and ${rows.length} fit. Use a lower line, or a larger trim.`,
      });
    return problems;
  },
});
