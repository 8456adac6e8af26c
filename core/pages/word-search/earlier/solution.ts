import type { Rect } from '../../../print/index.ts';
import { STEPS } from '../../../puzzles/word-search/index.ts';
import { BLACK, capsulePath, type Mark, rectPath, textLine } from '../../../scene/index.ts';
import type { PlacedItem, SolutionContext } from '../../kind.ts';
import { gridLetters } from './draw.ts';
import type { WordSearchItem } from './fill.ts';
import type { WordSearchOptions } from './options.ts';
import { puzzleWords } from './puzzle-words.ts';

const LABEL_SIZE = 9.5;
/** Found words are ringed with a line of the least weight that prints well. */
const RING = 0.75;

/** Letters of a crowded grid are kept at this size, in points, as long as they stay apart in their cells. */
const SMALLEST_LETTER = 7;
const WIDEST_SHARE = 0.82;

/** The grid small, every word ringed, under its number and the page of the puzzle. */
export function drawWordSearchSolution(
  { item, displayNumber, page }: PlacedItem<WordSearchItem>,
  box: Rect,
  { language, type }: SolutionContext<WordSearchOptions>,
): Mark[] {
  const { search } = item;
  const labelHeight = LABEL_SIZE * 1.7;
  const cell = Math.min(
    (box.width - 1) / (search.columns + 0.4),
    (box.height - labelHeight - 1) / (search.rows + 0.4),
  );
  const width = cell * search.columns;
  const height = cell * search.rows;
  const grid: Rect = {
    x: box.x + (box.width - width) / 2,
    y: box.y + labelHeight + cell * 0.2,
    width,
    height,
  };
  const frame = {
    x: grid.x - cell * 0.2,
    y: grid.y - cell * 0.2,
    width: width + cell * 0.4,
    height: height + cell * 0.4,
  };
  const middleOf = (column: number, row: number): [number, number] => [
    grid.x + (column + 0.5) * cell,
    grid.y + (row + 0.5) * cell,
  ];
  const rings = search.placements.map((placed): Mark => {
    const [dx, dy] = STEPS[placed.direction];
    const [x1, y1] = middleOf(placed.column, placed.row);
    const [x2, y2] = middleOf(
      placed.column + dx * (placed.length - 1),
      placed.row + dy * (placed.length - 1),
    );
    return {
      type: 'path',
      path: capsulePath(x1, y1, x2, y2, cell * 0.42),
      fill: { gray: 0.86 },
      stroke: { width: RING, paint: { gray: 0.25 } },
    };
  });
  const letterSize = Math.max(cell * 0.68, Math.min(SMALLEST_LETTER, cell * WIDEST_SHARE));
  const style = { face: 'alegreya-sans-bold', size: LABEL_SIZE, color: BLACK } as const;
  const reference = { face: 'alegreya-sans-regular', size: LABEL_SIZE, color: { gray: 0.35 } } as const;
  const label = puzzleWords(language, 'puzzle', { number: displayNumber });
  const onPage = page === null ? '' : puzzleWords(language, 'page', { page });
  return [
    textLine(type, label, style, frame.x, box.y + LABEL_SIZE),
    textLine(type, onPage, reference, frame.x + frame.width, box.y + LABEL_SIZE, 'right'),
    ...rings,
    {
      type: 'path',
      path: rectPath(frame.x, frame.y, frame.width, frame.height),
      stroke: { width: RING, paint: BLACK },
    },
    ...gridLetters(search, grid, letterSize, type),
  ];
}
