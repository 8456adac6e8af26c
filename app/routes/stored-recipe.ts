import { downloadName } from '#core/export/download-name.ts';
import { openStored } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/stored-recipe.ts';

/** The recipe as it is stored, readable or not. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const found = await openStored(workspaceId, idFrom(params.book));
  if (!found) throw notFound();
  const [title, recipe] =
    'opened' in found
      ? [found.opened.recipe.title, found.opened.recipe]
      : [found.unreadable.title, found.unreadable.stored];
  return new Response(`${JSON.stringify(recipe, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${downloadName(title, 'recipe.json')}"`,
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-store',
    },
  });
}
