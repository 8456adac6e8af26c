import {
  type Day,
  daysFrom,
  monthOf,
  monthsFrom,
  plusDays,
  plusMonths,
  weeksFrom,
} from '../../calendar/index.ts';
import type { Unit } from '../kind.ts';
import type { PlannerOptions, ViewId } from './options.ts';
import type { PlannedView } from './view.ts';
import { monthOfWeek } from './views/week.ts';

/** No book has room for the days of more years than that. */
const MOST_DAYS = 366 * 3;

const VIEWS_OF_WEEKS: readonly ViewId[] = ['week', 'week-vertical', 'week-times'];
const isWeek = (view: ViewId): boolean => VIEWS_OF_WEEKS.includes(view);
/** Views whose pages may stand two and two. */
export const comesInTwo = (view: ViewId): boolean => isWeek(view) || view === 'month' || view === 'year-list';

/** Whether the pages of a view face each other: those of a year with a line for each day always do. */
const faces = ({ view, pages }: PlannerOptions): boolean =>
  view === 'year-list' || (pages === 'usual' ? isWeek(view) : pages === 'two' && comesInTwo(view));

/** The span of a planner; one day where its end comes before its beginning, and no more than a book has room for. */
export function spanOf({ from, to }: PlannerOptions): { from: Day; to: Day } {
  const last = plusDays(from, MOST_DAYS - 1);
  return { from, to: to < from ? from : to > last ? last : to };
}

/** Months in stretches of so many, the last shorter; a few more than a year stand on one page rather than two. */
function stretches(months: readonly Day[], most: number): { on: Day; months: number }[] {
  const size = most === 12 && months.length > 12 && months.length <= 18 ? months.length : most;
  return Array.from({ length: Math.ceil(months.length / size) }, (_, i) => ({
    on: months[i * size]!,
    months: Math.min(size, months.length - i * size),
  }));
}

/** What the pages of a planner show, in order. */
export function sequence(options: PlannerOptions): PlannedView[] {
  const { view, weekStart, months: withMonths, notesEvery } = options;
  const { from, to } = spanOf(options);
  const months = monthsFrom(from, to);
  const facing = faces(options);
  switch (view) {
    case 'year':
      return stretches(months, 12).map((one) => ({ view, ...one }));
    case 'year-list':
    case 'year-glance':
      return Array.from({ length: Math.ceil(months.length / 12) }, (_, i) => ({
        view,
        on: months[i * 12]!,
        months: Math.min(12, months.length - i * 12),
        ...(facing ? { facing } : {}),
      }));
    case 'quarter':
      return stretches(months, 3).map((one) => ({ view, ...one }));
    case 'month':
    case 'month-list':
      return months.map((on) => ({ view, on, ...(facing ? { facing } : {}) }));
    case 'week':
    case 'week-vertical':
    case 'week-times': {
      const seen = new Set<Day>();
      return weeksFrom(from, to, weekStart).flatMap((on, i): PlannedView[] => {
        // The first week may lie in the month before the span.
        const month = [monthOfWeek(on), months[0]!].sort().at(-1)!;
        const opens = withMonths && !seen.has(month) && month <= to;
        seen.add(month);
        const pair = facing ? { facing } : {};
        return [
          ...(opens ? [{ view: 'month', on: month, ...pair }] : []),
          { view, on, ...pair },
          ...(notesEvery > 0 && (i + 1) % notesEvery === 0 ? [{ view: 'notes', on, ...pair }] : []),
        ];
      });
    }
    case 'day':
    case 'day-lines':
      return daysFrom(from, to).flatMap((on, i): PlannedView[] => [
        ...(withMonths && (i === 0 || on === monthOf(on)) ? [{ view: 'month', on: monthOf(on) }] : []),
        { view, on },
        ...(notesEvery > 0 && (i + 1) % (7 * notesEvery) === 0 ? [{ view: 'notes', on }] : []),
      ]);
  }
}

/** The pages of a planner as units; without dates those of one view look alike. */
export const plannerUnits = (options: PlannerOptions, contents: (shown: PlannedView) => string): Unit[] => {
  const named = new Set<string>();
  return sequence(options).map((shown): Unit => {
    const entry = options.dated ? contents(shown) : '';
    const isNew = entry !== '' && !named.has(entry);
    named.add(entry);
    return {
      ...(shown.facing ? { side: 'facing' as const } : {}),
      ...(isNew ? { contents: entry } : {}),
      ...(options.dated || shown.view.startsWith('year') || shown.view === 'quarter' || shown.view === 'day'
        ? {}
        : { key: shown.view }),
      data: shown,
    };
  });
};

/** The month whose tab a page has, counted from January as 0; null for pages of several months. */
export function tabOf({ view, on }: PlannedView): { month: number; on: Day } | null {
  if (view.startsWith('year') || view === 'quarter') return null;
  const month = view.startsWith('week') || view === 'notes' ? monthOfWeek(on) : monthOf(on);
  return { month: Number(month.slice(5, 7)) - 1, on: month };
}

export const endOf = ({ on, months = 1 }: PlannedView): Day => plusDays(plusMonths(on, months), -1);
