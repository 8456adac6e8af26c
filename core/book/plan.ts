import {
  gutterFor,
  type PrintService,
  type PrintSpec,
  paperOf,
  printService,
  type Side,
  sideOf,
} from '../print/index.ts';
import { parseLength } from '../units.ts';
import { kindOf, type Recipe, type Section } from './recipe.ts';

export type PageRole = 'body' | 'solutions' | 'blank';

/** One page before anything is drawn. */
export interface PlannedPage {
  /** From 1; page 1 is a recto. */
  number: number;
  side: Side;
  role: PageRole;
  /** Id of the section; null for the blank that makes the count even. */
  section: string | null;
  /** Numbers of the items on it, within their section. */
  items: number[];
  /** What is printed as page number; empty on front matter and where numbering is off. */
  folio: string;
}

/** A run of pages in the running order: a section's own pages, or its solutions. */
export interface PlannedRun {
  section: string;
  role: 'body' | 'solutions';
  first: number;
  last: number;
}

export interface Plan {
  pages: PlannedPage[];
  runs: PlannedRun[];
  /** Added to an item's number within its section to get the number the reader sees. */
  shownFrom: Record<string, number>;
  /** Page of each item, by section; index 0 is item 1. */
  pageOfItem: Record<string, number[]>;
  solutionPageOfItem: Record<string, number[]>;
  gutter: number;
}

export const printSpec = (recipe: Recipe): PrintSpec => ({
  trim: { width: parseLength(recipe.print.trim.width), height: parseLength(recipe.print.trim.height) },
  bleed: recipe.print.bleed,
  ink: recipe.print.ink,
  paper: recipe.print.paper,
});

/** Pages are laid out again with the gutter of their count until it stays; more rounds than this cannot help. */
const MOST_ROUNDS = 8;

/**
 * The list of pages of a book: which section, items, number and references each has. Draws nothing.
 * @throws RangeError when page count and gutter chase each other without end
 */
export function planBook(recipe: Recipe): Plan {
  const service = printService(recipe.print.service);
  let gutter = gutterFor(service, 0);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const plan = layOut(recipe, gutter);
    const needed = gutterFor(service, plan.pages.length);
    if (needed === gutter) return plan;
    gutter = needed;
  }
  throw new RangeError(
    'The page count changes the gutter and the gutter the page count, without end. Take out or add a page.',
  );
}

function layOut(recipe: Recipe, gutter: number): Plan {
  const plan: Plan = { pages: [], runs: [], shownFrom: {}, pageOfItem: {}, solutionPageOfItem: {}, gutter };
  const shown = new Map<string, number>();
  const add = (role: PageRole, section: string | null, items: number[]) => {
    const number = plan.pages.length + 1;
    plan.pages.push({ number, side: sideOf(number), role, section, items, folio: '' });
    return number;
  };
  const addRun = (section: Section, role: 'body' | 'solutions', groups: number[][], where: number[]) => {
    const first = plan.pages.length + 1;
    for (const items of groups) {
      const page = add(role, section.id, items);
      for (const item of items) where[item - 1] = page;
    }
    if (groups.length) plan.runs.push({ section: section.id, role, first, last: plan.pages.length });
  };
  const addSolutions = (section: Section) => {
    const where: number[] = [];
    plan.solutionPageOfItem[section.id] = where;
    addRun(section, 'solutions', grouped(section.items!, section.solutions!.perPage), where);
  };

  const late: Section[] = [];
  for (const section of recipe.sections) {
    const kind = kindOf(section);
    plan.shownFrom[section.id] = shown.get(section.kind) ?? 0;
    const where: number[] = [];
    plan.pageOfItem[section.id] = where;
    if (kind.counted === 'items') {
      shown.set(section.kind, (shown.get(section.kind) ?? 0) + section.items!);
      addRun(section, 'body', grouped(section.items!, kind.itemsPerPage?.(section.options) ?? 1), where);
      const place = kind.drawSolution ? (section.solutions?.place ?? 'none') : 'none';
      if (place === 'after') addSolutions(section);
      else if (place === 'end') late.push(section);
    } else {
      addRun(
        section,
        'body',
        Array.from({ length: section.pages ?? 1 }, () => []),
        where,
      );
    }
  }
  late.forEach(addSolutions);
  // Counts are even: the sheet has two sides.
  if (plan.pages.length % 2 === 1) add('blank', null, []);
  numberPages(recipe, plan);
  return plan;
}

const grouped = (count: number, size: number): number[][] =>
  Array.from({ length: Math.ceil(count / size) }, (_, group) =>
    Array.from({ length: Math.min(size, count - group * size) }, (_, i) => group * size + i + 1),
  );

function numberPages(recipe: Recipe, plan: Plan): void {
  const { form, from } = recipe.style.numbering as { form: string; from: number };
  if (form === 'none') return;
  const numbered = new Map(recipe.sections.map((section) => [section.id, kindOf(section).numbered]));
  const total = plan.pages.length + from - 1;
  for (const page of plan.pages) {
    if (page.section === null || !numbered.get(page.section)) continue;
    const number = page.number + from - 1;
    page.folio = form.replace('100', String(total)).replace('1', String(number));
  }
}

/** The page counts the service prints on the recipe's paper. */
export const pageLimits = (service: PrintService, recipe: Recipe) =>
  paperOf(service, recipe.print.paper).pages;

/** The page number as a reader finds it printed: counted from `style.numbering.from`. */
export const printedNumber = (recipe: Recipe, page: number): number =>
  page + (recipe.style.numbering.from ?? 1) - 1;
