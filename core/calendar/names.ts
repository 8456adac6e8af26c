import { type Day, dateOf, daysFrom, plusDays, type WeekStart, weekOf } from './days.ts';

/**
 * Names of days and months as a language writes them, in its own order and script (ECMA-402, Intl.DateTimeFormat; data:
 * Unicode CLDR of the machine that draws).
 */
export interface DayNames {
  /** June 2027 */
  month(day: Day): string;
  /** June */
  monthAlone(day: Day): string;
  /** Jun */
  monthShort(day: Day): string;
  /** Monday */
  weekday(day: Day): string;
  /** Mon */
  weekdayShort(day: Day): string;
  /** M */
  weekdayLetter(day: Day): string;
  /** Monday, June 1 */
  day(day: Day): string;
  /** June 1 – 7 */
  range(from: Day, to: Day): string;
  /** June – August 2027 */
  months(from: Day, to: Day): string;
  /** 2027, or 2027 – 2028 */
  years(from: Day, to: Day): string;
  /** The number of a day in its month. */
  number(day: Day): string;
}

const made = new Map<string, DayNames>();

/** Whether a code names a language that has names of days and months. */
export function hasDayNames(locale: string): boolean {
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(locale).length === 1;
  } catch {
    return false;
  }
}

/** @param locale as BCP 47 writes it: `en-US`, `ja`. @throws RangeError for one that is none */
export function dayNames(locale: string): DayNames {
  let names = made.get(locale);
  if (!names) {
    names = makeNames(locale);
    made.set(locale, names);
  }
  return names;
}

function makeNames(locale: string): DayNames {
  const format = (options: Intl.DateTimeFormatOptions) =>
    // Years of the common era, whatever calendar a place keeps besides: planners are dated by it.
    new Intl.DateTimeFormat(locale, { timeZone: 'UTC', calendar: 'gregory', ...options });
  const [month, alone, short, weekday, weekdayShort, letter, day, range, months, years, number] = [
    format({ month: 'long', year: 'numeric' }),
    format({ month: 'long' }),
    format({ month: 'short' }),
    format({ weekday: 'long' }),
    format({ weekday: 'short' }),
    format({ weekday: 'narrow' }),
    format({ weekday: 'long', month: 'long', day: 'numeric' }),
    format({ month: 'long', day: 'numeric' }),
    format({ month: 'long', year: 'numeric' }),
    format({ year: 'numeric' }),
    new Intl.NumberFormat(locale, { useGrouping: false }),
  ];
  const said = (how: Intl.DateTimeFormat) => (of: Day) => sentence(how.format(dateOf(of)), locale);
  const ranged = (how: Intl.DateTimeFormat) => (from: Day, to: Day) =>
    sentence(spaced(how.formatRange(dateOf(from), dateOf(to))), locale);
  return {
    month: said(month),
    monthAlone: said(alone),
    monthShort: (of) => said(short)(of).replace(/\.$/, ''),
    weekday: said(weekday),
    weekdayShort: (of) => said(weekdayShort)(of).replace(/\.$/, ''),
    weekdayLetter: said(letter),
    day: said(day),
    range: ranged(range),
    months: ranged(months),
    years: ranged(years),
    number: (of) => number.format(dateOf(of).getDate()),
  };
}

/** Names that a language writes small begin a heading with a capital. */
const sentence = (text: string, locale: string): string =>
  text.slice(0, 1).toLocaleUpperCase(locale) + text.slice(1);

/** Thin spaces around a dash, which few typefaces have, as usual ones. */
const spaced = (text: string): string => text.replace(/[\u2009\u202f]/g, ' ');

/** The days of a week in its order. */
export const aWeek = (start: WeekStart): Day[] => {
  const first = weekOf('2026-01-15', start);
  return daysFrom(first, plusDays(first, 6));
};
