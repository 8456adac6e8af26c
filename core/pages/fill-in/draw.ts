import type { Mark } from '../../scene/index.ts';
import type { DrawContext } from '../kind.ts';
import { gridWithList } from '../puzzle/grid-with-list.ts';
import { letterGrid } from '../puzzle/letter-grid.ts';
import type { Listed } from '../puzzle/list-columns.ts';
import { aroundPuzzles } from '../puzzle/page.ts';
import type { FillInItem } from './fill.ts';
import type { FillInOptions } from './options.ts';
import { fillInWords } from './words.ts';

/** Around the widest word of a column, in ems. */
const COLUMN_AIR = 0.6;

/** The words under their lengths. */
function listed({ words }: FillInItem, language: DrawContext<never, never>['language']): Listed[] {
  const lengths = [...new Set(words.map(({ letters }) => letters.length))].sort((a, b) => a - b);
  return lengths.flatMap((count): Listed[] => [
    { heading: true, text: fillInWords(language, 'length', { count }) },
    ...words
      .filter(({ letters }) => letters.length === count)
      .map(({ word }) => ({ text: word.toLocaleUpperCase('en') })),
  ]);
}

export function drawFillInPage(context: DrawContext<FillInOptions, FillInItem>): Mark[] {
  const { items, options, language, type, faces } = context;
  const [placed] = items;
  if (!placed) return [];
  const { item } = placed;
  const rules = options.instructions ? fillInWords(language, 'rules') : null;
  const title = fillInWords(language, 'fillIn');
  const { marks, room } = aroundPuzzles({ title, rules, subject: item.title }, items, context);
  if (!item.words.length) return marks;
  const list = listed(item, language);
  const widest = Math.max(
    ...list.map(({ text, heading }) => type.width(text, heading ? faces.display : faces.text, 1)),
  );
  const page = gridWithList(item, list, room, context, { leastColumn: widest + COLUMN_AIR });
  if (!page) throw new RangeError('There is no room for the words of the puzzle on this page.');
  const given = new Set(item.given);
  const shown = item.letters.map((letter, at) => (given.has(at) ? letter : null));
  return [...marks, ...letterGrid(item, page, { ...options, shown }, type), ...page.marks];
}
