import * as v from 'valibot';
import { addPenName, listPenNames } from '#server/pen-names.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/pen-names.ts';

const Body = v.object({ name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(100)) });

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  await addPenName(workspaceId, (await jsonFrom(request, Body)).name);
  return Response.json({ names: await listPenNames(workspaceId) });
}
