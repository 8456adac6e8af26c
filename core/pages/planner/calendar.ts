import {
  aWeek,
  byDay,
  type Day,
  type DayNames,
  dayNames,
  dayOfYear,
  holidaysOf,
  isWeekend,
  moonPhases,
  readOwnDates,
  weekdayOf,
  weekNumber,
} from '../../calendar/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import { directionOf } from '../../scene/index.ts';
import type { PlannerOptions } from './options.ts';

/** A day as a page shows it; one without a date has no number, no phase and nothing on it. */
export interface ShownDay {
  number: string;
  weekday: string;
  short: string;
  letter: string;
  weekend: boolean;
  /** The quarter of the moon that begins on it, or null. */
  moon: number | null;
  /** Holidays and own dates. */
  texts: readonly string[];
  /** As messages name it. */
  day: Day;
}

/** The days of a planner. */
export interface PlannerCalendar {
  names: DayNames;
  show(day: Day): ShownDay;
  /** The number of the week that begins on a day, or null where none is wanted. */
  week(first: Day): number | null;
  dayOfYear(day: Day): number | null;
  /** Days run from the right to the left: pages are laid out as usual and then mirrored. */
  leftward: boolean;
}

/** Any: its month is a word of the language. */
const A_DAY = '2026-01-15';

const nothing = (): string[] => [];

/** Made once for the options of a section, whose pages show most days several times. */
const made = new WeakMap<PlannerOptions, Map<PrintedLanguage, PlannerCalendar>>();

/** @param language of the book, where the planner names no other */
export function plannerCalendar(options: PlannerOptions, language: PrintedLanguage): PlannerCalendar {
  const there = made.get(options) ?? new Map<PrintedLanguage, PlannerCalendar>();
  made.set(options, there);
  const calendar = there.get(language) ?? makeCalendar(options, language);
  there.set(language, calendar);
  return calendar;
}

function makeCalendar(options: PlannerOptions, language: PrintedLanguage): PlannerCalendar {
  const { dated, moon, timeZone, holidays, observances, weekStart, weekNumbers, dayNumbers, order } = options;
  const locale = options.names || localeOf(language, options);
  const names = dayNames(locale);
  const own = dated ? byDay(readOwnDates(options.dates)) : nothing;
  const kept = (day: Day): string[] =>
    holidays === 'none'
      ? []
      : holidaysOf(holidays, Number(day.slice(0, 4)), locale)
          .filter((one) => one.day === day && (one.public || observances))
          .map(({ name, substitute }) => (substitute ? `${name} (observed)` : name));
  const leftward = order === 'language' && directionOf(names.monthAlone(A_DAY)) === 'rtl';
  const weekdays = new Map(
    aWeek('sunday').map((day, i) => [
      i,
      {
        weekday: names.weekday(day),
        short: names.weekdayShort(day),
        letter: names.weekdayLetter(day),
        weekend: isWeekend(day),
      },
    ]),
  );
  const shown = new Map<Day, ShownDay>();
  const phaseOn = (day: Day): number | null => {
    const quarter = moonPhases(Number(day.slice(0, 4)), timeZone).get(day) ?? null;
    // The half that is lit is not to change sides where the page is mirrored.
    return quarter === null || !leftward ? quarter : (4 - quarter) % 4;
  };
  const show = (day: Day): ShownDay => ({
    ...weekdays.get(weekdayOf(day))!,
    number: dated ? names.number(day) : '',
    moon: dated && moon ? phaseOn(day) : null,
    texts: dated ? [...new Set([...kept(day), ...own(day)])] : [],
    day,
  });
  return {
    names,
    leftward,
    show(day) {
      const one = shown.get(day) ?? show(day);
      shown.set(day, one);
      return one;
    },
    week: (first) => (dated && weekNumbers ? weekNumber(first, weekStart) : null),
    dayOfYear: (day) => (dated && dayNumbers ? dayOfYear(day) : null),
  };
}

/** English is written as in the country whose holidays are shown; without any as in the United States. */
const localeOf = (language: PrintedLanguage, { holidays }: PlannerOptions): string =>
  language === 'en' ? `en-${holidays === 'none' ? 'US' : holidays}` : language;
