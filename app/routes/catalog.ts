import { listBooks } from '#server/books.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/catalog.ts';

/** Letters that are looked for; no title has more that tell it apart. */
const MOST_LETTERS = 100;

/** The workspace's books with what draws their fronts, by words of their names, to be shown in another book. */
export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const search = (new URL(request.url).searchParams.get('words') ?? '').slice(0, MOST_LETTERS);
  const { books } = await listBooks(workspaceId, { search });
  return Response.json({
    books: books.flatMap(({ id, summary }) => (summary ? [{ id, front: summary.front }] : [])),
  });
}
