import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { SIDE } from '../../puzzles/cross-sums/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { CrossSumsItem } from './fill.ts';
import type { CrossSumsOptions } from './options.ts';
import { crossSumsWords } from './words.ts';

const NUMBERS: FaceId = 'atkinson-hyperlegible-bold';
const SIGNS: FaceId = 'atkinson-hyperlegible-regular';
/** Of the room between two cells, where a sign stands, to a cell. */
const BETWEEN = 0.55;
/** Cells across and down: three numbers, the signs between them and before a result, and the result. */
const ACROSS = SIDE + 1 + SIDE * BETWEEN;
const NUMBER = 0.58;
const WIDEST_RESULT = 0.8;
const LINE = { least: 0.75, share: 0.02 } as const;
const GIVEN = 0.9;
/** Larger cells do not make a page better, in points at 6 × 9 in. */
const LARGEST = 72;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 4;

interface Place {
  x: number;
  y: number;
  cell: number;
}

function placeIn({ x, y, width, height }: Rect, most: number): Place {
  const cell = Math.min(most, (width - OUTER) / ACROSS, (height - OUTER) / ACROSS);
  return { cell, x: x + (width - cell * ACROSS) / 2, y: y + OUTER / 2 };
}

function marksOf(
  { operators, results, givens, solution }: CrossSumsItem,
  { x, y, cell }: Place,
  isSolved: boolean,
  type: Typesetter,
): Mark[] {
  const stroke = { width: Math.max(LINE.least, cell * LINE.share), paint: BLACK };
  const size = cell * NUMBER;
  /** Of a cell, and of the sign before it. */
  const middle = (i: number) => (i * (1 + BETWEEN) + 0.5) * cell;
  const before = (i: number) => middle(i) - (0.5 + BETWEEN / 2) * cell;
  const text = (said: string, face: FaceId, atX: number, atY: number): Mark => {
    const fits = Math.min(size, (WIDEST_RESULT * cell) / type.width(said, face, 1));
    return {
      ...{ type: 'text', text: said, face, size: fits, color: BLACK },
      x: x + atX - type.width(said, face, fits) / 2,
      y: y + atY + (type.capHeight(face) * fits) / 2,
    };
  };
  const numbers = solution.flatMap((digit, at): Mark[] => {
    const [column, row] = [at % SIDE, Math.floor(at / SIDE)];
    const isGiven = givens[at] !== null;
    const path = rectPath(x + middle(column) - cell / 2, y + middle(row) - cell / 2, cell, cell);
    const box: Mark = { type: 'path', path, stroke, ...(isGiven ? { fill: { gray: GIVEN } } : {}) };
    return isGiven || isSolved ? [box, text(String(digit), NUMBERS, middle(column), middle(row))] : [box];
  });
  const signs = operators.flatMap((line, at): Mark[] => {
    const along = middle(at % SIDE);
    const isRow = at < SIDE;
    return [...line, '='].map((sign, i) =>
      isRow ? text(sign, SIGNS, before(i + 1), along) : text(sign, SIGNS, along, before(i + 1)),
    );
  });
  const ends = results.map((result, at) =>
    at < SIDE
      ? text(String(result), NUMBERS, middle(SIDE), middle(at))
      : text(String(result), NUMBERS, middle(at - SIDE), middle(SIDE)),
  );
  return [...numbers, ...signs, ...ends];
}

export function drawCrossSumsPage(context: DrawContext<CrossSumsOptions, CrossSumsItem>): Mark[] {
  const { options, language, type, frame } = context;
  const rules = [
    crossSumsWords(language, 'rules'),
    // Sums and differences come out the same in any case.
    ...(options.calculation === 'products' ? [crossSumsWords(language, 'leftToRight')] : []),
  ];
  return puzzlesOnPage(context, {
    title: crossSumsWords(language, 'title'),
    rules: options.instructions ? rules.join(' ') : null,
    level: ({ level }) => level,
    draw: (item, box) => marksOf(item, placeIn(box, LARGEST * frame.grid.typeScale), false, type),
  });
}

export function drawCrossSumsSolution(
  placed: PlacedItem<CrossSumsItem>,
  box: Rect,
  context: SolutionContext<CrossSumsOptions>,
): Mark[] {
  return solutionInBox(placed, box, context, {
    width: (room) => placeIn(room, LARGEST).cell * ACROSS,
    draw: (room) => marksOf(placed.item, placeIn(room, LARGEST), true, context.type),
  });
}
