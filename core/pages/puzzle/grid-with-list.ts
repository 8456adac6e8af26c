import type { Rect } from '../../print/index.ts';
import type { Mark } from '../../scene/index.ts';
import type { DrawContext } from '../kind.ts';
import {
  fitsColumns,
  type Listed,
  type ListFaces,
  listMarks,
  type SetList,
  setList,
} from './list-columns.ts';

/** Cells of a grid. */
interface Cells {
  columns: number;
  rows: number;
}

/** Larger cells than this do not make a page better, in points at 6 × 9 in. */
const LARGE_CELL = 27;
const LARGEST = 1.2;
/** A grid of smaller cells is hard to fill in: a smaller list makes it larger. */
const LEAST_CELL = 13;
/**
 * Where type has a least size, the smaller of the list and of letters in the grid, which take so much of a cell, is to come as
 * near to it as can be; what larger cells are worth beyond that.
 */
const LETTER = 0.65;
const LARGER = 0.15;
/** Sizes of a list in points at 6 × 9 in; smaller ones only where nothing else fits. */
const SIZES = { most: 12, least: 8.5, smallest: 5, tiny: 1.5, step: 0.5, easy: 10 } as const;
/** Between grid and list, in points. */
const BETWEEN = 14;
const MOST_COLUMNS = 6;
/** The outer line of a grid is kept free, in points. */
const OUTER = 1.4;
/** Columns beside a grid are wider than the least by this, in ems. */
const BESIDE_MORE = 3;
const MOST_BESIDE = 0.65;

interface Page {
  cell: number;
  grid: Pick<Rect, 'x' | 'y'>;
  list: SetList;
  at: Pick<Rect, 'x' | 'y'>;
}

type Room = Pick<DrawContext<never, never>, 'type' | 'faces' | 'frame'>;

const facesOf = ({ faces }: Room): ListFaces => ({ text: faces.text, heading: faces.display });

/** The largest side of a cell in a room. */
export const cellIn = ({ columns, rows }: Cells, width: number, height: number): number =>
  Math.min((width - OUTER) / Math.max(1, columns), (height - OUTER) / Math.max(1, rows));

/** Where a grid is that has a room to itself, in the middle of its width. @param most side of a cell */
export function gridAlone(cells: Cells, room: Rect, most = Number.POSITIVE_INFINITY) {
  const cell = Math.min(cellIn(cells, room.width, room.height), most);
  return { cell, x: room.x + (room.width - cell * cells.columns) / 2, y: room.y + OUTER / 2 };
}

/** The most that a cell of a grid with a page to itself is given. */
export const largestAlone = ({ frame }: Room): number => LARGE_CELL * frame.grid.typeScale * 1.5;

interface Wishes {
  /** Width of a column, in ems. */
  leastColumn: number;
  /** Where the list stands; where it is best if left out. */
  place?: 'below' | 'beside';
  /** Side of a cell at 6 × 9 in, in points, beyond which larger ones do not make a page better. */
  large?: number;
}

/**
 * A grid and its list in a room: the list below or at the right, in the columns and the size that make the best of both.
 * @returns null where no size fits
 */
export function gridWithList(
  cells: Cells,
  list: readonly Listed[],
  room: Rect,
  context: Room,
  { leastColumn, place, large = LARGE_CELL }: Wishes,
): { cell: number; x: number; y: number; marks: Mark[] } | null {
  const { type, frame } = context;
  const { typeScale: scale, leastType } = frame.grid;
  const faces = facesOf(context);
  const wanted = large * scale;
  const largest = large * scale * LARGEST;
  let best: Page | null = null;
  let bestCell = 0;
  let highest = 0;
  const worthOf = ({ cell, list: { size } }: Page): number =>
    leastType
      ? Math.min(1, (cell * LETTER) / leastType, size / leastType) * (1 + LARGER * Math.min(1, cell / wanted))
      : Math.min(cell, wanted) * Math.min(1, size / (SIZES.easy * scale)) ** 0.8;
  const consider = (page: Page): void => {
    const worth = worthOf(page);
    if (page.cell <= 0 || worth <= highest || !fitsColumns(page.list, faces, type)) return;
    highest = worth;
    best = page;
    bestCell = page.cell;
  };
  for (let size = SIZES.most * scale; size >= SIZES.tiny; size -= SIZES.step) {
    // Smaller than is easy to read only where nothing else fits, and than can be printed only so that the proof has it to tell.
    if (size < SIZES.least && bestCell >= LEAST_CELL * scale) break;
    if (size < SIZES.smallest && best) break;
    for (let columns = 1; columns <= MOST_COLUMNS; columns++) {
      if (room.width / columns < leastColumn * size && columns > 1) break;
      const below = setList(list, { size, columns, width: room.width }, faces, type);
      const cell = Math.min(cellIn(cells, room.width, room.height - below.height - BETWEEN), largest);
      if (place !== 'beside')
        consider({
          cell,
          grid: { x: room.x + (room.width - cell * cells.columns) / 2, y: room.y + OUTER / 2 },
          list: below,
          at: { x: room.x, y: room.y + cell * cells.rows + OUTER + BETWEEN },
        });
      if (place === 'below') continue;
      const width = columns * (leastColumn + BESIDE_MORE) * size;
      if (width > room.width * MOST_BESIDE) continue;
      const beside = setList(list, { size, columns, width }, faces, type);
      if (beside.height > room.height) continue;
      const gap = BETWEEN * 1.4;
      const small = Math.min(cellIn(cells, room.width - width - gap, room.height), largest);
      consider({
        cell: small,
        grid: { x: room.x + OUTER / 2, y: room.y + OUTER / 2 },
        list: beside,
        at: { x: room.x + small * cells.columns + OUTER + gap, y: room.y },
      });
    }
  }
  const found = best as Page | null;
  return found && { cell: found.cell, ...found.grid, marks: listMarks(found.list, found.at, faces, type) };
}

/** A list that has a room to itself, as large as it fits. */
export function listAlone(list: readonly Listed[], room: Rect, context: Room): Mark[] {
  const faces = facesOf(context);
  const { type, frame } = context;
  for (let size = (SIZES.most + 2) * frame.grid.typeScale; ; size -= SIZES.step) {
    const columns = Math.max(1, Math.min(3, Math.floor(room.width / (15 * size))));
    const set = setList(list, { size, columns, width: room.width }, faces, type);
    const isLast = size - SIZES.step < SIZES.smallest;
    if (isLast || (set.height <= room.height && fitsColumns(set, faces, type)))
      return listMarks(set, room, faces, type);
  }
}
