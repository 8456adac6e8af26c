import type * as v from 'valibot';
import type { PageFrame, Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { BLACK, linePath, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind, type ListedPage, type Unit } from '../kind.ts';
import { matterHeading, matterRoom } from '../matter/prose.ts';
import { oneLine } from '../paper/one-line.ts';

const options = exactObject({
  heading: setting(text(0, 60), '', {
    label: 'Heading',
    help: 'Instead of “Contents” in the language of the book.',
  }),
  names: setting(text(0, 4000), '', {
    label: 'Names',
    help: 'A line for each entry, in order, instead of the names of the sections; an empty line keeps its name.',
    rows: 5,
  }),
  leaders: setting(enumOf(['dots', 'line', 'none']), 'dots', {
    label: 'Between name and number',
    values: { dots: 'Dots', line: 'A line', none: 'Nothing' },
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: { heading: 'Contents' },
  es: { heading: 'Contenido' },
  de: { heading: 'Inhalt' },
  fr: { heading: 'Table des matières' },
});

/** Room for the heading, and from entry to entry, in points at 6 × 9 in. */
const HEADING = 58;
const ENTRY = 21;

const perPage = ({ unnumbered, grid }: Pick<PageFrame, 'unnumbered' | 'grid'>): number =>
  Math.max(1, Math.floor((unnumbered.height - (HEADING + 24) * grid.typeScale) / (ENTRY * grid.typeScale)));

/** Entries with the names that were written for them. */
const namedEntries = (listed: readonly ListedPage[], { names }: Options): ListedPage[] => {
  const own = names.split(/\r?\n/);
  return listed.map((one, i) => ({ ...one, text: own[i]?.trim() || one.text }));
};

const GAP = 6;

function entryMarks(
  { type, faces, options: { leaders } }: Pick<DrawContext<Options, never>, 'type' | 'faces' | 'options'>,
  { text: name, number }: ListedPage,
  { x, width }: Pick<Rect, 'x' | 'width'>,
  y: number,
  size: number,
): Mark[] {
  const right = textLine(type, number, { face: faces.text, size, color: BLACK }, x + width, y, 'right');
  const left = oneLine(type, name, { face: faces.text, size }, { x, y, width: right.x - x - 4 * GAP });
  if (!left) return [right];
  const from = x + type.width(left.text, left.face, left.size) + GAP;
  const to = right.x - GAP;
  // Dots of all entries stand below each other: they are counted from the right edge.
  const first = x + width - Math.floor((x + width - from) / DOTS) * DOTS;
  const path = linePath(leaders === 'dots' ? first : from, y - 1.2, to, y - 1.2);
  const leader: Mark[] =
    leaders === 'none' || to - from < 2 * DOTS
      ? []
      : [
          {
            type: 'path',
            path,
            stroke:
              leaders === 'dots'
                ? { width: 1, paint: { gray: 0.3 }, dash: [0.02, DOTS - 0.02], cap: 'round' }
                : { width: 0.75, paint: { gray: 0.5 } },
          },
        ];
  return [left, ...leader, right];
}
/** From dot to dot, in points. */
const DOTS = 5;

function draw(context: DrawContext<Options, never>): Mark[] {
  const { type, faces, frame, language, options: chosen, whole, unit } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const page = (unit.data as { page: number }).page;
  const most = perPage(frame);
  const entries = namedEntries(whole.listed, chosen).slice(page * most, (page + 1) * most);
  const heading =
    page === 0
      ? matterHeading(
          { type, faces, heading: chosen.heading || said(language, 'heading'), max: 24 * scale },
          { ...body, y: body.y + 14 * scale },
        ).marks
      : [];
  const top = body.y + (page === 0 ? HEADING : 14) * scale;
  return [
    ...heading,
    ...entries.flatMap((entry, i) =>
      entryMarks(context, entry, body, top + (i + 1) * ENTRY * scale, Math.max(8, 11 * scale)),
    ),
  ];
}

export const contents = defineKind<Options, never>({
  id: 'contents',
  version: 1,
  name: 'Contents',
  family: 'Front and back matter',
  purpose: 'What is in the book, with the numbers of the pages.',
  extent: 'derived',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  listsPages: true,
  inHouseFaces: () => true,
  options,
  units: ({ listed, frame }) =>
    Array.from(
      { length: Math.max(1, Math.ceil(listed / perPage(frame('recto')))) },
      (_, page): Unit => ({
        data: { page },
      }),
    ),
  draw,
  inspectUnit: ({ whole, unit }) =>
    whole.listed.length === 0 && (unit.data as { page: number }).page === 0
      ? [{ severity: 'look', message: 'there is nothing to list: the book has no numbered pages.' }]
      : [],
});
