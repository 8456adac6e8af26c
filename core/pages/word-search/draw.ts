import type { Rect } from '../../print/index.ts';
import { BLACK, breakLines, linePath, type Mark, textLine } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridAlone, gridWithList, largestAlone, listAlone } from '../puzzle/grid-with-list.ts';
import { type HiddenGrid, hiddenGrid, hiddenSolution, paddedSize, waysOf } from '../puzzle/hidden-grid.ts';
import type { Listed } from '../puzzle/list-columns.ts';
import { aroundPuzzles, clearOfLeft } from '../puzzle/page.ts';
import { listsOf, type Usable, usableWords } from '../puzzle/word-source.ts';
import { cluesOf } from './clues.ts';
import type { SearchItem } from './fill.ts';
import type { WordSearchOptions } from './options.ts';
import { searchWords } from './words.ts';

/** A column of words is no narrower, in ems: ten capitals and a ring. */
const LEAST_COLUMN = 8.4;

const gridOf = ({ search, shape }: SearchItem): HiddenGrid => ({ ...search, outlined: shape !== 'whole' });

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

/** From blank to blank, and from line to line of them, by the width of one. */
const STEP = 1.25;
const BLANK_LEADING = 1.9;
/** From line to line of what is said above them. */
const NOTE_LEADING = 1.25;

/** Blanks for a message at the foot of a room: a line for each letter, words apart. @returns marks, and what is left of the room */
function messageMarks(
  message: string,
  room: Rect,
  { type, faces, frame, language }: DrawContext<WordSearchOptions, SearchItem>,
): { marks: Mark[]; room: Rect } {
  if (!message) return { marks: [], room };
  const scale = frame.grid.typeScale;
  const note = Math.max(8, 9 * scale);
  const words = message
    .split(/\s+/)
    .map((word) => [...word].filter((letter) => /\p{L}/u.test(letter)).length);
  const blank = Math.min(9.5 * scale, room.width / Math.max(1, ...words) / STEP);
  const step = blank * STEP;
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
  const said = breakLines(type, searchWords(language, 'leftOver'), faces.text, note, room.width * 0.99);
  const below = note * (1.6 + (said.length - 1) * NOTE_LEADING);
  const height = below + lines.length * blank * BLANK_LEADING;
  const top = room.y + room.height - height;
  const style = { face: faces.text, size: note, color: BLACK };
  const marks: Mark[] = [
    ...said.map((line, i) =>
      clearOfLeft(textLine(type, line, style, room.x, top + note * (1 + i * NOTE_LEADING)), type),
    ),
  ];
  lines.forEach((counts, line) => {
    let x = room.x;
    const y = top + below + (line + 1) * blank * BLANK_LEADING - blank * 0.3;
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
      rules: options.instructions ? searchWords(language, waysOf(item.directions)) : null,
      subject: item.title,
      levels: [item.level],
    },
    items,
    context,
  );
  const message = messageMarks(item.message, all, context);
  const { room } = message;
  const grid = gridOf(item);
  if (part === 'left' || !list.length)
    return [
      ...marks,
      ...message.marks,
      ...hiddenGrid(grid, gridAlone(paddedSize(grid), room, largestAlone(context)), type),
    ];
  const widest = options.shown === 'words' ? widestOf(list, context) : 0;
  const page = gridWithList(paddedSize(grid), list, room, context, {
    leastColumn: Math.max(LEAST_COLUMN, widest),
    ...(options.place === 'beside' || options.place === 'below' ? { place: options.place } : {}),
    large: LARGE_CELL,
  });
  if (!page) throw new RangeError('There is no room for the words of the puzzle on this page.');
  return [...marks, ...message.marks, ...hiddenGrid(grid, page, type), ...page.marks];
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

export const drawWordSearchSolution = (
  placed: PlacedItem<SearchItem>,
  box: Rect,
  context: SolutionContext<WordSearchOptions>,
): Mark[] => hiddenSolution(placed, gridOf(placed.item), context.options.answer, box, context);
