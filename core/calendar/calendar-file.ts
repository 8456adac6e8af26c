import ICAL from 'ical.js';
import { type Day, plusDays } from './days.ts';
import type { OwnDate } from './own-dates.ts';

/** The largest calendar file that is read, in bytes. */
export const MOST_CALENDAR = 4_000_000;
/** Days that are taken from one file, and steps that its rules of recurrence may take. */
const MOST_DAYS = 2_000;
const MOST_STEPS = 20_000;
/** Days of one event that are taken each. */
const LONGEST = 31;

export const isCalendarFile = (text: string): boolean =>
  /^\s*BEGIN:VCALENDAR/i.test(text.replace(/^\uFEFF/, ''));

/**
 * Own dates from a calendar file (iCalendar, RFC 5545): the days of its events from one day to another. What comes back every
 * year on its date is kept as a date of every year; other rules of recurrence are followed day by day.
 * @throws RangeError that says what is wrong with the file
 */
export function datesFromCalendar(text: string, from: Day, to: Day): OwnDate[] {
  if (text.length > MOST_CALENDAR)
    throw new RangeError('The calendar file is over 4 MB. Export fewer events.');
  if (!isCalendarFile(text))
    throw new RangeError('The file is no calendar file: it does not begin with BEGIN:VCALENDAR.');
  let events: ICAL.Component[];
  try {
    events = new ICAL.Component(ICAL.parse(text.replace(/^\uFEFF/, ''))).getAllSubcomponents('vevent');
  } catch (error) {
    throw new RangeError(`The calendar file cannot be read: ${(error as Error).message}. Export it again.`);
  }
  const steps = { left: MOST_STEPS };
  const dates = events.flatMap((event) => datesOf(event, from, to, steps));
  if (dates.length > MOST_DAYS)
    throw new RangeError(
      `The calendar file has ${dates.length.toLocaleString('en-US')} days in this span; ${MOST_DAYS.toLocaleString('en-US')} can be taken. Export fewer events.`,
    );
  return dates.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

const dayOfTime = (time: ICAL.Time): Day =>
  [
    String(time.year).padStart(4, '0'),
    String(time.month).padStart(2, '0'),
    String(time.day).padStart(2, '0'),
  ].join('-');

function datesOf(component: ICAL.Component, from: Day, to: Day, steps: { left: number }): OwnDate[] {
  const start = component.getFirstPropertyValue('dtstart');
  const text = String(component.getFirstPropertyValue('summary') ?? '')
    .replace(/\s+/g, ' ')
    .trim();
  if (!(start instanceof ICAL.Time) || !text) return [];
  const event = new ICAL.Event(component);
  const length = Math.min(LONGEST, Math.max(1, daysOf(event)));
  const said = [...text].slice(0, 80).join('');
  const daysAfter = (first: Day): OwnDate[] =>
    Array.from({ length }, (_, i) => plusDays(first, i))
      .filter((on) => on >= from && on <= to)
      .map((on) => ({ on, text: said }));
  if (!event.isRecurring()) return daysAfter(dayOfTime(start));
  const rule = component.getFirstPropertyValue('rrule');
  if (rule instanceof ICAL.Recur && length === 1 && isEveryYear(rule))
    return [{ on: dayOfTime(start).slice(5), text: said }];
  if (rule instanceof ICAL.Recur && !isFollowed(rule))
    throw new RangeError(
      `The event “${said}” comes back by a rule that is not followed here (${rule}). Take it out of the calendar file.`,
    );
  const found: OwnDate[] = [];
  const times = event.iterator();
  for (;;) {
    if (steps.left-- <= 0)
      throw new RangeError(
        `The event “${said}” comes back too often to be followed. Take it out of the calendar file.`,
      );
    const time = times.next();
    if (!time || dayOfTime(time) > to) return found;
    found.push(...daysAfter(dayOfTime(time)));
  }
}

/** Days that an event takes: an all-day event ends on the day after its last (RFC 5545, 3.6.1). */
function daysOf(event: ICAL.Event): number {
  try {
    return Math.ceil(event.duration.toSeconds() / 86_400);
  } catch {
    return 1;
  }
}

/** A rule that names nothing but its frequency. */
const isEveryYear = (rule: ICAL.Recur): boolean =>
  rule.freq === 'YEARLY' &&
  rule.interval === 1 &&
  !rule.count &&
  !rule.until &&
  Object.keys(rule.parts).length === 0;

/** Days of each month in a leap year. */
const LONGEST_MONTHS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/**
 * Whether a rule is one that calendars write, and leads to days at all: the iterator would look for the 31st of February for
 * ever.
 */
function isFollowed(rule: ICAL.Recur): boolean {
  const {
    BYDAY = [],
    BYMONTH = [],
    BYMONTHDAY = [],
    BYSETPOS = [],
    ...others
  } = rule.parts as Record<string, (string | number)[] | undefined>;
  if (Object.keys(others).length > 0) return false;
  const months = BYMONTH.map(Number);
  if (months.some((month) => !(month >= 1 && month <= 12))) return false;
  const plain = BYDAY.every((day) => /^[A-Z]{2}$/.test(String(day)));
  const ordinals = BYDAY.map((day) => Math.abs(Number.parseInt(String(day), 10) || 1));
  const everyMonth = (monthDay: number) =>
    (months.length ? months : [1]).every((month) => Math.abs(monthDay) <= LONGEST_MONTHS[month - 1]!);
  switch (rule.freq) {
    case 'DAILY':
    case 'WEEKLY':
      return BYMONTHDAY.length === 0 && BYSETPOS.length === 0 && plain;
    case 'MONTHLY':
    case 'YEARLY':
      if (BYMONTHDAY.length > 0)
        return (
          BYDAY.length === 0 && BYSETPOS.length === 0 && BYMONTHDAY.every((day) => everyMonth(Number(day)))
        );
      if (BYSETPOS.length > 0)
        return plain && rule.freq === 'MONTHLY' && BYSETPOS.every((place) => Math.abs(Number(place)) === 1);
      return ordinals.every(
        (ordinal) =>
          ordinal <= (rule.freq === 'YEARLY' && months.length === 0 ? 52 : 4) ||
          (ordinal === 5 && months.length === 0),
      );
    default:
      return false;
  }
}
