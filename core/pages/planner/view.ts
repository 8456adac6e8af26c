import type { Day } from '../../calendar/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import type { Block } from '../blocks/block.ts';
import type { UnitPart } from '../kind.ts';
import type { PlannerCalendar } from './calendar.ts';
import type { PlannerOptions } from './options.ts';

/** What one page or two of a planner show: of which sort, and from which day on. */
export interface PlannedView {
  view: string;
  /** The first day of the week, month or span of months, or the day itself. */
  on: Day;
  /** Months that are shown, for views of several. */
  months?: number;
  /** On two facing pages. */
  facing?: boolean;
}

export interface ViewContext {
  options: PlannerOptions;
  calendar: PlannerCalendar;
  part: UnitPart;
  /** Of what is printed besides names of days and months. */
  language: PrintedLanguage;
}

/** The blocks of a page of a view. Adding a view is adding a function, its line in views/index.ts and its name in options.ts. */
export type View = (shown: PlannedView, context: ViewContext) => Block[];
