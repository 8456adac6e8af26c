import type { Rect } from '../../print/index.ts';
import { BLACK, fitText, linePath, type Mark, textLine } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { listOfAnswers } from '../puzzle/list-columns.ts';
import { aroundPuzzles, boxesIn, solutionInBox } from '../puzzle/page.ts';
import type { WordCardsItem } from './fill.ts';
import type { WordCardsOptions } from './options.ts';
import { wordCardsWords } from './words.ts';

type Context = DrawContext<WordCardsOptions, WordCardsItem>;

/** Where to cut. */
const CUT = { width: 0.75, paint: { gray: 0.35 }, dash: [4, 3] } as const;
/** Between the halves of a domino. */
const MIDDLE = { width: 1.2, paint: BLACK } as const;
/** Kept free inside an edge, of the lesser side of a card. */
const INSIDE = 0.1;
/** In points at 6 × 9 in. */
const TEXT = { most: 18, least: 7, lines: 6 } as const;
/** Columns of dominoes, and their width to their height at least. */
const DOMINO = { columns: 2, least: 1.6 } as const;
/** Kept free for the outer halves of lines, in points. */
const OUTER = 1;

/** What a card says, in the middle of its room. */
function said(text: string, { x, y, width, height }: Rect, { type, faces, frame }: Context): Mark[] {
  const inside = Math.min(width, height) * INSIDE;
  const { size, lines, leading } = fitText(
    type,
    text,
    faces.text,
    { width: width - 2 * inside, height: height - 2 * inside },
    { max: TEXT.most * frame.grid.typeScale, min: TEXT.least, lines: TEXT.lines, leading: 1.15 },
  );
  const first = y + height / 2 - ((lines.length - 1) * leading) / 2 + size * 0.32;
  const style = { face: faces.text, size, color: BLACK };
  return lines.map((line, i) => textLine(type, line, style, x + width / 2, first + i * leading, 'center'));
}

/** Boxes of all cards of a set: dominoes in two columns, other cards as nearly square as the page has room for. */
function boxesOf(count: number, room: Rect, game: WordCardsItem['game']): Rect[] {
  if (game === 'memory') return boxesIn(room, count, 0);
  const rows = Math.ceil(count / DOMINO.columns);
  const width = room.width / DOMINO.columns;
  const height = Math.min(room.height / rows, width / DOMINO.least);
  return Array.from({ length: count }, (_, i) => ({
    x: room.x + (i % DOMINO.columns) * width,
    y: room.y + Math.floor(i / DOMINO.columns) * height,
    width,
    height,
  }));
}

/** The lines along which cards are cut, each once. */
function cuts(boxes: readonly Rect[]): Mark[] {
  const lines = new Map<string, readonly [number, number, number, number]>();
  const near = (value: number) => Math.round(value * 10);
  for (const { x, y, width, height } of boxes)
    for (const line of [
      [x, y, x + width, y],
      [x, y + height, x + width, y + height],
      [x, y, x, y + height],
      [x + width, y, x + width, y + height],
    ] as const)
      lines.set(line.map(near).join(), line);
  return [...lines.values()].map((line): Mark => ({ type: 'path', path: linePath(...line), stroke: CUT }));
}

export function drawWordCardsPage(context: Context): Mark[] {
  const { items, options, language } = context;
  const [placed] = items;
  if (!placed) return [];
  const { cards, game } = placed.item;
  const { marks, room } = aroundPuzzles(
    {
      title: wordCardsWords(language, game),
      rules: options.instructions ? wordCardsWords(language, `${game}Rules`) : null,
    },
    items,
    context,
  );
  if (!cards.length) return marks;
  const { safe } = context.frame;
  // The outer half of the lowest line does not leave the page.
  const high = Math.min(room.height, safe.y + safe.height - CUT.width / 2 - room.y);
  const inner = { ...room, x: room.x + OUTER, width: room.width - 2 * OUTER, height: high };
  const boxes = boxesOf(cards.length, inner, game);
  marks.push(...cuts(boxes));
  for (const [i, [one, other]] of cards.entries()) {
    const box = boxes[i]!;
    if (other === undefined) {
      marks.push(...said(one, box, context));
      continue;
    }
    const half = { ...box, width: box.width / 2 };
    const middle = box.x + half.width;
    const short = box.height * INSIDE;
    marks.push(...said(one, half, context), ...said(other, { ...half, x: middle }, context), {
      type: 'path',
      path: linePath(middle, box.y + short, middle, box.y + box.height - short),
      stroke: MIDDLE,
    });
  }
  return marks;
}

export function drawWordCardsSolution(
  placed: PlacedItem<WordCardsItem>,
  box: Rect,
  context: SolutionContext<WordCardsOptions>,
): Mark[] {
  const list = placed.item.pairs.map(([one, other], i) => ({
    number: i + 1,
    text: other === one ? one : `${one} – ${other}`,
  }));
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => listOfAnswers(list, room, context.type),
  });
}
