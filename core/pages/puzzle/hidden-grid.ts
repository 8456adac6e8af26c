import * as v from 'valibot';
import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { cellsOf, type Direction, type Placement } from '../../puzzles/word-search/index.ts';
import {
  BLACK,
  type Color,
  capsulePath,
  ellipsePath,
  linePath,
  type Mark,
  rectPath,
  type Typesetter,
} from '../../scene/index.ts';
import { enumOf } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from './cells.ts';
import { cellIn, gridAlone } from './grid-with-list.ts';
import { solutionInBox } from './page.ts';

/** A grid in which words or numbers are hidden. */
export interface HiddenGrid {
  columns: number;
  rows: number;
  /** Row by row; null outside the outline. */
  letters: readonly (string | null)[];
  placements: readonly Placement[];
  /** Cells that belong to no word and are an answer, too. */
  message?: readonly number[];
  /** The grid has an outline of its own instead of a frame. */
  outlined: boolean;
  /** Of what stands in the cells; figures of the usual one are of several heights. */
  face?: FaceId;
}

const answers = enumOf(['outlines', 'strokes', 'letters']);
/** How answers show what was hidden. */
export type ShownAnswer = v.InferOutput<typeof answers>;

export const answerSetting = () =>
  setting(answers, 'outlines', {
    label: 'Answers as',
    values: { outlines: 'Outlines', strokes: 'Strokes', letters: 'Letters' },
  });

/** @param what is hidden: “words” */
export const waysSetting = (what: string) =>
  setting(v.boolean(), true, { label: `Say which ways ${what} run` });

const LETTERS: FaceId = 'alegreya-sans-medium';
/** Height of a letter's line, by the side of its cell. */
const LETTER = 0.66;
/** Letters of a crowded answer are kept at this size, in points, as long as the widest stand apart. */
const LEAST_LETTER = 7;
const WIDEST_LETTER = 1;
/** Around the letters of a whole grid, in cells on all sides together. */
const PADDING = 0.5;
const FRAME = 1.1;
const RING = 0.75;
const OTHERS = { gray: 0.45 };

/** Where the letters of a grid are on the sheet. */
interface Place {
  x: number;
  y: number;
  cell: number;
}

/** A grid with its padding, in cells. */
export const paddedSize = ({ columns, rows }: HiddenGrid) => ({
  columns: columns + PADDING,
  rows: rows + PADDING,
});

/** A grid that was given room with its padding. */
const within = ({ x, y, cell }: Place): Place => ({
  cell,
  x: x + (cell * PADDING) / 2,
  y: y + (cell * PADDING) / 2,
});

/** The letters in the middle of their cells, a mark for each row. @param shown whether a letter is printed */
function letterMarks(
  { columns, rows, letters, face = LETTERS }: HiddenGrid,
  { x, y, cell }: Place,
  size: number,
  color: Color,
  type: Typesetter,
  shown: (at: number) => boolean = () => true,
): Mark[] {
  const drop = (cell + type.capHeight(face) * size) / 2;
  return Array.from({ length: rows }, (_, row): Mark[] => {
    const at = Array.from({ length: columns }, (_, column) => row * columns + column).filter(
      (cell) => letters[cell] !== null && shown(cell),
    );
    if (!at.length) return [];
    return [
      {
        type: 'text',
        text: at.map((one) => letters[one]).join(''),
        face,
        size,
        x,
        y: y + row * cell + drop,
        color,
        centers: at.map((one) => x + ((one % columns) + 0.5) * cell),
      },
    ];
  }).flat();
}

/** The frame of a whole grid, or the outline of its cells. */
function frameMarks({ columns, rows, letters, outlined }: HiddenGrid, place: Place, width: number): Mark[] {
  const { x, y, cell } = place;
  const stroke = { width, paint: BLACK };
  if (!outlined) {
    const more = (cell * PADDING) / 2;
    return [
      {
        type: 'path',
        path: rectPath(x - more, y - more, cell * columns + 2 * more, cell * rows + 2 * more),
        stroke,
      },
    ];
  }
  const isInside = (at: number) => at >= 0 && letters[at] !== null;
  const lines = gridLines<1>({ columns, rows, ...place }, (one, other) =>
    isInside(one) === isInside(other) ? 0 : 1,
  );
  return [...lines.values()].map(
    (path): Mark => ({ type: 'path', path, stroke: { ...stroke, cap: 'square' } }),
  );
}

/** A grid and its frame, at the place of its padding. */
export function hiddenGrid(grid: HiddenGrid, padded: Place, type: Typesetter): Mark[] {
  const at = within(padded);
  return [...frameMarks(grid, at, FRAME), ...letterMarks(grid, at, at.cell * LETTER, BLACK, type)];
}

/** The grid small, with what is hidden in it shown. */
export function hiddenSolution(
  placed: PlacedItem<unknown>,
  grid: HiddenGrid,
  answer: ShownAnswer,
  box: Rect,
  context: SolutionContext<unknown>,
): Mark[] {
  const size = paddedSize(grid);
  return solutionInBox(placed, box, context, {
    width: (room) => cellIn(size, room.width, room.height) * size.columns,
    draw: (room) => answerMarks(grid, within(gridAlone(size, room)), answer, context.type),
  });
}

function answerMarks(grid: HiddenGrid, place: Place, answer: ShownAnswer, type: Typesetter): Mark[] {
  const { x, y, cell } = place;
  const middle = (at: number): [number, number] => [
    x + ((at % grid.columns) + 0.5) * cell,
    y + (Math.floor(at / grid.columns) + 0.5) * cell,
  ];
  const size = Math.max(cell * LETTER, Math.min(LEAST_LETTER, cell * WIDEST_LETTER));
  const ways = grid.placements.map((one) => cellsOf(one, grid.columns));
  const own = new Set([...ways.flat(), ...(grid.message ?? [])]);
  const marks: Mark[] = [];
  const paint = { gray: 0.25 };
  for (const cells of ways) {
    const [x1, y1] = middle(cells[0]!);
    const [x2, y2] = middle(cells.at(-1)!);
    if (answer === 'outlines')
      marks.push({
        type: 'path',
        path: capsulePath(x1, y1, x2, y2, cell * 0.42),
        stroke: { width: RING, paint },
      });
    if (answer === 'strokes')
      marks.push({
        type: 'path',
        path: linePath(x1, y1, x2, y2),
        stroke: { width: cell * 0.62, paint: { gray: 0.8 }, cap: 'round' },
      });
  }
  marks.push(...frameMarks(grid, place, RING));
  if (answer === 'letters') {
    grid.letters.forEach((letter, at) => {
      if (letter === null || own.has(at)) return;
      const [cx, cy] = middle(at);
      marks.push({ type: 'path', path: ellipsePath(cx, cy, Math.max(0.45, cell * 0.06)), fill: OTHERS });
    });
  } else marks.push(...letterMarks(grid, place, size, OTHERS, type, (at) => !own.has(at)));
  marks.push(...letterMarks(grid, place, size, BLACK, type, (at) => own.has(at)));
  return marks;
}

/** Ways that words run, from the plainest to all of them. */
export type Ways = 'straight' | 'slanting' | 'backwards';

/** What is to be said of the ways that words run in. */
export function waysOf(directions: readonly Direction[]): Ways {
  const has = (...ones: Direction[]) => ones.some((one) => directions.includes(one));
  if (has('back', 'up', 'up-left', 'down-left')) return 'backwards';
  return has('down-right', 'up-right') ? 'slanting' : 'straight';
}
