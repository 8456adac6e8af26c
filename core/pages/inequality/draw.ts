import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, buildPath, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { InequalityItem } from './fill.ts';
import type { InequalityOptions } from './options.ts';
import { inequalityWords } from './words.ts';

/** Their digits are told apart at a glance. */
const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
const BOLD: FaceId = 'atkinson-hyperlegible-bold';
/** Between cells, by their side. */
const GAP = 0.42;
const DIGIT = 0.62;
/** Digits of a crowded answer are kept at this size, in points, as long as they fit their cells. */
const LEAST_DIGIT = 7;
const WIDEST_DIGIT = 0.9;
/** A sign, by the side of a cell: how far it opens, and how deep it is. */
const SIGN = { open: 0.3, deep: 0.2 } as const;
const LINE = { least: 0.75, share: 0.022 } as const;
const SIGN_LINE = 1.6;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 2.4;

interface Place {
  x: number;
  y: number;
  cell: number;
}

/** Sides of cells that a grid takes, its gaps included. */
const sidesOf = (size: number): number => size + (size - 1) * GAP;

function placeIn(size: number, { x, y, width, height }: Rect): Place {
  const cell = (Math.min(width, height) - OUTER) / sidesOf(size);
  return { cell, x: x + (width - cell * sidesOf(size)) / 2, y: y + OUTER / 2 };
}

function marksOf(
  { size, signs }: InequalityItem,
  { x, y, cell }: Place,
  numbers: string,
  isGiven: (at: number) => boolean,
  type: Typesetter,
): Mark[] {
  const step = cell * (1 + GAP);
  const corner = (at: number): [number, number] => [x + (at % size) * step, y + Math.floor(at / size) * step];
  const width = Math.max(LINE.least, cell * LINE.share);
  const marks: Mark[] = Array.from({ length: size * size }, (_, at): Mark => {
    const [left, top] = corner(at);
    const given = isGiven(at) ? { fill: { gray: 0.9 } } : {};
    return { type: 'path', path: rectPath(left, top, cell, cell), ...given, stroke: { width, paint: BLACK } };
  });
  const path = buildPath();
  for (const { less, more } of signs) {
    const [lessX, lessY] = corner(less);
    const [moreX, moreY] = corner(more);
    const [middleX, middleY] = [(lessX + moreX + cell) / 2, (lessY + moreY + cell) / 2];
    // Toward the larger one.
    const [dx, dy] = [Math.sign(moreX - lessX), Math.sign(moreY - lessY)];
    const end = (side: number): [number, number] => [
      middleX + (dx * cell * SIGN.deep) / 2 + (dy * side * cell * SIGN.open) / 2,
      middleY + (dy * cell * SIGN.deep) / 2 + (dx * side * cell * SIGN.open) / 2,
    ];
    path
      .move(...end(-1))
      .line(middleX - (dx * cell * SIGN.deep) / 2, middleY - (dy * cell * SIGN.deep) / 2)
      .line(...end(1));
  }
  marks.push({
    type: 'path',
    path: path.done(),
    stroke: { width: width * SIGN_LINE, paint: BLACK, cap: 'round', join: 'round' },
  });
  const set = Math.max(cell * DIGIT, Math.min(LEAST_DIGIT, cell * WIDEST_DIGIT));
  [...numbers].forEach((text, at) => {
    if (text === '.') return;
    const face = isGiven(at) ? BOLD : DIGITS;
    const [left, top] = corner(at);
    marks.push({
      ...{ type: 'text', text, face, size: set, color: BLACK },
      x: left + cell / 2 - type.width(text, face, set) / 2,
      y: top + (cell + type.capHeight(face) * set) / 2,
    });
  });
  return marks;
}

export function drawInequalityPage(context: DrawContext<InequalityOptions, InequalityItem>): Mark[] {
  const { options, language, type } = context;
  return puzzlesOnPage(context, {
    title: inequalityWords(language, 'title'),
    rules: options.instructions ? inequalityWords(language, 'rules', { size: String(options.size) }) : null,
    level: ({ level }) => level,
    draw: (item, box) => marksOf(item, placeIn(item.size, box), item.givens, () => false, type),
  });
}

export function drawInequalitySolution(
  placed: PlacedItem<InequalityItem>,
  box: Rect,
  context: SolutionContext<InequalityOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: ({ width, height }) => Math.min(width, height),
    draw: (room) =>
      marksOf(item, placeIn(item.size, room), item.solution, (at) => item.givens[at] !== '.', context.type),
  });
}
