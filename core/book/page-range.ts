import equal from 'fast-deep-equal';
import { bookFrom } from './book.ts';
import { sectionId } from './copied.ts';
import { moveSections, removeSection } from './edit.ts';
import { type Part, partsOfGroup } from './group-range.ts';
import { arePartsOfOne, joinedParts } from './part-of.ts';
import type { Plan } from './planned.ts';
import { areAlike, partWithin, sumOf, unitsIn } from './planned-units.ts';
import type { Recipe } from './recipe.ts';
import { canBeParted, type Entry, type Group, isGroup, kindOf, type Section } from './sections.ts';

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

/** Pages or items of a section, as it says or as its options make it. */
const countOf = (plan: Plan, section: Section): number =>
  section.pages ?? section.items ?? sumOf(unitsIn(plan, section));
const ofLength = (section: Section, count: number): Section => {
  if (section.items !== undefined) return { ...section, items: count };
  return section.pages === undefined ? section : { ...section, pages: count };
};

/** Parts a section as `isolate` does. @returns null where it has to stay whole, and nothing where no page of it is between them */
function partsOfSection(plan: Plan, section: Section, first: number, last: number): Part[] | null {
  if (!canBeParted(kindOf(section)) || section.fillTo !== undefined) return null;
  const units = unitsIn(plan, section);
  const before = sumOf(units, (unit) => unit.last < first);
  const inside = sumOf(units, (unit) => unit.last >= first && unit.first <= last);
  if (inside === 0) return [];
  // Some pages of a standing page are no longer that page.
  const { standingPage: _, ...unkept } = section;
  const { starts: __, ...rest } = unkept;
  const all = countOf(plan, section);
  return [
    { at: 1, count: before, inside: false },
    { at: 1 + before, count: inside, inside: true },
    { at: 1 + before + inside, count: all - before - inside, inside: false },
  ]
    .filter(({ count }) => count > 0)
    .map(({ inside: asked, ...range }, i): Part => {
      const part = partWithin(plan, i === 0 ? unkept : rest, i === 0 ? section.id : sectionId(), {
        ...{ ...range, all },
      });
      return { entry: ofLength(part, range.count), inside: asked };
    });
}

/**
 * Parts sections so that the pages from one to another are entries of their own, and every page stays what it was. A section
 * that fills the book stays whole, and so do a list of the pages of a book and a group whose turns are mixed.
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
    const parts = isGroup(entry)
      ? partsOfGroup(plan, entry, first, last)
      : partsOfSection(plan, entry, first, last);
    if (!parts) shared.push(entry.id);
    if (!parts?.length) return [entry];
    ids.push(...parts.filter(({ inside }) => inside).map((part) => part.entry.id));
    return parts.map((part) => part.entry);
  });
  return { recipe: { ...recipe, sections }, ids, shared };
}

/**
 * Parts the running order so that something can be put in before a page: the entry that the page is in is parted there, or left
 * whole where it cannot be, and the nearer of its ends is taken.
 * @returns the place in the running order besides
 */
export function openAt(recipe: Recipe, plan: Plan, page: number): { recipe: Recipe; at: number } {
  const part = plan.pages[page - 1]?.part;
  // Nothing comes between pages that belong together.
  if (part === 'right' || part === 'back') return openAt(recipe, plan, page + 1);
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
  const planned = bookFrom(after).plan;
  const runs = planned.runs.filter(({ section, role }) => role === 'body' && ids.includes(section));
  const next = parted.sections[at(parted, ids.at(-1)!) + 1];
  const behind = next ? at(after, next.id) : -1;
  // Where they were taken out, and on both sides of where they were put in.
  const seams = [
    [after.sections[behind - 1], after.sections[behind]],
    [after.sections.at(at(after, ids[0]!) - 1), after.sections[at(after, ids[0]!)]],
    [after.sections[at(after, ids.at(-1)!)], after.sections[at(after, ids.at(-1)!) + 1]],
  ].map((pair) => pair.map((entry) => entry?.id).join(' '));
  const joined = joinedAt(after, planned, seams, new Set(recipe.sections.map(({ id }) => id)));
  if (equal(joined, recipe)) return { ...still, shared };
  return { recipe: joined, moved: [runs[0]!.first, runs.at(-1)!.last], shared };
}

/**
 * Takes out the pages from one to another; see `isolate` for what cannot be parted. What is the same on both sides of the gap
 * becomes one section again.
 */
export function removePages(
  recipe: Recipe,
  plan: Plan,
  first: number,
  last: number,
): { recipe: Recipe; removed: boolean; shared: string[] } {
  const { ids, shared, recipe: parted } = isolate(recipe, plan, first, last);
  if (ids.length === 0) return { recipe, removed: false, shared };
  const before = parted.sections[at(parted, ids[0]!) - 1];
  const behind = parted.sections[at(parted, ids.at(-1)!) + 1];
  const after = ids.reduce(removeSection, parted);
  const kept = new Set(recipe.sections.map(({ id }) => id));
  return {
    recipe: joinedAt(after, bookFrom(after).plan, [`${before?.id} ${behind?.id}`], kept),
    removed: true,
    shared,
  };
}

const at = ({ sections }: Recipe, id: string): number => sections.findIndex((entry) => entry.id === id);

/** What two sections have to say alike to be one. */
const saidByBoth = ({ id: _, pages: __, items: ___, partOf, rolls, pins, starts, ...one }: Section) => one;

/** Whether a section can be one with another behind it, so that every page stays what it was. */
function joins(plan: Plan, a: Section, b: Section): boolean {
  if (!canBeParted(kindOf(a)) || a.fillTo !== undefined || b.starts !== undefined) return false;
  if (!equal(saidByBoth(a), saidByBoth(b))) return false;
  if (areAlike(plan, a, b)) return true;
  // Sections of puzzles that merely say the same are somebody's choice; and a page that is not full stays one.
  const perUnit = kindOf(a).itemsPerUnit?.(a.options) ?? 1;
  return arePartsOfOne(a, b) && (a.items ?? 0) % perUnit === 0;
}

/** What two groups have to say alike to be one. */
const saidByBothGroups = ({ solutions, group: { rounds: _, members, ...group } }: Group) => ({
  ...{ solutions, group },
  members: members.map(saidByBoth),
});

/**
 * Two groups as one, round behind round; null where they are not parts of one.
 * @param count pages or items of a member
 */
function joinedGroups(
  plan: Plan,
  count: (member: Section) => number,
  a: Group,
  b: Group,
  id: string,
): Group | null {
  if (a.fillTo !== undefined || b.fillTo !== undefined || b.starts !== undefined) return null;
  if (!equal(saidByBothGroups(a), saidByBothGroups(b))) return null;
  const pairs = a.group.members.map((member, i) => [member, b.group.members[i]!] as const);
  const simple = ([one, other]: (typeof pairs)[number]) =>
    areAlike(plan, one, other) || kindOf(one).extent === 'single';
  if (!pairs.some(([one, other]) => arePartsOfOne(one, other)) && !pairs.every(simple)) return null;
  if (!pairs.every((pair) => simple(pair) || arePartsOfOne(...pair))) return null;
  const members = pairs.map((pair): Section => {
    const [one, other] = pair;
    if (simple(pair)) return one;
    const { partOf, ...joined } = joinedParts(one, other, one.id, [count(one), count(other)]);
    // What begins with the first of the pages that options make needs to say no more.
    const [only, ...more] = partOf?.runs ?? [];
    const isBeginning =
      kindOf(one).extent === 'derived' && only?.first === 1 && only.stream === one.id && !more.length;
    return partOf && !isBeginning ? { ...joined, partOf } : joined;
  });
  return { ...a, id, group: { ...a.group, rounds: a.group.rounds + b.group.rounds, members } };
}

/**
 * Joins neighbors that say the same but for their pages.
 * @param plan of the recipe
 * @param seams the ids of two neighbors, each
 * @param kept ids that were there before, which the whole keeps
 */
function joinedAt(recipe: Recipe, plan: Plan, seams: readonly string[], kept: ReadonlySet<string>): Recipe {
  const sections: Entry[] = [];
  const counts = new Map<Section, number>();
  const count = (section: Section) => counts.get(section) ?? countOf(plan, section);
  recipe.sections.forEach((entry, i) => {
    const a = sections.at(-1);
    const b = entry;
    if (!a || !seams.includes(`${recipe.sections[i - 1]?.id} ${entry.id}`)) {
      sections.push(entry);
      return;
    }
    if (isGroup(a) || isGroup(b)) {
      const one = isGroup(a) && isGroup(b) && joinedGroups(plan, count, a, b, kept.has(a.id) ? a.id : b.id);
      if (!one) {
        sections.push(entry);
        return;
      }
      for (const [m, member] of one.group.members.entries())
        counts.set(member, count(a.group.members[m]!) + count((b as Group).group.members[m]!));
      sections[sections.length - 1] = one;
      return;
    }
    const both = [count(a), count(b)] as const;
    // What other options left without a page keeps what it had.
    if (!joins(plan, a, b) || both.includes(0)) {
      sections.push(entry);
      return;
    }
    const id = kept.has(a.id) ? a.id : b.id;
    const one = a.partOf || b.partOf ? joinedParts(a, b, id, both) : { ...a, id };
    const whole = ofLength(one, both[0] + both[1]);
    counts.set(whole, both[0] + both[1]);
    sections[sections.length - 1] = whole;
  });
  return { ...recipe, sections };
}
