import {
  aWeek,
  type Day,
  daysFrom,
  monthOf,
  plusDays,
  plusMonths,
  weeksOfMonth,
} from '../../../calendar/index.ts';
import { type Block, block } from '../../blocks/block.ts';
import type { ShownMonth } from '../blocks/months.ts';
import type { ShownDay } from '../calendar.ts';
import type { ViewContext } from '../view.ts';
import { plannerWords } from '../words.ts';

export const sayer =
  ({ language }: Pick<ViewContext, 'language'>) =>
  (key: Parameters<typeof plannerWords>[1], values?: Record<string, string | number>): string =>
    plannerWords(language, key, values);

/** The head of a page: a title with a few words at the right, or fields to fill in where it has no date. */
export function headOf(
  context: ViewContext,
  title: string,
  aside: readonly string[],
  undated: { title: string; fields: readonly string[] },
): Block {
  return context.options.dated
    ? block('head', { title, fields: [], aside: aside.join(' · ') })
    : block('head', {
        title: undated.title,
        fields: undated.fields.map((label) => ({ label, width: 1, unit: '', options: [], count: 5 })),
        aside: '',
      });
}

export const daysOfMonth = (month: Day): Day[] => daysFrom(month, plusDays(plusMonths(month, 1), -1));

/** A month with its weeks. Without dates six weeks are empty. */
export function shownMonth({ calendar, options }: ViewContext, on: Day, title: string): ShownMonth {
  const month = monthOf(on);
  const start = options.weekStart;
  const weeks = weeksOfMonth(month, start);
  const shown = (day: Day): ShownDay & { inside: boolean } => ({
    ...calendar.show(day),
    inside: monthOf(day) === month,
  });
  return {
    title,
    letters: aWeek(start).map(calendar.names.weekdayLetter),
    weeks: options.dated
      ? weeks.map((days) => ({ number: calendar.week(days[0]!), days: days.map(shown) }))
      : Array.from({ length: 6 }, () => ({
          number: null,
          days: aWeek(start).map((day) => ({ ...calendar.show(day), inside: true })),
        })),
  };
}

/** A day of a month in a list: its number stands without a date, too. */
export const listed =
  ({ calendar, options }: ViewContext) =>
  (day: Day, i: number): ShownDay => {
    const shown = calendar.show(day);
    return options.dated ? shown : { ...shown, number: String(i + 1), short: '', letter: '', weekend: false };
  };

/** Lines to write on. */
export const lines = (title: string, more: Partial<Block> = {}): Block =>
  block('rule', { title, remark: '', lines: 3, before: 'none', lead: '', ...more });

export const columns = (...of: Block[]): Block => block('columns', { of });
export const stack = (width: number, ...of: Block[]): Block => block('stack', { of, width });

/** The quarter of the year that a month is in, from 1. */
export const quarterOf = (month: Day): number => Math.ceil(Number(month.slice(5, 7)) / 3);
