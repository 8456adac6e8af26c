import type { Rect } from '../../../print/index.ts';
import type { PrintedLanguage } from '../../../printed-words/index.ts';
import type { WordSearch } from '../../../puzzles/word-search/index.ts';
import {
  BLACK,
  directionOf,
  type FaceId,
  type Mark,
  rectPath,
  type Typesetter,
  textLine,
} from '../../../scene/index.ts';
import type { DrawContext, PlacedItem } from '../../kind.ts';
import type { WordSearchItem } from './fill.ts';
import type { WordSearchOptions } from './options.ts';
import { puzzleWords } from './puzzle-words.ts';

const LETTERS: FaceId = 'alegreya-sans-medium';
export const LIST_FACE: FaceId = 'alegreya-sans-regular';
export const TITLE_FACE: FaceId = 'alegreya-bold';
export const REFERENCE_SIZE = 9;

/** The heading of a puzzle: its number, and its list's title if it has one. */
const puzzleName = (
  { item, displayNumber }: PlacedItem<WordSearchItem>,
  language: PrintedLanguage,
): string =>
  item.title ? `${displayNumber}. ${item.title}` : puzzleWords(language, 'puzzle', { number: displayNumber });

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

/** Around the letters, in cells. */
export const FRAME_PADDING = 0.5;

/** What a page has to find room for. */
export interface PageToLayOut {
  body: Rect;
  search: WordSearch;
  name: string;
  words: readonly string[];
  /** Words that a puzzle of the section has, at most. */
  wordsPerPuzzle: number;
  /** The page of the solution is told at the foot. */
  referred: boolean;
  type: Typesetter;
}

/** Where everything on a page stands; words are centered on their place. */
export interface PageLayout {
  /** Round the letters, FRAME_PADDING wider than they are. */
  frame: Rect;
  cell: number;
  title: { lines: readonly string[]; size: number; leading: number; x: number; y: number };
  listSize: number;
  listed: { x: number; y: number }[];
  reference: { x: number; y: number };
}

/** A puzzle, its list and the way to its solution, where a layout puts them. */
export const drawWordSearchPage =
  (layOut: (page: PageToLayOut) => PageLayout) =>
  ({ body, items, options, language, type }: DrawContext<WordSearchOptions, WordSearchItem>): Mark[] => {
    const placed = items[0];
    if (!placed) return [];
    const { item, solutionPage } = placed;
    const { search } = item;
    const words = item.words.map(({ word }) => word.toLocaleUpperCase('en'));
    const name = puzzleName(placed, language);
    const { frame, cell, title, listSize, listed, reference } = layOut({
      ...{ body, search, words, type },
      name,
      wordsPerPuzzle: options.wordsPerPuzzle,
      referred: solutionPage !== null,
    });
    const inset = (cell * FRAME_PADDING) / 2;
    const grid: Rect = {
      x: frame.x + inset,
      y: frame.y + inset,
      width: cell * search.columns,
      height: cell * search.rows,
    };
    const titleStyle = { face: TITLE_FACE, size: title.size, color: BLACK, direction: directionOf(name) };
    const listStyle = { face: LIST_FACE, size: listSize, color: BLACK };
    const marks: Mark[] = [
      ...title.lines.map((line, i) =>
        textLine(type, line, titleStyle, title.x, title.y + i * title.leading, 'center'),
      ),
      {
        type: 'path',
        path: rectPath(frame.x, frame.y, frame.width, frame.height),
        stroke: { width: 1, paint: BLACK },
      },
      ...gridLetters(search, grid, cell * 0.68, type),
      ...words.map((word, i) => textLine(type, word, listStyle, listed[i]!.x, listed[i]!.y, 'center')),
    ];
    if (solutionPage) {
      const style = { face: LIST_FACE, size: REFERENCE_SIZE, color: { gray: 0.35 } } as const;
      const words = puzzleWords(language, 'solution', { page: solutionPage });
      marks.push(textLine(type, words, style, reference.x, reference.y, 'center'));
    }
    return marks;
  };
