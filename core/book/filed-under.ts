import type { Filed } from '../pages/index.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section } from './sections.ts';

/** Under what an item is filed, which is known before it is made; null of a kind whose items are under nothing. @param total items of the section */
export function filedUnder(recipe: Recipe, section: Section, item: number, total: number): Filed | null {
  const { filed } = kindOf(section);
  return (
    filed?.({
      options: section.options,
      streamKey: [recipe.seed, section.id],
      ...{ item, total },
      roll: section.rolls?.[item] ?? 0,
      pin: section.pins?.[item],
    }) ?? null
  );
}
