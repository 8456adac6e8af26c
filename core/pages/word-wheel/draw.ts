import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import {
  BLACK,
  breakLines,
  ellipsePath,
  linePath,
  type Mark,
  rectPath,
  type TextMark,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import { SQUARE, type WordWheelItem } from './fill.ts';
import type { WordWheelOptions } from './options.ts';
import { wordWheelWords } from './words.ts';

type Context = DrawContext<WordWheelOptions, WordWheelItem>;

const LETTERS: FaceId = 'atkinson-hyperlegible-bold';
const LINE = { width: 1.2, paint: BLACK } as const;
const GRAY = 0.88;
/** Radius of the circle in the middle, and of the middles of the letters around it, to the whole. */
const HUB = 0.36;
const RING = 0.68;
/** Height of letters to the width of their place. */
const LETTER = 0.52;
/** Larger ones do not make a page better, in points at 6 × 9 in. */
const LARGEST = 200;
/** To the side of what it is drawn in: more is taken by lines to write on. */
const SHARE = { below: 0.5, beside: 0.46 } as const;
const GOALS = 9.5;
const LEAST_GOALS = 8;
/** Of lines to write on, in points at 6 × 9 in. */
const PITCH = 22;
const LINE_WIDTH = 74;
const GAP = 14;
const RULE = { width: 0.75, paint: { gray: 0.45 } } as const;
/** Kept free for the outer halves of lines. */
const OUTER = 2;

function letterAt(text: string, x: number, y: number, size: number, type: Typesetter): TextMark {
  return {
    ...{ type: 'text', text, face: LETTERS, size, color: BLACK },
    x: x - type.width(text, LETTERS, size) / 2,
    y: y + (type.capHeight(LETTERS) * size) / 2,
  };
}

/** A wheel in a square of a side. @param x of its left edge @param y of its top */
function wheel({ letters }: WordWheelItem, x: number, y: number, side: number, type: Typesetter): Mark[] {
  const [middle, ...others] = letters;
  const r = side / 2 - OUTER;
  const [cx, cy] = [x + side / 2, y + side / 2];
  const at = (turn: number, radius: number) => {
    const angle = 2 * Math.PI * (turn - 0.25);
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)] as const;
  };
  const size = r * (1 - HUB) * LETTER * 1.3;
  return [
    { type: 'path', path: ellipsePath(cx, cy, r), stroke: LINE },
    ...others.map((_, i): Mark => {
      const turn = (i + 0.5) / others.length;
      return {
        type: 'path',
        path: linePath(...at(turn, r * HUB), ...at(turn, r)),
        stroke: LINE,
      };
    }),
    { type: 'path', path: ellipsePath(cx, cy, r * HUB), fill: { gray: GRAY }, stroke: LINE },
    letterAt(middle ?? '', cx, cy, size * 1.15, type),
    ...others.map((letter, i) => letterAt(letter, ...at(i / others.length, r * RING), size, type)),
  ];
}

/** A square of nine, the letter that all words have in its middle. */
function square({ letters }: WordWheelItem, x: number, y: number, side: number, type: Typesetter): Mark[] {
  const [middle, ...others] = letters;
  const cells = [...others.slice(0, 4), middle ?? '', ...others.slice(4)];
  const cell = (side - OUTER) / 3;
  const corner = (i: number) =>
    [x + OUTER / 2 + (i % 3) * cell, y + OUTER / 2 + Math.floor(i / 3) * cell] as const;
  return [
    { type: 'path', path: rectPath(...corner(4), cell, cell), fill: { gray: GRAY } },
    ...cells.map((_, i): Mark => ({ type: 'path', path: rectPath(...corner(i), cell, cell), stroke: LINE })),
    ...cells.map((letter, i) => {
      const [left, top] = corner(i);
      return letterAt(letter, left + cell / 2, top + cell / 2, cell * LETTER * 1.15, type);
    }),
  ];
}

/** Lines to write on, no more of them than there are words. */
function writingLines(count: number, { x, y, width, height }: Rect, scale: number): Mark[] {
  const columns = Math.max(1, Math.floor((width + GAP) / (LINE_WIDTH * scale + GAP)));
  const rows = Math.min(Math.floor(height / (PITCH * scale)), Math.ceil(count / columns));
  const wide = (width - GAP * (columns - 1)) / columns;
  return Array.from({ length: Math.max(0, rows) * columns }, (_, i): Mark => {
    const left = x + (i % columns) * (wide + GAP);
    const level = y + (Math.floor(i / columns) + 1) * PITCH * scale - 1;
    return { type: 'path', path: linePath(left, level, left + wide, level), stroke: RULE };
  });
}

/** The wheel with its goals, and lines beside or below it. */
function puzzle(item: WordWheelItem, box: Rect, { type, frame, faces, language, options }: Context): Mark[] {
  if (!item.letters) return [];
  const scale = frame.grid.typeScale;
  const beside = box.width > box.height * 1.15;
  const size = Math.max(LEAST_GOALS, GOALS * scale);
  const said = options.goals ? size * 1.9 : 0;
  const share = options.lines ? (beside ? SHARE.beside : SHARE.below) : 1;
  const side = Math.min(
    LARGEST * scale,
    beside ? box.width * share : box.width,
    (beside ? box.height : box.height * share) - said,
  );
  const left = beside && options.lines ? box.x : box.x + (box.width - side) / 2;
  const isSquare = options.form === 'square' && item.letters.length === SQUARE;
  const marks = (isSquare ? square : wheel)(item, left, box.y, side, type);
  const goal = (part: number) => Math.max(1, Math.round(item.words.length * part));
  const goals = wordWheelWords(language, 'goals', { good: goal(0.5), better: goal(0.7), best: goal(0.9) });
  if (options.goals) {
    const room = beside && options.lines ? Math.max(side, box.width * SHARE.beside) : box.width;
    const fits = Math.min(size, (size * room * 0.98) / type.width(goals, faces.text, size));
    const style = { face: faces.text, size: fits, color: BLACK };
    const middle = beside && options.lines ? left + room / 2 : box.x + box.width / 2;
    marks.push(textLine(type, goals, style, middle, box.y + side + size * 1.5, 'center'));
  }
  if (!options.lines) return marks;
  const room = beside
    ? { ...box, x: box.x + box.width * SHARE.beside + GAP, width: box.width * (1 - SHARE.beside) - GAP }
    : { ...box, y: box.y + side + said, height: box.height - side - said };
  return [...marks, ...writingLines(item.words.length, room, scale)];
}

export function drawWordWheelPage(context: Context): Mark[] {
  const { options, language, items } = context;
  const [first] = items;
  const counts = {
    shortest: first?.item.shortest ?? options.shortest,
    letters: first?.item.letters.length ?? options.letters,
  };
  return puzzlesOnPage(context, {
    title: wordWheelWords(language, options.form),
    rules: options.instructions ? wordWheelWords(language, 'rules', counts) : null,
    ratio: 0.72,
    stacked: options.perPage === 2,
    draw: (item, box) => puzzle(item, box, context),
  });
}

const TEXT: FaceId = 'alegreya-sans-regular';
const WHOLE: FaceId = 'alegreya-sans-bold';
const SIZES = [10, 9.5, 9, 8.5, 8, 7.5, 7];
const LEADING = 1.2;

export function drawWordWheelSolution(
  placed: PlacedItem<WordWheelItem>,
  box: Rect,
  context: SolutionContext<WordWheelOptions>,
): Mark[] {
  const { words, whole } = placed.item;
  const { type } = context;
  const others = words
    .filter((word) => word !== whole)
    .join(', ')
    .toLowerCase();
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => {
      const linesAt = (size: number) => breakLines(type, others, TEXT, size, room.width - size * 0.1);
      const fits = (size: number) => (linesAt(size).length + 1.2) * size * LEADING <= room.height;
      const size = SIZES.find(fits) ?? SIZES.at(-1)!;
      const line = (i: number) => room.y + size * (1 + i * LEADING);
      const style = { size, color: BLACK } as const;
      return [
        textLine(type, whole.toLowerCase(), { ...style, face: WHOLE }, room.x, line(0)),
        ...linesAt(size).map((text, i) =>
          textLine(type, text, { ...style, face: TEXT }, room.x, line(i + 1)),
        ),
      ];
    },
  });
}
