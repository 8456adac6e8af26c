import { openBook } from '#server/books.ts';
import { firstPages, firstPagesState } from '#server/jobs/first-pages.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/first-pages.ts';

/**
 * The first pages of a book on one picture, or what is known of them for the worker that draws them. The address names the state of
 * the book, so a browser may keep it.
 */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = await openBook(workspaceId, idFrom(params.book));
  if (!book) throw notFound();
  const { pathname, searchParams } = new URL(request.url);
  const state = await firstPagesState(workspaceId, book.recipe);
  const asIsNow = searchParams.get('of') === state.of;
  const known = pathname.endsWith('.json');
  // A worker takes what it is told for its own book; a picture is only seen until there is a drawing.
  if (known && !asIsNow) throw notFound();
  const first = await firstPages(workspaceId, book.recipe, state);
  if (!first) throw notFound();
  return new Response(known ? first.known : (first.picture as unknown as BodyInit), {
    headers: {
      'content-type': known ? 'application/json; charset=utf-8' : 'image/png',
      'cache-control': asIsNow ? 'private, max-age=86400' : 'no-store',
      'x-content-type-options': 'nosniff',
    },
  });
}
