import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import { points } from '../../paper/settings.ts';
import { defineBlock } from '../block.ts';
import { boxed, label, leastLabelWidth, type Pen, rule, size, sizes } from '../pen.ts';
import { cutRows } from './cut.ts';
import {
  drawField,
  field,
  iconRow,
  LEAST_LINE,
  leastFieldWidth,
  optionsFit,
  shared,
  writingRoom,
} from './field.ts';

const rows = v.pipe(
  v.array(v.pipe(v.array(field), v.minLength(1), v.maxLength(6))),
  v.minLength(1),
  v.maxLength(12),
);

/** Height of a row, in units. */
const ROW = 2;

/** Rows of labels with lines to write on. */
export const fields = defineBlock({
  type: 'fields',
  name: 'Fields on lines',
  fresh: { rows: [[{ label: 'Name' }, { label: 'Place' }]] },
  entries: { rows },
  least: ({ rows: given }) => given.length * ROW,
  step: () => 0,
  cut: cutRows,
  draw: ({ rows: given }, rect, pen) =>
    given.flatMap((row, i) =>
      onLine(row, rect, pen).flatMap(({ of, x, width }) =>
        drawField(pen, of, { x, width }, rect.y + (i + 1) * ROW * pen.unit - pen.unit * 0.25),
      ),
    ),
  looser: (block, width, pen) => ({
    ...block,
    rows: block.rows.flatMap((row) => wrapped(row, (part) => tooSmallOnLine(part, width, pen))),
  }),
  tooSmall: ({ rows: given }, { width }, pen) => firstOf(given, (row) => tooSmallOnLine(row, width, pen)),
});

type Row = v.InferOutput<typeof rows>[number];

/** The fields of a line, at their places. */
const onLine = (row: Row, rect: Pick<Rect, 'x' | 'width'>, pen: Pen) =>
  shared(row, rect, size(pen, 4), pen.leastWidths ? (of) => leastFieldWidth(pen, of) : null);

function firstOf(given: readonly Row[], said: (row: Row) => string | null): string | null {
  for (const row of given) {
    const found = said(row);
    if (found) return found;
  }
  return null;
}

function tooSmallOnLine(row: Row, across: number, pen: Pen): string | null {
  for (const { of, width } of onLine(row, { x: 0, width: across }, pen))
    if (writingRoom(pen, of, width) < points(LEAST_LINE, 'mm')) return `the line behind “${of.label}”`;
    else if (!optionsFit(pen, of, width)) return `the answers of “${of.label}”`;
  return null;
}

/** A row as two, and as more, until there is room to write in each. */
function wrapped(row: Row, tooSmall: (row: Row) => string | null): Row[] {
  if (row.length === 1 || !tooSmall(row)) return [row];
  const half = Math.ceil(row.length / 2);
  return [row.slice(0, half), row.slice(half)].flatMap((part) => wrapped(part, tooSmall));
}

const CELL = 3;
/** Between the edge of a box and what stands in it, in millimeters. */
const INSET = 1.3;

/** The fields of a row of boxes, at their places: a box has room for its label above what is filled in. */
const inBoxes = (row: Row, rect: Pick<Rect, 'x' | 'width'>, pen: Pen) => {
  const least = (of: Row[number]): number => {
    const written = leastFieldWidth(pen, { ...of, label: '', unit: '' });
    const said = leastLabelWidth(pen, of.label, sizes(pen).small);
    return (
      Math.max(written, said) + (of.options.length || of.icon || said > written ? 2 * size(pen, INSET) : 0)
    );
  };
  return shared(row, rect, 0, pen.leastWidths ? least : null);
};

/** The same as boxes, whose labels stand small in a corner. */
export const cells = defineBlock({
  type: 'cells',
  name: 'Fields in boxes',
  fresh: { rows: [[{ label: 'Name' }, { label: 'Place' }]] },
  entries: { rows },
  least: ({ rows: given }) => given.length * CELL,
  step: () => 0,
  cut: cutRows,
  draw: ({ rows: given }, rect, pen) => {
    const own = sizes(pen);
    const height = CELL * pen.unit;
    const marks = given.flatMap((row, i) => {
      const y = rect.y + i * height;
      return inBoxes(row, rect, pen).flatMap(({ of, x, width }, k) => {
        const inset = size(pen, INSET);
        const baseline = y + own.small + size(pen, 0.5);
        const middle = y + height * 0.68;
        return [
          ...(k > 0 ? [rule([x, y], [x, y + height], 0.75, 0.25)] : []),
          ...label(pen, of.label, { x: x + inset, y: baseline, width: width - 2 * inset, size: own.small }),
          ...(of.icon ? iconRow(pen, of.icon, of.count, x + inset, middle, width - 2 * inset).marks : []),
          ...(of.options.length
            ? drawField(
                pen,
                { ...of, label: '' },
                { x: x + inset, width: width - 2 * inset },
                middle + own.label * 0.52,
              )
            : []),
          ...(of.unit
            ? label(pen, of.unit, {
                x: x + width - inset,
                y: y + height - size(pen, 1.2),
                align: 'right',
                size: own.small,
                width: width - 2 * inset,
              })
            : []),
        ];
      });
    });
    const total = { ...rect, height: given.length * height };
    return [
      ...marks,
      ...given
        .slice(1)
        .map((_, i) =>
          rule(
            [rect.x, rect.y + (i + 1) * height],
            [rect.x + rect.width, rect.y + (i + 1) * height],
            0.75,
            0.25,
          ),
        ),
      boxed(pen, total, { weight: 0.9, gray: 0.1 }),
    ];
  },
  looser: (block, width, pen) =>
    pen.leastWidths
      ? {
          ...block,
          rows: block.rows.flatMap((row) => wrapped(row, (part) => tooSmallInBoxes(part, width, pen))),
        }
      : block,
  tooSmall: ({ rows: given }, { width }, pen) => firstOf(given, (row) => tooSmallInBoxes(row, width, pen)),
});

function tooSmallInBoxes(row: Row, across: number, pen: Pen): string | null {
  for (const { of, width } of inBoxes(row, { x: 0, width: across }, pen))
    if (!of.options.length && !of.icon && width < points(LEAST_LINE, 'mm')) return `the box “${of.label}”`;
    else if (!optionsFit(pen, { ...of, label: '' }, width - 2 * size(pen, INSET)))
      return `the answers of “${of.label}”`;
  return null;
}
