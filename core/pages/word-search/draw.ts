import type { Rect } from '../../print/index.ts';
import type { WordSearch } from '../../puzzles/word-search/index.ts';
import {
  BLACK,
  type FaceId,
  fitText,
  type Mark,
  rectPath,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import type { DrawContext, PlacedItem } from '../kind.ts';
import type { WordSearchItem } from './fill.ts';
import type { WordSearchOptions } from './options.ts';

const LETTERS: FaceId = 'alegreya-sans-medium';
const LIST: FaceId = 'alegreya-sans-regular';
const TITLE: FaceId = 'alegreya-bold';
const REFERENCE_SIZE = 9;

/** The heading of a puzzle: its number, and its list's title if it has one. */
const puzzleName = (placed: PlacedItem<WordSearchItem>): string =>
  placed.item.title ? `${placed.displayNumber}. ${placed.item.title}` : placed.label;

/** The letters of the grid, centered in their cells, one mark a row. */
export function gridLetters(search: WordSearch, box: Rect, size: number, type: Typesetter): Mark[] {
  const cell = box.width / search.columns;
  const drop = (cell + type.capHeight(LETTERS) * size) / 2;
  const centers = Array.from({ length: search.columns }, (_, column) => box.x + (column + 0.5) * cell);
  return Array.from({ length: search.rows }, (_, row) => ({
    type: 'text',
    text: search.letters.slice(row * search.columns, (row + 1) * search.columns).join(''),
    face: LETTERS,
    size,
    x: box.x,
    y: box.y + row * cell + drop,
    color: BLACK,
    centers,
  }));
}

interface ListLayout {
  columns: number;
  lines: number;
  size: number;
  leading: number;
  height: number;
}

/** Even columns under the grid: the largest type at which every word fits its column. */
function listLayout(words: string[], width: number, type: Typesetter, most: number): ListLayout {
  const at = (size: number): ListLayout => {
    const widest = Math.max(0, ...words.map((word) => type.width(word, LIST, size)));
    const columns = Math.max(1, Math.min(4, Math.floor(width / (widest + size * 1.1))));
    const lines = Math.ceil(words.length / columns);
    return { columns, lines, size, leading: size * 1.42, height: lines * size * 1.42 };
  };
  let layout = at(most);
  while (layout.columns < 3 && layout.size > 8) layout = at(layout.size - 0.5);
  // Columns as even as can be: fifteen words in four columns stand better in three.
  for (let columns = layout.columns; columns >= 3; columns--) {
    if (words.length % columns === 0)
      return {
        ...layout,
        columns,
        lines: words.length / columns,
        height: (words.length / columns) * layout.leading,
      };
  }
  return layout;
}

export function drawWordSearchPage({
  body,
  items,
  type,
}: DrawContext<WordSearchOptions, WordSearchItem>): Mark[] {
  const placed = items[0];
  if (!placed) return [];
  const { item, solutionPage } = placed;
  const { search } = item;
  const middle = body.x + body.width / 2;
  const titleSize = Math.min(26, Math.max(16, body.width / 19));
  const name = puzzleName(placed);
  const title = fitText(
    type,
    name,
    TITLE,
    { width: body.width, height: titleSize },
    { most: titleSize, least: 9, lines: 1 },
  );
  const words = item.words.map(({ word }) => word.toLocaleUpperCase('en'));
  const list = listLayout(words, body.width, type, Math.min(18, Math.max(10, body.width / 27)));
  const referenceHeight = solutionPage ? REFERENCE_SIZE * 2 : 0;
  const titleHeight = titleSize * 1.6;
  const gap = titleSize * 0.8;

  const room = {
    width: body.width - 1,
    height: body.height - titleHeight - list.height - gap - referenceHeight,
  };
  const padding = 0.5;
  const cell = Math.min(room.width / (search.columns + padding), room.height / (search.rows + padding));
  const outer = { width: cell * (search.columns + padding), height: cell * (search.rows + padding) };
  const slack = Math.max(0, room.height - outer.height);
  const top = body.y + titleHeight + Math.min(slack * 0.15, 18);
  const frame: Rect = { x: middle - outer.width / 2, y: top, ...outer };
  const grid: Rect = {
    x: frame.x + (cell * padding) / 2,
    y: frame.y + (cell * padding) / 2,
    width: cell * search.columns,
    height: cell * search.rows,
  };

  const listTop = top + outer.height + gap + Math.min(slack * 0.15, 18);
  const columnWidth = Math.min(body.width, outer.width) / list.columns;
  const listLeft = middle - (columnWidth * list.columns) / 2;
  const listed = words.map((word, i): Mark => {
    const column = Math.floor(i / list.lines);
    const line = i % list.lines;
    const style = { face: LIST, size: list.size, color: BLACK };
    return textLine(
      type,
      word,
      style,
      listLeft + (column + 0.5) * columnWidth,
      listTop + (line + 0.75) * list.leading,
      'center',
    );
  });
  const marks: Mark[] = [
    textLine(
      type,
      title.lines[0] ?? name,
      { face: TITLE, size: title.size, color: BLACK },
      middle,
      body.y + titleSize,
      'center',
    ),
    {
      type: 'path',
      path: rectPath(frame.x, frame.y, frame.width, frame.height),
      stroke: { width: 1, paint: BLACK },
    },
    ...gridLetters(search, grid, cell * 0.68, type),
    ...listed,
  ];
  if (solutionPage) {
    const style = { face: 'alegreya-sans-regular', size: REFERENCE_SIZE, color: { gray: 0.35 } } as const;
    const text = `Solution on page ${solutionPage}`;
    marks.push(textLine(type, text, style, middle, body.y + body.height - 2, 'center'));
  }
  return marks;
}
