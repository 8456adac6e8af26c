import type { Filed } from '../pages/index.ts';
import { sourceOf } from './part-of.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section } from './sections.ts';

/** Under what an item is filed, which is known before it is made; null of a kind whose items are under nothing. @param total items of the section */
export function filedUnder(recipe: Recipe, section: Section, item: number, total: number): Filed | null {
  const { filed } = kindOf(section);
  const { stream, number, of } = sourceOf(section, item, total);
  return (
    filed?.({
      options: section.options,
      streamKey: [recipe.seed, stream],
      ...{ item: number, total: of },
      roll: section.rolls?.[item] ?? 0,
      pin: section.pins?.[item],
    }) ?? null
  );
}
