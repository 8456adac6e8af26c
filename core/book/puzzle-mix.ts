import * as v from 'valibot';
import { type PageKind, pageKinds } from '../pages/index.ts';
import { LEVELS, type Level } from '../puzzles/level.ts';
import { sectionId } from './copied.ts';
import { type Recipe, readRecipe } from './recipe.ts';
import { MOST_MEMBERS, MOST_TIMES } from './sections.ts';

/** Puzzles of a kind and a level; without a level, of a kind that has none. */
export interface MixPart {
  kind: PageKind;
  level: Level | null;
  count: number;
}

/** One kind behind the other; from the lowest level to the highest; or pages of all of them shuffled. */
export const MIX_ORDERS = ['kinds', 'levels', 'shuffled'] as const;
export type MixOrder = (typeof MIX_ORDERS)[number];

const allows = (kind: PageKind, options: Record<string, unknown>): boolean =>
  v.is(kind.options as v.GenericSchema, options);

/** Whether puzzles of a kind can be asked for by their level. */
export const hasLevels = (kind: PageKind): boolean => allows(kind, { level: 1 });

/** Kinds of puzzle that a mix can be made of, those with levels first. */
export const mixKinds = (): PageKind[] => {
  const kinds = pageKinds().filter(({ family, extent }) => family === 'Puzzles' && extent === 'items');
  return [...kinds.filter(hasLevels), ...kinds.filter((kind) => !hasLevels(kind))];
};

const defaults = (kind: PageKind, options: Record<string, unknown>): Record<string, unknown> =>
  v.parse(kind.options as v.GenericSchema<unknown, Record<string, unknown>>, options);

/** Options that fill whole pages with so many puzzles: as many to a page as the kind has, or the next fewer that come out even. */
function evenPages(kind: PageKind, options: Record<string, unknown>, count: number) {
  const most = kind.itemsPerUnit?.(defaults(kind, options)) ?? 1;
  for (let perPage = most; perPage > 1; perPage--)
    if (count % perPage === 0 && (perPage === most || allows(kind, { ...options, perPage })))
      return { options: perPage === most ? options : { ...options, perPage }, pages: count / perPage };
  return { options: most === 1 ? options : { ...options, perPage: 1 }, pages: count };
}

/**
 * Adds so many puzzles of each kind and level in one step: a section for each part or, shuffled, a group whose pages come in an order that
 * the seed of the book gives. Their answers go on one behind the other.
 * @param at place in the running order
 * @returns the recipe, and the id of what stands first
 * @throws RangeError saying what is too many, or that there is nothing
 */
export function addMix(
  recipe: Recipe,
  parts: readonly MixPart[],
  order: MixOrder,
  at = recipe.sections.length,
): { recipe: Recipe; id: string } {
  const wanted = parts.filter(({ count }) => count > 0);
  if (wanted.length === 0) throw new RangeError('Say how many puzzles of which kind.');
  if (order === 'levels') wanted.sort((one, other) => (one.level ?? 0) - (other.level ?? 0));
  const asked = ({ level }: MixPart) => (level === null ? {} : { level });
  const entries =
    order === 'shuffled'
      ? [shuffled(wanted)]
      : wanted.map((part) => ({
          ...{ id: sectionId(), kind: part.kind.id, options: asked(part), items: part.count },
          ...(part.kind.solution ? { solutions: { together: true } } : {}),
        }));
  const read = readRecipe({
    ...recipe,
    sections: [...recipe.sections.slice(0, at), ...entries, ...recipe.sections.slice(at)],
  });
  if (read.problems) throw new RangeError(read.problems[0]!.message);
  return { recipe: read.recipe, id: entries[0]!.id };
}

function shuffled(parts: readonly MixPart[]) {
  if (parts.length > MOST_MEMBERS)
    throw new RangeError(
      `A shuffled mix has at most ${MOST_MEMBERS} kinds and levels, not ${parts.length}. Leave some out, or choose another order.`,
    );
  const members = parts.map(({ kind, level, count }) => {
    const { options, pages } = evenPages(kind, level === null ? {} : { level }, count);
    if (pages > MOST_TIMES)
      throw new RangeError(
        `${kind.name}: ${count} take ${pages} pages; shuffled, a kind and level has at most ${MOST_TIMES}. Ask for fewer, or choose another order.`,
      );
    return { id: sectionId(), kind: kind.id, options, ...(pages > 1 ? { times: pages } : {}) };
  });
  return {
    id: sectionId(),
    group: { rounds: 1, numbering: 'through', order: 'shuffled', members },
    solutions: {},
  };
}

/** Every level of a kind with its count, as parts. @param counts of each level, or one for a kind that has none */
export const partsOf = (kind: PageKind, counts: readonly number[]): MixPart[] =>
  hasLevels(kind)
    ? LEVELS.map((level, i) => ({ kind, level, count: counts[i] ?? 0 }))
    : [{ kind, level: null, count: counts[0] ?? 0 }];
