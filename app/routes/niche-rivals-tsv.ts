import { firstRivalLines, rivalLines } from '#server/niches/rivals.ts';
import { idFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-rivals-tsv.ts';

/** The rivals on the table of a niche, or with `?first` the top of it, as core/niche/rival-rows.ts reads them. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const lines = new URL(request.url).searchParams.has('first') ? firstRivalLines : rivalLines;
  return new Response(await lines(workspaceId, idFrom(params.niche)), {
    headers: {
      'content-type': 'text/tab-separated-values; charset=utf-8',
      // Not compressed: of a hundred thousand rivals that takes longer than all the rest.
      'cache-control': 'no-store, no-transform',
    },
  });
}
