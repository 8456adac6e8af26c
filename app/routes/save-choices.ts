import { ChoicesSchema } from '#core/niche/index.ts';
import { saveChoices } from '#server/niches/choices.ts';
import { recalculateAll } from '#server/niches/looks.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-choices.ts';

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  await saveChoices(workspaceId, await jsonFrom(request, ChoicesSchema));
  await recalculateAll(workspaceId);
  return Response.json({ saved: true });
}
