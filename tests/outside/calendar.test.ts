import { DateTime, Info } from 'luxon';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  dayNames,
  dayOfYear,
  holidaysOf,
  isWeekend,
  loadHolidays,
  loadMoon,
  moonPhases,
  plusDays,
  weekNumber,
  weekOf,
} from '#core/calendar/index.ts';

beforeAll(async () => {
  await Promise.all([loadHolidays(), loadMoon()]);
});

describe('the calendar, against a second library of dates (Luxon)', () => {
  it('ISO 8601 weeks, weekdays, days of the year and beginnings of weeks, every day from 1900 to 2100', () => {
    const start = DateTime.utc(1900, 1, 1);
    const wrong: string[] = [];
    const count = DateTime.utc(2100, 12, 31).diff(start, 'days').days;
    let day = '1900-01-01';
    for (let i = 0; i <= count; i++) {
      const other = start.plus({ days: i });
      // Luxon counts a Monday as 1 and a Sunday as 7.
      const sunday = other.minus({ days: other.weekday % 7 });
      const saturday = other.minus({ days: (other.weekday + 1) % 7 });
      const right =
        other.toISODate() === day &&
        weekNumber(weekOf(day, 'monday'), 'monday') === other.weekNumber &&
        weekOf(day, 'monday') === other.startOf('week').toISODate() &&
        weekOf(day, 'sunday') === sunday.toISODate() &&
        weekOf(day, 'saturday') === saturday.toISODate() &&
        dayOfYear(day) === other.ordinal &&
        isWeekend(day) === other.weekday > 5;
      if (!right) wrong.push(day);
      day = plusDays(day, 1);
    }
    expect(wrong).toEqual([]);
    expect(day).toBe('2101-01-01');
  });

  it('names of months and days are those it gives, in ten languages', () => {
    for (const locale of ['en-US', 'de', 'fr', 'es', 'pt-BR', 'ru', 'pl', 'ja', 'he', 'tr']) {
      const names = dayNames(locale);
      const lower = (all: string[]) => all.map((name) => name.toLocaleLowerCase(locale));
      const months = Array.from({ length: 12 }, (_, i) => `2027-${String(i + 1).padStart(2, '0')}-01`);
      expect(lower(months.map(names.monthAlone))).toEqual(lower(Info.months('long', { locale })));
      const week = Array.from({ length: 7 }, (_, i) => plusDays('2027-05-31', i));
      expect(lower(week.map(names.weekday))).toEqual(lower(Info.weekdays('long', { locale })));
    }
  });
});

describe('phases of the moon, against published values', () => {
  it.each([
    // J. Meeus, Astronomical Algorithms, examples 49.a and 49.b: 1977 February 18, 3:37:42 TD; 2044 January 21, 23:48:17 TD.
    ['1977-02-18', 0],
    ['2044-01-21', 3],
    // Eclipses of NASA's catalogs (F. Espenak), from memory: of the sun at new moon, of the moon at full moon.
    ['1999-08-11', 0],
    ['2017-08-21', 0],
    ['2024-04-08', 0],
    ['2015-09-28', 2],
    ['2018-07-27', 2],
  ])('%s is quarter %i', (day, quarter) => {
    expect(moonPhases(Number(day.slice(0, 4)), 'UTC').get(day)).toBe(quarter);
  });

  it('fall on the day of the place: the full moon of 28 September 2015, 02:50 UT, was on the 27th in New York', () => {
    expect(moonPhases(2015, 'America/New_York').get('2015-09-27')).toBe(2);
  });
});

describe('holidays', () => {
  it('of Germany, public in every state, are those of the Einigungsvertrag and the laws of the states', () => {
    // 2027, by Easter on March 28 (Gauss); common practice for the rest of the list.
    const days = holidaysOf('DE', 2027, 'de')
      .filter((one) => one.public)
      .map(({ day }) => day);
    expect(days).toEqual([
      '2027-01-01',
      '2027-03-26',
      '2027-03-29',
      '2027-05-01',
      '2027-05-06',
      '2027-05-17',
      '2027-10-03',
      '2027-12-25',
      '2027-12-26',
    ]);
  });
});
