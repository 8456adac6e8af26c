import type { View } from '../view.ts';
import { day, dayWithLines } from './day.ts';
import { month, monthList } from './month.ts';
import { notes, week, weekTimes, weekVertical } from './week.ts';
import { quarter, year, yearGlance, yearList } from './year.ts';

/** The views of a planner, and the pages for notes between its weeks. */
export const PAGES: Readonly<Record<string, View>> = {
  year,
  'year-list': yearList,
  'year-glance': yearGlance,
  quarter,
  month,
  'month-list': monthList,
  week,
  'week-vertical': weekVertical,
  'week-times': weekTimes,
  day,
  'day-lines': dayWithLines,
  notes,
};
