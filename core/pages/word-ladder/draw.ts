import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from '../puzzle/cells.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { WordLadderItem } from './fill.ts';
import type { WordLadderOptions } from './options.ts';
import { wordLadderWords } from './words.ts';

const LETTERS: FaceId = 'atkinson-hyperlegible-bold';
const LETTER = 0.6;
const LINE = 0.75;
const GRAY = 0.88;
/** Larger cells do not make a page better, in points at 6 × 9 in. */
const LARGEST = 44;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 2;

interface Place {
  x: number;
  y: number;
  cell: number;
}

function placeIn({ letters, words }: WordLadderItem, { x, y, width, height }: Rect, most: number): Place {
  const cell = Math.min(most, (width - OUTER) / letters, (height - OUTER) / Math.max(1, words.length));
  return { cell, x: x + (width - cell * letters) / 2, y: y + OUTER / 2 };
}

/** @param shows whether the letters of a word are printed, by its place */
function marksOf(
  { letters, words }: WordLadderItem,
  { x, y, cell }: Place,
  shows: (step: number) => boolean,
  marks: boolean,
  type: Typesetter,
): Mark[] {
  if (!words.length) return [];
  const size = cell * LETTER;
  const changed = words.map((word, i) =>
    i ? [...word].findIndex((letter, at) => letter !== words[i - 1]![at]) : -1,
  );
  const grounds = marks
    ? changed.flatMap((at, i): Mark[] =>
        at < 0
          ? []
          : [{ type: 'path', path: rectPath(x + at * cell, y + i * cell, cell, cell), fill: { gray: GRAY } }],
      )
    : [];
  const lines = gridLines({ columns: letters, rows: words.length, x, y, cell }, () => 1);
  return [
    ...grounds,
    ...[...lines.values()].map(
      (path): Mark => ({ type: 'path', path, stroke: { width: LINE, paint: BLACK, cap: 'square' } }),
    ),
    ...words.flatMap((word, i): Mark[] =>
      shows(i)
        ? [...word].map((text, at) => ({
            ...{ type: 'text', text, face: LETTERS, size, color: BLACK },
            x: x + (at + 0.5) * cell - type.width(text, LETTERS, size) / 2,
            y: y + (i + 0.5) * cell + (type.capHeight(LETTERS) * size) / 2,
          }))
        : [],
    ),
  ];
}

export function drawWordLadderPage(context: DrawContext<WordLadderOptions, WordLadderItem>): Mark[] {
  const { options, language, type, frame } = context;
  return puzzlesOnPage(context, {
    title: wordLadderWords(language, 'title'),
    rules: options.instructions ? wordLadderWords(language, 'rules') : null,
    ratio: options.letters / (options.steps + 1),
    draw: (item, box) => {
      const isEnd = (step: number) => step === 0 || step === item.words.length - 1;
      const place = placeIn(item, box, LARGEST * frame.grid.typeScale);
      return marksOf(item, place, isEnd, options.marks, type);
    },
  });
}

export function drawWordLadderSolution(
  placed: PlacedItem<WordLadderItem>,
  box: Rect,
  context: SolutionContext<WordLadderOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: (room) => placeIn(item, room, LARGEST).cell * item.letters,
    draw: (room) => marksOf(item, placeIn(item, room, LARGEST), () => true, false, context.type),
  });
}
