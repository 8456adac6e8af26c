import { findWork } from '#server/find.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/find.ts';

/** Books and niches by words of their names, for the command palette. */
export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const words = (new URL(request.url).searchParams.get('words') ?? '').slice(0, 100);
  return Response.json(await findWork(workspaceId, words));
}
