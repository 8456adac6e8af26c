import { aroundWords } from '../pages/index.ts';
import type { PageFrame, Rect } from '../print/index.ts';
import { bookWords, printedLanguage } from '../printed-words/index.ts';
import { BLACK, breakLines, linePath, type Mark, type Typesetter, textLine } from '../scene/index.ts';
import type { Book } from './book.ts';
import { placedItem, troublesOf } from './items.ts';
import type { PlannedPage } from './planned.ts';
import { kindOf, type Section } from './sections.ts';
import type { SolutionStream } from './solution-flow.ts';

const HEADING = { face: 'alegreya-bold', size: 16, color: BLACK } as const;
const NUMBER_FACE = 'alegreya-sans-bold';
const TEXT_FACE = 'alegreya-sans-regular';
/** In points at 6 × 9 in. */
const NUMBER = 11;
const TEXT = 9.5;
const KEY = 9;
const LEAST_TEXT = 7.5;
const LEADING = 12;
/** The strip of the heading, with what explains the marks. */
const STRIP = 48;
/** Between columns, and of the numbers before steps. */
const GAP = 18;
const INDENT = 13;
const RULE = { width: 0.75, paint: { gray: 0.45 } } as const;
/** Above the steps of a puzzle: its number and its page, over a line. */
const HEAD = 1.35;
/** Lines of a head, and the empty one below the steps. */
const AROUND = Math.ceil(HEAD) + 1;
/** Columns are no narrower. */
const LEAST_WIDTH = 150;

const leadingOf = ({ grid }: Pick<PageFrame, 'grid'>): number => LEADING * Math.max(1, grid.typeScale);
/** Where type has a least size, a step has so much more room that its words fit in it. */
const ROOMY = 1.5;
const linesOf = (section: Section, { grid }: PageFrame): number =>
  Math.ceil((kindOf(section).hints?.lines(section.options) ?? 0) * (grid.leastType ? ROOMY : 1));
const scaleOf = (frame: Pick<PageFrame, 'grid'>): number => leadingOf(frame) / LEADING;

/**
 * The first steps of puzzles on their way to pages: a head, the lines of so many steps and an empty one for each.
 * @param parts sections with their items, in reading order; those whose kind tells no steps are left out
 * @param count steps of each
 */
export function pagesOfHints(
  id: string,
  count: number,
  parts: readonly { section: Section; items: readonly number[] }[],
  frame: PageFrame,
): SolutionStream {
  const width = LEAST_WIDTH * scaleOf(frame);
  const columns = Math.max(1, Math.floor((frame.body.width + GAP) / (width + GAP)));
  const lines = Math.max(1, Math.floor((frame.body.height - STRIP * scaleOf(frame)) / leadingOf(frame)));
  return {
    id,
    layout: { form: 'columns', columns, lines },
    answers: parts.flatMap(({ section, items }) => {
      const { hints } = kindOf(section);
      if (!hints) return [];
      const each = AROUND + count * linesOf(section, frame);
      return items.map((item) => ({ section: section.id, item, lines: Math.min(lines, each) }));
    }),
    together: true,
  };
}

/** A page of first steps under its heading. */
export function drawHints(
  book: Book,
  { answers, layout }: PlannedPage,
  body: Rect,
  frame: PageFrame,
  type: Typesetter,
): Mark[] {
  const language = printedLanguage(book.recipe);
  const scale = scaleOf(frame);
  const leading = leadingOf(frame);
  const columns = layout?.columns ?? 1;
  const width = (body.width - GAP * (columns - 1)) / columns;
  const middle = body.x + body.width / 2;
  const kinds = new Set(answers.map(({ section }) => kindOf(book.sections.get(section)!)));
  const keys = new Set([...kinds].flatMap(({ hints }) => hints?.key(language) ?? []));
  const heading = bookWords(language, 'hints');
  const gray = { face: TEXT_FACE, color: { gray: 0.35 } } as const;
  return [
    textLine(
      type,
      heading,
      { ...HEADING, size: HEADING.size * scale },
      middle,
      body.y + 15 * scale,
      'center',
    ),
    ...[...keys].map((key, i) =>
      textLine(
        type,
        key,
        { ...gray, size: KEY * scale },
        middle,
        body.y + (30 + i * LEADING) * scale,
        'center',
      ),
    ),
    ...answers.flatMap(({ section: id, item, column, row, rows }) => {
      const section = book.sections.get(id)!;
      if (troublesOf(book, section).length) return [];
      const placed = placedItem(book, section, item);
      const hints = kindOf(section).hints!;
      const count = Math.floor((rows - AROUND) / linesOf(section, frame));
      const steps = hints.steps(placed.item, Math.max(1, count), language);
      const box = {
        x: body.x + column * (width + GAP),
        y: body.y + STRIP * scale + row * leading,
        width,
        height: rows * leading,
      };
      return [
        textLine(
          type,
          String(placed.displayNumber),
          { face: NUMBER_FACE, size: NUMBER * scale, color: BLACK },
          box.x,
          box.y + 0.7 * leading,
        ),
        textLine(
          type,
          aroundWords(language, 'page', { page: placed.page! }),
          { ...gray, size: KEY * scale },
          box.x + width,
          box.y + 0.7 * leading,
          'right',
        ),
        {
          type: 'path',
          path: linePath(box.x, box.y + leading, box.x + width, box.y + leading),
          stroke: RULE,
        } as const,
        ...stepMarks(steps, { ...box, y: box.y + HEAD * leading }, scale, type),
      ];
    }),
  ];
}

/** Steps below each other, each with its number, all of one size: the largest that leaves an empty line below. */
function stepMarks(
  steps: readonly string[],
  { x, y, width, height }: Rect,
  scale: number,
  type: Typesetter,
): Mark[] {
  const indent = INDENT * scale;
  const most = TEXT * scale;
  const linesAt = (size: number) =>
    steps.map((step) => breakLines(type, step, TEXT_FACE, size, width - indent));
  const isTooHigh = (size: number) =>
    linesAt(size).flat().length * size * (LEADING / TEXT) > height - (HEAD + 1) * LEADING * scale;
  let size = most;
  while (size > LEAST_TEXT && isTooHigh(size)) size = Math.max(LEAST_TEXT, size - 0.25);
  const leading = size * (LEADING / TEXT);
  let baseline = y + 0.8 * leading;
  return linesAt(size).flatMap((lines, i) => {
    const first = baseline;
    baseline += lines.length * leading;
    return [
      textLine(type, String(i + 1), { face: NUMBER_FACE, size, color: BLACK }, x, first),
      ...lines.map((line, k) =>
        textLine(type, line, { face: TEXT_FACE, size, color: BLACK }, x + indent, first + k * leading),
      ),
    ];
  });
}
