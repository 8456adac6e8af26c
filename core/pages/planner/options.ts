import * as v from 'valibot';
import {
  daySchema,
  HOLIDAY_COUNTRIES,
  hasDayNames,
  isTimeZone,
  MOST_DATES_TEXT,
  readOwnDates,
  WEEK_STARTS,
} from '../../calendar/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { LOOKS, type LookId } from '../blocks/look.ts';

export const VIEWS = {
  year: 'Year, small months',
  'year-list': 'Year, a line for each day',
  'year-glance': 'Year at a glance',
  quarter: 'Quarter',
  month: 'Month, grid',
  'month-list': 'Month, a line for each day',
  week: 'Week, days below each other',
  'week-vertical': 'Week, days beside each other',
  'week-times': 'Week with times',
  day: 'Day with hours',
  'day-lines': 'Day with lines',
} as const;
export type ViewId = keyof typeof VIEWS;

const WEEKS: readonly ViewId[] = ['week', 'week-vertical', 'week-times'];
const DAYS: readonly ViewId[] = ['day', 'day-lines'];
const MONTHS: readonly ViewId[] = ['month', 'month-list'];
const GROUP = { dates: 'Dates', shown: 'On the pages', blocks: 'Blocks of a week' };

const ownDates = v.pipe(
  text(0, MOST_DATES_TEXT),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    try {
      readOwnDates(dataset.value);
    } catch (error) {
      addIssue({ message: `is wrong: ${(error as Error).message}` });
    }
  }),
);

export const options = exactObject({
  view: setting(enumOf(Object.keys(VIEWS) as ViewId[]), 'week', { label: 'View', values: VIEWS }),
  from: setting(daySchema, '2027-01-01', { label: 'First day', control: 'day', group: GROUP.dates }),
  to: setting(daySchema, '2027-12-31', { label: 'Last day', control: 'day', group: GROUP.dates }),
  weekStart: setting(enumOf(WEEK_STARTS), 'monday', {
    label: 'Weeks begin on',
    values: { monday: 'Monday', sunday: 'Sunday', saturday: 'Saturday' },
    group: GROUP.dates,
  }),
  dated: setting(v.boolean(), true, {
    label: 'Dated',
    help: 'Off: as many pages, with room to write the dates in.',
    group: GROUP.dates,
  }),
  names: setting(
    v.pipe(
      text(0, 20),
      v.check(
        (code) => code === '' || hasDayNames(code),
        ({ input }) => `is “${input}”. Write the code of a language, such as "ja" or "pt-BR".`,
      ),
    ),
    '',
    {
      label: 'Language of days and months',
      help: 'As a code, such as ja or pt-BR, instead of the language of the book.',
      group: GROUP.dates,
    },
  ),
  order: setting(enumOf(['language', 'right']), 'language', {
    label: 'Days run',
    values: { language: 'As the language is read', right: 'From left to right' },
    help: 'The days of a language that is read from the right, such as Hebrew or Arabic, begin there.',
    group: GROUP.dates,
  }),
  pages: setting(enumOf(['usual', 'one', 'two']), 'usual', {
    label: 'Pages of a week or month',
    when: { view: [...WEEKS, ...MONTHS] },
    values: { usual: 'As usual', one: 'One', two: 'Two that face each other' },
    help: 'As usual: a week has two, a month one.',
  }),
  months: setting(v.boolean(), false, {
    label: 'A month before its weeks or days',
    when: { view: [...WEEKS, ...DAYS] },
    help: 'Its grid on two facing pages where the weeks have two, otherwise on one.',
  }),
  notesEvery: setting(integerBetween(0, 26), 0, {
    label: 'Pages for notes after every … weeks',
    when: { view: [...WEEKS, ...DAYS] },
    help: '0 for none.',
  }),
  weekNumbers: setting(v.boolean(), true, {
    label: 'Numbers of weeks',
    help: 'From Monday by ISO 8601; from Sunday or Saturday week 1 has the first of January.',
    group: GROUP.shown,
  }),
  dayNumbers: setting(v.boolean(), false, {
    label: 'Days of the year',
    when: { dated: [true] },
    group: GROUP.shown,
  }),
  holidays: setting(enumOf(['none', ...HOLIDAY_COUNTRIES]), 'none', {
    label: 'Holidays of',
    when: { dated: [true] },
    values: () => {
      const regions = new Intl.DisplayNames('en', { type: 'region' });
      const countries = HOLIDAY_COUNTRIES.map((code): [string, string] => [code, regions.of(code)!]);
      return { none: 'No country', ...Object.fromEntries(countries) };
    },
    group: GROUP.shown,
  }),
  observances: setting(v.boolean(), false, {
    label: 'Days that are kept, but not off',
    when: { dated: [true], holidays: HOLIDAY_COUNTRIES },
    help: 'Such as Mother’s Day, besides public holidays.',
    group: GROUP.shown,
  }),
  dates: setting(ownDates, '', {
    label: 'Own dates',
    when: { dated: [true] },
    help: 'A line for each: 2027-05-31, Anna’s birthday. 05-31 instead is every year.',
    control: 'dates',
    group: GROUP.shown,
  }),
  moon: setting(v.boolean(), false, {
    label: 'Phases of the moon',
    when: { dated: [true] },
    group: GROUP.shown,
  }),
  timeZone: setting(
    v.pipe(
      text(1, 40),
      v.check(
        isTimeZone,
        ({ input }) => `is “${input}”. Write a time zone, such as "UTC" or "America/Denver".`,
      ),
    ),
    'UTC',
    {
      label: 'Time zone of the moon',
      when: { dated: [true], moon: [true] },
      help: 'Such as America/Denver: it decides on which day a phase falls.',
      group: GROUP.shown,
    },
  ),
  tabs: setting(v.boolean(), true, {
    label: 'Tabs of the months',
    help: 'At the outer edge, into the bleed in a book that has bleed.',
    group: GROUP.shown,
  }),
  hoursFrom: setting(integerBetween(0, 22), 7, {
    label: 'First hour',
    when: { view: ['week-times', 'day'] },
    group: GROUP.shown,
  }),
  hoursTo: setting(integerBetween(1, 23), 20, {
    label: 'Last hour',
    when: { view: ['week-times', 'day'] },
    group: GROUP.shown,
  }),
  clock: setting(enumOf(['24', '12']), '24', {
    label: 'Hours',
    values: { 24: '13, 14, 15', 12: '1, 2, 3' },
    when: { view: ['week-times', 'day'] },
    group: GROUP.shown,
  }),
  goals: setting(integerBetween(0, 8), 0, {
    label: 'Lines for goals',
    when: { view: WEEKS },
    group: GROUP.blocks,
  }),
  habits: setting(integerBetween(0, 10), 0, {
    label: 'Habits to tick',
    when: { view: WEEKS },
    group: GROUP.blocks,
  }),
  look: setting(enumOf(Object.keys(LOOKS) as LookId[]), 'almanac', {
    label: 'Look',
    values: { almanac: 'Almanac', soft: 'Soft and round', botanical: 'Botanical' },
  }),
});

export type PlannerOptions = v.InferOutput<typeof options>;
