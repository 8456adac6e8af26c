import { rivalsJson } from '#server/niches/rivals.ts';
import { idFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-rivals-json.ts';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return new Response(await rivalsJson(workspaceId, idFrom(params.niche)), {
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });
}
