import { customAlphabet } from 'nanoid';
import * as v from 'valibot';
import { resourcesSchema, withResource } from '../resources/index.ts';
import { exactObject } from '../schema.ts';
import { anew, shareItems } from './part-of.ts';
import type { Recipe } from './recipe.ts';
import {
  type Entry,
  isGroup,
  kindOf,
  needsOf,
  type Section,
  sectionsOf,
  sectionsSchema,
} from './sections.ts';

/** The id of a new section or group. */
export const sectionId = customAlphabet('abcdefghijkmnpqrstuvwxyz23456789', 6);

/** Entries of a running order on their way to another place or book, with the resources that they name. */
export interface Copied {
  sections: Entry[];
  resources: Recipe['resources'];
}

/** The entries with these ids, in the order of the book. */
export function copyOf({ sections, resources }: Recipe, ids: readonly string[]): Copied {
  const chosen = sections.filter(({ id }) => ids.includes(id));
  const names = new Set(sectionsOf(chosen).flatMap((section) => needsOf(section).map(({ id }) => id)));
  return {
    sections: chosen,
    resources: Object.fromEntries(Object.entries(resources).filter(([name]) => names.has(name))),
  };
}

/** Reads what was copied from the text that it was kept as; null where it is nothing of the kind. */
export function readCopied(text: string): Copied | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  const schema = exactObject({
    sections: sectionsSchema(),
    resources: v.optional(resourcesSchema, {}),
  });
  const read = v.safeParse(schema, value);
  return read.success && read.output.sections.length ? (read.output as Copied) : null;
}

/** A value with another one at a path of its keys, such as `words.bank`. */
function withAt(value: unknown, [key, ...rest]: readonly string[], to: unknown): unknown {
  if (key === undefined) return to;
  const inside = Array.isArray(value) ? value.slice() : { ...(value as object) };
  (inside as Record<string, unknown>)[key] = withAt((value as Record<string, unknown>)[key], rest, to);
  return inside;
}

/** How many items each section has that has some, the members of groups too. */
const itemCounts = (entries: readonly Entry[]): Map<Section, number> =>
  new Map(
    entries.flatMap((entry) =>
      isGroup(entry)
        ? entry.group.members.flatMap((member): [Section, number][] => {
            const { extent, itemsPerUnit } = kindOf(member);
            const perUnit = itemsPerUnit?.(member.options) ?? 1;
            return extent === 'items' ? [[member, entry.group.rounds * (member.times ?? 1) * perUnit]] : [];
          })
        : entry.items === undefined
          ? []
          : [[entry, entry.items] as [Section, number]],
    ),
  );

/**
 * Puts copied entries into a book. They keep their ids where the book has none such, as after a cut, and with them their puzzles;
 * otherwise, and where the book has puzzles of theirs, they get new ones, and with them new puzzles, of which none is pinned. What
 * would be a second entry that fills the book has the length that it was given.
 * @returns the ids that they have now, in order, besides
 */
export function paste(recipe: Recipe, copied: Copied, at: number): { recipe: Recipe; ids: string[] } {
  const taken = new Set([...recipe.sections, ...sectionsOf(recipe.sections)].map(({ id }) => id));
  const filling = recipe.sections.some(({ fillTo }) => fillTo !== undefined);
  let { resources } = recipe;
  const there = [...itemCounts(recipe.sections)];
  const coming = itemCounts(copied.sections);
  /** A part of a section that the book has whole, as when it was copied and not cut. */
  const hasItemsOf = (entry: Entry): boolean => {
    const items = coming.get(entry as Section);
    return (
      items !== undefined &&
      there.some(([other, count]) => shareItems(other, entry as Section, [count, items]))
    );
  };
  const placed = <One extends Entry>(entry: One): One => {
    const { fillTo: _, ...rest } = entry;
    const standing = (filling ? rest : entry) as One;
    if (!taken.has(entry.id) && !hasItemsOf(entry)) return standing;
    const { pins: __, rolls: ___, ...fresh } = { ...standing, id: sectionId() } as Section;
    if (!('pins' in standing)) return fresh as unknown as One;
    const partOf = fresh.partOf ? { partOf: anew(fresh.partOf, sectionId) } : {};
    return { ...fresh, ...partOf, pins: {}, rolls: {} } as unknown as One;
  };
  const section = (one: Section): Section => {
    let options: unknown = one.options;
    for (const { id, path } of needsOf(one)) {
      const resource = copied.resources[id];
      if (!resource) continue;
      const named = withResource(resources, resource);
      resources = named.resources;
      options = withAt(options, path.split('.'), named.id);
    }
    return { ...placed(one), options: options as Section['options'] };
  };
  const entries = copied.sections.map((entry): Entry => {
    if (!isGroup(entry)) return section(entry);
    return { ...placed(entry), group: { ...entry.group, members: entry.group.members.map(section) } };
  });
  return {
    recipe: { ...recipe, resources, sections: recipe.sections.toSpliced(at, 0, ...entries) },
    ids: entries.map(({ id }) => id),
  };
}
