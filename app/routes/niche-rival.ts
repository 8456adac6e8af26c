import { linesOf } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { ServiceRefusal, TransientServiceError } from '#server/services/printing-service.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-rival.ts';

/** How a rival moved from look to look, and how many of its pages the shop shows (null when it does not say). */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const id = idFrom(params.rival);
  const [line, pagesShown] = await Promise.all([
    linesOf(workspaceId, niche.id, [id]),
    // The line is worth showing without the shop's word too.
    wrenfair.pagesShown(id).catch((error: unknown) => {
      if (error instanceof TransientServiceError || error instanceof ServiceRefusal) return null;
      throw error;
    }),
  ]);
  return Response.json({ pagesShown, line: line.map(({ day, rank, price }) => ({ day, rank, price })) });
}
