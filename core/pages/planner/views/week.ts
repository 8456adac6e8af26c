import { daysFrom, monthOf, plusDays } from '../../../calendar/index.ts';
import { type Block, block } from '../../blocks/block.ts';
import { dayColumns } from '../blocks/day-columns.ts';
import { dayLines, weekHabits } from '../blocks/day-lines.ts';
import { miniMonths } from '../blocks/months.ts';
import type { PlannedView, View, ViewContext } from '../view.ts';
import { columns, headOf, lines, sayer, shownMonth, stack } from './shared.ts';

/** The month that a week is counted to: that of its fourth day, as ISO 8601 counts it to a year. */
export const monthOfWeek = (on: string): string => monthOf(plusDays(on, 3));

const weekDays = ({ on }: PlannedView, { calendar }: ViewContext) =>
  daysFrom(on, plusDays(on, 6)).map(calendar.show);

function weekHead({ on }: PlannedView, context: ViewContext, part: ViewContext['part']): Block {
  const { calendar } = context;
  const say = sayer(context);
  const last = plusDays(on, 6);
  const number = calendar.week(on);
  const [from, to] = [calendar.dayOfYear(on), calendar.dayOfYear(last)];
  const week = number === null ? [] : [say('week', { n: number })];
  const days = from === null ? [] : [say('dayOfYear', { n: `${from}–${to}` })];
  const range = calendar.names.range(on, last);
  const month = calendar.names.month(monthOfWeek(on));
  const undated = { title: say('aWeek'), fields: [say('from'), say('to')] };
  if (part === 'left') return headOf(context, month, week, undated);
  // Facing heads are as high as each other: each has words beside or below its title.
  if (part === 'right')
    return headOf(context, range, days.length ? days : [calendar.names.years(last, last)], undated);
  return headOf(context, range, [...week, ...days], undated);
}

/** What stands under the days: lines, goals, habits, the month. */
function foot(shown: PlannedView, context: ViewContext, wide: boolean): Block[] {
  const { options, calendar } = context;
  const say = sayer(context);
  const month = monthOfWeek(shown.on);
  const small = options.dated
    ? [
        {
          ...miniMonths(
            {
              months: [shownMonth(context, month, calendar.names.monthAlone(month))],
              from: shown.on,
              to: plusDays(shown.on, 6),
            },
            { weight: 0, width: 0.72 },
          ),
          rank: 1,
        },
      ]
    : [];
  const goals = options.goals
    ? [lines(say('goals'), { before: 'number', lines: options.goals, most: options.goals, weight: 0 })]
    : [];
  const habits = options.habits
    ? [
        weekHabits(
          { title: say('habits'), days: weekDays(shown, context), count: options.habits },
          { weight: 0 },
        ),
      ]
    : [];
  const own = lines(say('thisWeek'), { before: 'box', lines: 4, most: 6, rank: 2, weight: 0 });
  return wide
    ? [...habits, ...(goals.length ? [columns(...goals, ...small)] : [columns(own, ...small)])]
    : [...goals, ...habits, own, ...small];
}

/** Days below each other; a weekend shares the width. */
export const week: View = (shown, context) => {
  const { part } = context;
  const days = weekDays(shown, context);
  const large = (from: number, to: number) =>
    days
      .slice(from, to)
      .map((day) => dayLines({ day, number: 'beside', lines: 4, checks: true }, { weight: 4 }));
  if (part === 'left') return [weekHead(shown, context, part), ...large(0, 3)];
  if (part === 'right')
    return [
      weekHead(shown, context, part),
      ...large(3, 5),
      columns(
        ...days
          .slice(5)
          .map((day) => dayLines({ day, number: 'above', lines: 3, checks: false }, { weight: 2 })),
      ),
      ...foot(shown, context, true),
    ];
  return [
    weekHead(shown, context, part),
    columns(
      stack(1.7, ...days.map((day) => dayLines({ day, number: 'beside', lines: 2, checks: false }))),
      stack(1, ...foot(shown, context, false), {
        ...lines(sayer(context)('toDo'), { before: 'box', lines: 3 }),
        weight: 4,
      }),
    ),
  ];
};

const beside =
  (times: boolean): View =>
  (shown, context) => {
    const { part, options } = context;
    const say = sayer(context);
    const days = weekDays(shown, context);
    const hours = times
      ? ([options.hoursFrom, Math.max(options.hoursTo, options.hoursFrom + 1)] as const)
      : null;
    const twelve = options.clock === '12';
    const notes = times ? [] : [{ notes: say('notes') }];
    const texts = days.some((day) => day.texts.length > 0);
    if (part === 'left')
      return [
        weekHead(shown, context, part),
        dayColumns({ days: [...notes, ...days.slice(0, 3)], hours, twelve, texts }, { weight: 6 }),
        ...(options.goals
          ? [lines(say('goals'), { before: 'number', lines: options.goals, most: options.goals, weight: 0 })]
          : [lines(say('thisWeek'), { before: 'box', lines: 3, most: 4, weight: 0, rank: 1 })]),
      ];
    if (part === 'right')
      return [
        weekHead(shown, context, part),
        dayColumns({ days: days.slice(3), hours, twelve, texts }, { weight: 6 }),
        ...(options.habits
          ? [weekHabits({ title: say('habits'), days, count: options.habits }, { weight: 0 })]
          : [lines(say('nextWeek'), { lines: 3, most: 4, weight: 0, rank: 1 })]),
      ];
    return [
      weekHead(shown, context, part),
      dayColumns({ days, hours, twelve, texts }, { weight: 6 }),
      ...foot(shown, context, true),
    ];
  };

export const weekVertical = beside(false);
export const weekTimes = beside(true);

/** Pages for notes, one or two that face each other. */
export const notes: View = (_, context) => [
  block('head', { title: sayer(context)('notes'), fields: [], aside: '' }),
  lines('', { lines: 8 }),
];
