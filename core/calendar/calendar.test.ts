import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { datesFromCalendar } from './calendar-file.ts';
import {
  byDay,
  countriesKnown,
  dayNames,
  daySchema,
  daysFrom,
  HOLIDAY_COUNTRIES,
  hasDayNames,
  holidaysOf,
  isTimeZone,
  loadHolidays,
  loadMoon,
  monthsFrom,
  moonPhases,
  ownDatesText,
  plusDays,
  plusMonths,
  readOwnDates,
  WEEK_STARTS,
  weekOf,
  weeksFrom,
  weeksOfMonth,
} from './index.ts';

beforeAll(async () => {
  await Promise.all([loadHolidays(), loadMoon()]);
});

const anyDay = fc
  .date({ min: new Date('1900-01-01'), max: new Date('2100-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const anyStart = fc.constantFrom(...WEEK_STARTS);

describe('days', () => {
  it('a day is one that the calendar has', () => {
    const problem = (text: string) => v.safeParse(daySchema, text).issues?.[0].message;
    expect(problem('2028-02-29')).toBeUndefined();
    expect(problem('2027-02-29')).toMatch(/is “2027-02-29”\. Write a day as year, month and day/);
    expect(problem('1 June')).toMatch(/Write a day/);
    expect(problem('1899-12-31')).toMatch(/Allowed: the years 1900 to 2100/);
  });

  it('weeks of a span follow each other without a gap and hold all of its days', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 0, max: 800 }), anyStart, (from, length, start) => {
        const to = plusDays(from, length);
        const weeks = weeksFrom(from, to, start);
        expect(weeks[0]! <= from && plusDays(weeks.at(-1)!, 6) >= to).toBe(true);
        expect(weeks.slice(1)).toEqual(weeks.slice(0, -1).map((week) => plusDays(week, 7)));
        for (const week of weeks) expect(weekOf(plusDays(week, 6), start)).toBe(week);
      }),
    );
  });

  it('a month has four to six weeks, each of seven days, and each of its days once', () => {
    fc.assert(
      fc.property(anyDay, anyStart, (day, start) => {
        const month = plusMonths(day, 0);
        const weeks = weeksOfMonth(month, start);
        expect(weeks.length).toBeGreaterThanOrEqual(4);
        expect(weeks.length).toBeLessThanOrEqual(6);
        const all = weeks.flat();
        expect(new Set(all).size).toBe(7 * weeks.length);
        const own = daysFrom(month, plusDays(plusMonths(month, 1), -1));
        expect(all.filter((one) => one.slice(0, 7) === month.slice(0, 7))).toEqual(own);
      }),
    );
  });

  it('a span of thirteen months has thirteen, whatever day it begins on', () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        expect(monthsFrom(day, plusDays(plusMonths(day, 13), -1))).toHaveLength(13);
      }),
    );
  });
});

describe('names of days and months', () => {
  it('are those of the language, in its order', () => {
    const [english, german, japanese] = ['en-US', 'de', 'ja'].map((code) => dayNames(code));
    expect(english!.day('2027-05-31')).toBe('Monday, May 31');
    expect(english!.month('2027-05-31')).toBe('May 2027');
    expect(german!.day('2027-05-31')).toBe('Montag, 31. Mai');
    expect(japanese!.month('2027-05-31')).toBe('2027年5月');
    expect(dayNames('fr').month('2027-05-31')).toBe('Mai 2027');
  });

  it('a span of days names both its ends', () => {
    expect(dayNames('en-US').range('2027-05-31', '2027-06-06')).toMatch(/^May 31 . June 6$/);
    expect(dayNames('en-US').years('2027-07-01', '2028-12-31')).toMatch(/^2027.{1,3}2028$/);
  });

  it('codes that name no language are told apart', () => {
    expect(['ja', 'pt-BR', 'en'].map(hasDayNames)).toEqual([true, true, true]);
    expect(['', 'moth', 'xx', 'en_US!'].map(hasDayNames)).toEqual([false, false, false, false]);
    expect([isTimeZone('America/Denver'), isTimeZone('Moon/Tycho')]).toEqual([true, false]);
  });
});

describe('holidays', () => {
  it('countries that can be chosen are those of the data set', () => {
    expect([...HOLIDAY_COUNTRIES]).toEqual(countriesKnown());
  });

  it('are in the language that was asked for, where the data set has it', () => {
    const on = (country: string, language: string) =>
      holidaysOf(country, 2027, language).find(({ day }) => day === '2027-12-25')?.name;
    expect(on('DE', 'de')).toBe('1. Weihnachtstag');
    expect(on('DE', 'en')).toBe('Christmas Day');
  });
});

describe('phases of the moon', () => {
  it('come every seven or eight days, in their order', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1900, max: 2100 }), (year) => {
        const phases = [...moonPhases(year, 'UTC')];
        expect(phases.length).toBeGreaterThanOrEqual(48);
        phases.slice(1).forEach(([day, quarter], i) => {
          const [before, last] = phases[i]!;
          expect(quarter).toBe((last + 1) % 4);
          const days = daysFrom(before, day).length - 1;
          expect(days).toBeGreaterThanOrEqual(6);
          expect(days).toBeLessThanOrEqual(9);
        });
      }),
      { numRuns: 12 },
    );
  });
});

describe('own dates', () => {
  it('are read from lines, with or without a heading, by comma, semicolon or tab', () => {
    const expected = [
      { on: '2027-05-31', text: 'Anna’s birthday' },
      { on: '12-24', text: 'Tree, and goose' },
    ];
    for (const text of [
      '2027-05-31,Anna’s birthday\n12-24,"Tree, and goose"',
      'Date;What\r\n2027-05-31;Anna’s birthday\r\n\r\n12-24;Tree, and goose\r\n',
      '2027-05-31\tAnna’s birthday\n12-24\tTree, and goose',
    ])
      expect(readOwnDates(text)).toEqual(expected);
    expect(readOwnDates('  \n ')).toEqual([]);
  });

  it('written and read again they are the same', () => {
    const text = fc
      .string({ minLength: 1, maxLength: 60, unit: 'grapheme' })
      .map((said) => said.replace(/\s+/g, ' ').trim())
      // An apostrophe before a sign belongs to the file, not to the text.
      .filter((said) => said !== '' && !/^'[=+\-@]/.test(said) && !said.includes('\uFEFF'));
    fc.assert(
      fc.property(fc.array(fc.record({ on: anyDay, text }), { maxLength: 20 }), (dates) => {
        expect(readOwnDates(ownDatesText(dates))).toEqual(dates);
      }),
    );
  });

  it.each([
    ['31.5.2027,Anna', /Line 1 begins with “31.5.2027”. Write the day as 2027-05-31/],
    ['2027-05-31,Anna\n2027-02-30,Ben', /Line 2 begins with “2027-02-30”/],
    ['2027-05-31', /Line 1 has the day 2027-05-31, but no text/],
    [`2027-05-31,${'long '.repeat(20)}`, /Line 1: the text has more than 80 letters/],
  ])('%s: says which line is wrong', (text, message) => {
    expect(() => readOwnDates(text)).toThrow(message);
  });

  it('of one day and of every year stand on their days', () => {
    const on = byDay(readOwnDates('2027-05-31,Once\n05-31,Always'));
    expect(on('2027-05-31')).toEqual(['Once', 'Always']);
    expect(on('2028-05-31')).toEqual(['Always']);
    expect(on('2028-06-01')).toEqual([]);
  });
});

const calendar = (...events: string[]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    ...events.flatMap((event, i) => [
      'BEGIN:VEVENT',
      `UID:${i}`,
      `SUMMARY:Event ${i}`,
      ...event.split('|'),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ].join('\r\n');
const read = (...events: string[]) => datesFromCalendar(calendar(...events), '2027-01-01', '2027-12-31');
const days = (...events: string[]) => read(...events).map(({ on }) => on);

describe('calendar files', () => {
  it('the worked examples of RFC 5545, 3.8.5.3, in the year of the planner', () => {
    // “Every Friday the 13th” is left out, as are rules by the hour: they are refused below.
    expect(days('DTSTART;VALUE=DATE:20270902|RRULE:FREQ=DAILY;COUNT=4')).toEqual([
      '2027-09-02',
      '2027-09-03',
      '2027-09-04',
      '2027-09-05',
    ]);
    // First Friday of the month.
    expect(days('DTSTART;VALUE=DATE:20270903|RRULE:FREQ=MONTHLY;COUNT=3;BYDAY=1FR')).toEqual([
      '2027-09-03',
      '2027-10-01',
      '2027-11-05',
    ]);
    // The last work day of the month.
    expect(
      days('DTSTART;VALUE=DATE:20270930|RRULE:FREQ=MONTHLY;COUNT=3;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1'),
    ).toEqual(['2027-09-30', '2027-10-29', '2027-11-30']);
    // The end of an event is the day after its last.
    expect(days('DTSTART;VALUE=DATE:20270628|DTEND;VALUE=DATE:20270630')).toEqual([
      '2027-06-28',
      '2027-06-29',
    ]);
  });

  it('what comes every year is kept as that; what lies outside the span is not', () => {
    expect(read('DTSTART;VALUE=DATE:19970531|RRULE:FREQ=YEARLY')).toEqual([{ on: '05-31', text: 'Event 0' }]);
    expect(days('DTSTART;VALUE=DATE:20261231', 'DTSTART:20270601T180000Z')).toEqual(['2027-06-01']);
  });

  it.each([
    ['DTSTART:20270101T000000Z|RRULE:FREQ=SECONDLY'],
    ['DTSTART;VALUE=DATE:20270101|RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31'],
    ['DTSTART;VALUE=DATE:20270101|RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31'],
    ['DTSTART;VALUE=DATE:20270101|RRULE:FREQ=YEARLY;BYDAY=-1FR;BYMONTH=1,7;BYSETPOS=-3;COUNT=1'],
    ['DTSTART;VALUE=DATE:20270101|RRULE:FREQ=MONTHLY;BYDAY=6MO'],
  ])('a rule that would never end is refused: %s', (event) => {
    expect(() => read(event)).toThrow(/comes back by a rule that is not followed here/);
  });

  it('a file that is none is refused with what to do', () => {
    for (const text of ['', 'Dear all', 'BEGIN:VCALENDAR\nnonsense', 'BEGIN:VEVENT\nEND:VCALENDAR'])
      expect(() => datesFromCalendar(text, '2027-01-01', '2027-12-31')).toThrow(RangeError);
    const many = calendar(...Array.from({ length: 7 }, () => 'DTSTART;VALUE=DATE:20270101|RRULE:FREQ=DAILY'));
    expect(() => datesFromCalendar(many, '2027-01-01', '2027-12-31')).toThrow(/has 2,555 days in this span/);
  });
});
