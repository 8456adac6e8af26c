import { weekOf } from '../../../calendar/index.ts';
import { type Block, block } from '../../blocks/block.ts';
import { onDay } from '../blocks/day-texts.ts';
import type { PlannedView, View, ViewContext } from '../view.ts';
import { columns, headOf, lines, sayer, stack } from './shared.ts';

function dayHead({ on }: PlannedView, context: ViewContext): Block[] {
  const { calendar, options } = context;
  const say = sayer(context);
  const week = calendar.week(weekOf(on, options.weekStart));
  const number = calendar.dayOfYear(on);
  const shown = calendar.show(on);
  return [
    headOf(
      context,
      calendar.names.day(on),
      [
        ...(week === null ? [] : [say('week', { n: week })]),
        ...(number === null ? [] : [say('dayOfYear', { n: number })]),
      ],
      { title: calendar.names.weekday(on), fields: [say('date')] },
    ),
    ...(shown.texts.length ? [onDay({ day: shown }, { weight: 0 })] : []),
  ];
}

export const day: View = (shown, context) => {
  const { options } = context;
  const say = sayer(context);
  return [
    ...dayHead(shown, context),
    columns(
      block('hours', {
        title: '',
        from: options.hoursFrom,
        to: Math.max(options.hoursTo, options.hoursFrom + 1),
        half: true,
        twelve: options.clock === '12',
        width: 1.3,
      }),
      stack(
        1,
        lines(say('matters'), { before: 'number', lines: 3, most: 3, weight: 0 }),
        lines(say('toDo'), { before: 'box', lines: 4, weight: 2 }),
        lines(say('notes'), { lines: 3, weight: 1, rank: 1 }),
        block('icons', { label: say('water'), icon: 'drop', count: 6, weight: 0, rank: 2 }),
      ),
    ),
  ];
};

export const dayWithLines: View = (shown, context) => [...dayHead(shown, context), lines('', { lines: 8 })];
