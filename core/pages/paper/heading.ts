import type * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { type PrintedLanguage, printedWords } from '../../printed-words/index.ts';
import { BLACK, linePath, lineWidth, type Mark } from '../../scene/index.ts';
import { enumOf, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext, Unit } from '../kind.ts';
import { oneLine } from './one-line.ts';

const HEADING = 'Heading of the page';
const MOST_SUBJECTS = 6000;

const FIELDS = {
  none: [],
  date: ['date'],
  number: ['number'],
  title: ['title'],
  subject: ['subject'],
  'date and number': ['date', 'number'],
  'title and date': ['title', 'date'],
  'subject and date': ['subject', 'date'],
  'subject, date and number': ['subject', 'date', 'number'],
} as const satisfies Record<string, readonly FieldName[]>;

const NAMES = Object.keys(FIELDS) as (keyof typeof FIELDS)[];

type FieldName = 'title' | 'subject' | 'date' | 'number';

/** The row above the lines: fields to fill in, or a subject from a list, which is printed. */
export const headingSettings = (usual: keyof typeof FIELDS = 'none') => ({
  heading: setting(enumOf(NAMES), usual, {
    label: 'Heading',
    group: HEADING,
    values: {
      none: 'None',
      date: 'Date',
      number: 'Number',
      title: 'Title',
      subject: 'Subject',
      'date and number': 'Date and number',
      'title and date': 'Title and date',
      'subject and date': 'Subject and date',
      'subject, date and number': 'Subject, date and number',
    },
  }),
  label: setting(text(0, 30), '', {
    label: 'Label of the first field',
    when: { heading: NAMES.filter((name) => name !== 'none') },
    help: 'Instead of “Date”, “No.”, “Title” or “Subject” in the language of the book.',
    group: HEADING,
  }),
  subjects: setting(text(0, MOST_SUBJECTS), '', {
    label: 'Subjects',
    when: { heading: NAMES.filter((name) => (FIELDS[name] as readonly FieldName[]).includes('subject')) },
    help: 'One per line, printed page after page and from the first again. None: a line to write it on.',
    rows: 3,
    group: HEADING,
  }),
});

type Settings = ReturnType<typeof headingSettings>;
type HeadingOptions = { [Key in keyof Settings]: v.InferOutput<Settings[Key]> };

const words = printedWords({
  en: { date: 'Date', number: 'No.', title: 'Title', subject: 'Subject' },
  es: { date: 'Fecha', number: 'N.º', title: 'Título', subject: 'Tema' },
  de: { date: 'Datum', number: 'Nr.', title: 'Titel', subject: 'Thema' },
  fr: { date: 'Date', number: 'N°', title: 'Titre', subject: 'Sujet' },
});

const listed = ({ subjects }: Pick<HeadingOptions, 'subjects'>): string[] =>
  subjects
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);

/** Pages that are alike but for the subject above them. @param key of pages without one */
export function headedUnits(count: number, options: HeadingOptions, key: string): Unit[] {
  const subjects = options.heading === 'none' ? [] : listed(options);
  return Array.from({ length: count }, (_, i) =>
    subjects.length
      ? {
          key: `${key} ${i % subjects.length}`,
          data: { subject: subjects[i % subjects.length]! },
          terms: [subjects[i % subjects.length]!],
        }
      : { key },
  );
}

/** Width of a date or number to fill in, as a share of the row. */
const SHORT = { date: 0.3, number: 0.2 } as const;
/** Sizes at 6 × 9 in, in points. */
const LABEL_SIZE = 10;
const SUBJECT_SIZE = 17;
const RULE = 1.25;

/**
 * The heading of a page, and what it leaves free.
 * @param pitch height of the row, in points
 */
export function drawHeading<Options extends HeadingOptions>(
  { body, frame, options, unit, language, type, faces }: DrawContext<Options, never>,
  pitch: number = frame.grid.pitch,
): { marks: Mark[]; rest: Rect } {
  const fields: readonly FieldName[] = FIELDS[options.heading];
  if (fields.length === 0) return { marks: [], rest: body };
  const scale = frame.grid.typeScale;
  const right = body.x + body.width;
  const baseline = body.y + Math.max(pitch, SUBJECT_SIZE * scale) * 0.85;
  const style = { face: faces.text, size: LABEL_SIZE * scale };
  const marks: Mark[] = [];
  const printed = (unit.data as { subject: string } | undefined)?.subject;
  let edge = right;
  const names = [...fields];
  // From the right: what is short, as wide as it needs; the first takes what is left, and stands alone at the right.
  for (const [i, name] of [...names.entries()].reverse()) {
    const label = (i === 0 && options.label) || words(language as PrintedLanguage, name);
    const long = name === 'title' || name === 'subject';
    if (i === 0 && printed) break;
    const width = long
      ? edge - body.x
      : body.width * (SHORT[name as 'date'] + (names.length === 1 ? 0.1 : 0));
    const x = edge - width;
    const said = oneLine(type, label, style, { x, y: baseline, width: width * 0.7 });
    if (said) marks.push(said);
    const from = said ? x + lineWidth(type, said.text, said) + 5 * scale : x;
    marks.push({
      type: 'path',
      path: linePath(from, baseline, edge, baseline),
      stroke: { width: 0.75, paint: { gray: 0.45 } },
    });
    edge = x - 12 * scale;
  }
  if (printed) {
    const subject = oneLine(
      type,
      printed,
      { face: faces.display, size: SUBJECT_SIZE * scale },
      { x: body.x, y: baseline, width: edge - body.x },
    );
    if (subject) marks.push(subject);
    marks.push({
      type: 'path',
      path: linePath(body.x, baseline + 6 * scale, right, baseline + 6 * scale),
      stroke: { width: RULE, paint: BLACK },
    });
  }
  const used = baseline + (printed ? 6 * scale : 0) - body.y;
  return { marks, rest: { ...body, y: body.y + used, height: body.height - used } };
}
