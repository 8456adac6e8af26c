import equal from 'fast-deep-equal';
import { bookFrom } from './book.ts';
import { sectionId } from './copied.ts';
import { moveSections } from './edit.ts';
import type { Plan } from './planned.ts';
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

/** Whether the pages of a section are all alike: those that take words or pictures in turn would begin anew in every part. */
const isAlike = ({ pages }: Plan, section: string): boolean => {
  const looks = pages.flatMap(({ section: of, role, unit }) =>
    of === section && role === 'body' && unit ? [unit.key ?? JSON.stringify(unit.data ?? null)] : [],
  );
  return new Set(looks).size <= 1;
};

/**
 * Parts sections so that the pages from one to another are entries of their own. Only sections that say how many pages they have
 * can be parted, and whose pages are all alike: items and dated pages belong together, and so do the members of a group.
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
    const whole =
      isGroup(entry) || entry.pages === undefined || entry.fillTo !== undefined || !isAlike(plan, entry.id);
    if (whole) {
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

/**
 * Parts the running order so that something can be put in before a page: the entry that the page is in is parted there, or left
 * whole where it cannot be, and the nearer of its ends is taken.
 * @returns the place in the running order besides
 */
export function openAt(recipe: Recipe, plan: Plan, page: number): { recipe: Recipe; at: number } {
  const runOf = ({ id }: Entry) => plan.runs.find(({ section, role }) => section === id && role === 'body');
  const whole = recipe.sections.findIndex((entry) => {
    const run = runOf(entry);
    return run !== undefined && run.first <= page && run.last >= page;
  });
  if (whole < 0) {
    // Beyond the pages of the last entry that begins before it, as among solutions.
    const before = recipe.sections.findLastIndex((entry) => (runOf(entry)?.first ?? page) < page);
    return { recipe, at: before + 1 };
  }
  const run = runOf(recipe.sections[whole]!)!;
  if (run.first === page) return { recipe, at: whole };
  const parted = isolate(recipe, plan, page, run.last);
  const [id] = parted.ids;
  if (id) return { recipe: parted.recipe, at: parted.recipe.sections.findIndex((entry) => entry.id === id) };
  return { recipe, at: page - run.first > run.last - page ? whole + 1 : whole };
}

/**
 * Moves the pages from one to another to stand before a page; see `isolate` for what cannot be parted. What is the same on both
 * sides of a seam becomes one section again.
 * @param before counted as they stand now; one more than there are for the end
 * @returns where they stand then, besides; null where nothing was moved, as among pages that are all alike
 */
export function movePages(
  recipe: Recipe,
  plan: Plan,
  [first, last]: readonly [number, number],
  before: number,
): { recipe: Recipe; moved: readonly [number, number] | null; shared: string[] } {
  const still = { recipe, moved: null, shared: [] };
  if (before >= first && before <= last + 1) return still;
  const { ids, shared, recipe: parted } = isolate(recipe, plan, first, last);
  if (ids.length === 0) return { ...still, shared };
  const opened = openAt(parted, bookFrom(parted).plan, before);
  const after = moveSections(opened.recipe, ids, opened.at);
  const runs = bookFrom(after).plan.runs.filter(
    ({ section, role }) => role === 'body' && ids.includes(section),
  );
  const next = parted.sections[at(parted, ids.at(-1)!) + 1];
  const behind = next ? at(after, next.id) : -1;
  // Where they were taken out, and on both sides of where they were put in.
  const seams = [
    [after.sections[behind - 1], after.sections[behind]],
    [after.sections.at(at(after, ids[0]!) - 1), after.sections[at(after, ids[0]!)]],
    [after.sections[at(after, ids.at(-1)!)], after.sections[at(after, ids.at(-1)!) + 1]],
  ].map((pair) => pair.map((entry) => entry?.id).join(' '));
  const joined = joinedAt(after, seams, new Set(recipe.sections.map(({ id }) => id)));
  if (equal(joined, recipe)) return { ...still, shared };
  return { recipe: joined, moved: [runs[0]!.first, runs.at(-1)!.last], shared };
}

const at = ({ sections }: Recipe, id: string): number => sections.findIndex((entry) => entry.id === id);

/**
 * Joins neighbors that say the same but for their pages.
 * @param seams the ids of two neighbors, each
 * @param kept ids that were there before, which the whole keeps
 */
function joinedAt(recipe: Recipe, seams: readonly string[], kept: ReadonlySet<string>): Recipe {
  const rest = ({ id: _, pages: __, ...one }: Section) => one;
  const sections: Entry[] = [];
  recipe.sections.forEach((entry, i) => {
    const last = sections.at(-1);
    const joins =
      last &&
      seams.includes(`${recipe.sections[i - 1]!.id} ${entry.id}`) &&
      !isGroup(last) &&
      !isGroup(entry) &&
      last.pages !== undefined &&
      entry.pages !== undefined &&
      last.fillTo === undefined &&
      entry.starts === undefined &&
      equal(rest(last), { ...rest(entry), ...(last.starts ? { starts: last.starts } : {}) });
    if (joins)
      sections[sections.length - 1] = {
        ...last,
        id: kept.has(last.id) ? last.id : entry.id,
        pages: last.pages! + entry.pages!,
      };
    else sections.push(entry);
  });
  return { ...recipe, sections };
}
