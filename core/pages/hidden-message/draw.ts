import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, fitText, type Mark, rectPath, type Typesetter, textLine } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { listOfAnswers } from '../puzzle/list-columns.ts';
import { aroundPuzzles, solutionInBox } from '../puzzle/page.ts';
import type { HiddenMessageItem, HiddenRow } from './fill.ts';
import type { HiddenMessageOptions } from './options.ts';
import { hiddenMessageWords } from './words.ts';

type Context = DrawContext<HiddenMessageOptions, HiddenMessageItem>;

const LETTERS: FaceId = 'atkinson-hyperlegible-bold';
const LETTER = 0.62;
/** Side of a box: the most in points at 6 × 9 in, and by the height of its row. */
const BOX = { most: 24, share: 0.86 } as const;
const LINE = { width: 0.75, paint: BLACK } as const;
const MARKED = { width: 1.6, paint: BLACK } as const;
const GRAY = 0.88;
/** Of a row, before one with which a new word of the message begins. */
const APART = 0.5;
/** For numbers and clues: of the width of a page, and in points at 6 × 9 in. */
const CLUE = { share: 0.42, size: 10, least: 7, lines: 3, indent: 18 } as const;
const GAP = 10;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 2;

/** Boxes before and behind the marked column. */
const reach = (rows: readonly HiddenRow[]) => ({
  before: Math.max(...rows.map(({ at }) => at)),
  behind: Math.max(...rows.map(({ letters, at }) => Math.max(0, letters.length - 1 - at))),
});

/** Tops of rows in units of their height, with room between words of the message. @returns also how many units there are */
function tops(rows: readonly HiddenRow[]): { at: number[]; units: number } {
  let units = 0;
  const at = rows.map(({ begins }, i) => {
    if (begins && i) units += APART;
    return units++;
  });
  return { at, units };
}

/** The boxes of all rows, the marked ones below each other. */
function boxes(rows: readonly HiddenRow[], room: Rect, most: number, type: Typesetter) {
  const { before, behind } = reach(rows);
  const { at: top, units } = tops(rows);
  const columns = before + 1 + behind;
  const row = Math.min(room.height / units, (most / BOX.share) * 1.25);
  const side = Math.min(most, row * BOX.share, (room.width - OUTER) / columns);
  const left = room.x + OUTER / 2;
  const size = side * LETTER;
  const plain: Mark[] = [];
  const marked: Mark[] = [];
  rows.forEach(({ letters, letter, at, word }, i) => {
    const shown = word ? letters : [letter];
    const y = room.y + top[i]! * row + (row - side) / 2;
    shown.forEach((sign, k) => {
      const x = left + (before - at + k) * side;
      const path = rectPath(x, y, side, side);
      const isMarked = k === at;
      if (isMarked) marked.push({ type: 'path', path, fill: { gray: GRAY }, stroke: MARKED });
      else plain.push({ type: 'path', path, stroke: LINE });
      if (!word)
        marked.push({
          ...{ type: 'text', text: sign, face: LETTERS, size, color: BLACK },
          x: x + side / 2 - type.width(sign, LETTERS, size) / 2,
          y: y + (side + type.capHeight(LETTERS) * size) / 2,
        });
    });
  });
  return { marks: [...plain, ...marked], row, top, width: columns * side + OUTER };
}

function clueMarks(
  { clue, word, disorder, letters }: HiddenRow,
  index: number,
  { x, y, width, height }: Rect,
  { type, frame, faces, language }: Context,
): Mark[] {
  const most = CLUE.size * frame.grid.typeScale;
  const indent = CLUE.indent * frame.grid.typeScale;
  const said =
    clue ||
    (word ? hiddenMessageWords(language, 'letters', { letters: (disorder ?? letters).join(' ') }) : '');
  if (!said) return [];
  const fitted = fitText(
    type,
    said,
    faces.text,
    { width: width - indent, height },
    { max: most, min: CLUE.least, lines: CLUE.lines, leading: 1.15 },
  );
  const { size, lines, leading } = fitted;
  const first = y + height / 2 - ((lines.length - 1) * leading) / 2 + size * 0.32;
  return [
    textLine(type, String(index + 1), { face: faces.text, size, color: { gray: 0.35 } }, x, first),
    ...lines.map((line, i) =>
      textLine(type, line, { face: faces.text, size, color: BLACK }, x + indent, first + i * leading),
    ),
  ];
}

export function drawHiddenMessagePage(context: Context): Mark[] {
  const { items, options, language, frame, type } = context;
  const [placed] = items;
  if (!placed) return [];
  const { marks, room } = aroundPuzzles(
    {
      title: hiddenMessageWords(language, 'title'),
      rules: options.instructions ? hiddenMessageWords(language, 'rules') : null,
    },
    items,
    context,
  );
  const { rows } = placed.item;
  if (!rows.length) return marks;
  const clueWidth = room.width * CLUE.share;
  const right = { ...room, x: room.x + clueWidth + GAP, width: room.width - clueWidth - GAP };
  const set = boxes(rows, right, BOX.most * frame.grid.typeScale, type);
  return [
    ...marks,
    ...set.marks,
    ...rows.flatMap((row, i) =>
      clueMarks(
        row,
        i,
        { x: room.x, y: room.y + set.top[i]! * set.row, width: clueWidth, height: set.row },
        context,
      ),
    ),
  ];
}

/** Of the message over its words, in points. */
const MESSAGE = { face: 'alegreya-sans-bold', most: 10, least: 7, lines: 2, below: 6 } as const;

export function drawHiddenMessageSolution(
  placed: PlacedItem<HiddenMessageItem>,
  box: Rect,
  context: SolutionContext<HiddenMessageOptions>,
): Mark[] {
  const { type } = context;
  const { rows, message } = placed.item;
  const list = rows.map(({ word, letter }, i) => ({
    number: i + 1,
    text: (word || letter).toLocaleUpperCase('en'),
  }));
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => {
      if (!rows.length) return [];
      const { size, lines, leading, height } = fitText(
        type,
        message,
        MESSAGE.face,
        { width: room.width, height: room.height / 4 },
        { max: MESSAGE.most, min: MESSAGE.least, lines: MESSAGE.lines },
      );
      const style = { face: MESSAGE.face, size, color: BLACK };
      const below = height + MESSAGE.below;
      return [
        ...lines.map((line, i) => textLine(type, line, style, room.x, room.y + size + i * leading)),
        ...listOfAnswers(list, { ...room, y: room.y + below, height: room.height - below }, type),
      ];
    },
  });
}
