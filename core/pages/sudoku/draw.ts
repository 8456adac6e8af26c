import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { SIGNS } from '../../puzzles/sudoku/index.ts';
import { BLACK, buildPath, ellipsePath, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import {
  aroundPuzzles,
  boxesFor,
  caption,
  captionHeight,
  GAP,
  isLargePrint,
  SOLUTION_HEAD,
  solutionHead,
} from '../puzzle/page.ts';
import { drawCages } from './cages.ts';
import { type SudokuItem, shapeOfItem } from './fill.ts';
import type { SudokuOptions } from './options.ts';
import { sudokuWords } from './words.ts';

/** Their digits are told apart at a glance. */
const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
const BOLD_DIGITS: FaceId = 'atkinson-hyperlegible-bold';

/** Share of the cell that a digit is set at, and the weights of lines by the size of the cell, in points. */
const DIGIT = 0.64;
const LARGE_DIGIT = 0.7;
const SMALL = { cell: 18, lines: [0.75, 1.4, 2] } as const;
const LARGE = { cell: 57, lines: [1, 2.4, 3.2] } as const;
/** From this size of the cell on, in points, digits fill more of it; in large print they are bold besides. */
const LARGE_CELL = 36;
/** Corners for candidates. */
const CORNER = { share: 0.3, gray: 0.55, weight: 0.75 };
/** Ground of the cells on long diagonals, and of givens in an answer. */
const DIAGONAL = 0.9;
const GIVEN = 0.86;
/** Digits of a crowded answer are kept at this size, in points, as long as they stand apart. */
const LEAST_DIGIT = 7;
const WIDEST_DIGIT = 0.82;

const weightsFor = (cell: number) => {
  const share = Math.max(0, Math.min(1, (cell - SMALL.cell) / (LARGE.cell - SMALL.cell)));
  const [thin, box, frame] = SMALL.lines.map((weight, i) => weight + share * (LARGE.lines[i]! - weight));
  return { thin: thin!, box: box!, frame: frame! };
};

interface Grid {
  /** Inside the middle of its outer line. */
  box: Rect;
  /** Characters, row by row. */
  signs: string;
  face: FaceId;
  digit: number;
  /** Ground of a cell, or null. */
  ground(cell: number): number | null;
  corners?: boolean;
  /** Whether cages have their sums. */
  sums?: boolean;
}

function drawGrid(
  item: SudokuItem,
  { box, signs, face, digit, ground, corners, sums = false }: Grid,
  type: Typesetter,
): Mark[] {
  const { size, boxOf } = shapeOfItem(item);
  const cell = box.width / size;
  const { thin, box: thick, frame } = weightsFor(cell);
  const marks: Mark[] = [];
  for (let i = 0; i < size * size; i++) {
    const gray = ground(i);
    if (gray !== null)
      marks.push({
        type: 'path',
        path: rectPath(box.x + (i % size) * cell, box.y + Math.floor(i / size) * cell, cell, cell),
        fill: { gray },
      });
  }
  if (corners) {
    const path = buildPath();
    const side = cell * CORNER.share;
    for (let i = 0; i < size * size; i++) {
      if (signs[i] !== '.') continue;
      const [x, y] = [box.x + (i % size) * cell, box.y + Math.floor(i / size) * cell];
      // The left one is for sums, where there are some.
      const [inner, outer] = item.cages ? [x + cell - side, x + cell] : [x + side, x];
      path
        .move(inner, y)
        .line(inner, y + side)
        .line(outer, y + side);
    }
    const stroke = { width: CORNER.weight, paint: { gray: CORNER.gray } };
    marks.push({ type: 'path', path: path.done(), stroke });
  }
  // Lines between cells in one stroke each as far as they are of one weight, so that none is drawn twice.
  const thins = buildPath();
  const thicks = buildPath();
  for (let line = 1; line < size; line++)
    for (const upright of [true, false]) {
      const isThick = (along: number): boolean => {
        const at = (offset: number) =>
          upright ? along * size + line + offset : (line + offset) * size + along;
        return boxOf[at(-1)] !== boxOf[at(0)];
      };
      for (let from = 0; from < size; ) {
        let to = from + 1;
        while (to < size && isThick(to) === isThick(from)) to++;
        const path = isThick(from) ? thicks : thins;
        const [x, y] = [box.x + line * cell, box.y + line * cell];
        if (upright) path.move(x, box.y + from * cell).line(x, box.y + to * cell);
        else path.move(box.x + from * cell, y).line(box.x + to * cell, y);
        from = to;
      }
    }
  marks.push(
    { type: 'path', path: thins.done(), stroke: { width: thin, paint: { gray: 0.3 } } },
    { type: 'path', path: thicks.done(), stroke: { width: thick, paint: BLACK, cap: 'square' } },
    {
      type: 'path',
      path: rectPath(box.x, box.y, box.width, box.height),
      stroke: { width: frame, paint: BLACK },
    },
  );
  if (item.cages) marks.push(...drawCages(item.cages, size, box, { type, face: DIGITS, sums }));
  const drop = (cell + type.capHeight(face) * digit) / 2;
  for (let row = 0; row < size; row++) {
    const shown = [...signs.slice(row * size, (row + 1) * size)].flatMap((sign, column) =>
      sign === '.' ? [] : [{ sign, x: box.x + (column + 0.5) * cell }],
    );
    if (shown.length)
      marks.push({
        type: 'text',
        text: shown.map(({ sign }) => sign).join(''),
        face,
        size: digit,
        x: box.x,
        y: box.y + row * cell + drop,
        color: BLACK,
        centers: shown.map(({ x }) => x),
      });
  }
  return marks;
}

const onDiagonal = ({ size, variant }: SudokuItem, cell: number): boolean => {
  const [row, column] = [Math.floor(cell / size), cell % size];
  return variant === 'diagonal' && (row === column || row + column === size - 1);
};

/** The digits to cross out as they are used up, under a grid that has the page to itself. */
function usedUp(item: SudokuItem, room: Rect, context: DrawContext<SudokuOptions, SudokuItem>): Mark[] {
  const { type, faces, frame, language } = context;
  const set = 10.5 * frame.grid.typeScale;
  const said = sudokuWords(language, 'usedUp');
  const wide = type.width(said, faces.text, set) + set;
  const step = Math.min(set * 2.3, (room.width - wide) / item.size);
  if (room.height < set * 3 || step < set * 1.5) return [];
  const y = room.y + set * 1.9;
  const radius = Math.min(step * 0.42, set * 0.86);
  const marks: Mark[] = [
    { type: 'text', text: said, face: faces.text, size: set, x: room.x, y: y + set * 0.33, color: BLACK },
  ];
  for (let i = 0; i < item.size; i++) {
    const x = room.x + wide + (i + 0.5) * step;
    marks.push(
      {
        type: 'path',
        path: ellipsePath(x, y, radius),
        stroke: { width: 0.75, paint: BLACK },
      },
      {
        type: 'text',
        text: SIGNS[i]!,
        face: DIGITS,
        size: set,
        x,
        y: y + (type.capHeight(DIGITS) * set) / 2,
        color: BLACK,
        centers: [x],
      },
    );
  }
  return marks;
}

export function drawSudokuPage(context: DrawContext<SudokuOptions, SudokuItem>): Mark[] {
  const { items, options, frame, type, language } = context;
  const [first] = items;
  if (!first) return [];
  const alone = options.perPage === 1;
  const scale = frame.grid.typeScale;
  const { size, variant } = first.item;
  const signs = sudokuWords(language, size > 9 ? 'letters' : 'digits', { last: SIGNS[size - 1]! });
  const rules = options.instructions ? sudokuWords(language, `${variant}Rules`, { signs }) : null;
  const { marks, room } = aroundPuzzles(
    { title: sudokuWords(language, variant), rules, levels: items.map(({ item }) => item.level) },
    items,
    context,
  );
  const above = captionHeight(context);
  const line = LARGE.lines[2];
  const inner: Rect = {
    x: room.x + line / 2,
    y: room.y,
    width: room.width - line,
    height: room.height - line / 2,
  };
  // As if the page were full, so that grids are of one size all through the section.
  const boxes = boxesFor(options.perPage, inner, { gap: GAP * scale, above });
  items.forEach(({ item, displayNumber }, i) => {
    const box = boxes[i]!;
    const grid: Rect = { x: box.x, y: box.y + above, width: box.width, height: box.width };
    const cell = box.width / item.size;
    const large = cell >= LARGE_CELL;
    marks.push(
      ...caption(alone ? '' : String(displayNumber), item.level, box, context),
      ...drawGrid(
        item,
        {
          box: grid,
          signs: item.givens,
          face: large && isLargePrint(context) ? BOLD_DIGITS : DIGITS,
          digit: cell * (large ? LARGE_DIGIT : DIGIT),
          ground: (at) => (onDiagonal(item, at) ? DIAGONAL : null),
          corners: options.corners,
          sums: true,
        },
        type,
      ),
    );
    const bottom = grid.y + grid.height;
    if (alone)
      marks.push(...usedUp(item, { ...inner, y: bottom, height: room.y + room.height - bottom }, context));
  });
  return marks;
}

/** The answer: givens on gray, under the number of the puzzle and its page. */
export function drawSudokuSolution(
  placed: PlacedItem<SudokuItem>,
  box: Rect,
  { language, type }: SolutionContext<SudokuOptions>,
): Mark[] {
  const { item } = placed;
  const side = Math.min(box.width, box.height - SOLUTION_HEAD) - 2;
  const cell = side / item.size;
  const grid: Rect = {
    x: box.x + (box.width - side) / 2,
    y: box.y + SOLUTION_HEAD,
    width: side,
    height: side,
  };
  return [
    ...solutionHead(placed, box, side, { language, type }),
    ...drawGrid(
      item,
      {
        box: grid,
        signs: item.solution,
        face: DIGITS,
        digit: Math.max(cell * DIGIT, Math.min(LEAST_DIGIT, cell * WIDEST_DIGIT)),
        ground: (at) => (item.givens[at] === '.' ? null : GIVEN),
      },
      type,
    ),
  ];
}
