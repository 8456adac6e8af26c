import { UTCDateMini } from '@date-fns/utc/date/mini';
import {
  addDays,
  addMonths,
  eachDayOfInterval,
  getDayOfYear,
  getISOWeek,
  getWeek,
  isValid,
  parseISO,
  startOfWeek,
} from 'date-fns';
import * as v from 'valibot';

/** A day without a time, as ISO 8601 writes it: `2027-06-01`. Days compare as texts. */
export type Day = string;

export const WEEK_STARTS = ['monday', 'sunday', 'saturday'] as const;
export type WeekStart = (typeof WEEK_STARTS)[number];

/** As date-fns counts: 0 is a Sunday. */
const FIRST = { monday: 1, sunday: 0, saturday: 6 } as const;

/** The years that are planned for: those whose weeks and holidays are known to be right. */
const YEARS = { from: 1900, to: 2100 };

/** Midnight of a day, in no place's time. */
export const dateOf = (day: Day): Date =>
  new UTCDateMini(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10)));
export const dayOf = (date: Date): Day => date.toISOString().slice(0, 10);

const isDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text) && isValid(parseISO(text)) && dayOf(dateOf(text)) === text;

/** A day as a recipe holds it. */
export const daySchema = v.pipe(
  v.string(),
  v.check(isDay, ({ input }) => `is “${input}”. Write a day as year, month and day, such as "2027-01-31".`),
  v.check(
    (text) =>
      !isDay(text) || (Number(text.slice(0, 4)) >= YEARS.from && Number(text.slice(0, 4)) <= YEARS.to),
    ({ input }) => `is ${input}. Allowed: the years ${YEARS.from} to ${YEARS.to}.`,
  ),
);

export const plusDays = (day: Day, count: number): Day => dayOf(addDays(dateOf(day), count));
/** The first of the month that comes so many months after that of a day. */
export const plusMonths = (day: Day, count: number): Day => dayOf(addMonths(dateOf(monthOf(day)), count));
/** The first of the month of a day. */
export const monthOf = (day: Day): Day => `${day.slice(0, 7)}-01`;
/** The first day of the week that a day lies in. */
export const weekOf = (day: Day, start: WeekStart): Day =>
  dayOf(startOfWeek(dateOf(day), { weekStartsOn: FIRST[start] }));

/** 0 for a Sunday to 6 for a Saturday. */
export const weekdayOf = (day: Day): number => dateOf(day).getDay();
export const isWeekend = (day: Day): boolean => weekdayOf(day) % 6 === 0;

/** 1 for the first of January. */
export const dayOfYear = (day: Day): number => getDayOfYear(dateOf(day));

/**
 * The number of the week that begins on a day. Weeks from Monday are those of ISO 8601, where week 1 is the one with the first
 * Thursday; weeks from Sunday or Saturday are numbered so that week 1 is the one with the first of January (common practice in
 * the United States and the Middle East, no source).
 */
export const weekNumber = (first: Day, start: WeekStart): number =>
  start === 'monday'
    ? getISOWeek(dateOf(first))
    : getWeek(dateOf(first), { weekStartsOn: FIRST[start], firstWeekContainsDate: 1 });

/** All days from one to another, both included. */
export function daysFrom(from: Day, to: Day): Day[] {
  return from > to ? [] : eachDayOfInterval({ start: dateOf(from), end: dateOf(to) }).map(dayOf);
}

/** The first of each month that has a day from one to another. */
export function monthsFrom(from: Day, to: Day): Day[] {
  const months: Day[] = [];
  for (let month = monthOf(from); month <= to; month = plusMonths(month, 1)) months.push(month);
  return months;
}

/** The first day of each week that has a day from one to another. */
export function weeksFrom(from: Day, to: Day, start: WeekStart): Day[] {
  const weeks: Day[] = [];
  for (let week = weekOf(from, start); week <= to; week = plusDays(week, 7)) weeks.push(week);
  return weeks;
}

/** The weeks of a month, each its seven days, those of the months beside it included. */
export function weeksOfMonth(month: Day, start: WeekStart): Day[][] {
  const last = plusDays(plusMonths(month, 1), -1);
  return weeksFrom(month, last, start).map((week) => daysFrom(week, plusDays(week, 6)));
}
