import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter } from '../../scene/index.ts';
import { enumOf } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from './cells.ts';
import { cellIn, gridAlone } from './grid-with-list.ts';
import { solutionInBox } from './page.ts';

const LETTERS: FaceId = 'atkinson-hyperlegible-regular';
const LINE = { thin: 0.75, outer: 1.4 } as const;
/** How gray it is between the words. */
const GROUND = { gray: 0.84, black: 0 } as const;
const AROUND = ['gray', 'black', 'none'] as const;
/** What stands in the corner of a cell, by its side, and the least of it in points. */
const CORNER = { share: 0.3, least: 7 } as const;
const LETTER = 0.62;
const LARGEST_LETTER = 14;
/** Letters of a crowded grid are kept at this size, in points, as long as they stand apart. */
const LEAST_LETTER = 7;
const WIDEST_LETTER = 0.82;

export const aroundSetting = () =>
  setting(enumOf(AROUND), 'gray', {
    label: 'Between the words',
    values: { gray: 'Gray', black: 'Black', none: 'Nothing' },
  });

interface LetterGrid {
  columns: number;
  rows: number;
  /** Null for a cell that takes no letter. */
  letters: readonly (string | null)[];
}

interface Shown {
  around: (typeof AROUND)[number];
  /** What stands in the corner of a cell, by place. */
  corners?: ReadonlyMap<number, string>;
  /** Letters that are printed; null for none. */
  shown?: readonly (string | null)[];
}

/** A grid for the letters of crossing words. @param place of its upper left corner, and the side of a cell */
export function letterGrid(
  { columns, rows, letters }: LetterGrid,
  { cell, x, y }: { cell: number; x: number; y: number },
  { around, corners, shown }: Shown,
  type: Typesetter,
): Mark[] {
  const marks: Mark[] = [];
  const isLetter = (at: number) => at >= 0 && letters[at] !== null;
  if (around !== 'none')
    for (let row = 0; row < rows; row++)
      for (let from = 0; from < columns; ) {
        let to = from;
        while (to < columns && !isLetter(row * columns + to)) to++;
        if (to > from)
          marks.push({
            type: 'path',
            path: rectPath(x + from * cell, y + row * cell, (to - from) * cell, cell),
            fill: { gray: GROUND[around] },
          });
        from = to + 1;
      }
  const paths = gridLines<1 | 2>({ columns, rows, x, y, cell }, (one, other) => {
    if (isLetter(one) && isLetter(other)) return 1;
    if (around !== 'none' && (one < 0 || other < 0)) return 2;
    return isLetter(one) || isLetter(other) ? 1 : 0;
  });
  for (const [weight, path] of paths)
    marks.push({
      type: 'path',
      path,
      stroke: {
        width: weight === 2 ? LINE.outer : LINE.thin,
        paint: weight === 2 ? BLACK : { gray: 0.2 },
        cap: 'square',
      },
    });
  const corner = Math.max(CORNER.least, cell * CORNER.share);
  for (const [at, text] of corners ?? [])
    marks.push({
      type: 'text',
      text,
      face: LETTERS,
      size: corner,
      x: x + (at % columns) * cell + Math.max(1.2, cell * 0.07),
      y: y + Math.floor(at / columns) * cell + type.capHeight(LETTERS) * corner + Math.max(1.4, cell * 0.08),
      color: BLACK,
    });
  const size = Math.max(
    Math.min(cell * LETTER, LARGEST_LETTER),
    Math.min(cell * WIDEST_LETTER, LEAST_LETTER),
  );
  const drop = (cell + type.capHeight(LETTERS) * size) / 2;
  shown?.forEach((text, at) => {
    if (text)
      marks.push({
        type: 'text',
        text,
        face: LETTERS,
        size,
        x: x + ((at % columns) + 0.5) * cell - type.width(text, LETTERS, size) / 2,
        y: y + Math.floor(at / columns) * cell + drop,
        color: BLACK,
      });
  });
  return marks;
}

/** All letters of a grid as the answer of a puzzle. */
export const letterSolution = (
  placed: PlacedItem<LetterGrid>,
  box: Rect,
  context: SolutionContext<Pick<Shown, 'around'>>,
): Mark[] =>
  solutionInBox(placed, box, context, {
    width: (room) => cellIn(placed.item, room.width, room.height) * placed.item.columns,
    draw: (room) =>
      letterGrid(
        placed.item,
        gridAlone(placed.item, room),
        { around: context.options.around, shown: placed.item.letters },
        context.type,
      ),
  });
