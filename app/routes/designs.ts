import * as v from 'valibot';
import { designFileSchema } from '#core/pages/composed/saved.ts';
import { identifier } from '#core/schema.ts';
import { listDesigns, removeDesign, saveDesign } from '#server/designs.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/designs.ts';

const Body = v.variant('intent', [
  v.object({ intent: v.literal('save'), file: designFileSchema }),
  v.object({ intent: v.literal('remove'), id: identifier }),
]);

/** Keeps a design of a page beside the books of the workspace, or takes it away. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const asked = await jsonFrom(request, Body);
  let refused: string | null = null;
  if (asked.intent === 'save') refused = await saveDesign(workspaceId, asked.file);
  else await removeDesign(workspaceId, asked.id);
  return Response.json({ refused, designs: await listDesigns(workspaceId) });
}
