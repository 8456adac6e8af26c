import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import type { Level } from '../../puzzles/level.ts';
import {
  BLACK,
  boundsOf,
  breakLines,
  linePath,
  type Mark,
  type TextMark,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import type { DrawContext, PlacedItem } from '../kind.ts';
import { headingOf } from './heading.ts';
import { dotsWidth, levelDots, levelKey, levelWords } from './level.ts';

/** What is printed around puzzles of every kind. */
export const aroundWords = printedWords({
  en: {
    answer: '{count, plural, one {Answer} other {Answers}} on page {page}',
    answers: 'Answers on pages {from}–{to}',
    page: 'page {page}',
    hints: 'Hints on page {page}',
    hintsOn: 'Hints on pages {from}–{to}',
  },
  es: {
    answer: '{count, plural, one {Solución} other {Soluciones}} en la página {page}',
    answers: 'Soluciones en las páginas {from}–{to}',
    page: 'página {page}',
    hints: 'Pistas en la página {page}',
    hintsOn: 'Pistas en las páginas {from}–{to}',
  },
  de: {
    answer: '{count, plural, one {Lösung} other {Lösungen}} auf Seite {page}',
    answers: 'Lösungen auf den Seiten {from}–{to}',
    page: 'Seite {page}',
    hints: 'Tipps auf Seite {page}',
    hintsOn: 'Tipps auf den Seiten {from}–{to}',
  },
  fr: {
    answer: '{count, plural, one {Solution} other {Solutions}} page {page}',
    answers: 'Solutions pages {from}–{to}',
    page: 'page {page}',
    hints: 'Indices page {page}',
    hintsOn: 'Indices pages {from}–{to}',
  },
});

/** Sizes at 6 × 9 in, in points. */
const TITLE = 19;
const NOTE = 9;
const CAPTION = 11;
const DOT = 4.4;
const LEAST_NOTE = 8;

type Context = Pick<DrawContext<never, unknown>, 'frame' | 'body' | 'type' | 'faces' | 'language'>;
type Placed = Pick<PlacedItem<unknown>, 'displayNumber' | 'total' | 'solutionPage' | 'hintsPage'>;

/** A line of text whose ink begins no further left than it does itself: some letters reach over. */
export function clearOfLeft(line: TextMark, type: Typesetter): TextMark {
  const ink = boundsOf([line], type);
  return ink && ink.left < line.x ? { ...line, x: line.x + (line.x - ink.left) } : line;
}

/** Where the hints and the answers of some puzzles are, in print; empty where they have none. */
function answersOf(placed: readonly Placed[], { language }: Context): string {
  const from = (pages: readonly (number | null)[]) => {
    const known = pages.filter((page) => page !== null);
    return { count: known.length, from: Math.min(...known), to: Math.max(...known), page: known[0]! };
  };
  const hints = from(placed.map(({ hintsPage }) => hintsPage));
  const answers = from(placed.map(({ solutionPage }) => solutionPage));
  const said = (span: typeof hints, one: 'hints' | 'answer', several: 'hintsOn' | 'answers') =>
    span.count ? [aroundWords(language, span.from === span.to ? one : several, span)] : [];
  return [...said(hints, 'hints', 'hintsOn'), ...said(answers, 'answer', 'answers')].join(' · ');
}

/** The numbers of the puzzles on a page: “21” or “21–24”. */
function numbersOf(placed: readonly Placed[]): string {
  const numbers = placed.map(({ displayNumber }) => displayNumber);
  const [from, to] = [Math.min(...numbers), Math.max(...numbers)];
  return from === to ? String(from) : `${from}–${to}`;
}

/**
 * The head of a page of puzzles: a title over a rule, and at the right where the answers are, or below the page where both do
 * not stand beside each other.
 * @returns its marks, and what it leaves of the page
 */
function puzzleHead(
  title: string,
  placed: readonly Placed[],
  context: Context,
): { marks: Mark[]; room: Rect } {
  const { body, frame, type, faces } = context;
  const scale = frame.grid.typeScale;
  const set = TITLE * scale;
  const note = Math.max(LEAST_NOTE, NOTE * scale);
  const right = body.x + body.width;
  /** The ink of a last digit reaches a little over its width. */
  const end = right - note * 0.02;
  const baseline = body.y + set * 0.86;
  const rule = baseline + set * 0.42;
  const answers = answersOf(placed, context);
  // A long subject makes the title smaller, rather than leave the page.
  const fits = Math.min(1, (body.width - set * 0.1) / type.width(title, faces.display, set));
  const titleStyle = { face: faces.display, size: set * fits, color: BLACK };
  const noteStyle = { face: faces.text, size: note, color: BLACK };
  const beside =
    type.width(title, faces.display, set) + type.width(answers, faces.text, note) + set < body.width;
  const foot = answers && !beside ? note * 1.9 : 0;
  return {
    marks: [
      clearOfLeft(textLine(type, title, titleStyle, body.x, baseline), type),
      ...(answers
        ? [
            textLine(
              type,
              answers,
              noteStyle,
              end,
              beside ? baseline : body.y + body.height - note * 0.3,
              'right',
            ),
          ]
        : []),
      { type: 'path', path: linePath(body.x, rule, right, rule), stroke: { width: 1.8, paint: BLACK } },
      {
        type: 'path',
        path: linePath(body.x, rule + 2.6, right, rule + 2.6),
        stroke: { width: 0.75, paint: BLACK },
      },
    ],
    room: {
      x: body.x,
      y: rule + set * 0.7,
      width: body.width,
      height: body.y + body.height - foot - rule - set * 0.7,
    },
  };
}

/** A line at the foot of a page that says what to do. @returns its marks, and what it leaves of the page */
function puzzleFoot(
  said: string,
  room: Rect,
  { frame, type, faces }: Context,
): { marks: Mark[]; room: Rect } {
  const set = Math.max(LEAST_NOTE, NOTE * frame.grid.typeScale);
  const leading = set * 1.3;
  // The ink of a last letter reaches a little over its width.
  const lines = breakLines(type, said, faces.text, set, room.width - set * 0.05);
  const height = lines.length * leading;
  const first = room.y + room.height - (lines.length - 1) * leading - set * 0.3;
  const style = { face: faces.text, size: set, color: BLACK };
  return {
    marks: lines.map((line, i) =>
      clearOfLeft(textLine(type, line, style, room.x, first + i * leading), type),
    ),
    room: { ...room, height: room.height - height - set },
  };
}

/** What is around the puzzles of a page: a title with their numbers, where their answers are, and what to do. @param subject of it @param levels of the puzzles */
export function aroundPuzzles(
  {
    title,
    rules,
    subject,
    levels = [],
  }: { title: string; rules: string | null; subject?: string | undefined; levels?: readonly Level[] },
  placed: readonly Placed[],
  context: Context & { options: { heading?: string } },
): { marks: Mark[]; room: Rect } {
  const [level] = levels;
  const titled = {
    title,
    numbers: numbersOf(placed),
    total: placed[0]!.total,
    topic: subject,
    level: levels.every((one) => one === level) ? level : null,
  };
  const head = puzzleHead(headingOf(context.options.heading, titled, context.language), placed, context);
  if (rules === null) return head;
  const foot = puzzleFoot(rules, head.room, context);
  return { marks: [...head.marks, ...foot.marks], room: foot.room };
}

/** In large print lines are wider, too: `typeScale` is beyond what any trim comes to without. */
const LARGE_PRINT = 1.35;
export const isLargePrint = ({ frame }: Pick<Context, 'frame'>): boolean =>
  frame.grid.typeScale > LARGE_PRINT;

/** Height that the caption of a puzzle takes above it. */
export const captionHeight = ({ frame }: Pick<Context, 'frame'>): number =>
  CAPTION * frame.grid.typeScale * 1.75;

/** The number of a puzzle and its level, above its grid. */
export function caption(
  number: string,
  level: Level | null,
  { x, y, width }: Rect,
  { frame, type, faces, language }: Context,
): Mark[] {
  const set = CAPTION * frame.grid.typeScale;
  const baseline = y + set * 1.05;
  const marks: Mark[] = number
    ? [textLine(type, number, { face: faces.display, size: set, color: BLACK }, x, baseline)]
    : [];
  if (level === null) return marks;
  const dot = DOT * frame.grid.typeScale;
  const name = levelWords(language, levelKey(level));
  const style = { face: faces.text, size: set * 0.92, color: BLACK };
  const left = x + (number ? type.width(number, faces.display, set) + set * 0.6 : 0);
  const room = x + width - dotsWidth(dot) - set * 0.5 - left;
  if (type.width(name, style.face, style.size) <= room)
    marks.push(textLine(type, name, style, left, baseline));
  return [...marks, ...levelDots(level, x + width, baseline - set * 0.32, dot)];
}

/**
 * Boxes of equal size for some puzzles on a page, in the columns that leave their grids largest.
 * @param above height of the caption over each
 * @param ratio of the width of a grid to its height
 */
export function boxesFor(
  count: number,
  room: Rect,
  { gap, above, ratio = 1 }: { gap: number; above: number; ratio?: number },
): Rect[] {
  let best = { columns: 1, width: 0 };
  for (let columns = 1; columns <= count; columns++) {
    const rows = Math.ceil(count / columns);
    const width = (room.width - gap * (columns - 1)) / columns;
    const height = (room.height - gap * (rows - 1)) / rows - above;
    const grid = Math.min(width, height * ratio);
    if (grid > best.width) best = { columns, width: grid };
  }
  const { columns, width } = best;
  const rows = Math.ceil(count / columns);
  const height = width / ratio + above;
  // What is free is shared out: between columns and rows, and no wider than a grid looks well with.
  const across = columns > 1 ? Math.min((room.width - columns * width) / (columns - 1), width * 0.5) : 0;
  const down = rows > 1 ? Math.min((room.height - rows * height) / (rows - 1), height * 0.25) : 0;
  const left = room.x + (room.width - columns * width - across * (columns - 1)) / 2;
  // Several in a single row stand in the middle of the height; otherwise what is left stays below.
  const top = room.y + (rows === 1 && columns > 1 ? Math.max(0, room.height - height) / 2 : 0);
  return Array.from({ length: count }, (_, i) => ({
    x: left + (i % columns) * (width + across),
    y: top + Math.floor(i / columns) * (height + down),
    width,
    height,
  }));
}

/** Between puzzles on a page, in points at 6 × 9 in. */
export const GAP = 22;

/** A room shared out in equal boxes, in the columns that make them most like squares. */
export function boxesIn(room: Rect, count: number, gap: number): Rect[] {
  let columns = 1;
  let best = Number.POSITIVE_INFINITY;
  const side = (inRow: number): [width: number, height: number] => {
    const rows = Math.ceil(count / inRow);
    return [(room.width - gap * (inRow - 1)) / inRow, (room.height - gap * (rows - 1)) / rows];
  };
  for (let inRow = 1; inRow <= count; inRow++) {
    if (count % inRow) continue;
    const [width, height] = side(inRow);
    const off = Math.abs(Math.log(width / height));
    if (off >= best) continue;
    best = off;
    columns = inRow;
  }
  const [width, height] = side(columns);
  return Array.from({ length: count }, (_, i) => ({
    x: room.x + (i % columns) * (width + gap),
    y: room.y + Math.floor(i / columns) * (height + gap),
    width,
    height,
  }));
}

/** Puzzles that stand below each other come closer. */
const STACKED_GAP = 0.6;

/** A room shared out in rows. */
function rowsOf(room: Rect, count: number, gap: number): Rect[] {
  const height = (room.height - gap * (count - 1)) / count;
  return Array.from({ length: count }, (_, i) => ({ ...room, y: room.y + i * (height + gap), height }));
}

/** What a page of puzzles shows besides what is around them. */
interface Puzzles<Item> {
  title: string;
  rules: string | null;
  /** Of the width of a puzzle to its height. */
  ratio?: number;
  /** Below each other, as wide as the page, instead of in boxes that leave grids largest. */
  stacked?: boolean;
  level?(item: Item): Level;
  draw(item: Item, box: Rect): Mark[];
}

/** A page of puzzles, each under its number and level in a box of its own; all boxes of a section are of one size. */
export function puzzlesOnPage<Options extends { perPage: number; heading?: string }, Item>(
  context: DrawContext<Options, Item>,
  { title, rules, ratio = 1, stacked, level, draw }: Puzzles<Item>,
): Mark[] {
  const { items, options, frame } = context;
  if (!items.length) return [];
  const alone = options.perPage === 1;
  const levels = level ? items.map(({ item }) => level(item)) : [];
  const { marks, room } = aroundPuzzles({ title, rules, levels }, items, context);
  const above = alone && !level ? 0 : captionHeight(context);
  const gap = GAP * frame.grid.typeScale;
  const boxes =
    alone || stacked
      ? rowsOf(room, options.perPage, gap * STACKED_GAP)
      : boxesFor(options.perPage, room, { gap, above, ratio });
  items.forEach(({ item, displayNumber }, i) => {
    const box = boxes[i]!;
    if (above)
      marks.push(...caption(alone ? '' : String(displayNumber), level?.(item) ?? null, box, context));
    marks.push(...draw(item, { ...box, y: box.y + above, height: box.height - above }));
  });
  return marks;
}

/** An answer in a box, under the number of its puzzle and its page. @param width that it takes in a room */
export function solutionInBox<Item>(
  placed: PlacedItem<Item>,
  box: Rect,
  context: { language: Context['language']; type: Typesetter },
  { width, draw }: { width(room: Rect): number; draw(room: Rect): Mark[] },
): Mark[] {
  const room = { ...box, y: box.y + SOLUTION_HEAD, height: box.height - SOLUTION_HEAD };
  const wide = Math.min(box.width, Math.max(width(room), LEAST_HEAD));
  return [...solutionHead(placed, box, wide, context), ...draw(room)];
}
/** Number and page stand beside each other in this width, in points. */
const LEAST_HEAD = 70;

const SOLUTION = 9.5;

/** The number of a solution and the page of its puzzle, over it. @returns its marks, and what it leaves of a box */
export function solutionHead(
  { displayNumber, page }: Pick<PlacedItem<unknown>, 'displayNumber' | 'page'>,
  box: Rect,
  width: number,
  { language, type }: { language: Context['language']; type: Typesetter },
): Mark[] {
  const x = box.x + (box.width - width) / 2;
  const style = { face: 'alegreya-sans-bold' as FaceId, size: SOLUTION, color: BLACK };
  const note = { face: 'alegreya-sans-regular' as FaceId, size: SOLUTION, color: { gray: 0.35 } };
  const number = textLine(type, String(displayNumber), style, x, box.y + SOLUTION);
  if (page === null) return [number];
  const onPage = aroundWords(language, 'page', { page });
  return [number, textLine(type, onPage, note, x + width, box.y + SOLUTION, 'right')];
}
/** Height that it takes. */
export const SOLUTION_HEAD = SOLUTION * 1.7;
