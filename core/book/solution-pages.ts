import type { PageFrame, Rect } from '../print/index.ts';
import { bookWords, printedLanguage } from '../printed-words/index.ts';
import { BLACK, beginningOf, fitText, type Mark, type Typesetter, textLine } from '../scene/index.ts';
import type { Book } from './book.ts';
import { placedItem, troublesOf } from './items.ts';
import { answersScale, beforeEnlarged, enlarged } from './large-answers.ts';
import type { PlannedAnswer, PlannedPage } from './planned.ts';
import { kindOf } from './sections.ts';
import { SOLUTION_LEADING, SOLUTIONS_HEADING_STRIP } from './solution-flow.ts';

const HEADING = { face: 'alegreya-bold', size: 16, color: BLACK } as const;
const TEXT_FACE = 'alegreya-sans-regular';
const TEXT_SIZE = 9.5;
const LEAST_TEXT_SIZE = 7;
/** Between boxes, and between columns of text. */
const GAP = 14;

type Room = Pick<PageFrame, 'body' | 'safe'>;

/** A page of answers under its heading. */
export function drawAnswers(book: Book, page: PlannedPage, { body, safe }: Room, type: Typesetter): Mark[] {
  const scale = answersScale(book.recipe);
  return enlarged(body, scale, (room) =>
    answersIn(book, page, { body: room, safe: beforeEnlarged(safe, room, scale) }, type),
  );
}

function answersIn(
  book: Book,
  { answers, layout }: PlannedPage,
  { body, safe }: Room,
  type: Typesetter,
): Mark[] {
  const words = bookWords(printedLanguage(book.recipe), 'solutions');
  const heading = textLine(type, words, HEADING, body.x + body.width / 2, body.y + 15, 'center');
  const room = {
    ...body,
    y: body.y + SOLUTIONS_HEADING_STRIP,
    height: body.height - SOLUTIONS_HEADING_STRIP,
  };
  if (!layout) return [heading];
  const width = (room.width - GAP * (layout.columns - 1)) / layout.columns;
  const height =
    layout.form === 'boxes' ? (room.height - GAP * (layout.rows - 1)) / layout.rows : SOLUTION_LEADING;
  const marks = answers.flatMap((answer) => {
    if (troublesOf(book, book.sections.get(answer.section)!).length) return [];
    const x = room.x + answer.column * (width + GAP);
    return layout.form === 'boxes'
      ? boxMarks(
          book,
          answer,
          { box: { x, y: room.y + answer.row * (height + GAP), width, height }, safe },
          type,
        )
      : textMarks(book, answer, { x, y: room.y + answer.row * height, width }, type);
  });
  return [heading, ...marks];
}

function boxMarks(
  book: Book,
  { section: id, item }: PlannedAnswer,
  { box, safe }: { box: Rect; safe: Rect },
  type: Typesetter,
): Mark[] {
  const section = book.sections.get(id)!;
  const placed = placedItem(book, section, item);
  return kindOf(section).solution!.box!(placed, box, {
    ...{ type, safe },
    options: section.options,
    language: printedLanguage(book.recipe),
  });
}

/** The lines of an answer, each as small as it must be to fit its column. */
function textMarks(
  book: Book,
  { section: id, item, rows }: PlannedAnswer,
  at: { x: number; y: number; width: number },
  type: Typesetter,
): Mark[] {
  const section = book.sections.get(id)!;
  const placed = placedItem(book, section, item);
  const lines = kindOf(section).solution!.lines!.text(placed, section.options).slice(0, rows);
  return lines.map((line, i) => {
    const { size, direction } = fitText(
      type,
      line,
      TEXT_FACE,
      { width: at.width, height: SOLUTION_LEADING },
      { max: TEXT_SIZE, min: LEAST_TEXT_SIZE, lines: 1 },
    );
    const style = { face: TEXT_FACE, size, color: BLACK } as const;
    const { x, align } = beginningOf(direction, at);
    return textLine(type, line, style, x, at.y + (i + 0.8) * SOLUTION_LEADING, align);
  });
}
