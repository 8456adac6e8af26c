import { openStored } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/stored-recipe.ts';

/** The recipe as it is stored, readable or not. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const found = await openStored(workspaceId, idFrom(params.book));
  if (!found) throw notFound();
  const recipe = 'opened' in found ? found.opened.recipe : found.unreadable.stored;
  return new Response(`${JSON.stringify(recipe, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': 'attachment; filename="recipe.json"',
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-store',
    },
  });
}
