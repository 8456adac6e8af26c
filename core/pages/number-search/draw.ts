import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { DIRECTION_SETS } from '../../puzzles/word-search/index.ts';
import type { Mark } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { gridWithList } from '../puzzle/grid-with-list.ts';
import { type HiddenGrid, hiddenGrid, hiddenSolution, paddedSize, waysOf } from '../puzzle/hidden-grid.ts';
import { aroundPuzzles } from '../puzzle/page.ts';
import type { WordSearchItem } from '../word-search/earlier/fill.ts';
import type { NumberSearchOptions } from './fill.ts';
import { numberWords } from './words.ts';

/** Its figures are of one height and told apart at a glance. */
const DIGITS: FaceId = 'atkinson-hyperlegible-regular';
/** A column of numbers is no narrower, in ems: eight digits and a ring. */
const LEAST_COLUMN = 6.5;
/** Larger cells than this do not make a page better, in points at 6 × 9 in. */
const LARGE_CELL = 34;

const gridOf = ({ search }: WordSearchItem): HiddenGrid => ({ ...search, outlined: false, face: DIGITS });

export function drawNumberSearchPage(context: DrawContext<NumberSearchOptions, WordSearchItem>): Mark[] {
  const { items, options, type, language } = context;
  const [placed] = items;
  if (!placed) return [];
  const { marks, room } = aroundPuzzles(
    {
      title: numberWords(language, 'title'),
      rules: options.instructions ? numberWords(language, waysOf(DIRECTION_SETS[options.directions])) : null,
    },
    items,
    context,
  );
  const grid = gridOf(placed.item);
  const list = placed.item.words.map(({ word }) => ({ text: word, ring: true as const }));
  const page = gridWithList(paddedSize(grid), list, room, context, {
    leastColumn: LEAST_COLUMN,
    large: LARGE_CELL,
  });
  if (!page) throw new RangeError('There is no room for the numbers of the puzzle on this page.');
  return [...marks, ...hiddenGrid(grid, page, type), ...page.marks];
}

export const drawNumberSearchSolution = (
  placed: PlacedItem<WordSearchItem>,
  box: Rect,
  context: SolutionContext<NumberSearchOptions>,
): Mark[] => hiddenSolution(placed, gridOf(placed.item), context.options.answer, box, context);
