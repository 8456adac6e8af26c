import type { Rect } from '../../../print/index.ts';
import type { Mark } from '../../../scene/index.ts';
import {
  boxed,
  checkBox,
  checkSize,
  circle,
  label,
  type Pen,
  rule,
  size,
  sizes,
  words,
  writingLine,
  writingLines,
} from '../../blocks/pen.ts';
import { points } from '../../paper/settings.ts';
import { plannerBlock } from '../block.ts';
import type { ShownDay } from '../calendar.ts';
import { dayTexts, moonAt, roomFor, toldOf } from './day-texts.ts';

interface DayLines {
  day: ShownDay;
  /** The number in a column of its own beside the lines, or above them. */
  number: 'beside' | 'above';
  /** Lines that it has at the least. */
  lines: number;
  /** A column of boxes to tick. */
  checks: boolean;
}

/** From line to line, in units. */
const LINE = 2;
/** Height of the number above lines, in units. */
const BAND = 2;
/** Width of the number beside lines, in millimeters at 6 × 9 in. */
const NUMBERS = 17;

const soft = ({ look }: Pen): boolean => look.table === 'zebra';

/** Where the lines of a day stand: beside its number, or below it. */
function parts({ number }: DayLines, rect: Rect, pen: Pen) {
  const inset = soft(pen) ? size(pen, 2.6) : 0;
  const room: Rect = { ...rect, x: rect.x + inset, width: rect.width - 2 * inset };
  const beside = number === 'beside';
  const left = beside ? size(pen, NUMBERS) : 0;
  const top = room.y + (beside ? 0 : BAND * pen.unit);
  const bottom = rect.y + rect.height - (soft(pen) ? pen.unit : 0);
  const count = Math.max(0, Math.floor((bottom - top) / (LINE * pen.unit) + 1e-6));
  const heights = Array.from({ length: count }, (_, i) => top + (i + 1) * LINE * pen.unit);
  return { room, heights, x: room.x + left, right: room.x + room.width };
}

/** Where the texts of a day stand: on its first lines, or after its name. */
function textBox(own: DayLines, rect: Rect, pen: Pen): Rect {
  const { room, x, right, heights } = parts(own, rect, pen);
  const gap = size(pen, 0.8);
  const first = heights[0] ?? room.y;
  return {
    x: x + gap,
    y: first - sizes(pen).small * 1.25,
    width: (own.checks ? (right - x) * 0.62 : right - x) - gap,
    height: Math.max(0, (heights.at(-1) ?? first) - first) + sizes(pen).small * 1.25,
  };
}

/** A day with lines to write on. */
export const dayLines = plannerBlock<DayLines>('day-lines', {
  least: ({ number, lines }, _, pen) => (number === 'above' ? BAND : 0) + lines * LINE + (soft(pen) ? 1 : 0),
  step: () => LINE,
  draw(block, rect, pen) {
    const { day, checks } = block;
    const beside = block.number === 'beside';
    const own = sizes(pen);
    const { faces } = pen.look;
    const { room, heights, x, right } = parts(block, rect, pen);
    const marks: Mark[] = soft(pen)
      ? [boxed(pen, rect, { weight: 0.9, gray: 0.3, ...(day.weekend ? { fill: 0.95 } : {}) })]
      : [rule([rect.x, rect.y], [rect.x + rect.width, rect.y], pen.look.table === 'gaps' ? 0.75 : 1.25)];
    const number = own.title * (beside ? 1.22 : 0.86);
    if (beside) {
      const baseline = rect.y + pen.unit * 0.75 + number * 0.72;
      marks.push(
        ...(day.number
          ? words(pen, day.number, { x: room.x, y: baseline, face: faces.title, size: number })
          : [writingLine(pen, room.x, room.x + size(pen, 9), baseline)]),
        ...label(pen, day.weekday, {
          x: room.x,
          y: baseline + own.label * 1.5,
          width: size(pen, NUMBERS - 1.5),
          size: own.label * 0.94,
        }),
        ...moonAt(pen, day, room.x + size(pen, NUMBERS - 4.2), baseline - number * 0.3),
      );
    } else {
      const baseline = rect.y + pen.unit * (BAND * 0.8);
      const wide = day.number
        ? pen.type.width(day.number, faces.title, number) + size(pen, 1.6)
        : size(pen, 8);
      marks.push(
        ...(day.number
          ? words(pen, day.number, { x: room.x, y: baseline, face: faces.title, size: number })
          : [writingLine(pen, room.x, room.x + size(pen, 6.5), baseline)]),
        ...label(pen, day.weekday, {
          x: room.x + wide,
          y: baseline,
          width: right - room.x - wide - (day.moon === null ? 0 : size(pen, 4)),
          size: own.label * 0.94,
        }),
        ...moonAt(pen, day, right - size(pen, 1.6), baseline - own.label * 0.3),
      );
    }
    const split = checks ? x + (right - x) * 0.62 : right;
    if (heights.length) marks.push(writingLines(pen, x, split, heights));
    if (checks) {
      const edge = checkSize(pen);
      const from = split + size(pen, 4);
      marks.push(
        ...heights.map((y) => checkBox(pen, from + edge / 2, y - LINE * pen.unit * 0.4)),
        writingLines(pen, from + edge + size(pen, 1.6), right, heights),
      );
    }
    marks.push(...dayTexts(pen, day, textBox(block, rect, pen)));
    return marks;
  },
  noRoom: (block, rect, pen) =>
    roomFor(pen, block.day, textBox(block, rect, pen)) ? null : toldOf([block.day]),
});

interface DayRow {
  days: readonly ShownDay[];
  /** Numbers of the weeks that begin in the month, by their first day. */
  weeks: ReadonlyMap<string, number>;
}

const rowTextBox = ({ x, width }: Pick<Rect, 'x' | 'width'>, top: number, row: number, pen: Pen): Rect => ({
  x: x + size(pen, 20),
  y: top,
  width: width - size(pen, 34),
  height: row,
});

/** A wide page has its days in two columns. */
function rowsOf({ days }: DayRow, rect: Rect, pen: Pen) {
  const columns = rect.width > rect.height * 1.1 ? 2 : 1;
  const perColumn = Math.ceil(days.length / columns);
  const gap = size(pen, 6);
  const width = (rect.width - gap * (columns - 1)) / columns;
  const height = rect.height / perColumn;
  return {
    height,
    columns: Array.from({ length: columns }, (_, i) => ({
      x: rect.x + i * (width + gap),
      width,
      days: days.slice(i * perColumn, (i + 1) * perColumn),
    })),
  };
}

/** The lowest row, in millimeters at 6 × 9 in. */
const LEAST_ROW = 5.1;
/** A page wider than this is taken for a wide one before its height is known, in millimeters. */
const WIDE = 165;

/** A line for each day of a month. */
export const dayRows = plannerBlock<DayRow>('day-rows', {
  least: ({ days }, width, pen) => {
    const rows = width > points(WIDE, 'mm') * pen.typeScale ? Math.ceil(days.length / 2) : days.length;
    return Math.ceil((rows * size(pen, LEAST_ROW)) / pen.unit);
  },
  step: () => 1,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const { faces } = pen.look;
    const { height: row, columns } = rowsOf(block, rect, pen);
    const marks: Mark[] = [];
    for (const { x, width, days } of columns) {
      const right = x + width;
      days.forEach((day, i) => {
        const top = rect.y + i * row;
        const baseline = top + row * 0.72;
        if (day.weekend)
          marks.push(boxed(pen, { x, y: top, width, height: row }, { fill: 0.93, weight: 0, radius: 0 }));
        marks.push(
          ...(day.number
            ? words(pen, day.number, {
                x: x + size(pen, 6),
                y: baseline,
                align: 'right',
                face: faces.title,
                size: Math.min(own.label * 1.2, row * 0.74),
              })
            : []),
          ...label(pen, day.short, {
            x: x + size(pen, 7.6),
            y: baseline,
            width: size(pen, 11),
            size: Math.min(own.label * 0.92, row * 0.7),
          }),
          ...dayTexts(pen, day, rowTextBox({ x, width }, top, row, pen), true),
          ...moonAt(pen, day, right - size(pen, 10), top + row / 2),
        );
        const week = block.weeks.get(day.day);
        if (week !== undefined)
          marks.push(
            ...words(pen, String(week), {
              x: right - size(pen, 1),
              y: baseline,
              align: 'right',
              face: faces.note,
              size: own.small,
            }),
          );
      });
      const bottom = rect.y + days.length * row;
      marks.push(
        rule([x, rect.y], [right, rect.y], 0.9),
        writingLines(
          pen,
          x,
          right,
          days.slice(1).map((_, i) => rect.y + (i + 1) * row),
        ),
        rule([x, bottom], [right, bottom], 0.9),
      );
    }
    return marks;
  },
  noRoom: (block, rect, pen) => {
    const { height: row, columns } = rowsOf(block, rect, pen);
    return toldOf(
      columns.flatMap(({ x, width, days }) =>
        days.filter((day, i) => !roomFor(pen, day, rowTextBox({ x, width }, rect.y + i * row, row, pen))),
      ),
    );
  },
});

/** Habits to tick on each day of a week, or on the day that a disc shows. */
export const weekHabits = plannerBlock<{ title: string; days: readonly ShownDay[]; count: number }>(
  'week-habits',
  {
    least: ({ count }) => 3 + LINE * count,
    step: () => 0,
    draw({ title: said, days, count }, rect, pen) {
      const own = sizes(pen);
      const ring = size(pen, 3.6);
      const cell = Math.min(size(pen, 6), (rect.width * 0.55) / days.length);
      const left = rect.x + rect.width - cell * days.length;
      const top = rect.y + 3 * pen.unit;
      return [
        ...label(pen, said, { x: rect.x, y: rect.y + 2 * pen.unit, width: left - rect.x - size(pen, 2) }),
        ...days.flatMap(({ letter }, i) =>
          label(pen, letter, {
            x: left + (i + 0.5) * cell,
            y: rect.y + 2 * pen.unit,
            align: 'center',
            size: own.label * 0.9,
          }),
        ),
        rule([rect.x, top - pen.unit * 0.4], [rect.x + rect.width, top - pen.unit * 0.4]),
        ...Array.from({ length: count }, (_, k) => {
          const y = top + (k + 1) * LINE * pen.unit;
          return [
            writingLine(pen, rect.x, left - size(pen, 2), y),
            ...days.map((__, i) =>
              circle(left + (i + 0.5) * cell, y - LINE * pen.unit * 0.42, Math.min(ring, cell * 0.8) / 2),
            ),
          ];
        }).flat(),
      ];
    },
  },
);
