import { HOLIDAY_CREDIT, loadHolidays, loadMoon } from '../../calendar/index.ts';
import { loadFlexbox } from '../../flexbox/index.ts';
import { type Mark, mirroredMarks } from '../../scene/index.ts';
import { arrange } from '../blocks/arrange.ts';
import { lookOf } from '../blocks/look.ts';
import { drawArranged, pageRoom, penFor, problemsOf } from '../blocks/page.ts';
import {
  type DrawContext,
  defineKind,
  type ItemProblem,
  type PageSample,
  type Unit,
  type UnitPart,
} from '../kind.ts';
import { plannerCalendar } from './calendar.ts';
import { options, type PlannerOptions, VIEWS, type ViewId } from './options.ts';
import { endOf, plannerUnits, spanOf, tabOf } from './sequence.ts';
import { besideTabs, drawTab } from './tabs.ts';
import type { PlannedView } from './view.ts';
import { PAGES } from './views/index.ts';

type Room = Omit<DrawContext<PlannerOptions, never>, 'items' | 'resources' | 'book' | 'hyphenate'>;

/** Where days run to the left, the first of them stand on the page at the right. */
const OTHER: Record<UnitPart, UnitPart> = { page: 'page', back: 'back', left: 'right', right: 'left' };

const shownOn = ({ data }: Unit): PlannedView => data as PlannedView;
const hasTab = ({ options: { tabs, dated }, unit }: Pick<Room, 'options' | 'unit'>): boolean =>
  tabs && dated && tabOf(shownOn(unit)) !== null;

function arranged(context: Room) {
  const { options: chosen, unit, part, language, frame, type, faces } = context;
  const calendar = plannerCalendar(chosen, language);
  const shown = shownOn(unit);
  const blocks = PAGES[shown.view]!(shown, {
    options: chosen,
    calendar,
    part: calendar.leftward ? OTHER[part] : part,
    language,
  });
  // Pages of one book keep the same room, whether or not they have a tab.
  const body = chosen.tabs && chosen.dated ? besideTabs(context.body, frame) : context.body;
  const pen = penFor(frame, type, lookOf(chosen.look, faces));
  const room = pageRoom({ body, frame });
  return { ...arrange(blocks, room, pen), calendar, shown, room };
}

function draw(context: Room): Mark[] {
  const page = arranged(context);
  const { calendar, shown, pen, room } = page;
  const marks = drawArranged(page);
  const tab = hasTab(context) ? tabOf(shown) : null;
  return [
    ...(calendar.leftward ? mirroredMarks(marks, room.x + room.width / 2, context.type) : marks),
    ...(tab ? drawTab(calendar.names.monthShort(tab.on), tab.month, context.body, context.frame, pen) : []),
  ];
}

/** What is said once of a planner, at its first page. */
function problemsOfSpan({ from, to, hoursFrom, hoursTo }: PlannerOptions): ItemProblem[] {
  const span = spanOf({ from, to } as PlannerOptions);
  const problems: ItemProblem[] = [];
  if (to < from)
    problems.push({
      severity: 'fix',
      message: `the last day, ${to}, is before the first, ${from}. Make it the same or a later one.`,
    });
  else if (span.to < to)
    problems.push({
      severity: 'fix',
      message: `the span to ${to} is longer than three years; pages end with ${span.to}. Make it shorter.`,
    });
  if (hoursTo <= hoursFrom)
    problems.push({
      severity: 'look',
      message: `the last hour is not after the first. Make it a later one.`,
    });
  return problems;
}

const JUNE = { from: '2027-06-01', to: '2027-06-01' };
const YEAR = { from: '2027-01-01', to: '2027-12-31' };
const sample = (view: ViewId, name: string, more: Record<string, unknown> = {}): PageSample => ({
  name,
  options: { view, ...YEAR, ...more },
  // A picture shows the first page alone: that of a whole year where it is one, of one month otherwise.
  shown: view.startsWith('year') ? {} : JUNE,
});

export const planner = defineKind<PlannerOptions, never>({
  id: 'planner',
  version: 1,
  name: 'Planner pages',
  called: ({ view, dated }) =>
    `Planner: ${VIEWS[view].split(',')[0]!.toLowerCase()}${dated ? '' : ', undated'}`,
  family: 'Planners',
  purpose: 'Years, months, weeks and days, with dates or without.',
  samples: [
    sample('year', 'Year, small months'),
    sample('year-list', 'Year, a line for each day'),
    sample('year-glance', 'Year at a glance'),
    sample('quarter', 'Quarter'),
    sample('month', 'Month'),
    sample('month', 'Month on two pages', { pages: 'two' }),
    sample('month-list', 'Month, a line for each day'),
    sample('week', 'Week on two pages', { months: true }),
    sample('week', 'Week on one page', { pages: 'one', look: 'soft' }),
    sample('week-vertical', 'Week, days beside each other'),
    sample('week-times', 'Week with times'),
    sample('week', 'Week with habits and goals', { habits: 4, goals: 3 }),
    sample('day', 'Page a day, with hours'),
    sample('day-lines', 'Page a day, with lines'),
    sample('month', 'Month, undated', { dated: false }),
    sample('week', 'Week, undated', { dated: false }),
    sample('day', 'Page a day, undated', { dated: false }),
  ],
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  inHouseFaces: () => true,
  later: { clock: '24', order: 'right' },
  prepare: async ({ holidays, moon }) => {
    await Promise.all([loadFlexbox(), holidays === 'none' ? null : loadHolidays(), moon ? loadMoon() : null]);
  },
  credits: ({ holidays, dated }) => (holidays !== 'none' && dated ? [HOLIDAY_CREDIT] : []),
  options,
  units: ({ options: chosen, language }) => {
    const { names } = plannerCalendar(chosen, language);
    return plannerUnits(chosen, (shown) =>
      shown.view.startsWith('year')
        ? names.years(shown.on, endOf(shown))
        : shown.view === 'quarter'
          ? names.months(shown.on, endOf(shown))
          : names.month(tabOf(shown)!.on),
    );
  },
  draw,
  inspectUnit(context) {
    const shown = shownOn(context.unit);
    const problems: ItemProblem[] = shown.on <= context.options.from ? problemsOfSpan(context.options) : [];
    problems.push(
      ...problemsOf(
        arranged(context),
        'the page is {lines} too high for this trim. Ask for less on it, or choose a larger trim.',
      ),
    );
    if (
      hasTab(context) &&
      shown.on <= context.options.from &&
      context.frame.media.height <= context.frame.trim.height
    )
      problems.push({
        severity: 'look',
        message:
          'the tabs are to run into the bleed, but the book has none; they end at the margin. Turn on bleed.',
      });
    return problems;
  },
});
