import * as v from 'valibot';
import type { PageFrame, Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { BLACK, type Mark, type TextMark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import {
  type DrawContext,
  defineKind,
  INDEXED_BY,
  type IndexedTerm,
  type PageKind,
  type Unit,
} from '../kind.ts';
import { matterHeading, matterRoom } from '../matter/prose.ts';
import { oneLine } from '../paper/one-line.ts';
import { evenColumns, type IndexLine, inColumns, indexLines, placesOf } from './lines.ts';

const options = exactObject({
  of: setting(enumOf(INDEXED_BY), 'subjects', {
    label: 'Index of',
    values: { subjects: 'Subjects', titles: 'Puzzles by title', levels: 'Puzzles by level' },
    help: 'Subjects, prompts and authors of the pages; or puzzles, by the titles of their lists or by their levels.',
  }),
  heading: setting(text(0, 60), '', {
    label: 'Heading',
    help: 'Instead of “Index” in the language of the book.',
  }),
  columns: setting(enumOf(['1', '2', '3']), '2', {
    label: 'Columns',
    values: { 1: 'One', 2: 'Two', 3: 'Three' },
  }),
  letters: setting(v.boolean(), true, {
    label: 'A heading for each letter',
    when: { of: ['subjects', 'titles'] },
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: { heading: 'Index' },
  es: { heading: 'Índice alfabético' },
  de: { heading: 'Register' },
  fr: { heading: 'Index' },
});

/** Room for the heading, and from line to line, in points at 6 × 9 in. */
const HEADING = 58;
const LINE = 14;
/** Between columns, and before numbers on a line of their own, in points. */
const BETWEEN = 22;
const INDENT = 12;
const GAP = 6;

/** The first page has a heading above its columns, the others begin a little lower than their edge. */
const heightOf = ({ body, grid }: Pick<PageFrame, 'body' | 'grid'>): number =>
  Math.max(3, Math.floor((body.height - (HEADING + 24) * grid.typeScale) / (LINE * grid.typeScale)));

/** A letter of a wide face, in parts of its size: digits of a typewriter. */
const LETTER = 0.6;
const sizeOf = ({ grid }: Pick<PageFrame, 'grid'>): number => Math.max(7.5, 9.5 * grid.typeScale);

/** What an index of the book lists. */
const entriesOf = (indexed: readonly IndexedTerm[], { of }: Options): IndexedTerm[] =>
  indexed.filter(({ by }) => by === of);

/** The lines of an index on pages of a frame. @param indexed what it lists */
function linesOf(
  indexed: readonly IndexedTerm[],
  language: string,
  frame: Pick<PageFrame, 'body' | 'grid'>,
  { columns, letters }: Options,
): IndexLine[] {
  const across = Number(columns);
  const width = (frame.body.width - (across - 1) * BETWEEN) / across - 2 * GAP;
  const letter = LETTER * sizeOf(frame);
  return indexLines(
    indexed,
    language,
    { line: Math.floor(width / letter), numbers: Math.floor((width - INDENT) / letter) },
    letters,
  );
}

/** How the lines of an index stand in columns; see lines.ts. */
type Columns = (lines: readonly IndexLine[], height: number, across: number) => IndexLine[][];

const isHead = ({ data }: Unit): boolean => (data as { page: number }).page === 0;

function lineMarks(
  { type, faces, frame }: DrawContext<Options, never>,
  indexed: readonly IndexedTerm[],
  line: IndexLine,
  { x, width }: Pick<Rect, 'x' | 'width'>,
  y: number,
): Mark[] {
  const scale = frame.grid.typeScale;
  if (line.kind === 'letter') {
    const style = { face: faces.display, size: Math.max(9, 11.5 * scale), color: BLACK } as const;
    return [textLine(type, line.letter, style, x, y)];
  }
  const { text: words, numbers } = indexed[line.entry]!;
  const style = { face: faces.text, size: sizeOf(frame) };
  if (line.kind === 'numbers') {
    const some = numbers.slice(line.from, line.from + line.count);
    const more = line.from + line.count < numbers.length ? ',' : '';
    const set = oneLine(type, some.join(', ') + more, style, {
      x: x + INDENT,
      y,
      width: width - INDENT,
    });
    return set ? [set] : [];
  }
  const behind = line.behind ? numbers.join(', ') : '';
  const right: TextMark[] = behind
    ? [textLine(type, behind, { ...style, color: BLACK }, x + width, y, 'right')]
    : [];
  const room = (right[0]?.x ?? x + width + GAP) - GAP - x;
  const left = cut(words, (some) => oneLine(type, some, style, { x, y, width: room }));
  return [...(left ? [left] : []), ...right];
}

/** The longest beginning of a text that can be set, with three dots where something is left out. */
function cut(words: string, set: (some: string) => TextMark | null): TextMark | null {
  const whole = set(words);
  if (whole) return whole;
  const parts = words.split(' ');
  for (let count = parts.length - 1; count > 0; count--) {
    const begun = set(`${parts.slice(0, count).join(' ')} …`);
    if (begun) return begun;
  }
  return null;
}

function drawIn(columnsOf: Columns, context: DrawContext<Options, never>): Mark[] {
  const { type, faces, frame, language, options: chosen, whole, unit } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const { page } = unit.data as { page: number };
  const across = Number(chosen.columns);
  const indexed = entriesOf(whole.indexed, chosen);
  const columns = columnsOf(linesOf(indexed, language, frame, chosen), heightOf(frame), across);
  const own = columns.slice(page * across, (page + 1) * across);
  const heading = isHead(unit)
    ? matterHeading(
        { type, faces, heading: chosen.heading || said(language, 'heading'), max: 24 * scale },
        { ...body, y: body.y + 14 * scale },
      ).marks
    : [];
  const top = body.y + (isHead(unit) ? HEADING : 14) * scale;
  const width = (body.width - (across - 1) * BETWEEN) / across;
  return [
    ...heading,
    ...own.flatMap((lines, column) => {
      const places = placesOf(lines);
      const at = { x: body.x + column * (width + BETWEEN), width };
      return lines.flatMap((line, i) =>
        lineMarks(context, indexed, line, at, top + places[i]! * LINE * scale),
      );
    }),
  ];
}

/** What to do where there is nothing. */
const NOTHING: Readonly<Record<Options['of'], string>> = {
  subjects: 'Give pages subjects, prompts or authors from a list',
  titles: 'Give the lists of word puzzles titles',
  levels: 'Add puzzles with a level',
};

type Index = Parameters<typeof defineKind<Options, never>>[0];

const common: Omit<Index, 'version' | 'units' | 'draw'> = {
  id: 'subject-index',
  later: { of: 'subjects' },
  name: 'Index',
  family: 'Front and back matter',
  purpose: 'Subjects, prompts, authors and words of the pages, in order, with the numbers of the pages.',
  samples: [
    { name: 'Index' },
    {
      name: 'Index of puzzles by level',
      purpose: 'Where the puzzles of each level are.',
      options: { of: 'levels' },
    },
  ],
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  indexesPages: true,
  inHouseFaces: () => true,
  options,
  inspectUnit: ({ whole, unit, options: chosen }) =>
    entriesOf(whole.indexed, chosen).length === 0 && isHead(unit)
      ? [
          {
            severity: 'look',
            message: `there is nothing to index. ${NOTHING[chosen.of]}, or delete the index.`,
          },
        ]
      : [],
};

const withColumns = (columnsOf: Columns): Pick<Index, 'units' | 'draw'> => ({
  units: ({ indexed, frame, language, options: chosen }) => {
    const sheet = frame('recto');
    const across = Number(chosen.columns);
    const lines = linesOf(entriesOf(indexed, chosen), language, sheet, chosen);
    const pages = Math.max(1, Math.ceil(columnsOf(lines, heightOf(sheet), across).length / across));
    return Array.from({ length: pages }, (_, page): Unit => ({ data: { page } }));
  },
  draw: (context) => drawIn(columnsOf, context),
});

const first = defineKind<Options, never>({ ...common, ...withColumns(inColumns), version: 1 });

export const subjectIndex = defineKind<Options, never>({
  ...common,
  ...withColumns(evenColumns),
  version: 2,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes: 'Columns of the last page are about as long as each other.',
      kept: first as unknown as PageKind,
    },
  ],
});
