import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { type Arrowed, arrowGrid } from '../../puzzles/crossword/index.ts';
import { BLACK, linePath, type Mark, polygonPath, rectPath } from '../../scene/index.ts';
import { type Line, lineMarks, setParagraph, wholeWords } from '../../text/index.ts';
import type { DrawContext } from '../kind.ts';
import { gridAlone } from '../puzzle/grid-with-list.ts';
import { letterGrid } from '../puzzle/letter-grid.ts';
import { countsOf } from './counts.ts';
import type { CrosswordItem } from './fill.ts';
import type { CrosswordOptions } from './options.ts';

/** Narrow, so that a clue has room in a cell. */
const FACE: FaceId = 'barlow-condensed-medium';
/** Cells that ask, beside the white ones for letters. */
const GROUND = { gray: 0.92 };
/** Larger cells do not make a page better, in points at 6 × 9 in. */
const LARGEST_CELL = 52;
/** Sizes of clues in points, at 6 × 9 in the most; too small ones are drawn all the same, so that the proof has them to tell. */
const SIZES = { most: 9.5, easy: 7.5, least: 1.5, step: 0.25 } as const;
const LEADING = 1.02;
/** Of the height of a line below its baseline. */
const BELOW = 0.2;
/** Between a clue and the lines around its cell, by its side; in points at least. */
const AIR = { share: 0.055, least: 1.6 } as const;
/** Most clues are of one size: those that are longer than this share of them are set smaller. */
const LONG = 0.7;
const LINE = 0.75;
/** Arrows, by the side of a cell. */
const HEAD = { length: 0.13, half: 0.085 } as const;
const TURN = { at: 0.2, in: 0.12 } as const;

type Context = Pick<DrawContext<CrosswordOptions, CrosswordItem>, 'options' | 'type' | 'frame' | 'hyphenate'>;

interface Boxed {
  text: string;
  box: Rect;
}

interface Fitted {
  size: number;
  lines: Line[];
  height: number;
}

/** The largest size at which a clue stays in its box; its words are broken only where it would become hard to read. */
function fitted(boxed: Boxed, most: number, { type, hyphenate, frame }: Context): Fitted {
  const easy = SIZES.easy * frame.grid.typeScale;
  return (
    largest(boxed, { most, least: Math.min(most, easy) }, { type }) ??
    largest(boxed, { most, least: SIZES.least }, { type, hyphenate }) ??
    setAt(boxed, SIZES.least, { type, hyphenate })
  );
}

type Setting = Pick<Context, 'type'> & Partial<Pick<Context, 'hyphenate'>>;

function setAt({ text, box }: Boxed, size: number, { type, hyphenate = wholeWords }: Setting): Fitted {
  const style = { face: FACE, size, color: BLACK, align: 'ragged', hyphenate } as const;
  const lines = setParagraph(type, text, style, box.width);
  const height = size * (type.capHeight(FACE) + BELOW) + Math.max(0, lines.length - 1) * size * LEADING;
  return { size, lines, height };
}

function largest(
  boxed: Boxed,
  { most, least }: { most: number; least: number },
  setting: Setting,
): Fitted | null {
  for (let size = most; size >= least; size -= SIZES.step) {
    const set = setAt(boxed, size, setting);
    const { box } = boxed;
    if (set.height <= box.height && set.lines.every(({ width }) => width <= box.width)) return set;
  }
  return null;
}

/** Clues in their boxes, most of them in one size. */
function clueMarks(boxed: readonly Boxed[], context: Context): Mark[] {
  const { type, frame } = context;
  const most = SIZES.most * frame.grid.typeScale;
  const sizes = boxed.map((one) => fitted(one, most, context).size).sort((a, b) => b - a);
  const common = sizes[Math.floor((sizes.length - 1) * LONG)] ?? most;
  return boxed.flatMap((one) => {
    const { size, lines, height } = fitted(one, common, context);
    const { x, y, width, height: room } = one.box;
    const first = y + (room - height) / 2 + size * type.capHeight(FACE);
    return lines.flatMap((line, i) =>
      lineMarks(
        type,
        line,
        { face: FACE, size, color: BLACK },
        x + (width - line.width) / 2,
        first + i * size * LEADING,
      ),
    );
  });
}

const head = (x: number, y: number, isDown: boolean, cell: number): Mark => {
  const [length, half] = [HEAD.length * cell, HEAD.half * cell];
  return {
    type: 'path',
    path: polygonPath(
      isDown
        ? [
            [x - half, y],
            [x + half, y],
            [x, y + length],
          ]
        : [
            [x, y - half],
            [x, y + half],
            [x + length, y],
          ],
    ),
    fill: BLACK,
  };
};

/** An arrow in the first cell of a word. @param at where it comes in, on the edge of that cell */
function arrow({ exit, turns }: Arrowed, at: { x: number; y: number }, cell: number): Mark[] {
  const isDown = exit === 'down';
  if (!turns) return [head(at.x, at.y, isDown, cell)];
  const [deep, on] = [TURN.in * cell, TURN.in * cell];
  const [x, y] = isDown ? [at.x, at.y + deep] : [at.x + deep, at.y];
  const [endX, endY] = isDown ? [x + on, y] : [x, y + on];
  const stroke = { width: Math.max(LINE, cell * 0.02), paint: BLACK };
  return [
    { type: 'path', path: linePath(at.x, at.y, x, y + (isDown ? stroke.width / 2 : 0)), stroke },
    { type: 'path', path: linePath(x, y, endX, endY), stroke },
    head(endX, endY, !isDown, cell),
  ];
}

/** A grid whose cells ask for its words: what stands in them, and arrows to where each word begins. */
export function drawArrowWords(item: CrosswordItem, room: Rect, context: Context): Mark[] {
  const { options, type, frame } = context;
  const grid = arrowGrid(item);
  const { columns, rows, asking } = grid;
  const { cell, x, y } = gridAlone({ columns, rows }, room, LARGEST_CELL * frame.grid.typeScale);
  const asked = new Map(item.asked.map((one) => [`${one.across} ${one.cells[0]}`, one]));
  const air = Math.max(AIR.least, cell * AIR.share);
  const grounds: Mark[] = [];
  const over: Mark[] = [];
  const boxed: Boxed[] = [];
  for (const [at, both] of asking) {
    const [left, top] = [x + (at % columns) * cell, y + Math.floor(at / columns) * cell];
    grounds.push({ type: 'path', path: rectPath(left, top, cell, cell), fill: GROUND });
    const high = cell / both.length;
    if (both.length > 1)
      over.push({
        type: 'path',
        path: linePath(left, top + high, left + cell, top + high),
        stroke: { width: LINE, paint: { gray: 0.2 } },
      });
    // The one that leaves to the right stands above, so that the other is next to where it leaves.
    const inOrder = [...both].sort((a, b) => Number(b.exit === 'right') - Number(a.exit === 'right'));
    inOrder.forEach((one, i) => {
      const { clue = '', word = '' } = asked.get(`${one.run.across} ${one.run.cells[0]}`) ?? {};
      const counts = options.counts ? countsOf(word) : '';
      // The grid shows how long a word is, but not where it has a space or a hyphen.
      const text = [clue || '…', ...(/[,-]/.test(counts) ? [counts] : [])].join(' ');
      const y0 = top + i * high;
      boxed.push({
        text,
        box: {
          x: left + air,
          y: y0 + air * (both.length > 1 ? 0.7 : 1),
          width: cell - 2 * air,
          height: high - 2 * air * (both.length > 1 ? 0.7 : 1),
        },
      });
      const isDown = one.exit === 'down';
      const share = one.turns ? TURN.at : 0.5;
      over.push(
        ...arrow(
          one,
          isDown ? { x: left + cell * share, y: top + cell } : { x: left + cell, y: y0 + high * share },
          cell,
        ),
      );
    });
  }
  const cells = grid.letters.map((letter, at) => letter ?? (asking.has(at) ? '' : null));
  return [
    ...grounds,
    ...letterGrid({ columns, rows, letters: cells }, { cell, x, y }, options, type),
    ...over,
    ...clueMarks(boxed, context),
  ];
}
