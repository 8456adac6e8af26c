import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import { buildPath, type Mark } from '../../../scene/index.ts';
import { integerBetween, text } from '../../../schema.ts';
import { points } from '../../paper/settings.ts';
import { defineBlock, words as shortText, wordList } from '../block.ts';
import {
  boxed,
  centered,
  checkBox,
  circle,
  label,
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
import { cutRows } from './cut.ts';

/** Level and upright lines of a grid of cells, in one path. */
function mesh({ x, y, width, height }: Rect, columns: number, rows: number, gray: number): Mark {
  const path = buildPath(2 * (columns + rows + 2));
  for (let i = 0; i <= columns; i++)
    path.move(x + (i * width) / columns, y).line(x + (i * width) / columns, y + height);
  for (let i = 0; i <= rows; i++)
    path.move(x, y + (i * height) / rows).line(x + width, y + (i * height) / rows);
  return { type: 'path', path: path.done(), stroke: { width: 0.75, paint: { gray } } };
}

/** The least edge of a cell that is filled in, in millimeters. */
const LEAST_CELL = 4.2;
/** Slanted names of columns: their angle, and the height they take, in units. */
const SLANT = (58 * Math.PI) / 180;
const NAMES = 7;

/** Days down, habits across, their names written on slanting lines. */
export const habits = defineBlock({
  type: 'habits',
  name: 'Habit grid',
  entries: {
    title: shortText(),
    days: v.optional(integerBetween(5, 31), 31),
    habits: v.optional(integerBetween(3, 16), 10),
    names: v.optional(wordList(16, 24), []),
    letters: shortText(14),
    total: v.optional(v.boolean(), true),
  },
  least: ({ title: said, days }, _, pen) =>
    (said ? TITLE : 0) + NAMES + Math.ceil((days * points(LEAST_CELL, 'mm')) / pen.unit),
  step: () => 1,
  cut: {
    rows: ({ days }) => days,
    at: (block, rows) => [
      { ...block, days: rows },
      { ...block, title: '', days: block.days - rows, after: rows },
    ],
  },
  draw(block, rect, pen) {
    const own = sizes(pen);
    const before = block.after ?? 0;
    const top = rect.y + (block.title ? TITLE * pen.unit : 0) + NAMES * pen.unit;
    const numbers = size(pen, block.letters ? 9 : 6);
    const slope = (NAMES * pen.unit) / Math.tan(SLANT);
    const totals = block.total ? 1.4 : 0;
    // Slanting names reach to the right of their columns.
    const cell = (rect.width - numbers - slope) / (block.habits + totals);
    const grid: Rect = {
      x: rect.x + numbers,
      y: top,
      width: cell * block.habits,
      height: rect.y + rect.height - top,
    };
    const row = grid.height / block.days;
    const names = buildPath(2 * block.habits + 2);
    for (let i = 0; i <= block.habits; i++)
      names.move(grid.x + i * cell, top).line(grid.x + i * cell + slope, top - NAMES * pen.unit);
    const weekends = block.letters
      ? Array.from({ length: block.days }, (_, i) => i).filter((i) => (before + i) % 7 >= 5)
      : [];
    const marks: Mark[] = [
      ...(block.title ? title(pen, block.title, rect) : []),
      ...weekends.map((i) =>
        boxed(
          pen,
          { x: rect.x, y: top + i * row, width: numbers + grid.width, height: row },
          { fill: 0.92, weight: 0, radius: 0 },
        ),
      ),
      mesh(grid, block.habits, block.days, 0.45),
      { type: 'path', path: names.done(), stroke: { width: 0.75, paint: { gray: 0.45 } } },
      rule([grid.x, top], [grid.x + grid.width, top], 0.9, 0),
      rule([grid.x, top + grid.height], [grid.x + grid.width, top + grid.height], 0.9, 0),
    ];
    for (let i = 0; i < block.days; i++) {
      const y = centered(pen, top + (i + 0.5) * row, own.small);
      marks.push(
        ...words(pen, String(before + i + 1), {
          x: grid.x - size(pen, 1.2),
          y,
          align: 'right',
          size: Math.min(own.small, row * 0.8),
        }),
      );
      if (block.letters)
        marks.push(
          ...words(pen, block.letters[(before + i) % block.letters.length]!, {
            x: rect.x + size(pen, 0.5),
            y,
            size: Math.min(own.small, row * 0.8),
            gray: 0.3,
          }),
        );
    }
    block.names.slice(0, block.habits).forEach((name, i) => {
      const angle = -SLANT;
      const [x, y] = [grid.x + (i + 0.62) * cell, top - size(pen, 1)];
      marks.push({
        type: 'group',
        matrix: [Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), x, y],
        marks: words(pen, name, {
          x: 0,
          y: 0,
          size: own.small,
          width: (NAMES * pen.unit) / Math.sin(SLANT) - size(pen, 2),
        }),
      });
    });
    if (block.total) {
      const x = grid.x + grid.width + cell * 0.2;
      marks.push(mesh({ x, y: top, width: cell * 1.2, height: grid.height }, 1, block.days, 0.45));
    }
    return marks;
  },
  tooSmall: (block, rect, pen) =>
    (rect.width - size(pen, 9) - (NAMES * pen.unit) / Math.tan(SLANT)) / (block.habits + 1.4) <
    points(LEAST_CELL, 'mm')
      ? 'a column of the habit grid'
      : null,
});

/** Rows of named things, ticked for each day of a week or each month of a year. */
export const marksGrid = defineBlock({
  type: 'grid',
  name: 'Rows to mark',
  fresh: { rows: ['Morning', 'Evening'], columns: ['M', 'T', 'W', 'T', 'F', 'S', 'S'] },
  entries: {
    title: shortText(),
    remark: shortText(80),
    rows: v.pipe(v.array(text(0, 30)), v.minLength(1), v.maxLength(31)),
    columns: v.pipe(v.array(text(0, 10)), v.minLength(1), v.maxLength(31)),
    marks: v.optional(v.picklist(['rings', 'boxes', 'cells']), 'boxes'),
    rowsWidth: v.optional(integerBetween(5, 60), 26),
  },
  least: ({ title: said, rows, marks }, _, pen) =>
    (said ? TITLE : 0) +
    2 +
    (marks === 'cells'
      ? Math.ceil((rows.length * Math.max(points(LEAST_CELL, 'mm'), sizes(pen).text * 1.15)) / pen.unit)
      : 2 * rows.length),
  step: ({ marks }) => (marks === 'cells' ? 1 : 0),
  cut: cutRows,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const names = namesWidth(block, rect, pen);
    const set = namesSize(pen, block.rows, names - size(pen, 2));
    const header = 2 * pen.unit;
    const grid: Rect = {
      x: rect.x + names,
      y: top + header,
      width: rect.width - names,
      height: rect.y + rect.height - top - header,
    };
    const row = grid.height / block.rows.length;
    const cell = grid.width / block.columns.length;
    const edge = Math.min(size(pen, 4.6), cell * 0.72, row * 0.75);
    const zebra = pen.look.table === 'zebra' && block.marks !== 'cells';
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...(zebra
        ? block.rows.flatMap((_, i) =>
            i % 2
              ? []
              : [
                  boxed(
                    pen,
                    { x: rect.x, y: grid.y + i * row, width: rect.width, height: row },
                    { fill: 0.95, weight: 0, radius: size(pen, 1) },
                  ),
                ],
          )
        : []),
      ...block.columns.flatMap((name, i) =>
        label(pen, name, {
          x: grid.x + (i + 0.5) * cell,
          y: centered(pen, top + header * 0.55),
          align: 'center',
          width: cell * 0.96,
          size: own.small,
        }),
      ),
      ...block.rows.flatMap((name, i) =>
        words(pen, name, {
          x: rect.x + size(pen, 0.8),
          y: centered(pen, grid.y + (i + 0.5) * row, own.text),
          width: names - size(pen, 2),
          size: set,
        }),
      ),
      ...(block.marks === 'cells'
        ? [mesh(grid, block.columns.length, block.rows.length, 0.45)]
        : block.rows.flatMap((_, i) =>
            block.columns.map((__, k) => {
              const [x, y] = [grid.x + (k + 0.5) * cell, grid.y + (i + 0.5) * row];
              return block.marks === 'rings'
                ? circle(x, y, edge / 2, { weight: 0.75, gray: 0.3 })
                : checkBox(pen, x, y, edge);
            }),
          )),
    ];
  },
  tooSmall: (block, rect, pen) =>
    (rect.width - namesWidth(block, rect, pen)) / block.columns.length < points(LEAST_CELL, 'mm')
      ? 'a column to mark'
      : null,
  noRoom(block, rect, pen) {
    const width = namesWidth(block, rect, pen) - size(pen, 2);
    const gone = block.rows.find((name) => name && words(pen, name, { x: 0, y: 0, width }).length === 0);
    return gone === undefined
      ? null
      : `no room for “${gone}”, the name of a row. Set a larger width of the names.`;
  },
});

/** Width of the names of rows: their share, and as much as they need where that leaves the columns wide enough to be marked. */
function namesWidth(
  { rows, columns, rowsWidth }: { rows: string[]; columns: string[]; rowsWidth: number },
  { width }: Rect,
  pen: Pen,
): number {
  const share = (width * rowsWidth) / 100;
  if (!pen.leastWidths) return share;
  const needed = Math.max(...rows.map((name) => leastWordsWidth(pen, name) + size(pen, 2)));
  return Math.max(share, Math.min(needed, width - columns.length * points(LEAST_CELL, 'mm')));
}

/** A grid to draw a line of numbers into: steps across, values upwards. */
export const chart = defineBlock({
  type: 'chart',
  name: 'Chart to fill in',
  fresh: { across: ['1', '2', '3', '4', '5', '6', '7'], up: ['0', '1', '2', '3', '4', '5'] },
  entries: {
    title: shortText(),
    remark: shortText(80),
    across: v.pipe(v.array(text(0, 10)), v.minLength(2), v.maxLength(31)),
    up: v.pipe(v.array(text(0, 10)), v.minLength(2), v.maxLength(24)),
    /** Every second row is gray. */
    bands: v.optional(v.boolean(), true),
  },
  least: ({ title: said, up }) => (said ? TITLE : 0) + Math.max(7, up.length) + 2,
  step: () => 1,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const top = rect.y + (block.title ? TITLE * pen.unit : 0) + pen.unit * 0.3;
    const left =
      Math.max(
        ...block.up.map((said) => pen.type.width(said, pen.look.faces.text, own.small)),
        size(pen, 3),
      ) + size(pen, 1.5);
    const grid: Rect = {
      x: rect.x + left,
      y: top,
      width: rect.width - left,
      height: rect.y + rect.height - top - 1.7 * pen.unit,
    };
    const rows = block.up.length;
    const row = grid.height / rows;
    const cell = grid.width / block.across.length;
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...(block.bands
        ? block.up.flatMap((_, i) =>
            i % 2
              ? [
                  boxed(
                    pen,
                    { ...grid, y: grid.y + i * row, height: row },
                    { fill: 0.94, weight: 0, radius: 0 },
                  ),
                ]
              : [],
          )
        : []),
      mesh(grid, block.across.length, rows, 0.55),
      boxed(pen, grid, { weight: 0.9, gray: 0.15, radius: 0 }),
      ...block.up.flatMap((said, i) =>
        words(pen, said, {
          x: grid.x - size(pen, 1),
          y: centered(pen, grid.y + (rows - i - 0.5) * row, own.small),
          align: 'right',
          size: own.small,
        }),
      ),
      ...block.across.flatMap((said, i) =>
        words(pen, said, {
          x: grid.x + (i + 0.5) * cell,
          y: grid.y + grid.height + pen.unit * 1.15,
          align: 'center',
          size: own.small,
          width: cell * 0.96,
        }),
      ),
    ];
  },
});

/** Share of its cell that the number of an hour may take, so that it is told from the next. */
const HOUR = 0.8;

/** A strip of hours for each of several days, to shade. */
export const timeBars = defineBlock({
  type: 'time-bars',
  name: 'Hours to shade',
  fresh: { rows: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] },
  entries: {
    title: shortText(),
    remark: shortText(80),
    rows: v.pipe(v.array(text(0, 12)), v.minLength(1), v.maxLength(14)),
    from: v.optional(integerBetween(0, 23), 20),
    hours: v.optional(integerBetween(4, 24), 14),
  },
  least: ({ title: said, rows }) => (said ? TITLE : 0) + 1 + 2 * rows.length,
  step: () => 0,
  cut: cutRows,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const names = size(pen, 12);
    const grid = { x: rect.x + names, width: rect.width - names };
    const cell = grid.width / block.hours;
    const hour = (i: number) => String((block.from + i) % 24).padStart(2, '0');
    const wide = pen.type.width(hour(0), pen.look.faces.text, own.small);
    // Every other hour where numbers would run into each other.
    const every = pen.leastWidths && wide > cell * HOUR ? 2 : 1;
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...Array.from({ length: Math.ceil(block.hours / every) }, (_, i) =>
        words(pen, hour(i * every), {
          x: grid.x + (i * every + 0.5) * cell,
          y: top + pen.unit * 0.75,
          align: 'center',
          size: own.small,
          width: every * cell * 0.95,
        }),
      ).flat(),
      ...block.rows.flatMap((name, i) => {
        const bar = {
          x: grid.x,
          y: top + pen.unit + 2 * i * pen.unit + pen.unit * 0.3,
          width: grid.width,
          height: 1.4 * pen.unit,
        };
        const ticks = buildPath(2 * block.hours);
        for (let k = 1; k < block.hours; k++)
          ticks.move(bar.x + k * cell, bar.y).line(bar.x + k * cell, bar.y + bar.height);
        return [
          ...words(pen, name, {
            x: rect.x,
            y: centered(pen, bar.y + bar.height / 2, own.text),
            width: names - size(pen, 1.5),
          }),
          { type: 'path' as const, path: ticks.done(), stroke: { width: 0.75, paint: { gray: 0.6 } } },
          boxed(pen, bar, { weight: 0.9, gray: 0.25, radius: pen.look.radius > 0 ? bar.height / 2 : 0 }),
        ];
      }),
    ];
  },
});
