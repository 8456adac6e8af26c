import { plusMonths, weekOf } from '../../../calendar/index.ts';
import type { Block } from '../../blocks/block.ts';
import { dayRows } from '../blocks/day-lines.ts';
import { miniMonths, monthGrid } from '../blocks/months.ts';
import type { PlannedView, View, ViewContext } from '../view.ts';
import { columns, daysOfMonth, headOf, lines, listed, quarterOf, sayer, shownMonth } from './shared.ts';

function monthHead({ on }: PlannedView, context: ViewContext): Block {
  const { calendar } = context;
  const say = sayer(context);
  const days = daysOfMonth(on);
  const { weekStart } = context.options;
  const from = calendar.week(weekOf(days[0]!, weekStart));
  const to = calendar.week(weekOf(days.at(-1)!, weekStart));
  return headOf(
    context,
    calendar.names.month(on),
    from === null || to === null ? [] : [say('weeks', { from, to })],
    { title: say('aMonth'), fields: [say('aMonth'), say('aYear')] },
  );
}

/** The months before and after, small. */
const neighbors = (on: string, context: ViewContext, width = 1.1): Block =>
  miniMonths(
    {
      months: [plusMonths(on, -1), plusMonths(on, 1)].map((month) =>
        shownMonth(context, month, context.calendar.names.monthAlone(month)),
      ),
      from: '',
      to: '',
    },
    { width, weight: 0 },
  );

export const month: View = (shown, context) => {
  const { part, calendar, options } = context;
  const say = sayer(context);
  const whole = shownMonth(context, shown.on, '');
  const grid = (from: number, to: number) =>
    monthGrid(
      {
        ...whole,
        names: whole.weeks[0]!.days.map(({ day }) => calendar.names.weekdayShort(day)),
        columns: [from, to],
        numbers: options.weekNumbers && options.dated && from === 0,
      },
      { weight: 6 },
    );
  if (part === 'left')
    return [
      monthHead(shown, context),
      grid(0, 4),
      lines(say('thisMonth'), { before: 'box', lines: 4, most: 6, rank: 1 }),
    ];
  if (part === 'right')
    return [
      headOf(context, calendar.names.month(shown.on), [say('quarter', { n: quarterOf(shown.on) })], {
        title: say('aMonth'),
        fields: [say('aMonth'), say('aYear')],
      }),
      grid(4, 7),
      columns(
        lines(say('remember'), { lines: 4, most: 6, rank: 1 }),
        ...(options.dated ? [neighbors(shown.on, context, 1.5)].map((one) => ({ ...one, rank: 2 })) : []),
      ),
    ];
  return [
    monthHead(shown, context),
    grid(0, 7),
    options.dated
      ? columns(lines(say('remember'), { before: 'box', lines: 4, most: 5, rank: 2 }), {
          ...neighbors(shown.on, context),
          rank: 1,
        })
      : lines(say('remember'), { before: 'box', lines: 4, most: 5, rank: 2 }),
  ];
};

export const monthList: View = (shown, context) => {
  const days = daysOfMonth(shown.on);
  const weeks = new Map(
    days.flatMap((day): [string, number][] => {
      const number = context.calendar.week(day);
      return number !== null && weekOf(day, context.options.weekStart) === day ? [[day, number]] : [];
    }),
  );
  const rows = context.options.dated
    ? days
    : Array.from({ length: 31 }, (_, i) => `2026-01-${String(i + 1).padStart(2, '0')}`);
  return [monthHead(shown, context), dayRows({ days: rows.map(listed(context)), weeks })];
};
