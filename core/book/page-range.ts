import { sectionId } from './copied.ts';
import type { Plan } from './plan.ts';
import type { Recipe } from './recipe.ts';
import { type Entry, isGroup, type Section } from './sections.ts';

/** Items on some pages, each with its section. */
export interface ItemOnPage {
  section: string;
  item: number;
}

/** The items that stand on pages from one to another. */
export const itemsBetween = ({ pages }: Plan, first: number, last: number): ItemOnPage[] =>
  pages
    .slice(first - 1, last)
    .filter(({ role, part }) => role === 'body' && part !== 'back' && part !== 'right')
    .flatMap(({ section, items }) => items.map((item) => ({ section: section!, item })));

/** The numbers of the pages that begin a unit of a section. */
const unitPages = ({ pages }: Plan, section: string): number[] =>
  pages
    .filter(
      (page) =>
        page.section === section && page.role === 'body' && page.part !== 'right' && page.part !== 'back',
    )
    .map(({ number }) => number);

/**
 * Parts sections so that the pages from one to another are entries of their own. Only sections that say how many pages they have
 * can be parted: items and dated pages belong together, and so do the members of a group.
 * @returns the entries that hold nothing but these pages, and those that hold some of them and others as well
 */
export function isolate(
  recipe: Recipe,
  plan: Plan,
  first: number,
  last: number,
): { recipe: Recipe; ids: string[]; shared: string[] } {
  const ids: string[] = [];
  const shared: string[] = [];
  const sections = recipe.sections.flatMap((entry): Entry[] => {
    const run = plan.runs.find(({ section, role }) => section === entry.id && role === 'body');
    if (!run || run.last < first || run.first > last) return [entry];
    if (run.first >= first && run.last <= last) {
      ids.push(entry.id);
      return [entry];
    }
    if (isGroup(entry) || entry.pages === undefined || entry.fillTo !== undefined) {
      shared.push(entry.id);
      return [entry];
    }
    const pages = unitPages(plan, entry.id);
    const before = pages.filter((page) => page < first).length;
    const inside = pages.filter((page) => page >= first && page <= last).length;
    if (inside === 0) return [entry];
    const { starts: _, ...rest } = entry;
    const parts = [
      { count: before, inside: false },
      { count: inside, inside: true },
      { count: pages.length - before - inside, inside: false },
    ].filter(({ count }) => count > 0);
    return parts.map((part, i): Section => {
      const id = i === 0 ? entry.id : sectionId();
      if (part.inside) ids.push(id);
      return { ...(i === 0 ? entry : rest), id, pages: part.count };
    });
  });
  return { recipe: { ...recipe, sections }, ids, shared };
}
