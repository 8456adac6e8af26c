import { ServiceRefusal, ServiceTrouble } from '#server/services/printing-service.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/market-picture.ts';

const HEADERS = { 'cache-control': 'private, max-age=86400', 'x-content-type-options': 'nosniff' };
/** A book the shop no longer has still stands in the table: its cover is a blank one. */
const NO_COVER =
  '<svg xmlns="http://www.w3.org/2000/svg" width="160" height="240"><rect width="160" height="240" fill="#f4efe4"/></svg>';

/** A cover, or one of the first pages, of a book of the marketplace: fetched by the server, since pages load nothing from elsewhere. */
export async function loader({ request, params }: Route.LoaderArgs) {
  await requireVisitor(request);
  const id = idFrom(params.id);
  const page = params.page === undefined ? null : Number(params.page);
  if (page !== null && !(Number.isInteger(page) && page >= 1 && page <= 100)) throw notFound();
  try {
    const bytes = page === null ? await wrenfair.cover(id) : await wrenfair.page(id, page);
    if (!bytes && page === null)
      return new Response(NO_COVER, { headers: { ...HEADERS, 'content-type': 'image/svg+xml' } });
    if (!bytes) throw notFound();
    return new Response(bytes as unknown as BodyInit, {
      headers: { ...HEADERS, 'content-type': 'image/png' },
    });
  } catch (error) {
    if (error instanceof ServiceTrouble || error instanceof ServiceRefusal)
      return new Response('The shop does not answer.', { status: 503 });
    throw error;
  }
}
