import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from '../puzzle/cells.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import { cluesOfItem, type NonogramItem } from './fill.ts';
import type { NonogramOptions } from './options.ts';
import { nonogramWords } from './words.ts';

const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
/** Room that a number takes beside a row, and over a column, in cells. */
const SLOT = { width: 0.72, height: 0.74 } as const;
/** Between numbers and grid, in cells. */
const CLEAR = 0.14;
/** Digits by the side of a cell. */
const DIGIT = 0.56;
/** Larger cells than this do not make a page better, in points. */
const LARGEST_CELL = 30;
/** Every fifth line is heavier, to count by. */
const EVERY = 5;
const LINE = { thin: 0.75, heavy: 1.6 } as const;
const GROUND = 0.93;
const FILL = 0.12;

interface Layout {
  cell: number;
  /** Upper left corner of the cells. */
  x: number;
  y: number;
  /** Slots for numbers beside rows, and over columns. */
  beside: number;
  over: number;
}

/** Slots for numbers beside the rows, and over the columns, of puzzles that stand together. */
function slotsOf(items: readonly NonogramItem[]): Pick<Layout, 'beside' | 'over'> {
  const clues = items.map(cluesOfItem);
  const longest = (lines: readonly (readonly number[])[]) =>
    Math.max(1, ...lines.map(({ length }) => length));
  return {
    beside: longest(clues.flatMap(({ rows }) => rows)),
    over: longest(clues.flatMap(({ columns }) => columns)),
  };
}

const NO_SLOTS = { beside: 0, over: 0 };

function layOut(
  item: NonogramItem,
  box: Rect,
  { beside, over }: Pick<Layout, 'beside' | 'over'>,
  largest = Number.POSITIVE_INFINITY,
): Layout {
  const [left, above] = [beside ? beside * SLOT.width + CLEAR : 0, over ? over * SLOT.height + CLEAR / 2 : 0];
  const wide = item.columns + left;
  const high = item.rows + above;
  const cell = Math.min((box.width - LINE.heavy) / wide, (box.height - LINE.heavy) / high, largest);
  return {
    ...{ cell, beside, over },
    x: box.x + (box.width - wide * cell) / 2 + left * cell,
    y: box.y + LINE.heavy / 2 + above * cell,
  };
}

function numbers(item: NonogramItem, { cell, x, y }: Layout, type: Typesetter): Mark[] {
  const { rows, columns } = cluesOfItem(item);
  const size = cell * DIGIT;
  const drop = (type.capHeight(DIGITS) * size) / 2;
  const said = (text: string, middle: number, line: number): Mark => ({
    type: 'text',
    text,
    face: DIGITS,
    size,
    x: middle - type.width(text, DIGITS, size) / 2,
    y: line + drop,
    color: BLACK,
  });
  const shown = (runs: readonly number[]) => (runs.length ? runs : [0]);
  return [
    ...rows.flatMap((runs, row) =>
      shown(runs).map((run, i, all) =>
        said(String(run), x - ((all.length - i - 0.5) * SLOT.width + CLEAR) * cell, y + (row + 0.5) * cell),
      ),
    ),
    ...columns.flatMap((runs, column) =>
      shown(runs).map((run, i, all) =>
        said(
          String(run),
          x + (column + 0.5) * cell,
          y - ((all.length - i - 0.5) * SLOT.height + CLEAR / 2) * cell,
        ),
      ),
    ),
  ];
}

/** The grid, with every fifth line and its outer ones heavier. */
function lines({ columns, rows }: NonogramItem, { x, y, cell }: Layout): Mark[] {
  const heavy = (one: number, other: number): boolean => {
    if (one < 0 || other < 0) return true;
    const [first, second] = other - one === 1 ? [one % columns, columns] : [Math.floor(one / columns), rows];
    return (first + 1) % EVERY === 0 && first + 1 < second;
  };
  const paths = gridLines<1 | 2>({ columns, rows, x, y, cell }, (one, other) => (heavy(one, other) ? 2 : 1));
  return [...paths].map(([weight, path]) => ({
    type: 'path',
    path,
    stroke:
      weight === 2
        ? { width: LINE.heavy, paint: BLACK, cap: 'square' }
        : { width: LINE.thin, paint: { gray: 0.35 } },
  }));
}

/** Bands behind the numbers of every other five rows and columns, so that a long line is not lost. */
function bands({ columns, rows }: NonogramItem, { x, y, cell, beside, over }: Layout): Mark[] {
  const marks: Mark[] = [];
  const band = (path: ReturnType<typeof rectPath>): void => {
    marks.push({ type: 'path', path, fill: { gray: GROUND } });
  };
  const [wide, high] = [(beside * SLOT.width + CLEAR) * cell, (over * SLOT.height + CLEAR / 2) * cell];
  for (let from = 0; from < rows; from += 2 * EVERY)
    band(rectPath(x - wide, y + from * cell, wide, Math.min(EVERY, rows - from) * cell));
  for (let from = 0; from < columns; from += 2 * EVERY)
    band(rectPath(x + from * cell, y - high, Math.min(EVERY, columns - from) * cell, high));
  return marks;
}

/** The picture, runs of a row in one piece. */
function filled({ columns, picture }: NonogramItem, { x, y, cell }: Layout): Mark[] {
  return [...picture.matchAll(/#/g)].length
    ? Array.from({ length: picture.length / columns }, (_, row) =>
        [...picture.slice(row * columns, (row + 1) * columns).matchAll(/#+/g)].map(
          ({ index, 0: run }): Mark => ({
            type: 'path',
            path: rectPath(x + index * cell, y + row * cell, run.length * cell, cell),
            fill: { gray: FILL },
          }),
        ),
      ).flat()
    : [];
}

export function drawNonogramPage(context: DrawContext<NonogramOptions, NonogramItem>): Mark[] {
  const { items, options, language, type } = context;
  const slots = slotsOf(items.map(({ item }) => item));
  return puzzlesOnPage(context, {
    title: nonogramWords(language, 'nonogram'),
    rules: options.instructions ? nonogramWords(language, 'rules') : null,
    ratio: options.columns / options.rows,
    level: ({ level }) => level,
    draw(item, box) {
      const layout = layOut(item, box, slots, LARGEST_CELL);
      return [...bands(item, layout), ...lines(item, layout), ...numbers(item, layout, type)];
    },
  });
}

export function drawNonogramSolution(
  placed: PlacedItem<NonogramItem>,
  box: Rect,
  context: SolutionContext<NonogramOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: (room) => layOut(item, room, NO_SLOTS).cell * item.columns,
    draw(room) {
      const layout = layOut(item, room, NO_SLOTS);
      return [...filled(item, layout), ...lines(item, layout)];
    },
  });
}
