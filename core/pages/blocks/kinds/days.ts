import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import { linePath, type Mark } from '../../../scene/index.ts';
import { integerBetween, text } from '../../../schema.ts';
import { defineBlock, words as shortText } from '../block.ts';
import { boxed, label, rule, size, sizes, TITLE, title, words, writingLines } from '../pen.ts';

/** Between boxes of days, in units. */
const BETWEEN = 0.4;

/** A part of the page for each of several named days or meals, with lines to write on. */
export const days = defineBlock({
  type: 'days',
  name: 'Days',
  fresh: { days: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] },
  entries: {
    title: shortText(),
    days: v.pipe(v.array(text(1, 20)), v.minLength(1), v.maxLength(31)),
    /** Small labels before the lines of each. */
    labels: v.optional(v.pipe(v.array(text(0, 16)), v.maxLength(6)), []),
    lines: v.optional(integerBetween(1, 12), 2),
    columns: v.optional(integerBetween(1, 2), 1),
  },
  least: ({ title: said, days: all, labels, lines, columns }, _, pen) =>
    (said ? TITLE : 0) +
    Math.ceil(
      Math.ceil(all.length / columns) *
        (2 * (labels.length || lines) + (pen.look.table === 'zebra' ? BETWEEN : 1)),
    ),
  step: ({ days: all, columns }) => Math.ceil(all.length / columns),
  evenRows: true,
  cut: {
    rows: ({ days: all }) => all.length,
    at: (block, rows) => [
      { ...block, days: block.days.slice(0, rows) },
      { ...block, title: '', days: block.days.slice(rows) },
    ],
  },
  draw(block, rect, pen) {
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const rows = Math.ceil(block.days.length / block.columns);
    const gap = size(pen, 4);
    const width = (rect.width - gap * (block.columns - 1)) / block.columns;
    const height = (rect.y + rect.height - top) / rows;
    return [
      ...(block.title ? title(pen, block.title, rect) : []),
      ...block.days.flatMap((name, i): Mark[] => {
        const cell: Rect = {
          x: rect.x + Math.floor(i / rows) * (width + gap),
          y: top + (i % rows) * height,
          width,
          height,
        };
        return pen.look.table === 'zebra' ? inBox(cell, name) : underRule(cell, name);
      }),
    ];

    function lined(x: number, right: number, y: number, free: number): Mark[] {
      const own = sizes(pen);
      const count = Math.floor(free / (2 * pen.unit) + 1e-6);
      const heights = Array.from({ length: count }, (_, k) => y + (k + 1) * 2 * pen.unit);
      return [
        ...(heights.length ? [writingLines(pen, x, right, heights)] : []),
        ...block.labels.slice(0, count).flatMap((said, k) =>
          label(pen, said, {
            x,
            y: heights[k]! - 0.25 * own.small,
            size: own.small,
            width: (right - x) * 0.4,
          }),
        ),
      ];
    }
    function underRule(cell: Rect, name: string): Mark[] {
      const own = sizes(pen);
      const names = Math.min(cell.width * 0.28, size(pen, 24));
      return [
        rule([cell.x, cell.y], [cell.x + cell.width, cell.y], 0.9, 0),
        ...words(pen, name, {
          x: cell.x,
          y: cell.y + pen.unit * 1.5,
          face: pen.look.faces.title,
          size: own.text * 1.25,
          width: names - size(pen, 2),
        }),
        ...lined(cell.x + names, cell.x + cell.width, cell.y, cell.height - pen.unit),
      ];
    }
    function inBox(cell: Rect, name: string): Mark[] {
      const own = sizes(pen);
      const tab = size(pen, 8);
      const box = { ...cell, height: cell.height - pen.unit * BETWEEN };
      const middle = { x: box.x + tab / 2, y: box.y + box.height / 2 };
      const said = label(pen, name, { x: 0, y: own.label * 0.33, align: 'center', width: box.height * 0.9 });
      return [
        boxed(pen, { ...box, width: tab }, { fill: 0.88, weight: 0 }),
        boxed(pen, box, { weight: 0.9, gray: 0.3 }),
        { type: 'group', matrix: [0, -1, 1, 0, middle.x, middle.y], marks: said },
        ...lined(
          box.x + tab + size(pen, 2),
          box.x + box.width - size(pen, 2),
          box.y - pen.unit * 0.35,
          box.height,
        ),
      ];
    }
  },
});

/** An hour of the day as a clock of 24 or of 12 hours has it. */
export const hourOf = (hour: number, twelve: boolean): string =>
  String(twelve ? ((hour + 11) % 12) + 1 : hour);

/** The hours of a day with lines beside them, the halves dotted. */
export const hours = defineBlock({
  type: 'hours',
  name: 'Hours of a day',
  entries: {
    title: shortText(),
    from: v.optional(integerBetween(0, 23), 7),
    to: v.optional(integerBetween(1, 24), 21),
    half: v.optional(v.boolean(), true),
    /** Counted to twelve, and from one again. */
    twelve: v.optional(v.boolean(), false),
  },
  least: ({ title: said, from, to }) => (said ? TITLE : 0) + 2 * (Math.max(from, to) - from + 1),
  step: () => 1,
  cut: {
    rows: ({ from, to }) => Math.max(from, to) - from + 1,
    at: (block, rows) => [
      { ...block, to: block.from + rows - 1 },
      { ...block, title: '', from: block.from + rows },
    ],
  },
  draw(block, rect, pen) {
    const own = sizes(pen);
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const count = Math.max(block.from, block.to) - block.from + 1;
    const height = (rect.y + rect.height - top) / count;
    const left = rect.x + size(pen, 9);
    const right = rect.x + rect.width;
    return [
      ...(block.title ? title(pen, block.title, rect) : []),
      ...Array.from({ length: count }, (_, i): Mark[] => {
        const y = top + i * height;
        return [
          rule([rect.x, y], [right, y], 0.75, 0.4),
          ...words(pen, hourOf(block.from + i, block.twelve), {
            x: rect.x + size(pen, 7),
            y: y + own.text * 1.05,
            align: 'right',
            face: pen.look.faces.label,
          }),
          ...(block.half && height > 2.4 * pen.unit
            ? [
                {
                  type: 'path' as const,
                  path: linePath(left, y + height / 2, right, y + height / 2),
                  stroke: { width: 1, paint: { gray: 0.55 }, dash: [0.02, 3], cap: 'round' as const },
                },
              ]
            : []),
        ];
      }).flat(),
      rule([rect.x, rect.y + rect.height], [right, rect.y + rect.height], 0.75, 0.4),
    ];
  },
});
