import * as v from 'valibot';
import { NicheNotesSchema } from '#core/niche/index.ts';
import { saveNotes } from '#server/niches/niches.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-niche-notes.ts';

/** What the page had, and what it has now. */
const Change = v.object({ from: NicheNotesSchema, to: NicheNotesSchema });

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { from, to } = await jsonFrom(request, Change);
  const answer = await saveNotes(workspaceId, idFrom(params.niche), to, from);
  if (!answer) throw notFound();
  return answer.saved ? Response.json({ saved: true }) : Response.json(answer.now, { status: 409 });
}
