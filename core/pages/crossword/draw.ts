import type { Rect } from '../../print/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import type { Mark } from '../../scene/index.ts';
import type { DrawContext, PlacedItem } from '../kind.ts';
import { gridAlone, gridWithList, largestAlone, listAlone } from '../puzzle/grid-with-list.ts';
import { letterGrid } from '../puzzle/letter-grid.ts';
import type { Listed } from '../puzzle/list-columns.ts';
import { aroundPuzzles, boxesIn, caption, captionHeight, GAP } from '../puzzle/page.ts';
import { countsOf } from './counts.ts';
import { drawArrowWords } from './draw-arrows.ts';
import type { Asked, CrosswordItem } from './fill.ts';
import type { CrosswordOptions } from './options.ts';
import { crosswordWords } from './words.ts';

/** A column of clues is no narrower, in ems. */
const LEAST_COLUMN = 9;

function clueTexts(
  asked: readonly Asked[],
  { counts }: CrosswordOptions,
  language: PrintedLanguage,
): Listed[] {
  const under = (isAcross: boolean): Listed[] => {
    const some = asked.filter(({ across }) => across === isAcross);
    if (!some.length) return [];
    return [
      { heading: true, text: crosswordWords(language, isAcross ? 'across' : 'down') },
      ...some.map(({ number, clue, word }) => ({
        number,
        text: [clue, ...(counts ? [countsOf(word)] : [])].filter(Boolean).join(' ') || '…',
      })),
    ];
  };
  return [...under(true), ...under(false)];
}

/** Numbers of the cells at which words begin, by place. */
const numbersOf = ({ asked }: CrosswordItem): Map<number, string> =>
  new Map(asked.map(({ cells, number }) => [cells[0]!, String(number)]));

export function drawCrosswordPage(context: DrawContext<CrosswordOptions, CrosswordItem>): Mark[] {
  const { items, options, language, part, body, type } = context;
  const [placed] = items;
  if (!placed) return [];
  const { item } = placed;
  if (part === 'right') return listAlone(clueTexts(item.asked, options, language), body, context);
  const hasArrows = options.clueSide === 'grid';
  const title = crosswordWords(language, hasArrows ? 'arrowWords' : 'crossword');
  const rules = hasArrows ? crosswordWords(language, 'arrowRules') : null;
  const { marks, room } = aroundPuzzles({ title, rules }, items, context);
  if (items.every((one) => !one.item.asked.length)) return marks;
  if (part === 'left')
    return [
      ...marks,
      ...letterGrid(
        item,
        gridAlone(item, room, largestAlone(context)),
        { ...options, corners: numbersOf(item) },
        type,
      ),
    ];
  if (options.perPage === 1) return [...marks, ...withClues(placed, room, context)];
  const above = captionHeight(context);
  const boxes = boxesIn(room, options.perPage, GAP * context.frame.grid.typeScale);
  return [
    ...marks,
    ...items.flatMap((one, i) => {
      const box = boxes[i]!;
      const below = { ...box, y: box.y + above, height: box.height - above };
      return [
        ...caption(String(one.displayNumber), null, box, context),
        ...(one.item.asked.length ? withClues(one, below, context) : []),
      ];
    }),
  ];
}

/** A grid with its clues in a room. */
function withClues(
  { item }: PlacedItem<CrosswordItem>,
  room: Rect,
  context: DrawContext<CrosswordOptions, CrosswordItem>,
): Mark[] {
  const { options, language, type } = context;
  if (options.clueSide === 'grid') return drawArrowWords(item, room, context);
  const clues = clueTexts(item.asked, options, language);
  const page = gridWithList(item, clues, room, context, { leastColumn: LEAST_COLUMN });
  if (!page) throw new RangeError('There is no room for the clues of the puzzle on this page.');
  return [...letterGrid(item, page, { ...options, corners: numbersOf(item) }, type), ...page.marks];
}
