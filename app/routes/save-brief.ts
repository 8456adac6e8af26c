import { BriefSchema } from '#core/niche/index.ts';
import { saveBrief } from '#server/niches/briefs.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-brief.ts';

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const brief = await jsonFrom(request, BriefSchema);
  if (!(await saveBrief(workspaceId, idFrom(params.brief), brief))) throw notFound();
  return Response.json({ saved: true });
}
