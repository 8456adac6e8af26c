import { ServiceRefusal, TransientServiceError } from '#server/services/printing-service.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/market-picture.ts';

const A_DAY = 'private, max-age=86400';
/** Stands for the cover of a book the shop no longer has, and for pictures while the shop does not answer. */
const BLANK =
  '<svg xmlns="http://www.w3.org/2000/svg" width="160" height="240"><rect width="160" height="240" fill="#f4efe4"/></svg>';

const picture = (body: BodyInit, type: string, kept: string) =>
  new Response(body, {
    headers: { 'content-type': type, 'cache-control': kept, 'x-content-type-options': 'nosniff' },
  });

/** A cover, or one of the first pages, of a book of the marketplace: fetched by the server, since pages load nothing from elsewhere. */
export async function loader({ request, params }: Route.LoaderArgs) {
  await requireVisitor(request);
  const id = idFrom(params.id);
  const page = params.page === undefined ? null : Number(params.page);
  if (page !== null && !(Number.isInteger(page) && page >= 1 && page <= 100)) throw notFound();
  try {
    const bytes = page === null ? await wrenfair.cover(id) : await wrenfair.page(id, page);
    if (!bytes && page === null) return picture(BLANK, 'image/svg+xml', A_DAY);
    if (!bytes) throw notFound();
    return picture(bytes as unknown as BodyInit, 'image/png', A_DAY);
  } catch (error) {
    if (error instanceof TransientServiceError || error instanceof ServiceRefusal)
      return picture(BLANK, 'image/svg+xml', 'no-store');
    throw error;
  }
}
