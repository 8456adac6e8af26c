import { customAlphabet } from 'nanoid';
import type { PageKind } from '../pages/index.ts';
import { printService } from '../print/index.ts';
import { fillContext } from './items.ts';
import { pageLimits, planBook } from './plan.ts';
import { kindOf, type Recipe, readRecipe, type Section } from './recipe.ts';

const sectionId = customAlphabet('abcdefghijkmnpqrstuvwxyz23456789', 6);

/** Changes to a recipe. Each gives a new recipe and leaves the old one as it is, so that undo is keeping the old. */
export function addSection(recipe: Recipe, kind: PageKind, at = recipe.sections.length): Recipe {
  const count =
    kind.counted === 'pages'
      ? { pages: kind.defaultCount }
      : kind.counted === 'items'
        ? { items: kind.defaultCount }
        : {};
  const drafted = { id: sectionId(), kind: kind.kind, ...count };
  const read = readRecipe({
    ...recipe,
    sections: [...recipe.sections.slice(0, at), drafted, ...recipe.sections.slice(at)],
  });
  if (read.problems) throw new RangeError(read.problems[0]!.message);
  return read.recipe;
}

export function moveSection(recipe: Recipe, from: number, to: number): Recipe {
  const sections = recipe.sections.slice();
  const [moved] = sections.splice(from, 1);
  if (moved) sections.splice(Math.max(0, Math.min(to, sections.length)), 0, moved);
  return { ...recipe, sections };
}

export const removeSection = (recipe: Recipe, id: string): Recipe => ({
  ...recipe,
  sections: recipe.sections.filter((section) => section.id !== id),
});

export const changeSection = (recipe: Recipe, id: string, change: (section: Section) => Section): Recipe => ({
  ...recipe,
  sections: recipe.sections.map((section) => (section.id === id ? change(section) : section)),
});

/** Makes one item anew. A pinned item stays as it is, and so do pages that are not made of items. */
export function reroll(recipe: Recipe, id: string, item: number): Recipe {
  return changeSection(recipe, id, (section) =>
    section.pins?.[item] || kindOf(section).counted !== 'items'
      ? section
      : { ...section, rolls: { ...section.rolls, [item]: (section.rolls?.[item] ?? 0) + 1 } },
  );
}

/** Keeps an item as it is now, or lets it follow the settings again. */
export function togglePin(recipe: Recipe, id: string, item: number): Recipe {
  return changeSection(recipe, id, (section) => {
    const kind = kindOf(section);
    if (!kind.pin) return section;
    const { [item]: held, ...others } = section.pins ?? {};
    if (held) return { ...section, pins: others };
    return { ...section, pins: { ...others, [item]: kind.pin.of(fillContext(recipe, section, item)) } };
  });
}

/**
 * Says why a changed recipe may not replace the last good one, or null when it may: every value must be possible
 * and the book must be one the service prints.
 */
export function refusal(recipe: Recipe): string | null {
  const read = readRecipe(recipe);
  if (read.problems) return `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
  const { length } = planBook(read.recipe).pages;
  const service = printService(recipe.print.service);
  const { most } = pageLimits(service, recipe);
  return length > most
    ? `The book would have ${length} pages. ${service.name} prints at most ${most} on ${recipe.print.paper} paper. Take ${length - most} out.`
    : null;
}
