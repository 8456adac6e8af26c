import { listSubmissions } from '#server/submissions.ts';
import { idFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book-review.ts';

/** How the submissions of a book stand, and nothing else: asked for again and again while it is in review. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const submissions = await listSubmissions(workspaceId, idFrom(params.book));
  return Response.json(submissions.map(({ id, state }) => ({ id, state })));
}
