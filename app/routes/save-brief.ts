import * as v from 'valibot';
import { BriefSchema } from '#core/niche/index.ts';
import { saveBrief } from '#server/niches/briefs.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-brief.ts';

/** What the page had, and what it has now. */
const Change = v.object({ from: BriefSchema, to: BriefSchema });

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { from, to } = await jsonFrom(request, Change);
  const answer = await saveBrief(workspaceId, idFrom(params.brief), to, from);
  if (!answer) throw notFound();
  return answer.saved ? Response.json({ saved: true }) : Response.json(answer.now, { status: 409 });
}
