import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { NumberPyramidItem } from './fill.ts';
import type { NumberPyramidOptions } from './options.ts';
import { numberPyramidWords } from './words.ts';

const NUMBERS: FaceId = 'atkinson-hyperlegible-bold';
/** Of the height of a brick to its width. */
const FLAT = 0.62;
const NUMBER = 0.6;
const WIDEST_NUMBER = 0.84;
const LINE = { least: 0.75, share: 0.02 } as const;
const GIVEN = 0.9;
/** Wider bricks do not make a page better, in points at 6 × 9 in. */
const LARGEST = 74;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 2;

interface Place {
  /** Of the upper left corner of the whole. */
  x: number;
  y: number;
  /** Of a brick. */
  width: number;
}

function placeIn(
  { rows }: NumberPyramidItem,
  { x, y, width, height }: Rect,
  { most = LARGEST, safe }: { most?: number; safe?: Rect | undefined },
): Place {
  // The outer halves of wide lines do not leave the page.
  const widest = safe ? safe.width / (rows + LINE.share) : most;
  const wide = Math.min(most, widest, (width - OUTER) / rows, (height - OUTER) / rows / FLAT);
  return { width: wide, x: x + (width - wide * rows) / 2, y: y + OUTER / 2 };
}

function marksOf(
  { rows, givens, solution }: NumberPyramidItem,
  { x, y, width }: Place,
  isSolved: boolean,
  type: Typesetter,
): Mark[] {
  const height = width * FLAT;
  const stroke = { width: Math.max(LINE.least, width * LINE.share), paint: BLACK };
  const widest = Math.max(...solution.map((number) => type.width(String(number), NUMBERS, 1)));
  const size = Math.min(height * NUMBER, (width * WIDEST_NUMBER) / widest);
  const marks: Mark[] = [];
  for (let row = 0, at = 0; row < rows; row++)
    for (let i = 0; i <= row; i++, at++) {
      const left = x + (i + (rows - 1 - row) / 2) * width;
      const top = y + row * height;
      const isGiven = givens[at] !== null;
      const ground = isSolved && isGiven ? { fill: { gray: GIVEN } } : {};
      marks.push({ type: 'path', path: rectPath(left, top, width, height), ...ground, stroke });
      if (!isSolved && !isGiven) continue;
      const text = String(solution[at]);
      marks.push({
        ...{ type: 'text', text, face: NUMBERS, size, color: BLACK },
        x: left + width / 2 - type.width(text, NUMBERS, size) / 2,
        y: top + (height + type.capHeight(NUMBERS) * size) / 2,
      });
    }
  return marks;
}

export function drawNumberPyramidPage(context: DrawContext<NumberPyramidOptions, NumberPyramidItem>): Mark[] {
  const { options, language, type, frame } = context;
  return puzzlesOnPage(context, {
    title: numberPyramidWords(language, 'title'),
    rules: options.instructions ? numberPyramidWords(language, 'rules') : null,
    ratio: 1 / FLAT,
    level: ({ level }) => level,
    draw: (item, box) =>
      marksOf(
        item,
        placeIn(item, box, { most: LARGEST * frame.grid.typeScale, safe: frame.safe }),
        false,
        type,
      ),
  });
}

export function drawNumberPyramidSolution(
  placed: PlacedItem<NumberPyramidItem>,
  box: Rect,
  context: SolutionContext<NumberPyramidOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: (room) => placeIn(item, room, context).width * item.rows,
    draw: (room) => marksOf(item, placeIn(item, room, context), true, context.type),
  });
}
