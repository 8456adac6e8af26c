import type { Rect } from '../../../print/index.ts';
import { buildPath, type Mark } from '../../../scene/index.ts';
import { hourOf } from '../../blocks/kinds/days.ts';
import {
  boxed,
  label,
  type Pen,
  rule,
  size,
  sizes,
  words,
  writingLine,
  writingLines,
} from '../../blocks/pen.ts';
import { plannerBlock } from '../block.ts';
import type { ShownDay } from '../calendar.ts';
import { dayTexts, moonAt, roomFor, toldOf } from './day-texts.ts';

interface DayColumns {
  /** Null for a column of notes. */
  days: readonly (ShownDay | { notes: string })[];
  /** The hours beside the first column, each with its lines; lines to write on where there are none. */
  hours: readonly [from: number, to: number] | null;
  /** The hours are counted to twelve. */
  twelve: boolean;
  /** Whether there is room for what is on the days. */
  texts: boolean;
}

/** Height of the heads of the columns, and of the room for what is on the days, in units. */
const HEAD = 3;
const TEXTS = 2;

function columnsOf(block: DayColumns, rect: Rect, pen: Pen) {
  const { days, hours } = block;
  const left = hours ? size(pen, 7) : 0;
  const width = (rect.width - left) / days.length;
  const head = (HEAD + (block.texts ? TEXTS : 0)) * pen.unit;
  const top = rect.y + head;
  return {
    top,
    width,
    height: rect.y + rect.height - top,
    columns: days.map((day, i) => ({ day, x: rect.x + left + i * width })),
  };
}

const textBox = (x: number, rect: Rect, width: number, pen: Pen): Rect => ({
  x: x + size(pen, 1),
  y: rect.y + HEAD * pen.unit - pen.unit * 0.25,
  width: width - size(pen, 2),
  height: (TEXTS + 0.1) * pen.unit,
});

/** Days beside each other, with hours or with lines. */
export const dayColumns = plannerBlock<DayColumns>('day-columns', {
  least: (block) =>
    HEAD + (block.texts ? TEXTS : 0) + (block.hours ? 2 * (block.hours[1] - block.hours[0] + 1) : 2 * 10),
  step: ({ hours }) => (hours ? 1 : 2),
  draw(block, rect, pen) {
    const own = sizes(pen);
    const { faces, table } = pen.look;
    const { top, width, height, columns } = columnsOf(block, rect, pen);
    const bottom = top + height;
    const marks: Mark[] = [];
    for (const { day, x } of columns)
      if ('weekend' in day && day.weekend)
        marks.push(boxed(pen, { x, y: top, width, height }, { fill: 0.94, weight: 0, radius: 0 }));
    const first = columns[0]!.x;
    const right = rect.x + rect.width;
    if (block.hours) {
      const [from, to] = block.hours;
      const count = to - from + 1;
      const row = height / count;
      const halves = buildPath(2 * count);
      for (let i = 0; i < count; i++) {
        const y = top + i * row;
        marks.push(
          ...(i ? [rule([first, y], [right, y], 0.75, 0.45)] : []),
          ...words(pen, hourOf(from + i, block.twelve), {
            x: first - size(pen, 1.2),
            y: y + own.text * 0.9,
            align: 'right',
            face: faces.label,
            size: own.small,
          }),
        );
        halves.move(first, y + row / 2).line(right, y + row / 2);
      }
      marks.push({
        type: 'path',
        path: halves.done(),
        stroke: { width: 1, paint: { gray: 0.55 }, dash: [0.02, 3], cap: 'round' },
      });
    } else {
      const count = Math.floor(height / (2 * pen.unit) + 1e-6);
      const heights = Array.from({ length: count - 1 }, (_, i) => bottom - (count - 1 - i) * 2 * pen.unit);
      for (const { x } of columns)
        marks.push(writingLines(pen, x + size(pen, 1.4), x + width - size(pen, 1.4), heights));
    }
    const uprights = buildPath(2 * columns.length + 2);
    columns.forEach(({ x }, i) => {
      if (i > 0) uprights.move(x, table === 'gaps' ? top : rect.y + pen.unit * 0.5).line(x, bottom);
    });
    marks.push(
      { type: 'path', path: uprights.done(), stroke: { width: 0.75, paint: { gray: 0.45 } } },
      rule([first, top], [right, top], 1.25),
      rule([first, bottom], [right, bottom], table === 'gaps' ? 0.75 : 1.25),
    );
    const number = own.title * 0.86;
    const baseline = rect.y + HEAD * pen.unit - pen.unit * 0.75;
    for (const { day, x } of columns) {
      const inset = x + size(pen, 1);
      if ('notes' in day) {
        marks.push(...label(pen, day.notes, { x: inset, y: baseline, width: width - size(pen, 2) }));
        continue;
      }
      const wide = day.number
        ? pen.type.width(day.number, faces.title, number) + size(pen, 1.4)
        : size(pen, 7);
      const room = width - wide - size(pen, day.moon === null ? 1.5 : 4.6);
      marks.push(
        ...(day.number
          ? words(pen, day.number, { x: inset, y: baseline, face: faces.title, size: number })
          : [writingLine(pen, inset, inset + size(pen, 5.6), baseline)]),
        ...label(pen, room > size(pen, 17) ? day.weekday : day.short, {
          x: inset + wide,
          y: baseline,
          width: room,
          size: own.label * 0.94,
        }),
        ...moonAt(pen, day, x + width - size(pen, 2), baseline - own.label * 0.3),
        ...dayTexts(pen, day, textBox(x, rect, width, pen)),
      );
    }
    return marks;
  },
  tooSmall: (block, rect, pen) =>
    columnsOf(block, rect, pen).width < size(pen, 16) ? 'a day of the week' : null,
  noRoom: (block, rect, pen) => {
    const { columns, width } = columnsOf(block, rect, pen);
    return toldOf(
      columns.flatMap(({ day, x }) =>
        'texts' in day && !roomFor(pen, day, textBox(x, rect, width, pen)) ? [day] : [],
      ),
    );
  },
});
