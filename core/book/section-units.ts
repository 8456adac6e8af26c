import type { Unit, UnitsContext } from '../pages/index.ts';
import type { PageFrame, Side } from '../print/index.ts';
import { printedLanguage } from '../printed-words/index.ts';
import type { ResourceType } from '../resources/index.ts';
import { derivedSources, type PartOf, sourceOf } from './part-of.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section } from './sections.ts';

/** What kinds are told of the whole book before they lay out their pages. */
export type Told = Pick<UnitsContext<unknown>, 'listed' | 'indexed'>;

/**
 * The units of a section that stands alone, or of a member of a group.
 * @param alone pages or items of a section that fills the book
 * @param rounds how often a member comes in all rounds
 */
export function unitsOf(
  recipe: Recipe,
  section: Section,
  frame: (side: Side) => PageFrame,
  told: Told,
  alone: number | undefined,
  rounds?: number,
): readonly Unit[] {
  if (rounds === 0) return [];
  const kind = kindOf(section);
  const { options } = section;
  const perUnit = kind.itemsPerUnit?.(options) ?? 1;
  const counts = {
    single: 1,
    derived: 0,
    pages: rounds ?? alone ?? section.pages ?? 1,
    items: rounds === undefined ? (alone ?? section.items ?? 1) : rounds * perUnit,
  };
  const facts = <Facts>(type: ResourceType<unknown, Facts>, id: string) =>
    recipe.resources[id]?.type === type.id ? (recipe.resources[id].facts as Facts) : null;
  const language = printedLanguage(recipe);
  const of = (stream: string, count: number) =>
    kind.units({ options, language, streamKey: [recipe.seed, stream], ...told, count, frame, facts });
  const { partOf } = section;
  const units =
    partOf && kind.extent !== 'items'
      ? partUnits(section, partOf, kind.extent === 'derived' ? null : counts.pages, of)
      : of(section.id, counts[kind.extent]);
  // A single page comes in every round.
  if (rounds !== undefined && kind.extent === 'single')
    return Array.from({ length: rounds }, () => units[0] ?? {});
  return rounds === undefined ? units : units.slice(0, rounds);
}

/**
 * The units of a section that was parted: those that it had as it was.
 * @param count how many it says that it has; null where its options say so
 * @param of all of a section by its id and length
 */
function partUnits(
  section: Section,
  partOf: PartOf,
  count: number | null,
  of: (stream: string, count: number) => readonly Unit[],
): Unit[] {
  const derived = count === null ? of(partOf.runs[0]!.stream, 0).length : 0;
  const sources =
    count === null
      ? derivedSources(partOf, derived)
      : Array.from({ length: count }, (_, i) => sourceOf(section, i + 1, count));
  const lengths = new Map<string, number>();
  for (const { stream, number, of: all } of sources)
    lengths.set(stream, Math.max(lengths.get(stream) ?? 0, number, all));
  const whole = new Map([...lengths].map(([stream, length]) => [stream, of(stream, length)]));
  return sources.flatMap(({ stream, number }) => whole.get(stream)![number - 1] ?? []);
}
