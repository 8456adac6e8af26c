import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { BLACK, type FittedText, fitText, fittedLines, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { dealt, type ListedText, ORDERS, type Order, readTexts, toldTwice } from '../../text-lists/index.ts';
import { roundedRect, rule, sprig } from '../blocks/pen.ts';
import { type DrawContext, defineKind, type ItemProblem, type Unit } from '../kind.ts';
import { matterRoom } from '../matter/prose.ts';
import { oneLine } from '../paper/one-line.ts';

const STYLES = {
  plain: 'In the middle',
  quotation: 'Quotation, between marks',
  framed: 'In a frame',
  numbered: 'Numbered, from the left',
} as const;

const options = exactObject({
  list: setting(text(0, 100_000), '', {
    label: 'Texts',
    help: 'A line for each. Who said it comes after a tab or an upright bar: Keep the bees | Old saying.',
    control: 'texts',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', { label: 'Order', values: ORDERS }),
  perPage: setting(integerBetween(1, 12), 1, { label: 'Texts on a page' }),
  style: setting(enumOf(Object.keys(STYLES) as (keyof typeof STYLES)[]), 'plain', {
    label: 'Style',
    values: STYLES,
  }),
  largest: setting(integerBetween(10, 48), 22, { label: 'Largest type', unit: 'pt' }),
  smallest: setting(integerBetween(8, 30), 11, { label: 'Smallest type', unit: 'pt' }),
  lines: setting(v.boolean(), false, { label: 'Lines to write on below each' }),
});
type Options = v.InferOutput<typeof options>;

interface OnPage {
  /** Each with its place in the order, from 1. */
  texts: (ListedText & { place: number })[];
}

type Room = Omit<DrawContext<Options, never>, 'items' | 'resources' | 'book' | 'hyphenate'>;

const onPage = ({ data }: Unit): OnPage => data as OnPage;

/** Room between texts, and within a frame, in points at 6 × 9 in. */
const BETWEEN = 14;
const INSET = 12;
/** Of its cell, what a text may take where there are lines below it. */
const WITH_LINES = 0.42;
const LEADING = 1.3;

/** The box of each text of a page. */
function cellsOf(context: Room): Rect[] {
  const room = matterRoom(context);
  const { perPage } = context.options;
  const gap = BETWEEN * context.frame.grid.typeScale;
  const height = (room.height - gap * (perPage - 1)) / perPage;
  return Array.from({ length: perPage }, (_, i) => ({ ...room, y: room.y + i * (height + gap), height }));
}

interface Placed {
  fitted: FittedText;
  /** Of the words, and of what is below them. */
  box: Rect;
  credit: number;
}

function placed(context: Room, { text: said, credit }: ListedText, cell: Rect): Placed {
  const { options: chosen, type, faces, frame } = context;
  const scale = frame.grid.typeScale;
  const inset = chosen.style === 'framed' ? INSET * scale : 0;
  const left = chosen.style === 'numbered' ? 30 * scale : 0;
  const width = (cell.width - 2 * inset - left) * (left ? 1 : 0.9);
  const below = credit ? 20 * scale : 0;
  const free = cell.height - 2 * inset - below - (chosen.style === 'quotation' ? 26 * scale : 0);
  const height = free * (chosen.lines ? WITH_LINES : 1);
  const [min, max] = [Math.min(chosen.smallest, chosen.largest), chosen.largest];
  const fitted = fitText(
    type,
    said,
    faces.text,
    { width, height },
    { max: Math.max(min, max * scale), min, lines: 40, leading: LEADING },
  );
  const x = cell.x + inset + left + (left ? 0 : (cell.width - 2 * inset - width) / 2);
  const whole = fitted.height + below;
  const top = chosen.lines ? cell.y + inset : cell.y + (cell.height - whole) / 2;
  return {
    fitted,
    credit: below,
    box: { x, y: top + (chosen.style === 'quotation' ? 13 * scale : 0), width, height: whole },
  };
}

function textMarks(context: Room, one: OnPage['texts'][number], cell: Rect): Mark[] {
  const { options: chosen, type, faces, frame } = context;
  const { pitch, typeScale: scale } = frame.grid;
  const { fitted, box, credit } = placed(context, one, cell);
  if (!fitted.fits) return [];
  const numbered = chosen.style === 'numbered';
  const baseline = box.y + type.capHeight(faces.text) * fitted.size;
  const at = numbered ? box.x : box.x + box.width / 2;
  const small = Math.max(8, 10 * scale);
  const end = box.y + fitted.height;
  const name = one.credit
    ? oneLine(
        type,
        one.credit,
        { face: faces.text, size: small },
        { x: at, y: end + credit * 0.72, width: box.width, align: numbered ? 'left' : 'center' },
      )
    : null;
  const marks: Mark[] = [
    ...fittedLines(type, fitted, { face: faces.text }, at, baseline, numbered ? 'left' : 'center'),
    ...(name ? [name] : []),
  ];
  if (numbered)
    marks.push(
      textLine(
        type,
        String(one.place),
        { face: faces.display, size: Math.max(12, 16 * scale), color: BLACK },
        cell.x + 22 * scale,
        baseline,
        'right',
      ),
    );
  if (chosen.style === 'quotation')
    marks.push(
      textLine(
        type,
        '“',
        { face: faces.display, size: 40 * scale, color: { gray: 0.45 } },
        cell.x + cell.width / 2,
        box.y + 2 * scale,
        'center',
      ),
    );
  if (chosen.style === 'framed')
    marks.push({
      type: 'path',
      path: roundedRect({ x: cell.x + 1, y: cell.y + 1, width: cell.width - 2, height: cell.height - 2 }, 8),
      stroke: { width: 1, paint: { gray: 0.3 } },
    });
  if (chosen.lines) {
    const bottom = cell.y + cell.height - (chosen.style === 'framed' ? INSET * scale : 1);
    const top = box.y + box.height + 6 * scale;
    const count = Math.max(0, Math.floor((bottom - top) / pitch + 1e-6));
    const inset = chosen.style === 'framed' ? INSET * scale : 1;
    for (let i = 0; i < count; i++)
      marks.push(
        rule(
          [cell.x + inset, bottom - i * pitch],
          [cell.x + cell.width - inset, bottom - i * pitch],
          0.75,
          0.55,
        ),
      );
  }
  return marks;
}

function draw(context: Room): Mark[] {
  const cells = cellsOf(context);
  const { texts } = onPage(context.unit);
  const { frame, options: chosen } = context;
  const length = 30 * frame.grid.typeScale;
  return texts.flatMap((one, i) => {
    const cell = cells[i]!;
    const middle = cell.x + cell.width / 2;
    const y = cell.y - (BETWEEN * frame.grid.typeScale) / 2;
    // Texts in the middle of the page are told apart by a small sprig.
    const between =
      i > 0 && chosen.style === 'plain' && !chosen.lines
        ? [
            ...sprig(middle - 3, y, length, -1, length * 0.24),
            ...sprig(middle + 3, y, length, 1, length * 0.24),
          ]
        : [];
    return [...between, ...textMarks(context, one, cell)];
  });
}

const listOf = ({ list }: Options): ListedText[] => readTexts(list);

const SHOWN =
  'What did you notice today that nobody else did?\nWhat would you tell the one you were ten years ago?\nWhich small thing made the day lighter?';

export const textList = defineKind<Options, never>({
  id: 'text-list',
  version: 1,
  name: 'Texts from a list',
  family: 'Journals',
  purpose: 'Prompts, quotations, verses, riddles or facts, so many to a page.',
  samples: [
    {
      name: 'Prompts with lines to write on',
      options: { lines: true, style: 'plain' },
      shown: { list: SHOWN },
    },
    {
      name: 'Quotations',
      options: { style: 'quotation' },
      shown: { list: 'Count your garden by the flowers, never by the leaves that fall. | Old saying' },
    },
    {
      name: 'Facts or riddles, numbered',
      options: { style: 'numbered', perPage: 3, largest: 16 },
      shown: { list: SHOWN },
    },
    {
      name: 'Texts in frames',
      options: { style: 'framed', perPage: 3, largest: 16 },
      shown: { list: SHOWN },
    },
  ],
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  inHouseFaces: () => true,
  options,
  units({ options: chosen, streamKey }) {
    const texts = dealt(listOf(chosen), chosen.order, streamKey).map((one, i) => ({ ...one, place: i + 1 }));
    // An empty list still has a page, which says what is missing.
    return Array.from({ length: Math.max(1, Math.ceil(texts.length / chosen.perPage)) }, (_, page): Unit => {
      const own = texts.slice(page * chosen.perPage, (page + 1) * chosen.perPage);
      return {
        data: { texts: own } satisfies OnPage,
        terms: own.map(({ credit }) => credit),
      };
    });
  },
  draw,
  inspectUnit(context) {
    const { options: chosen, unit } = context;
    const { texts } = onPage(unit);
    if (texts.length === 0)
      return [{ severity: 'fix', message: 'the list is empty. Write a line for each text.' }];
    const cells = cellsOf(context);
    const problems: ItemProblem[] = texts.flatMap((one, i) =>
      placed(context, one, cells[i]!).fitted.fits
        ? []
        : [
            {
              severity: 'fix' as const,
              message: `“${one.text.slice(0, 60)}${one.text.length > 60 ? '…' : ''}” does not fit at ${chosen.smallest} pt. Allow smaller type, put fewer on a page, or shorten it.`,
            },
          ],
    );
    // Told once, on the first page.
    if (texts[0]!.place === 1)
      for (const message of toldTwice(listOf(chosen))) problems.push({ severity: 'look', message });
    return problems;
  },
});
