import * as v from 'valibot';
import type { HouseFaces } from '../faces/choice.ts';
import type { ShippedFace } from '../faces/index.ts';
import { type PageKind, pageKind } from '../pages/index.ts';
import { type NamedResource, NOTHING_GATHERED, type Resources, withResource } from '../resources/index.ts';
import { newestOf } from '../versions.ts';
import { bookFrom } from './book.ts';
import { copyOf, paste, sectionId } from './copied.ts';
import { fillContext, troublesOf } from './items.ts';
import { pageLimits } from './plan.ts';
import { type Recipe, readRecipe } from './recipe.ts';
import { type Entry, type Group, isGroup, kindOf, needsOf, type Section, sectionsOf } from './sections.ts';
import { faceNeeds } from './typefaces.ts';

/** Changes to a recipe. Each gives a new recipe and leaves the old one as it is, so that undo is keeping the old. */
export function addSection(
  recipe: Recipe,
  kind: PageKind,
  at = recipe.sections.length,
  options: Record<string, unknown> = {},
): Recipe {
  const count =
    kind.extent === 'pages'
      ? { pages: kind.defaultCount }
      : kind.extent === 'items'
        ? { items: kind.defaultCount }
        : {};
  const drafted = { id: sectionId(), kind: kind.id, options, ...count };
  const read = readRecipe({
    ...recipe,
    sections: [...recipe.sections.slice(0, at), drafted, ...recipe.sections.slice(at)],
  });
  if (read.problems) throw new RangeError(read.problems[0]!.message);
  return read.recipe;
}

/** Takes out a section, a group, or a member of a group; the last member takes its group with it. */
export const removeSection = (recipe: Recipe, id: string): Recipe => ({
  ...recipe,
  sections: recipe.sections.flatMap((entry): Entry[] => {
    if (entry.id === id) return [];
    if (!isGroup(entry)) return [entry];
    const members = entry.group.members.filter((member) => member.id !== id);
    if (members.length === entry.group.members.length) return [entry];
    return members.length ? [{ ...entry, group: { ...entry.group, members } }] : [];
  }),
});

/** Moves entries, in their order, to stand together before the one that is at a place now; at the end beyond the last. */
export function moveSections({ sections, ...recipe }: Recipe, ids: readonly string[], to: number): Recipe {
  const moved = sections.filter(({ id }) => ids.includes(id));
  const staying = (part: readonly Entry[]) => part.filter(({ id }) => !ids.includes(id));
  return {
    ...recipe,
    sections: [...staying(sections.slice(0, to)), ...moved, ...staying(sections.slice(to))],
  };
}

/** Puts copies of entries behind the last of them, with new puzzles. @returns their ids besides */
export function duplicate(recipe: Recipe, ids: readonly string[]): { recipe: Recipe; ids: string[] } {
  const at = recipe.sections.findLastIndex(({ id }) => ids.includes(id)) + 1;
  return paste(recipe, copyOf(recipe, ids), at);
}

/** Lets an entry make the book as long as it should be, in place of another that did; undefined gives it its own length again. */
export const fillTo = (recipe: Recipe, entry: string, pages: number | undefined): Recipe => ({
  ...recipe,
  sections: recipe.sections.map(({ fillTo: _, ...rest }) =>
    rest.id === entry && pages !== undefined ? { ...rest, fillTo: pages } : rest,
  ) as Entry[],
});

/** Items that a section lays out as one. */
const perUnit = (section: Section): number => kindOf(section).itemsPerUnit?.(section.options) ?? 1;

/** How often a section alone comes, in pages or units of its items. */
const unitsIn = (section: Section): number =>
  section.pages ?? (section.items === undefined ? 1 : Math.ceil(section.items / perUnit(section)));

/**
 * Lets an entry alternate with the one behind it: a b a b …, as often as the longer of them came. Groups take in what
 * stands beside them. Nothing changes for the last one.
 */
export function alternate(recipe: Recipe, id: string): Recipe {
  const at = recipe.sections.findIndex((entry) => entry.id === id);
  const pair = recipe.sections.slice(at, at + 2);
  if (at < 0 || pair.length < 2) return recipe;
  const rounds = Math.max(...pair.map((entry) => (isGroup(entry) ? entry.group.rounds : unitsIn(entry))));
  const members = sectionsOf(pair).map(
    ({ pages: _, items: __, solutions: ___, starts: ____, fillTo: _____, ...member }): Section => member,
  );
  const solutions = pair.find(({ solutions: said }) => said)?.solutions;
  const group = {
    id: pair.find(isGroup)?.id ?? sectionId(),
    group: { rounds, numbering: pair.find(isGroup)?.group.numbering ?? 'through', members },
    ...(solutions ? { solutions } : {}),
  };
  const sections = recipe.sections.toSpliced(at, 2, group as Group);
  // Read once more: a group of nothing but single pages has solutions all the same.
  return readRecipe({ ...recipe, sections }).recipe ?? recipe;
}

/** Parts a group: its members stand one behind the other, each as long as it was in all rounds together. */
export function partGroup(recipe: Recipe, id: string): Recipe {
  const sections = recipe.sections.flatMap((entry): Entry[] => {
    if (entry.id !== id || !isGroup(entry)) return [entry];
    const { rounds, members } = entry.group;
    return members.map((member) => {
      const { extent } = kindOf(member);
      const { times = 1, ...alone } = member;
      if (extent === 'pages') return { ...alone, pages: rounds * times };
      if (extent !== 'items') return alone;
      return { ...alone, items: rounds * times * perUnit(member), solutions: entry.solutions };
    });
  });
  return readRecipe({ ...recipe, sections }).recipe ?? recipe;
}

/** Changes a section, wherever it stands. */
export const changeSection = (recipe: Recipe, id: string, change: (section: Section) => Section): Recipe => ({
  ...recipe,
  sections: recipe.sections.map((entry): Entry => {
    if (!isGroup(entry)) return entry.id === id ? change(entry) : entry;
    if (!entry.group.members.some((member) => member.id === id)) return entry;
    const members = entry.group.members.map((member) => (member.id === id ? change(member) : member));
    return { ...entry, group: { ...entry.group, members } };
  }),
});

/** Lets a part of a longer section be one of its own: its pages begin with the first, and its puzzles are new. */
export const beginAnew = (recipe: Recipe, id: string): Recipe =>
  changeSection(recipe, id, ({ partOf: _, ...section }) => section);

/** Changes what an entry of the running order says, be it a section or a group. */
export const changeEntry = (recipe: Recipe, id: string, change: (entry: Entry) => Entry): Recipe => ({
  ...recipe,
  sections: recipe.sections.map((entry) => (entry.id === id ? change(entry) : entry)),
});

export const changeGroup = (recipe: Recipe, id: string, change: (group: Group) => Group): Recipe => ({
  ...recipe,
  sections: recipe.sections.map((entry) => (isGroup(entry) && entry.id === id ? change(entry) : entry)),
});

/** The names of all resources that something in a book uses. */
const usedIn = (recipe: Recipe): Set<string> =>
  new Set([...sectionsOf(recipe.sections).flatMap(needsOf), ...faceNeeds(recipe)].map(({ id }) => id));

/** Leaves out the resources that were used before a change and are not after it. */
export function leaveOutUnused(before: Recipe, changed: Recipe): Recipe {
  const once = usedIn(before);
  const now = usedIn(changed);
  const kept = Object.entries(changed.resources).filter(([name]) => now.has(name) || !once.has(name));
  return { ...changed, resources: Object.fromEntries(kept) };
}

/**
 * Puts a resource to use: names it in the recipe, and lets a section be changed to use it under that name. Resources
 * that nothing uses any more are left out.
 */
export function takeResource(
  recipe: Recipe,
  section: string,
  resource: NamedResource,
  use: (section: Section, name: string) => Section,
): Recipe {
  const { resources, id } = withResource(recipe.resources, resource);
  return leaveOutUnused(
    recipe,
    changeSection({ ...recipe, resources }, section, (now) => use(now, id)),
  );
}

/** Sets words of the house style in another face: one that ships, or a typeface of the publisher's own. */
export function chooseFace(
  recipe: Recipe,
  role: keyof HouseFaces<unknown>,
  chosen: ShippedFace | NamedResource,
): Recipe {
  const { resources, id } =
    typeof chosen === 'string'
      ? { resources: recipe.resources, id: null }
      : withResource(recipe.resources, chosen);
  const choice = id === null ? (chosen as ShippedFace) : { typeface: id };
  const typefaces = { ...recipe.style.typefaces, [role]: choice };
  return leaveOutUnused(recipe, { ...recipe, resources, style: { ...recipe.style, typefaces } });
}

/** Shows or hides a layer of the cover. */
export function showLayer(recipe: Recipe, id: string, shown: boolean): Recipe {
  const others = recipe.cover.layers.filter((layer) => layer.id !== id);
  const layers = shown ? others : [...others, { id, hidden: true }];
  return { ...recipe, cover: { ...recipe.cover, layers } };
}

/** How often an item was made anew. */
export const rollOf = ({ rolls }: Section, item: number): number => rolls?.[item] ?? 0;

const setRoll = (recipe: Recipe, id: string, item: number, roll: (before: number) => number): Recipe =>
  changeSection(recipe, id, (section) =>
    section.pins?.[item] || kindOf(section).extent !== 'items'
      ? section
      : { ...section, rolls: { ...section.rolls, [item]: roll(rollOf(section, item)) } },
  );

/** Takes the item of a certain roll. A pinned item stays as it is, and so do pages that are not made of items. */
export const takeRoll = (recipe: Recipe, id: string, item: number, roll: number): Recipe =>
  setRoll(recipe, id, item, () => roll);

/** Makes one item anew, with the exceptions of `takeRoll`. */
export const reroll = (recipe: Recipe, id: string, item: number): Recipe =>
  setRoll(recipe, id, item, (before) => before + 1);

/**
 * The book as it would be with an item of another roll, for that item to be looked at: a kind that sets several on a page sets one.
 */
export function withCandidate(recipe: Recipe, id: string, item: number, roll: number): Recipe {
  return changeSection(takeRoll(recipe, id, item, roll), id, (section) => {
    const alone = { ...section.options, perPage: 1 };
    const fits = 'perPage' in section.options && v.is(kindOf(section).options, alone);
    return fits ? { ...section, options: alone } : section;
  });
}

/**
 * Keeps an item as it is now, or lets it follow the settings again. One that cannot be made cannot be kept.
 * @param resources gathered: the item is made once more
 */
export function togglePin(
  recipe: Recipe,
  id: string,
  item: number,
  resources: Resources = NOTHING_GATHERED,
): Recipe {
  const book = bookFrom(recipe, resources);
  return changeSection(recipe, id, (section) => {
    const kind = kindOf(section);
    if (!kind.pin || troublesOf(book, section).length) return section;
    const { [item]: held, ...others } = section.pins ?? {};
    if (held) return { ...section, pins: others };
    const total = book.plan.items[section.id]!.count;
    return {
      ...section,
      pins: { ...others, [item]: kind.pin.of(fillContext(recipe, section, item, total, resources)) },
    };
  });
}

/** Keeps an item that was changed by hand. @param pin as the kind reads it */
export const keepPin = (recipe: Recipe, id: string, item: number, pin: unknown): Recipe =>
  changeSection(recipe, id, (section) => ({ ...section, pins: { ...section.pins, [item]: pin } }));

/** Where items go that are brought in: behind those of the section, or in their place. */
export type BroughtTo = 'behind' | 'instead';

/** Items that a section can have. */
const MOST_ITEMS = 828;

/** Takes items that were read from a text into a section, as pins. @returns as many as it can have */
export const bringInItems = (recipe: Recipe, id: string, pins: readonly unknown[], to: BroughtTo): Recipe =>
  changeSection(recipe, id, (section) => {
    const before = to === 'behind' ? (section.items ?? 0) : 0;
    const taken = pins.slice(0, MOST_ITEMS - before);
    if (!taken.length) return section;
    const placed = Object.fromEntries(taken.map((pin, i) => [before + i + 1, pin]));
    const items = before + taken.length;
    if (to === 'behind') return { ...section, items, pins: { ...section.pins, ...placed } };
    const { partOf: _, ...anew } = section;
    return { ...anew, items, pins: placed, rolls: {} };
  });

/** What the newest version of a section's kind would change; null where the section has it. */
export const newerVersion = (section: Section) => newestOf<PageKind>(pageKind(section.kind), section);

/** Moves a section on to the newest version of its kind. */
export const takeNewerVersion = (recipe: Recipe, id: string): Recipe =>
  changeSection(recipe, id, (section) => {
    const newer = newerVersion(section);
    if (!newer) return section;
    // With the defaults of what the newer version asks for besides.
    const options = v.parse(pageKind(section.kind).options, newer.options) as Record<string, unknown>;
    return { ...section, version: newer.version, options };
  });

/**
 * Says why a changed recipe may not replace the last good one, or null when it may: every value must be possible
 * and the book must be one the service prints.
 */
export function refusal(recipe: Recipe): string | null {
  const read = readRecipe(recipe);
  if (read.problems) return `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
  const { plan, rules } = bookFrom(read.recipe);
  const { length } = plan.pages;
  const { max } = pageLimits(rules, recipe);
  return length > max
    ? `The book would have ${length} pages. ${rules.service.name} prints at most ${max} on ${recipe.print.paper} paper. Remove ${length - max}.`
    : null;
}
