import { plusDays, plusMonths } from '../../../calendar/index.ts';
import { miniMonths, yearColumns } from '../blocks/months.ts';
import type { PlannedView, View, ViewContext } from '../view.ts';
import { columns, daysOfMonth, headOf, lines, listed, quarterOf, sayer, shownMonth } from './shared.ts';

const monthsOf = ({ on, months = 12 }: PlannedView): string[] =>
  Array.from({ length: months }, (_, i) => plusMonths(on, i));

function yearHead(shown: PlannedView, context: ViewContext) {
  const { names } = context.calendar;
  const months = monthsOf(shown);
  const say = sayer(context);
  const last = months.at(-1)!;
  const whole = shown.on.slice(5, 7) === '01' && shown.on.slice(0, 4) === last.slice(0, 4);
  const title = whole && months.length === 12 ? names.years(shown.on, last) : names.months(shown.on, last);
  return headOf(context, title, [], { title: say('aYear'), fields: [say('aYear')] });
}

export const year: View = (shown, context) => {
  const { names } = context.calendar;
  const say = sayer(context);
  const months = monthsOf(shown);
  const years = shown.on.slice(0, 4) !== months.at(-1)!.slice(0, 4);
  return [
    yearHead(shown, context),
    miniMonths(
      {
        months: months.map((month) =>
          shownMonth(
            context,
            month,
            years && context.options.dated ? names.month(month) : names.monthAlone(month),
          ),
        ),
        from: '',
        to: '',
      },
      { weight: 4 },
    ),
    columns(
      lines(say('birthdays'), { rank: 2, lines: 2, most: 8 }),
      lines(say('keep'), { rank: 1, lines: 2, most: 8 }),
    ),
  ];
};

const yearIn =
  (perPage: number): View =>
  (shown, context) => {
    const { names } = context.calendar;
    const { part } = context;
    const months = monthsOf(shown).slice(...(part === 'right' ? [perPage] : [0, perPage]));
    return [
      yearHead(shown, context),
      yearColumns({
        months: months.map((month) => ({
          title: perPage > 6 ? names.monthShort(month) : names.monthAlone(month),
          days: daysOfMonth(month).map(listed(context)),
        })),
      }),
    ];
  };

export const yearList = yearIn(6);
export const yearGlance = yearIn(12);

export const quarter: View = (shown, context) => {
  const { names } = context.calendar;
  const say = sayer(context);
  const months = monthsOf(shown);
  const last = months.at(-1)!;
  const calendar = Number(shown.on.slice(5, 7)) % 3 === 1 && months.length === 3;
  return [
    headOf(
      context,
      names.months(shown.on, plusDays(plusMonths(last, 1), -1)),
      calendar ? [say('quarter', { n: quarterOf(shown.on) })] : [],
      { title: say('aQuarter'), fields: [say('from'), say('to')] },
    ),
    ...months.map((month) =>
      columns(
        miniMonths({ months: [shownMonth(context, month, '')], from: '', to: '' }, { width: 1 }),
        lines(names.monthAlone(month), { lines: 4, width: 1.7 }),
      ),
    ),
    lines(say('goals'), { before: 'box', lines: 3, weight: 0.4 }),
  ];
};
