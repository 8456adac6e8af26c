import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import { cellsOf, type Direction } from '../../puzzles/word-search/index.ts';
import {
  BLACK,
  type Color,
  capsulePath,
  ellipsePath,
  linePath,
  type Mark,
  rectPath,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridLines } from '../puzzle/cells.ts';
import { cellIn, gridAlone, gridWithList, largestAlone, listAlone } from '../puzzle/grid-with-list.ts';
import type { Listed } from '../puzzle/list-columns.ts';
import { aroundPuzzles, clearOfLeft, solutionInBox } from '../puzzle/page.ts';
import { listsOf, type Usable, usableWords } from '../puzzle/word-source.ts';
import { cluesOf } from './clues.ts';
import type { SearchItem } from './fill.ts';
import type { WordSearchOptions } from './options.ts';
import { searchWords } from './words.ts';

const LETTERS: FaceId = 'alegreya-sans-medium';
/** Height of a letter's line, by the side of its cell. */
const LETTER = 0.66;
/** Letters of a crowded answer are kept at this size, in points, as long as the widest stand apart. */
const LEAST_LETTER = 7;
const WIDEST_LETTER = 1;
/** Around the letters of a whole grid, in cells on all sides together. */
const PADDING = 0.5;
const FRAME = 1.1;
/** A column of words is no narrower, in ems: ten capitals and a ring. */
const LEAST_COLUMN = 8.4;
const RING = 0.75;
const OTHERS = { gray: 0.45 };

/** Where the letters of a grid are on the sheet. */
interface Place {
  x: number;
  y: number;
  cell: number;
}

const sizeOf = ({ search: { columns, rows } }: SearchItem) => ({
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
  { search: { columns, rows, letters } }: SearchItem,
  { x, y, cell }: Place,
  size: number,
  color: Color,
  type: Typesetter,
  shown: (at: number) => boolean = () => true,
): Mark[] {
  const drop = (cell + type.capHeight(LETTERS) * size) / 2;
  return Array.from({ length: rows }, (_, row): Mark[] => {
    const at = Array.from({ length: columns }, (_, column) => row * columns + column).filter(
      (cell) => letters[cell] !== null && shown(cell),
    );
    if (!at.length) return [];
    return [
      {
        type: 'text',
        text: at.map((one) => letters[one]).join(''),
        face: LETTERS,
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
function frameMarks(
  { search: { columns, rows, letters }, shape }: SearchItem,
  place: Place,
  width: number,
): Mark[] {
  const { x, y, cell } = place;
  const stroke = { width, paint: BLACK };
  if (shape === 'whole') {
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

const shownAs = ({ word }: Usable, { capitals }: WordSearchOptions): string =>
  capitals === 'capitals' ? word.toLocaleUpperCase('en').normalize('NFC') : word;

/** The words as they are listed, each with a ring to tick, or what is asked for instead. */
function listOf({ words }: SearchItem, options: WordSearchOptions): Listed[] {
  const asked = options.shown === 'clues' ? cluesOf(options.clues) : null;
  return words.map((word) => ({
    ring: true,
    text: asked?.get(word.letters.join('')) ?? shownAs(word, options),
  }));
}

/** What says which ways the words of a puzzle run. */
function rulesOf(directions: readonly Direction[], language: PrintedLanguage): string {
  const backwards = ['back', 'up', 'up-left', 'down-left'].some((one) =>
    directions.includes(one as Direction),
  );
  const slanting = ['down-right', 'up-right'].some((one) => directions.includes(one as Direction));
  return searchWords(language, backwards ? 'backwards' : slanting ? 'slanting' : 'straight');
}

/** Between lines of blanks, by the width of one. */
const BLANK_LEADING = 1.9;

/** Blanks for a message at the foot of a room: a line for each letter, words apart. @returns marks, and what is left of the room */
function messageMarks(
  message: string,
  room: Rect,
  { type, faces, frame, language }: DrawContext<WordSearchOptions, SearchItem>,
): { marks: Mark[]; room: Rect } {
  if (!message) return { marks: [], room };
  const scale = frame.grid.typeScale;
  const note = Math.max(8, 9 * scale);
  const blank = 9.5 * scale;
  const words = message
    .split(/\s+/)
    .map((word) => [...word].filter((letter) => /\p{L}/u.test(letter)).length);
  const step = blank * 1.25;
  const lines: number[][] = [[]];
  let used = 0;
  for (const count of words) {
    if (!count) continue;
    const width = (count + 0.8) * step;
    if (used && used + width > room.width) {
      lines.push([]);
      used = 0;
    }
    lines.at(-1)!.push(count);
    used += width;
  }
  const height = note * 1.6 + lines.length * blank * BLANK_LEADING;
  const top = room.y + room.height - height;
  const style = { face: faces.text, size: note, color: BLACK };
  const marks: Mark[] = [
    clearOfLeft(textLine(type, searchWords(language, 'leftOver'), style, room.x, top + note), type),
  ];
  lines.forEach((counts, line) => {
    let x = room.x;
    const y = top + note * 1.6 + (line + 1) * blank * BLANK_LEADING - blank * 0.3;
    for (const count of counts) {
      for (let i = 0; i < count; i++)
        marks.push({
          type: 'path',
          path: linePath(x + i * step, y, x + i * step + blank, y),
          stroke: { width: 0.9, paint: BLACK },
        });
      x += (count + 0.8) * step;
    }
  });
  return { marks, room: { ...room, height: room.height - height - note } };
}

export function drawWordSearchPage(context: DrawContext<WordSearchOptions, SearchItem>): Mark[] {
  const { items, options, part, body, type, language } = context;
  const [placed] = items;
  if (!placed) return [];
  const { item } = placed;
  const list = listOf(item, options);
  if (part === 'right') return listAlone(list, body, context);
  const { marks, room: all } = aroundPuzzles(
    {
      title: searchWords(language, 'title'),
      rules: options.instructions ? rulesOf(item.directions, language) : null,
      subject: item.title,
    },
    items,
    context,
  );
  const message = messageMarks(item.message, all, context);
  const { room } = message;
  const gridAt = (place: Place): Mark[] => {
    const at = within(place);
    return [...frameMarks(item, at, FRAME), ...letterMarks(item, at, at.cell * LETTER, BLACK, type)];
  };
  if (part === 'left' || !list.length)
    return [...marks, ...message.marks, ...gridAt(gridAlone(sizeOf(item), room, largestAlone(context)))];
  const widest = options.shown === 'words' ? widestOf(list, context) : 0;
  const page = gridWithList(sizeOf(item), list, room, context, {
    leastColumn: Math.max(LEAST_COLUMN, widest),
    ...(options.place === 'beside' || options.place === 'below' ? { place: options.place } : {}),
    large: LARGE_CELL,
  });
  if (!page) throw new RangeError('There is no room for the words of the puzzle on this page.');
  return [...marks, ...message.marks, ...gridAt(page), ...page.marks];
}

const widths = new WeakMap<readonly string[], Map<string, number>>();

/**
 * Width of the longest word with its ring, in ems: of all words that the section may use, so that its pages are laid out alike,
 * and of those of this puzzle, which may be pinned.
 */
function widestOf(
  list: readonly Listed[],
  { type, faces, options, resources }: DrawContext<WordSearchOptions, SearchItem>,
): number {
  const widest = (texts: readonly string[]) =>
    texts.reduce((most, text) => Math.max(most, type.width(text, faces.text, 1)), 0);
  const longest = Math.max(options.columns, options.rows);
  const ofSource = listsOf(options, resources).map(({ words }) => {
    const kept = widths.get(words) ?? new Map<string, number>();
    widths.set(words, kept);
    const key = `${faces.text} ${options.capitals} ${longest}`;
    let width = kept.get(key);
    if (width === undefined) {
      const usable = usableWords(words).filter(({ letters }) => letters.length <= longest);
      width = widest(usable.map((word) => shownAs(word, options)));
      kept.set(key, width);
    }
    return width;
  });
  return Math.max(widest(list.map(({ text }) => text)), ...ofSource) + RINGED;
}
/** What a ring and the gap to the next column take, in ems. */
const RINGED = 1.8;

/** Larger cells than this do not make a page better, in points at 6 × 9 in. */
const LARGE_CELL = 34;

/** The grid small, with its words shown. */
export function drawWordSearchSolution(
  placed: PlacedItem<SearchItem>,
  box: Rect,
  context: SolutionContext<WordSearchOptions>,
): Mark[] {
  const { item } = placed;
  const size = sizeOf(item);
  return solutionInBox(placed, box, context, {
    width: (room) => cellIn(size, room.width, room.height) * size.columns,
    draw: (room) => answerMarks(item, within(gridAlone(size, room)), context),
  });
}

function answerMarks(
  item: SearchItem,
  place: Place,
  { options, type }: SolutionContext<WordSearchOptions>,
): Mark[] {
  const { search } = item;
  const { x, y, cell } = place;
  const middle = (at: number): [number, number] => [
    x + ((at % search.columns) + 0.5) * cell,
    y + (Math.floor(at / search.columns) + 0.5) * cell,
  ];
  const size = Math.max(cell * LETTER, Math.min(LEAST_LETTER, cell * WIDEST_LETTER));
  const ways = search.placements.map((one) => cellsOf(one, search.columns));
  const own = new Set([...ways.flat(), ...search.message]);
  const marks: Mark[] = [];
  const paint = { gray: 0.25 };
  for (const cells of ways) {
    const [x1, y1] = middle(cells[0]!);
    const [x2, y2] = middle(cells.at(-1)!);
    if (options.answer === 'outlines')
      marks.push({
        type: 'path',
        path: capsulePath(x1, y1, x2, y2, cell * 0.42),
        stroke: { width: RING, paint },
      });
    if (options.answer === 'strokes')
      marks.push({
        type: 'path',
        path: linePath(x1, y1, x2, y2),
        stroke: { width: cell * 0.62, paint: { gray: 0.8 }, cap: 'round' },
      });
  }
  marks.push(...frameMarks(item, place, RING));
  if (options.answer === 'letters') {
    search.letters.forEach((letter, at) => {
      if (letter === null || own.has(at)) return;
      const [cx, cy] = middle(at);
      marks.push({ type: 'path', path: ellipsePath(cx, cy, Math.max(0.45, cell * 0.06)), fill: OTHERS });
    });
  } else marks.push(...letterMarks(item, place, size, OTHERS, type, (at) => !own.has(at)));
  marks.push(...letterMarks(item, place, size, BLACK, type, (at) => own.has(at)));
  return marks;
}
