import type * as v from 'valibot';
import type { Mark } from '../../scene/index.ts';
import {
  type DrawContext,
  defineKind,
  type ItemProblem,
  type PageKind,
  pageUnits,
  type Unit,
} from '../kind.ts';
import { hasBleed, inkRoom } from './lines.ts';
import { besideColumn } from './side.ts';

type PaperRoom<Options> = Pick<DrawContext<Options, never>, 'frame' | 'body' | 'options'>;

/** What a paper says of itself; a count of pages, alike unless it lays them out itself, and the rest are the same for all. */
export interface Paper<Options>
  extends Partial<Pick<PageKind<Options>, 'version' | 'earlier' | 'later' | 'inHouseFaces' | 'samples'>> {
  id: string;
  name: string;
  purpose: string;
  family: string;
  options: v.GenericSchema<unknown, Options>;
  units?(count: number, options: Options): readonly Unit[];
  draw(context: DrawContext<Options, never>): Mark[];
  /** How many of its lines, cells or staves there are on a page, and what they are called; none is a finding. */
  fits?(context: PaperRoom<Options>): { count: number; of: string };
  /** What to say where less fits than was asked for. */
  short?(context: PaperRoom<Options>): string | null;
}

/** Settings of papers by which something is printed besides lines. */
interface Words {
  heading?: string;
  numbers?: boolean;
  labels?: boolean;
  sideLabel?: string;
}
const hasWords = ({ heading = 'none', numbers, labels, sideLabel = '' }: Words): boolean =>
  heading !== 'none' || numbers === true || labels === true || sideLabel !== '';

/** A kind of page to write or draw on. */
export const definePaper = <Options>({
  units,
  draw,
  fits,
  short,
  ...paper
}: Paper<Options>): PageKind<Options, never> =>
  defineKind<Options, never>({
    version: 1,
    inHouseFaces: (options) => hasWords(options as Words),
    ...paper,
    extent: 'pages',
    defaultCount: 24,
    numbered: true,
    units: ({ count, options }) => units?.(count, options) ?? pageUnits(count, 'paper'),
    draw: (given) => {
      const room = inRoom(given);
      const side = besideColumn(room);
      return side ? [...draw(side.beside), ...side.column(given).marks] : draw(room);
    },
    inspectUnit: (given) => {
      const side = besideColumn(inRoom(given));
      const context = side?.beside ?? inRoom(given);
      const problems: ItemProblem[] = [];
      if (side && !side.column(given).fits)
        problems.push({
          severity: 'look',
          message: 'the words above the side column do not fit. Shorten them, or make the column wider.',
        });
      const room = fits?.(context);
      if (room && room.count < 1)
        problems.push({
          severity: 'fix',
          message: `no ${room.of} fits. Make it smaller, or use a larger trim.`,
        });
      const less = short?.(context);
      if (less) problems.push({ severity: 'look', message: less });
      if ((context.options as { extent?: string }).extent === 'bleed' && !hasBleed(context.frame))
        problems.push({
          severity: 'look',
          message:
            'the grid is to run into the bleed, but the book has none; it ends at the margins. Turn on bleed.',
        });
      return problems;
    },
  });

const inRoom = <Context extends PaperRoom<unknown>>(context: Context): Context => ({
  ...context,
  body: inkRoom(context.body, context.frame.safe, context.options as { weight?: number }),
});
