import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, buildPath, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { type CellGrid, gridLines } from '../puzzle/cells.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import { type KakuroItem, sumsOf } from './fill.ts';
import type { KakuroOptions } from './options.ts';
import { kakuroWords } from './words.ts';

const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
const BOLD: FaceId = 'atkinson-hyperlegible-bold';
/** Sums and answers by the side of a cell. */
const SUM = 0.36;
const DIGIT = 0.62;
/** Larger cells than this do not make a page better, in points. */
const LARGEST_CELL = 46;
const GROUND = 0.84;
const LINE = { thin: 0.75, thick: 1.5 } as const;

const sideIn = ({ columns, rows }: KakuroItem, { width, height }: Rect): number =>
  Math.min((width - LINE.thick) / columns, (height - LINE.thick) / rows, LARGEST_CELL);

function placeIn(item: KakuroItem, box: Rect): CellGrid {
  const { columns, rows } = item;
  const cell = sideIn(item, box);
  return {
    ...{ columns, rows, cell },
    x: box.x + (box.width - columns * cell) / 2,
    y: box.y + LINE.thick / 2,
  };
}

/** Ground of the cells without a digit, runs of a row in one piece. */
function ground({ columns, rows, solution }: KakuroItem, { x, y, cell }: CellGrid): Mark[] {
  return Array.from({ length: rows }, (_, row) =>
    [...solution.slice(row * columns, (row + 1) * columns).matchAll(/\.+/g)].map(
      ({ index, 0: run }): Mark => ({
        type: 'path',
        path: rectPath(x + index * cell, y + row * cell, run.length * cell, cell),
        fill: { gray: GROUND },
      }),
    ),
  ).flat();
}

function lines(grid: CellGrid, solution: string): Mark[] {
  const isOpen = (at: number) => at >= 0 && solution[at] !== '.';
  const paths = gridLines<1 | 2>(grid, (one, other) => {
    if (one < 0 || other < 0 || isOpen(one) !== isOpen(other)) return 2;
    return 1;
  });
  return [...paths].map(([weight, path]) => ({
    type: 'path',
    path,
    stroke: {
      width: weight === 2 ? LINE.thick : LINE.thin,
      paint: weight === 2 ? BLACK : { gray: 0.35 },
      cap: 'square',
    },
  }));
}

/** The sum of each run in the cell before it: across above the slanting line, down below it. */
function sums(item: KakuroItem, { columns, x, y, cell }: CellGrid, type: Typesetter): Mark[] {
  const { layout, sums: all } = sumsOf(item);
  const size = cell * SUM;
  const cap = type.capHeight(BOLD) * size;
  const slants = buildPath();
  const slanted = new Set<number>();
  const marks: Mark[] = [];
  layout.runs.forEach(({ cells, across }, r) => {
    const at = cells[0]! - (across ? 1 : columns);
    const [left, top] = [x + (at % columns) * cell, y + Math.floor(at / columns) * cell];
    const text = String(all[r]!);
    const wide = type.width(text, BOLD, size);
    if (!slanted.has(at)) slants.move(left, top).line(left + cell, top + cell);
    slanted.add(at);
    marks.push({
      type: 'text',
      text,
      face: BOLD,
      size,
      x: across ? left + cell * 0.94 - wide : left + cell * 0.08,
      y: across ? top + cell * 0.1 + cap : top + cell * 0.91,
      color: BLACK,
    });
  });
  return [{ type: 'path', path: slants.done(), stroke: { width: LINE.thin, paint: BLACK } }, ...marks];
}

/** The digits, a row of them in one piece. */
function digits({ columns, rows, solution }: KakuroItem, { x, y, cell }: CellGrid, type: Typesetter): Mark[] {
  const size = Math.min(cell * DIGIT, 20);
  const drop = (cell + type.capHeight(DIGITS) * size) / 2;
  return Array.from({ length: rows }, (_, row): Mark[] => {
    const shown = [...solution.slice(row * columns, (row + 1) * columns)].flatMap((digit, column) =>
      digit === '.' ? [] : [{ digit, center: x + (column + 0.5) * cell }],
    );
    return shown.length
      ? [
          {
            type: 'text',
            text: shown.map(({ digit }) => digit).join(''),
            face: DIGITS,
            size,
            x,
            y: y + row * cell + drop,
            color: BLACK,
            centers: shown.map(({ center }) => center),
          },
        ]
      : [];
  }).flat();
}

export function drawKakuroPage(context: DrawContext<KakuroOptions, KakuroItem>): Mark[] {
  const { options, language, type } = context;
  return puzzlesOnPage(context, {
    title: kakuroWords(language, 'kakuro'),
    rules: options.instructions ? kakuroWords(language, 'rules') : null,
    ratio: options.columns / options.rows,
    level: ({ level }) => level,
    draw(item, box) {
      const grid = placeIn(item, box);
      return [...ground(item, grid), ...lines(grid, item.solution), ...sums(item, grid, type)];
    },
  });
}

export function drawKakuroSolution(
  placed: PlacedItem<KakuroItem>,
  box: Rect,
  context: SolutionContext<KakuroOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: (room) => sideIn(item, room) * item.columns,
    draw(room) {
      const grid = placeIn(item, room);
      return [...ground(item, grid), ...lines(grid, item.solution), ...digits(item, grid, context.type)];
    },
  });
}
