import { rivalLines } from '#server/niches/rivals.ts';
import { idFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-rivals-tsv.ts';

/** The rivals on the table of a niche, as core/niche/rival-rows.ts reads them. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return new Response(await rivalLines(workspaceId, idFrom(params.niche)), {
    headers: {
      'content-type': 'text/tab-separated-values; charset=utf-8',
      // Not compressed: of a hundred thousand rivals that takes longer than all the rest.
      'cache-control': 'no-store, no-transform',
    },
  });
}
