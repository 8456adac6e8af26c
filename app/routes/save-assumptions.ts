import { AssumptionsSchema } from '#core/niche/index.ts';
import { saveAssumptions } from '#server/niches/assumptions.ts';
import { recalculateAll } from '#server/niches/looks.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-assumptions.ts';

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  await saveAssumptions(workspaceId, await jsonFrom(request, AssumptionsSchema));
  await recalculateAll(workspaceId);
  return Response.json({ saved: true });
}
