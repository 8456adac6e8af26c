import type { Rect } from '../../../print/index.ts';
import { directionOf, fitText, type Typesetter } from '../../../scene/index.ts';
import {
  FRAME_PADDING,
  LIST_FACE,
  type PageLayout,
  type PageToLayOut,
  REFERENCE_SIZE,
  TITLE_FACE,
} from './draw.ts';

/** Sizes of the words of a list, in points. */
const MOST_LIST = 18;
const LEAST_LIST = 8;
const LIST_STEP = 0.5;
/** Between two columns of words, in ems. */
const COLUMN_GAP = 1.1;
const LEADING = 1.42;
/** Lines of a list stand no further apart, however much room there is. */
const MOST_LEADING = 1.9;
const MOST_COLUMNS = 6;
/** A word as room is kept for it before any is known, in ems: ten capitals. One layout then serves all pages of a section. */
const USUAL_WORD = 6.4;
/** Between the grid and a list beside it, in points. */
const BESIDE = 22;
/** Larger cells than this do not make a page better, in points. */
const LARGE_CELL = 40;
/** A list that is set smaller than this takes something from the page, in points. */
const EASY_LIST = 12;

interface ListFit {
  columns: number;
  lines: number;
  size: number;
  height: number;
  width: number;
}

/** Columns whose lines differ by one at most; as many as there are words. */
const evenColumns = (words: number, columns: number): number[] =>
  Array.from({ length: columns }, (_, i) => Math.ceil((words - i) / columns));

/** A list of so many words in so many columns, at a size. @param widest word, in ems */
function listOf(words: number, widest: number, columns: number, size: number): ListFit {
  const lines = Math.ceil(words / columns);
  return {
    ...{ columns, lines, size },
    height: lines * size * LEADING,
    width: columns * (widest + COLUMN_GAP) * size,
  };
}

/** Every way to set a list, the largest type first. */
function* listsOf(words: number, widest: number, max: number): Generator<ListFit> {
  for (let size = max; size >= LEAST_LIST; size -= LIST_STEP)
    for (let columns = 1; columns <= Math.min(MOST_COLUMNS, Math.max(1, words)); columns++)
      yield listOf(words, widest, columns, size);
}

/** How good a page is: large letters, and a list that is easy to read; columns that come out even are a little better. */
const quality = (cell: number, { size, columns }: ListFit, words: number): number =>
  Math.min(cell, LARGE_CELL) * Math.min(1, (size / EASY_LIST) ** 0.6) * (words % columns === 0 ? 1.02 : 1);

/**
 * The largest type at which the words fit a box; of two ways with the same, the one whose columns come out even. Null
 * where they fit in no way.
 */
function fittedList(
  words: readonly string[],
  box: { width: number; height: number },
  max: number,
  type: Typesetter,
) {
  const widest = Math.max(0, ...words.map((word) => type.width(word, LIST_FACE, 1)));
  let best: ListFit | null = null;
  for (const list of listsOf(words.length, widest, max)) {
    if (best && list.size < best.size) break;
    if (list.width > box.width + 1e-6 || list.height > box.height + 1e-6) continue;
    const even = ({ columns }: ListFit) => (words.length % columns === 0 ? 1 : 0);
    if (!best || even(list) > even(best) || (even(list) === even(best) && list.columns > best.columns))
      best = list;
  }
  return best ?? null;
}

/** Places of the words in a box: columns spread over its width, the first where they begin to be read, lines from its top. */
function placesIn(box: Rect, words: readonly string[], list: ListFit): { x: number; y: number }[] {
  const leading = Math.min(list.size * MOST_LEADING, box.height / list.lines);
  const column = box.width / list.columns;
  const toTheLeft = directionOf(words[0] ?? '') === 'rtl';
  return evenColumns(words.length, list.columns).flatMap((lines, i) =>
    Array.from({ length: lines }, (_, line) => ({
      x: box.x + ((toTheLeft ? list.columns - 1 - i : i) + 0.5) * column,
      y: box.y + line * leading + list.size,
    })),
  );
}

/**
 * The grid as large as it can be beside or above its list, whichever gives the larger letters. Room for the list is kept
 * by the settings of the section, so that the grid is the same on all of its pages; a list that needs more gets it.
 */
export function wordSearchLayout(page: PageToLayOut): PageLayout {
  const max = mostOf(page);
  const best = bestWay(page);
  // Long words may need more than is kept for usual ones: then the list gets more, step by step.
  for (let more = 1; best && more < 4; more += 0.25) {
    const { layOut, list } = best;
    const layout = layOut({ ...list, width: list.width * more, height: list.height * more }, page, max);
    if (layout) return layout;
  }
  throw new RangeError('There is no room for the words of the puzzle on this page.');
}

const mostOf = ({ body }: PageToLayOut): number => Math.min(MOST_LIST, Math.max(10, body.width / 27));

interface Way {
  layOut: (reserved: ListFit, page: PageToLayOut, max: number) => PageLayout | null;
  list: ListFit;
}

/** The way of the section at hand: every one of its pages asks for it. */
let lastWay: { key: string; way: Way | null } | null = null;

/** The better of both ways for pages of this room, with the list that room is kept for; null where there is none. */
function bestWay(page: PageToLayOut): Way | null {
  const { body, search, wordsPerPuzzle, referred } = page;
  const key = [body.width, body.height, search.columns, search.rows, wordsPerPuzzle, referred].join(' ');
  if (lastWay?.key === key) return lastWay.way;
  let way: Way | null = null;
  let highest = 0;
  for (const how of [below, beside])
    for (const list of listsOf(wordsPerPuzzle, USUAL_WORD, mostOf(page))) {
      const cell = how.cellFor(page, list);
      const worth = quality(cell, list, wordsPerPuzzle);
      if (cell <= 0 || worth <= highest) continue;
      highest = worth;
      way = { list, layOut: (reserved, asked, max) => how.layOut(asked, reserved, max) };
    }
  lastWay = { key, way };
  return way;
}

/** The largest cell of a grid in a room. */
const cellIn = (width: number, height: number, { search }: PageToLayOut): number =>
  Math.min((width - 1) / (search.columns + FRAME_PADDING), (height - 1) / (search.rows + FRAME_PADDING));

const outerOf = (cell: number, { search }: PageToLayOut) => ({
  width: cell * (search.columns + FRAME_PADDING),
  height: cell * (search.rows + FRAME_PADDING),
});

const referenceHeight = ({ referred }: PageToLayOut): number => (referred ? REFERENCE_SIZE * 2 : 0);

/** Title, grid, list, one below the other. */
const below = {
  titleSize: ({ body }: PageToLayOut) => Math.min(26, Math.max(16, body.width / 19)),

  /** Height of everything but grid and list. */
  taken(page: PageToLayOut): number {
    return this.titleSize(page) * 2.4 + referenceHeight(page);
  },

  cellFor(page: PageToLayOut, list: ListFit): number {
    if (list.width > page.body.width) return 0;
    return cellIn(page.body.width, page.body.height - this.taken(page) - list.height, page);
  },

  layOut(page: PageToLayOut, reserved: ListFit, max: number): PageLayout | null {
    const { body, name, words, type } = page;
    const cell = cellIn(body.width, body.height - this.taken(page) - reserved.height, page);
    if (cell <= 0) return null;
    const outer = outerOf(cell, page);
    const spare = body.height - this.taken(page) - outer.height;
    // What a wide grid leaves goes to its list first.
    const room = Math.max(reserved.height, Math.min(spare, reserved.height * 1.6));
    const list = fittedList(words, { width: body.width, height: room }, max, type);
    if (!list) return null;
    const height = Math.min(room, list.lines * list.size * MOST_LEADING);
    // By the room that is kept, not by this list, so that the grid stands at the same height on every page.
    const slack = Math.max(0, spare - room);
    const middle = body.x + body.width / 2;
    const titleSize = this.titleSize(page);
    const title = fitText(
      type,
      name,
      TITLE_FACE,
      { width: body.width, height: titleSize },
      { max: titleSize, min: 9, lines: 1 },
    );
    const top = body.y + slack * 0.2;
    const frame = { x: middle - outer.width / 2, y: top + titleSize * 1.6 + slack * 0.1, ...outer };
    const listTop = frame.y + outer.height + titleSize * 0.8 + slack * 0.15;
    // As wide as the grid, if the words allow it, so that both stand as one.
    const width = Math.min(body.width, Math.max(outer.width, list.width));
    return {
      frame,
      cell,
      title: { lines: [title.lines[0] ?? name], size: title.size, leading: 0, x: middle, y: top + titleSize },
      listSize: list.size,
      listed: placesIn({ x: middle - width / 2, y: listTop, width, height }, words, list),
      reference: { x: middle, y: body.y + body.height - 2 },
    };
  },
};

/** The grid at the left, title and list at its right. */
const beside = {
  TITLE_LINES: 3,

  cellFor({ body, ...page }: PageToLayOut, list: ListFit): number {
    const titleHeight = 22 * 1.2 * 2;
    if (list.height > body.height - titleHeight - referenceHeight({ body, ...page })) return 0;
    return cellIn(body.width - list.width - BESIDE, body.height, { body, ...page });
  },

  layOut(page: PageToLayOut, reserved: ListFit, max: number): PageLayout | null {
    const { body, name, words, type } = page;
    const cell = cellIn(body.width - reserved.width - BESIDE, body.height, page);
    if (cell <= 0) return null;
    const outer = outerOf(cell, page);
    // Half of the frame's line lies outside of it.
    const side = body.width - 1 - outer.width - BESIDE;
    // The column is no wider than it needs; what is left stands on both sides of the whole.
    const column = Math.min(side, Math.max(reserved.width, 120) * 1.25);
    const left = body.x + 0.5 + (side - column) / 2;
    const middle = left + outer.width + BESIDE + column / 2;
    const title = fitText(
      type,
      name,
      TITLE_FACE,
      { width: column, height: 90 },
      { max: 24, min: 10, lines: this.TITLE_LINES },
    );
    const frame = { x: left, y: body.y + (body.height - outer.height) / 2, ...outer };
    const titleTop = frame.y + title.size;
    const listTop = titleTop + (title.lines.length - 1) * title.leading + title.size * 1.1;
    const foot = frame.y + outer.height - referenceHeight(page);
    const room = { x: middle - column / 2, y: listTop, width: column, height: foot - listTop };
    const list = room.height > 0 ? fittedList(words, room, max, type) : null;
    if (!list) return null;
    return {
      frame,
      cell,
      title: { lines: title.lines, size: title.size, leading: title.leading, x: middle, y: titleTop },
      listSize: list.size,
      listed: placesIn(room, words, list),
      reference: { x: middle, y: frame.y + outer.height - 2 },
    };
  },
};
