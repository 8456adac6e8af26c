import type { Rect } from '../../print/index.ts';
import { BLACK, breakLines, ellipsePath, linePath, type Mark, textLine } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { listOfAnswers } from '../puzzle/list-columns.ts';
import { aroundPuzzles, clearOfLeft, solutionInBox } from '../puzzle/page.ts';
import { answerOf, LETTERS, type Question, type TriviaItem } from './fill.ts';
import type { TriviaOptions } from './options.ts';
import { triviaWords } from './words.ts';

/** Sizes of type in points at 6 × 9 in; smaller ones only where nothing else fits. */
const SIZES = { most: 13, least: 5, step: 0.5 } as const;
const LEADING = 1.25;
/** Left of a question for its number, and left of a choice for its letter, in ems. */
const NUMBER = 1.9;
const LETTER = 1.7;
/** Height of a line to write an answer on, in ems, and the most and least between questions. */
const WRITTEN = 2.1;
const BETWEEN = { least: 0.5, most: 2.2 } as const;
const RULE = 0.75;

type Context = DrawContext<TriviaOptions, TriviaItem>;

interface SetQuestion {
  lines: string[];
  /** Rows of choices, each with its letter and its lines. */
  rows: { letter: string; lines: string[] }[][];
  /** In lines. */
  height: number;
}

/** A question broken into lines: its choices side by side where each is a single line. */
function setQuestion(
  { question, choices }: Question,
  width: number,
  size: number,
  { type, faces }: Context,
): SetQuestion {
  const measure = width - NUMBER * size - size * 0.1;
  const lines = breakLines(type, question, faces.text, size, measure);
  const halves = measure / 2 - (LETTER + 0.4) * size;
  const single = choices.every((choice) => type.width(choice, faces.text, size) <= halves);
  const set = choices.map((choice, i) => ({
    letter: LETTERS[i]!,
    lines: single ? [choice] : breakLines(type, choice, faces.text, size, measure - LETTER * size),
  }));
  const rows = single
    ? Array.from({ length: Math.ceil(set.length / 2) }, (_, i) => set.slice(2 * i, 2 * i + 2))
    : set.map((one) => [one]);
  const choice = rows.reduce((sum, row) => sum + Math.max(...row.map((one) => one.lines.length)), 0);
  return { lines, rows, height: lines.length + (choices.length ? choice + 0.15 : WRITTEN / LEADING) };
}

function questionMarks(
  set: SetQuestion,
  number: number,
  { x, y, width }: Pick<Rect, 'x' | 'y' | 'width'>,
  size: number,
  { type, faces, frame }: Context,
): Mark[] {
  const leading = size * LEADING;
  const style = { face: faces.text, size, color: BLACK };
  const left = x + NUMBER * size;
  const baseline = (line: number) => y + line * leading + size * 0.9;
  const marks: Mark[] = [
    textLine(
      type,
      String(number),
      { ...style, face: faces.display },
      left - size * 0.55,
      baseline(0),
      'right',
    ),
    ...set.lines.map((line, i) => clearOfLeft(textLine(type, line, style, left, baseline(i)), type)),
  ];
  let line = set.lines.length + 0.15;
  for (const row of set.rows) {
    row.forEach(({ letter, lines }, i) => {
      const at = left + (i * (width - NUMBER * size)) / 2;
      const middle = at + size * 0.55;
      marks.push(
        {
          type: 'path',
          path: ellipsePath(middle, baseline(line) - size * 0.32, size * 0.56),
          stroke: { width: RULE, paint: { gray: 0.3 } },
        },
        textLine(
          type,
          letter,
          { ...style, size: Math.max(7, size * 0.72, Math.min(size * 0.85, frame.grid.leastType)) },
          middle,
          baseline(line) - size * 0.07,
          'center',
        ),
        ...lines.map((words, k) => textLine(type, words, style, at + LETTER * size, baseline(line + k))),
      );
    });
    line += Math.max(...row.map(({ lines }) => lines.length));
  }
  if (!set.rows.length) {
    const at = y + set.lines.length * leading + size * WRITTEN * 0.85;
    marks.push({
      type: 'path',
      path: linePath(left, at, x + width, at),
      stroke: { width: RULE, paint: { gray: 0.45 } },
    });
  }
  return marks;
}

export function drawTriviaPage(context: Context): Mark[] {
  const { items, options, language, frame } = context;
  const [placed] = items;
  if (!placed) return [];
  const { questions } = placed.item;
  const isOpen = questions.every(({ choices }) => !choices.length);
  const rules = options.instructions ? triviaWords(language, isOpen ? 'open' : 'choices') : null;
  const { marks, room } = aroundPuzzles({ title: triviaWords(language, 'quiz'), rules }, items, context);
  if (!questions.length) return marks;
  let size = SIZES.most * frame.grid.typeScale;
  const all = () => questions.map((question) => setQuestion(question, room.width, size, context));
  const needed = (sets: SetQuestion[]) =>
    sets.reduce((sum, { height }) => sum + height * LEADING, BETWEEN.least * (sets.length - 1)) * size;
  let sets = all();
  while (needed(sets) > room.height && size - SIZES.step >= SIZES.least) {
    size -= SIZES.step;
    sets = all();
  }
  const text = sets.reduce((sum, { height }) => sum + height * LEADING * size, 0);
  const gap = Math.min(BETWEEN.most * size, (room.height - text) / Math.max(1, sets.length - 1));
  let y = room.y;
  sets.forEach((set, i) => {
    marks.push(...questionMarks(set, i + 1, { x: room.x, y, width: room.width }, size, context));
    y += set.height * LEADING * size + gap;
  });
  return marks;
}

export function drawTriviaSolution(
  placed: PlacedItem<TriviaItem>,
  box: Rect,
  context: SolutionContext<TriviaOptions>,
): Mark[] {
  const list = placed.item.questions.map((question, i) => ({
    number: i + 1,
    text: answerOf(question) || '…',
  }));
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => listOfAnswers(list, room, context.type),
  });
}
