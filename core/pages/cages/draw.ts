import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, type Typesetter } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from '../puzzle/cells.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { CagesItem } from './fill.ts';
import type { CagesOptions } from './options.ts';
import { cagesWords } from './words.ts';

/** Their digits are told apart at a glance. */
const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
const BOLD: FaceId = 'atkinson-hyperlegible-bold';
const DIGIT = 0.56;
const LINE = { thin: 0.75, cage: 2 } as const;
/** What a cage makes, by the side of a cell, between these sizes in points. */
const TARGET = { share: 0.27, least: 7, most: 13 } as const;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 2;

interface Place {
  x: number;
  y: number;
  cell: number;
}

function placeIn(size: number, { x, y, width, height }: Rect): Place {
  const cell = (Math.min(width, height) - OUTER) / size;
  return { cell, x: x + (width - cell * size) / 2, y: y + OUTER / 2 };
}

/** Lines of the cells and, heavier, of the cages. */
function linesOf({ size, cages }: CagesItem, { x, y, cell }: Place): Mark[] {
  const cageAt = new Map(cages.flatMap(({ cells }, cage) => cells.map((at) => [at, cage] as const)));
  const grid = { columns: size, rows: size, x, y, cell };
  const paths = gridLines<1 | 2>(grid, (one, other) => (cageAt.get(one) === cageAt.get(other) ? 1 : 2));
  // Light lines first: heavy ones lie over their ends.
  return [...paths]
    .sort(([a], [b]) => a - b)
    .map(([weight, path]) => ({
      type: 'path',
      path,
      stroke:
        weight === 2
          ? { width: LINE.cage, paint: BLACK, cap: 'square' }
          : { width: LINE.thin, paint: { gray: 0.45 } },
    }));
}

function targetsOf(
  { size, cages }: CagesItem,
  { x, y, cell }: Place,
  leastType: number,
  type: Typesetter,
): Mark[] {
  const texts = cages.map(({ operation, target }) => `${target}${operation ?? ''}`);
  const widest = Math.max(...texts.map((text) => type.width(text, DIGITS, 1)));
  const wanted = Math.min(Math.max(TARGET.most, leastType), Math.max(TARGET.least, cell * TARGET.share));
  const set = Math.min(wanted, (cell - 2 * LINE.cage) / widest);
  return cages.map(({ cells: [first = 0] }, i) => ({
    ...{ type: 'text', text: texts[i]!, face: DIGITS, size: set, color: BLACK },
    x: x + (first % size) * cell + LINE.cage + cell * 0.03,
    y: y + Math.floor(first / size) * cell + LINE.cage + cell * 0.04 + type.capHeight(DIGITS) * set,
  }));
}

function numbersOf({ size, solution }: CagesItem, { x, y, cell }: Place, type: Typesetter): Mark[] {
  const set = cell * DIGIT;
  return [...solution].map((text, at) => ({
    ...{ type: 'text', text, face: BOLD, size: set, color: BLACK },
    x: x + ((at % size) + 0.5) * cell - type.width(text, BOLD, set) / 2,
    y: y + (Math.floor(at / size) + 0.5) * cell + (type.capHeight(BOLD) * set) / 2,
  }));
}

export function drawCagesPage(context: DrawContext<CagesOptions, CagesItem>): Mark[] {
  const { options, language, type, frame } = context;
  return puzzlesOnPage(context, {
    title: cagesWords(language, 'title'),
    rules: options.instructions ? cagesWords(language, 'rules', { size: String(options.size) }) : null,
    level: ({ level }) => level,
    draw: (item, box) => {
      const place = placeIn(item.size, box);
      return [...linesOf(item, place), ...targetsOf(item, place, frame.grid.leastType, type)];
    },
  });
}

export function drawCagesSolution(
  placed: PlacedItem<CagesItem>,
  box: Rect,
  context: SolutionContext<CagesOptions>,
): Mark[] {
  const { item } = placed;
  return solutionInBox(placed, box, context, {
    width: ({ width, height }) => Math.min(width, height),
    draw: (room) => {
      const place = placeIn(item.size, room);
      return [...linesOf(item, place), ...numbersOf(item, place, context.type)];
    },
  });
}
