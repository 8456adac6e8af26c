import type { Recipe } from '#core/book/recipe.ts';
import { compositionOf } from '#core/cover/compositions/index.ts';
import { fieldsOf } from '#core/settings.ts';

/** Fields of the book that are typed where they stand. */
const OF_BOOK = ['title', 'subtitle', 'penName'] as const;
type OfBook = (typeof OF_BOOK)[number];

const isOfBook = (field: string): field is OfBook => (OF_BOOK as readonly string[]).includes(field);

/** The words of a field of the book or of its composition, and whether they have lines; null for one that is not typed. */
export function fieldIn(recipe: Recipe, field: string): { text: string; lines: boolean } | null {
  if (isOfBook(field)) return { text: recipe[field], lines: false };
  const asked = fieldsOf(compositionOf(recipe.cover).fields).find(({ key }) => key === field);
  return asked?.control === 'text'
    ? { text: recipe.cover.fields[field] ?? '', lines: asked.rows !== undefined }
    : null;
}

export const withField = (recipe: Recipe, field: string, text: string): Recipe =>
  isOfBook(field)
    ? { ...recipe, [field]: text }
    : { ...recipe, cover: { ...recipe.cover, fields: { ...recipe.cover.fields, [field]: text } } };
