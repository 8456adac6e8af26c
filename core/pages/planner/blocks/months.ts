import type { Rect } from '../../../print/index.ts';
import { buildPath, type Mark } from '../../../scene/index.ts';
import { boxed, label, type Pen, rule, size, sizes, words } from '../../blocks/pen.ts';
import { plannerBlock } from '../block.ts';
import type { ShownDay } from '../calendar.ts';
import { dayTexts, moonAt, roomFor, toldOf } from './day-texts.ts';

/** The weeks of a month; days of the months beside it are null where they are not shown. */
export interface ShownMonth {
  title: string;
  /** Names of the columns, as letters. */
  letters: readonly string[];
  weeks: readonly { number: number | null; days: readonly (ShownDay & { inside: boolean })[] }[];
}

interface MonthGrid extends ShownMonth {
  /** Names above the columns. */
  names: readonly string[];
  /** The columns that are on this page: all seven, or a part of them. */
  columns: readonly [from: number, to: number];
  /** Numbers of weeks beside the first column. */
  numbers: boolean;
}

/** Height of the names above a grid, in units. */
const NAMES = 2;

function cellsOf({ weeks, columns: [from, to], numbers }: MonthGrid, rect: Rect, pen: Pen) {
  const left = numbers ? size(pen, 5) : 0;
  const top = rect.y + NAMES * pen.unit;
  const width = (rect.width - left) / (to - from);
  const height = (rect.y + rect.height - top) / weeks.length;
  return {
    grid: { x: rect.x + left, y: top, width: rect.width - left, height: rect.y + rect.height - top },
    cells: weeks.flatMap(({ days }, row) =>
      days.slice(from, to).map((day, i) => ({
        day,
        rect: { x: rect.x + left + i * width, y: top + row * height, width, height },
      })),
    ),
    width,
    height,
  };
}

const numberSize = (pen: Pen, height: number): number => Math.min(sizes(pen).label * 1.3, height * 0.4);

const textsIn = (rect: Rect, pen: Pen): Rect => {
  const set = numberSize(pen, rect.height);
  const inset = size(pen, 1.1);
  return {
    x: rect.x + inset,
    y: rect.y + set * 1.25,
    width: rect.width - 2 * inset,
    height: rect.height - set * 1.25 - size(pen, 0.8),
  };
};

/** A month as a grid to write in. */
export const monthGrid = plannerBlock<MonthGrid>('month-grid', {
  least: ({ weeks }, _, pen) => NAMES + weeks.length * Math.ceil(size(pen, 13.5) / pen.unit),
  step: () => 1,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const { faces, table } = pen.look;
    const { grid, cells, width, height } = cellsOf(block, rect, pen);
    const [from, to] = block.columns;
    const set = numberSize(pen, height);
    const marks: Mark[] = [];
    for (let i = 0; i < to - from; i++)
      marks.push(
        ...label(pen, block.names[from + i]!, {
          x: grid.x + (i + 0.5) * width,
          y: rect.y + NAMES * pen.unit - pen.unit * 0.55,
          align: 'center',
          width: width * 0.94,
          size: own.label * 0.95,
        }),
      );
    const shade = ({ day, rect: cell }: (typeof cells)[number]): Mark[] =>
      day.weekend
        ? [boxed(pen, table === 'zebra' ? inner(cell, pen) : cell, { fill: 0.92, weight: 0, ...square(pen) })]
        : [];
    marks.push(...cells.flatMap(shade), ...linesOf(grid, to - from, block.weeks.length, pen, cells));
    for (const { day, rect: cell } of cells) {
      const inset = size(pen, table === 'zebra' ? 1.7 : 1.1);
      const baseline = cell.y + set * (table === 'zebra' ? 1.12 : 0.98);
      if (day.number)
        marks.push(
          ...words(pen, day.number, {
            x: cell.x + inset,
            y: baseline,
            face: day.inside ? faces.title : faces.note,
            size: day.inside ? set : Math.max(7, set * 0.75),
            gray: day.inside ? 0 : 0.35,
          }),
        );
      if (day.inside)
        marks.push(
          ...moonAt(pen, day, cell.x + cell.width - inset - size(pen, 1.3), baseline - set * 0.32),
          ...dayTexts(pen, day, textsIn(cell, pen)),
        );
    }
    if (block.numbers)
      block.weeks.forEach(({ number }, row) => {
        if (number === null) return;
        marks.push(
          ...words(pen, String(number), {
            x: grid.x - size(pen, 1.2),
            y: grid.y + row * height + set * 0.95,
            align: 'right',
            face: faces.note,
            size: own.small,
          }),
        );
      });
    return marks;
  },
  tooSmall: (block, rect, pen) => {
    const { width } = cellsOf(block, rect, pen);
    return width < size(pen, 13) ? 'a day of the month' : null;
  },
  noRoom: (block, rect, pen) =>
    toldOf(
      cellsOf(block, rect, pen)
        .cells.filter(({ day, rect: cell }) => day.inside && !roomFor(pen, day, textsIn(cell, pen)))
        .map(({ day }) => day),
    ),
});

const square = ({ look }: Pen) => (look.table === 'zebra' ? {} : { radius: 0 });

const inner = ({ x, y, width, height }: Rect, pen: Pen): Rect => {
  const gap = size(pen, 0.6);
  return { x: x + gap, y: y + gap, width: width - 2 * gap, height: height - 2 * gap };
};

/** Lines between days: all of them, level ones alone, or a box for each, as tables are drawn in the look. */
function linesOf(
  grid: Rect,
  columns: number,
  rows: number,
  pen: Pen,
  cells: readonly { rect: Rect }[],
): Mark[] {
  const { table } = pen.look;
  if (table === 'zebra')
    return cells.map(({ rect }) =>
      boxed(pen, inner(rect, pen), { weight: 0.75, gray: 0.4, radius: size(pen, 1.4) }),
    );
  const path = buildPath(2 * (columns + rows));
  for (let i = 1; i < rows; i++) {
    const y = grid.y + (i * grid.height) / rows;
    path.move(grid.x, y).line(grid.x + grid.width, y);
  }
  for (let i = table === 'gaps' ? 1 : 0; i <= columns - (table === 'gaps' ? 1 : 0); i++) {
    const x = grid.x + (i * grid.width) / columns;
    path.move(x, grid.y).line(x, grid.y + grid.height);
  }
  const bottom = grid.y + grid.height;
  return [
    { type: 'path', path: path.done(), stroke: { width: 0.75, paint: { gray: 0.45 } } },
    rule([grid.x, grid.y], [grid.x + grid.width, grid.y], 1.25),
    rule([grid.x, bottom], [grid.x + grid.width, bottom], 1.25),
  ];
}

interface MiniMonths {
  months: readonly ShownMonth[];
  /** Days that are on the page, shaded. */
  from: string;
  to: string;
}

/** A small month: its name, letters and six weeks, in sizes of its type. */
const MINI = { lines: 8, title: 1.25, leading: 1.32 };
const leastType = (pen: Pen): number => Math.max(7, 7.4 * pen.typeScale);
const miniHeight = (set: number): number => set * (MINI.leading * MINI.lines + 1.5);
/** Width of a small month, at the least and at the most, in sizes of its type, and the largest type against the least. */
const NARROWEST = 10.5;
const WIDEST = 17;
const LARGEST = 1.3;
const between = (pen: Pen): number => size(pen, 6);

/** How many stand beside each other: twelve in threes, or in fours or sixes where there is room for larger ones. */
function columnsOf(count: number, width: number, pen: Pen): number {
  const gap = between(pen);
  if (count <= 3 && count * (NARROWEST * leastType(pen) + gap) <= width + gap) return count;
  const wanted = count === 12 ? [6, 4, 3, 2] : count > 12 ? [6, 3, 2] : [3, 2];
  return (
    wanted.find((n) => {
      const type = leastType(pen) * (n > 3 ? LARGEST : 1);
      return (width + gap) / n >= NARROWEST * type + gap;
    }) ?? 1
  );
}

/** Months as on a wall calendar, beside and below each other. */
export const miniMonths = plannerBlock<MiniMonths>('mini-months', {
  least: ({ months }, width, pen) =>
    Math.ceil(
      (Math.ceil(months.length / columnsOf(months.length, width, pen)) * miniHeight(leastType(pen))) /
        pen.unit -
        1e-6,
    ),
  step: ({ months }) => (months.length > 3 ? 1 : 0),
  draw(block, rect, pen) {
    const columns = columnsOf(block.months.length, rect.width, pen);
    const rows = Math.ceil(block.months.length / columns);
    const gap = between(pen);
    const width = (rect.width - gap * (columns - 1)) / columns;
    const height = rect.height / rows;
    const type = Math.max(
      leastType(pen),
      Math.min(leastType(pen) * LARGEST, width / NARROWEST, height / (miniHeight(1) * 1.1)),
    );
    return block.months.flatMap((month, i) =>
      mini(
        month,
        block,
        {
          x: rect.x + (i % columns) * (width + gap),
          y: rect.y + Math.floor(i / columns) * height,
          width,
          height,
        },
        type,
        pen,
      ),
    );
  },
});

function mini(
  { title: said, letters, weeks }: ShownMonth,
  { from, to }: MiniMonths,
  rect: Rect,
  set: number,
  pen: Pen,
): Mark[] {
  const width = Math.min(rect.width, WIDEST * set);
  const x = rect.x + (rect.width - width) / 2;
  const cell = width / 7;
  const free = rect.height - miniHeight(set);
  const leading = Math.min(set * 1.75, set * MINI.leading + Math.max(0, free) / (MINI.lines + 1));
  const { faces } = pen.look;
  const top = rect.y + set * MINI.title;
  const marks: Mark[] = [
    ...words(pen, said, { x: x + cell * 0.2, y: top, face: faces.title, size: set * MINI.title, width }),
  ];
  letters.forEach((letter, i) => {
    marks.push(
      ...words(pen, letter, {
        x: x + (i + 0.5) * cell,
        y: top + leading * 1.12,
        align: 'center',
        face: faces.label,
        size: set,
        gray: 0.3,
        width: cell,
      }),
    );
  });
  marks.push(rule([x, top + leading * 1.4], [x + width, top + leading * 1.4], 0.75, 0.4));
  weeks.forEach(({ days }, row) => {
    const baseline = top + leading * (2.35 + row);
    const shown = days.filter(({ inside, day }) => inside && from <= day && day <= to);
    if (shown.length > 0 && from !== '') {
      const first = days.indexOf(shown[0]!);
      marks.push(
        boxed(
          pen,
          { x: x + first * cell, y: baseline - leading * 0.76, width: shown.length * cell, height: leading },
          { fill: 0.85, weight: 0, radius: Math.min(leading / 2, pen.look.radius) },
        ),
      );
    }
    days.forEach((day, i) => {
      if (!day.inside || !day.number) return;
      marks.push(
        ...words(pen, day.number, {
          x: x + (i + 0.5) * cell,
          y: baseline,
          align: 'center',
          face: day.weekend ? faces.label : faces.text,
          size: set,
        }),
      );
    });
  });
  return marks;
}

interface YearColumns {
  months: readonly { title: string; days: readonly ShownDay[] }[];
}

const ROWS = 31;
/** The lowest row, and the lowest that is easy to write in, in millimeters at 6 × 9 in. */
const LEAST_ROW = 3.2;
const EASY_ROW = 3.8;
/** Months beside each other, a line for each day. */
export const yearColumns = plannerBlock<YearColumns>('year-columns', {
  least: (_, __, pen) => 2 + Math.ceil((ROWS * Math.max(size(pen, LEAST_ROW), 8.6)) / pen.unit),
  step: () => 1,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const { faces } = pen.look;
    const { width, gap, top, row } = columnsIn(block, rect, pen);
    const set = Math.max(7, Math.min(own.small, row * 0.68));
    return block.months.flatMap(({ title: said, days }, i): Mark[] => {
      const x = rect.x + i * (width + gap);
      const names = textsBeside(width, pen) ? size(pen, 7.5) : 0;
      const marks: Mark[] = [
        ...label(pen, said, { x: x + width / 2, y: top - pen.unit * 0.5, align: 'center', width }),
        rule([x, top], [x + width, top], 1.25),
      ];
      const lines = buildPath(2 * days.length);
      days.forEach((day, k) => {
        const y = top + k * row;
        if (day.weekend && day.number)
          marks.push(boxed(pen, { x, y, width, height: row }, { fill: 0.92, weight: 0, radius: 0 }));
        if (day.number)
          marks.push(
            ...words(pen, day.number, {
              x: x + size(pen, 3.6),
              y: y + row * 0.5 + set * 0.34,
              align: 'right',
              size: set,
              face: day.weekend ? faces.label : faces.text,
            }),
            ...(names
              ? [
                  ...words(pen, day.letter, {
                    x: x + size(pen, 4.4),
                    y: y + row * 0.5 + set * 0.34,
                    size: set,
                    face: faces.note,
                    gray: 0.3,
                  }),
                  ...dayTexts(pen, day, textCell(x, y, width, row, pen), true),
                ]
              : []),
          );
        lines.move(x, y + row).line(x + width, y + row);
      });
      return [...marks, { type: 'path', path: lines.done(), stroke: { width: 0.75, paint: { gray: 0.5 } } }];
    });
  },
  tooSmall: (block, rect, pen) => {
    const { width, row } = columnsIn(block, rect, pen);
    return width < size(pen, 8) || row < size(pen, EASY_ROW) ? 'a day of the year' : null;
  },
  noRoom: (block, rect, pen) => {
    const { width, gap, top, row } = columnsIn(block, rect, pen);
    if (!textsBeside(width, pen)) return null;
    return toldOf(
      block.months.flatMap(({ days }, i) =>
        days.filter(
          (day, k) =>
            !roomFor(pen, day, textCell(rect.x + i * (width + gap), top + k * row, width, row, pen)),
        ),
      ),
    );
  },
});

/** Whether columns are wide enough for what is on a day. */
const textsBeside = (width: number, pen: Pen): boolean => width > size(pen, 14);
const textCell = (x: number, y: number, width: number, row: number, pen: Pen): Rect => ({
  x: x + size(pen, 7.5),
  y,
  width: width - size(pen, 8),
  height: row,
});

function columnsIn({ months }: YearColumns, rect: Rect, pen: Pen) {
  const gap = size(pen, months.length > 6 ? 0.8 : 2);
  const top = rect.y + 2 * pen.unit;
  return {
    gap,
    top,
    width: (rect.width - gap * (months.length - 1)) / months.length,
    row: (rect.y + rect.height - top) / ROWS,
  };
}
