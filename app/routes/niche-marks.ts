import * as v from 'valibot';
import { recalculateSoon } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { dropOwnRivals, markRivals } from '#server/niches/rivals.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-marks.ts';

const MOST = 200_000;
const Body = v.object({
  ids: v.pipe(v.array(v.pipe(v.string(), v.regex(/^[\w-]{1,64}$/))), v.maxLength(MOST)),
  marks: v.optional(
    v.strictObject({
      hidden: v.optional(v.boolean()),
      notComparable: v.optional(v.boolean()),
      watched: v.optional(v.boolean()),
    }),
    {},
  ),
  /** Takes own rows out; rows of the marketplace stay. */
  remove: v.optional(v.boolean(), false),
});

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const { ids, marks, remove } = await jsonFrom(request, Body);
  if (remove) await dropOwnRivals(workspaceId, niche.id, ids);
  else await markRivals(workspaceId, niche.id, ids, marks);
  await recalculateSoon(workspaceId, niche.id);
  return Response.json({ marked: ids.length });
}
