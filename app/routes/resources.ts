import * as v from 'valibot';
import { ResourceTrouble, resourceType, rightsEntries, typeIdSchema } from '#core/resources/index.ts';
import { keepUpload } from '#server/resources/resources.ts';
import { StoreTrouble } from '#server/store/index.ts';
import { requireVisitor, streamFrom } from '../visitor.server.ts';
import type { Route } from './+types/resources.ts';

const Asked = v.object({
  type: typeIdSchema,
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(100)),
  ...rightsEntries,
});

/** Takes an upload: the content is the body as it is; type, name and rights are in the address. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = v.safeParse(Asked, Object.fromEntries(new URL(request.url).searchParams));
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  const { type, name, ...rights } = read.output;
  try {
    return Response.json({
      kept: await keepUpload(workspaceId, { type, name, rights }, streamFrom(request)),
    });
  } catch (error) {
    if (error instanceof ResourceTrouble) {
      const problem = `${resourceType(type).name} “${name}” ${error.message}`;
      return Response.json({ problem }, { status: 422 });
    }
    if (error instanceof StoreTrouble) return Response.json({ problem: error.message }, { status: 503 });
    throw error;
  }
}
