import { jsonSchemaOf } from '../json-schema.ts';
import { recipeSchema } from './recipe.ts';

/** The recipe format as JSON Schema (draft 2020-12's ancestor draft-07), for people who write recipes elsewhere. */
export function recipeJsonSchema(): Record<string, unknown> {
  return {
    title: 'Restless Quill recipe',
    description: 'A book as a recipe; see docs/recipe.md.',
    ...jsonSchemaOf(recipeSchema()),
  };
}
