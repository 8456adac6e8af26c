import { parseRecipe, RECIPE_VERSION, type Recipe } from '#core/book/recipe.ts';
import { newId } from './ids.ts';
import { usualPenName } from './pen-names.ts';

/** A book with nothing in it yet but a title page and whom it belongs to, in the name of the press. */
export async function emptyRecipe(workspaceId: string, workspaceName: string): Promise<Recipe> {
  return parseRecipe({
    quill: RECIPE_VERSION,
    id: newId(),
    seed: newId(),
    title: 'Untitled',
    penName: await usualPenName(workspaceId, workspaceName),
    imprint: workspaceName,
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    sections: [
      { id: 'title', kind: 'title-page' },
      { id: 'owner', kind: 'belongs-to' },
    ],
  });
}
