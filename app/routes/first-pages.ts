import { fingerprint } from '#core/fingerprint.ts';
import { openBook } from '#server/books.ts';
import { firstPages } from '#server/jobs/first-pages.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/first-pages.ts';

/** The first pages of a book on one picture. Its address names the state of the book, so a browser may keep it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = await openBook(workspaceId, idFrom(params.book));
  if (!book) throw notFound();
  const from = fingerprint(book.recipe);
  const picture = await firstPages(workspaceId, book.recipe, from);
  if (!picture) throw notFound();
  const asked = new URL(request.url).searchParams.get('of') === from;
  return new Response(picture as unknown as BodyInit, {
    headers: {
      'content-type': 'image/png',
      'cache-control': asked ? 'private, max-age=86400' : 'no-store',
      'x-content-type-options': 'nosniff',
    },
  });
}
