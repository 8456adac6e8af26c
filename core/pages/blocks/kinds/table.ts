import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import type { Mark } from '../../../scene/index.ts';
import { enumOf, exactObject, integerBetween, numberBetween, text } from '../../../schema.ts';
import { points } from '../../paper/settings.ts';
import { defineBlock, words as shortText, wordList } from '../block.ts';
import { face } from '../icons.ts';
import {
  boxed,
  centered,
  checkBox,
  label,
  labelWidth,
  leastLabelWidth,
  leastWordsWidth,
  namesSize,
  type Pen,
  rule,
  size,
  sizes,
  TITLE,
  title,
  words,
} from '../pen.ts';
import { cutLines } from './cut.ts';
import { LEAST_LINE, shared } from './field.ts';

const column = exactObject({
  label: text(0, 24),
  width: v.optional(numberBetween(0.1, 20), 1),
  kind: v.optional(enumOf(['text', 'number', 'money', 'check', 'time', 'faces', 'times']), 'text'),
});
type Column = v.InferOutput<typeof column>;

const ROW = 2;
const HEADER = 2;
/** What a column that is ticked needs, in millimeters. */
const LEAST_TICK = 5.5;
/** What five faces need, in millimeters. */
const LEAST_FACES = 24;
/** Between a heading and the edge of its column: so many millimeters, or such a share of the column, what is less. */
const INSET = { most: 1.2, share: 0.08 };

const headingWidth = (width: number, pen: Pen): number =>
  width - 2 * Math.min(size(pen, INSET.most), width * INSET.share);
/** The least width of a column whose heading takes so much. */
const underHeading = (wide: number, pen: Pen): number =>
  Math.min(wide + 2 * size(pen, INSET.most), wide / (1 - 2 * INSET.share));

/** Rows of columns to fill in; rows may be named. */
export const table = defineBlock({
  type: 'table',
  name: 'Table',
  fresh: { columns: [{ label: 'What', width: 3 }, { label: 'How much' }] },
  entries: {
    title: shortText(),
    remark: shortText(80),
    columns: v.pipe(v.array(column), v.minLength(1), v.maxLength(16)),
    /** Names of the rows, in a column before the others. */
    rows: v.optional(wordList(40), []),
    rowsLabel: shortText(24),
    rowsWidth: v.optional(numberBetween(0.1, 20), 1.6),
    lines: v.optional(integerBetween(1, 60), 4),
    most: v.optional(integerBetween(1, 60)),
    /** A heavier line after so many rows; 0 for none. */
    strong: v.optional(integerBetween(0, 20), 0),
    foot: shortText(24),
  },
  least: ({ title: said, rows, lines, foot }) =>
    (said ? TITLE : 0) + HEADER + ROW * ((rows.length || lines) + (foot ? 1 : 0)),
  step: ({ rows }) => (rows.length ? 0 : ROW),
  cut: {
    rows: ({ rows, lines }) => rows.length || lines,
    at(block, at) {
      const { rows } = block;
      const [first, rest] = rows.length
        ? [
            { ...block, rows: rows.slice(0, at) },
            { ...block, rows: rows.slice(at), title: '', remark: '', after: at },
          ]
        : cutLines(block, at, { title: '', remark: '' });
      return [{ ...first, foot: '' }, rest];
    },
  },
  most: ({ title: said, most, foot }) =>
    most ? (said ? TITLE : 0) + HEADER + ROW * (most + (foot ? 1 : 0)) : Infinity,
  draw(block, rect, pen) {
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const rowHeight = ROW * pen.unit;
    const fitting = Math.floor((rect.y + rect.height - top - HEADER * pen.unit) / rowHeight + 1e-6);
    const foot = block.foot ? 1 : 0;
    const count = block.rows.length || Math.min(fitting - foot, block.most ?? Infinity);
    const placed = columnsOf(block, rect, pen);
    const set = namesSize(pen, block.rows, nameWidth(placed[0]!, pen));
    const header = { x: rect.x, y: top, width: rect.width, height: HEADER * pen.unit };
    const body = { x: rect.x, y: top + header.height, width: rect.width, height: (count + foot) * rowHeight };
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...grounds(pen, header, body, count, foot),
      ...headings(pen, header, placed),
      ...Array.from({ length: count }, (_, i) =>
        cellsOf(pen, placed, { said: block.rows[i] ?? '', size: set }, body.y + i * rowHeight, rowHeight),
      ).flat(),
      ...lines(pen, header, body, placed, {
        count,
        foot,
        footEnd: block.foot ? rect.x + size(pen, 2.5) + labelWidth(pen, block.foot) : 0,
        strong: block.strong,
        after: block.after ?? 0,
        rowHeight,
      }),
      ...(block.foot
        ? label(pen, block.foot, {
            x: rect.x + size(pen, 1.5),
            y: centered(pen, body.y + (count + 0.5) * rowHeight),
            width: rect.width / 2,
          })
        : []),
    ];
  },
  tooSmall(block, rect, pen) {
    for (const { of, width } of columnsOf(block, rect, pen)) {
      if (width < leastColumnWidth(of)) return `the column “${of.label}”`;
      if (of.label && label(pen, of.label, { x: 0, y: 0, width: headingWidth(width, pen) }).length === 0)
        return `the heading “${of.label}”`;
    }
    return null;
  },
});

/** What is filled in needs so much, in points. */
const leastColumnWidth = ({ kind }: Column): number =>
  points(kind === 'check' ? LEAST_TICK : kind === 'faces' ? LEAST_FACES : LEAST_LINE, 'mm');

/** The columns at their places, that of the names of rows before the others. */
function columnsOf(
  {
    rows,
    rowsLabel,
    rowsWidth,
    columns,
  }: { rows: string[]; rowsLabel: string; rowsWidth: number; columns: Column[] },
  rect: Rect,
  pen: Pen,
): Placed {
  const all: (Column & { named?: true })[] = [
    ...(rows.length
      ? [{ label: rowsLabel, width: rowsWidth, kind: 'text' as const, named: true as const }]
      : []),
    ...columns,
  ];
  const least = (of: Column & { named?: true }): number => {
    const said = underHeading(leastLabelWidth(pen, of.label, sizes(pen).label * 0.95), pen);
    const names = of.named ? rows.map((name) => leastWordsWidth(pen, name) + size(pen, 2)) : [];
    return Math.max(leastColumnWidth(of), said, ...names);
  };
  return shared(all, rect, 0, pen.leastWidths ? least : null);
}

type Placed = { of: Column & { named?: true }; x: number; width: number }[];

function grounds(pen: Pen, header: Rect, body: Rect, count: number, foot: number): Mark[] {
  const { table: how } = pen.look;
  const radius = how === 'zebra' ? Math.min(pen.look.radius * pen.scale, header.height / 2) : 0;
  const row = body.height / (count + foot);
  if (how === 'zebra')
    return [
      boxed(pen, header, { fill: 0.86, weight: 0, radius }),
      ...Array.from({ length: Math.floor(count / 2) }, (_, i) =>
        boxed(
          pen,
          { ...body, y: body.y + (2 * i + 1) * row, height: row },
          { fill: 0.95, weight: 0, radius: 0 },
        ),
      ),
    ];
  return [];
}

function headings(pen: Pen, { y, height }: Rect, placed: Placed): Mark[] {
  const own = sizes(pen);
  return placed.flatMap(({ of, x, width }, i) => {
    const inset = size(pen, INSET.most);
    const left = of.named || (i === 0 && of.kind === 'text');
    return label(pen, of.label, {
      x: left ? x + (pen.look.table === 'lines' ? size(pen, 0.6) : inset) : x + width / 2,
      y: centered(pen, y + height / 2),
      width: headingWidth(width, pen),
      align: left ? 'left' : 'center',
      size: own.label * 0.95,
    });
  });
}

/** Of the name of a row in its column. */
const nameWidth = ({ width }: Placed[number], pen: Pen): number => width - size(pen, 2);

function cellsOf(
  pen: Pen,
  placed: Placed,
  name: { said: string; size: number },
  y: number,
  height: number,
): Mark[] {
  const middle = y + height / 2;
  const own = sizes(pen);
  return placed.flatMap((column) => {
    const { of, x, width } = column;
    if (of.named)
      return words(pen, name.said, {
        x: x + size(pen, 1),
        y: centered(pen, middle, own.text),
        width: nameWidth(column, pen),
        size: name.size,
      });
    switch (of.kind) {
      case 'check':
        return [checkBox(pen, x + width / 2, middle)];
      case 'times':
        return words(pen, '×', {
          x: x + width / 2,
          y: centered(pen, middle, own.text),
          align: 'center',
          gray: 0.45,
        });
      case 'time':
        return words(pen, ':', {
          x: x + width / 2,
          y: centered(pen, middle, own.text),
          align: 'center',
          gray: 0.35,
        });
      case 'money':
        return words(pen, '.', { x: x + width * 0.68, y: y + height * 0.78, align: 'center', gray: 0.35 });
      case 'faces':
        return Array.from({ length: 5 }, (_, i) =>
          face(x + (width * (i + 0.5)) / 5, middle, Math.min(size(pen, 4), (width / 5) * 0.86), i / 4),
        ).flat();
      default:
        return [];
    }
  });
}

function lines(
  pen: Pen,
  header: Rect,
  body: Rect,
  placed: Placed,
  {
    count,
    foot,
    footEnd,
    strong,
    after,
    rowHeight,
  }: { count: number; foot: number; footEnd: number; strong: number; after: number; rowHeight: number },
): Mark[] {
  const { table: how } = pen.look;
  const [left, right] = [body.x, body.x + body.width];
  const level = (y: number, width: number, gray: number) => rule([left, y], [right, y], width, gray);
  const bottom = body.y + body.height;
  const marks: Mark[] = [];
  for (let i = 1; i < count + foot; i++) {
    const y = body.y + i * rowHeight;
    const heavy = (strong > 0 && (after + i) % strong === 0) || (foot > 0 && i === count);
    if (how === 'gaps')
      for (const { x, width } of placed)
        marks.push(
          rule(
            [x + size(pen, 0.8), y],
            [x + width - size(pen, 0.8), y],
            heavy ? 0.9 : 0.75,
            heavy ? 0.1 : 0.5,
          ),
        );
    else if (how === 'lines' || heavy) marks.push(level(y, heavy ? 0.9 : 0.75, heavy ? 0 : 0.5));
  }
  if (how === 'gaps') {
    for (const { x, width } of placed)
      for (const [y, weight] of [
        [body.y, 0.9],
        [bottom, 0.75],
      ] as const)
        marks.push(rule([x + size(pen, 0.8), y], [x + width - size(pen, 0.8), y], weight, 0.15));
    return marks;
  }
  for (const { x } of placed.slice(1))
    marks.push(
      rule(
        [x, how === 'zebra' ? body.y : header.y + header.height * 0.25],
        // Lines between columns stop where the word at the foot stands.
        [x, x < footEnd ? bottom - rowHeight : bottom],
        0.75,
        0.5,
      ),
    );
  if (how === 'zebra')
    marks.push(boxed(pen, { ...header, height: header.height + body.height }, { weight: 0.9, gray: 0.3 }));
  else marks.push(level(header.y + header.height, 0.9, 0), level(bottom, 0.9, 0));
  return marks;
}
