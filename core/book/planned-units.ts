import { partOfSection } from './part-of.ts';
import type { Plan } from './planned.ts';
import { kindOf, type Section } from './sections.ts';

/** What a kind lays out as one: pages that belong together. */
export interface PlannedUnit {
  first: number;
  last: number;
  /** How many of what its section is counted in: items, or one. */
  has: number;
}

/** The units of a section, in order. */
export const unitsIn = ({ pages }: Plan, section: Section): PlannedUnit[] =>
  pages
    .filter(
      (page) =>
        page.section === section.id && page.role === 'body' && page.part !== 'right' && page.part !== 'back',
    )
    .map(({ number, items, unit }) => ({
      first: number,
      last: number + (unit?.side === 'facing' || unit?.back ? 1 : 0),
      has: kindOf(section).extent === 'items' ? items.length : 1,
    }));

/** Pages or items of units together. */
export const sumOf = (units: readonly PlannedUnit[], which: (unit: PlannedUnit) => boolean = () => true) =>
  units.reduce((sum, unit) => (which(unit) ? sum + unit.has : sum), 0);

/**
 * Whether sections say no more of their pages than how many: of others, such as those that take words in turn, the order is kept.
 */
export function areAlike({ pages }: Plan, ...sections: readonly Section[]): boolean {
  if (sections.some((section) => kindOf(section).extent !== 'pages' || section.partOf)) return false;
  const ids = new Set<string | null>(sections.map(({ id }) => id));
  const looks = pages.flatMap(({ section, role, unit }) =>
    ids.has(section) && role === 'body' && unit ? [unit.key ?? JSON.stringify(unit.data ?? null)] : [],
  );
  return new Set(looks).size <= 1;
}

/** A part of a section; its length stays to be said. Parameters as of `partOfSection`. */
export function partWithin(
  plan: Plan,
  section: Section,
  id: string,
  { at, count, all }: { at: number; count: number; all: number },
): Section {
  const simple = areAlike(plan, section) || kindOf(section).extent === 'single';
  return simple ? { ...section, id } : partOfSection(section, id, at, count, all);
}
