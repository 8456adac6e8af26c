import * as v from 'valibot';
import { listRevisions, revisionOf } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book-history.ts';

const WholeNumber = v.pipe(v.string(), v.regex(/^\d{1,9}$/), v.transform(Number));
const Asked = v.object({ revision: v.optional(WholeNumber), before: v.optional(WholeNumber) });

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = idFrom(params.book);
  const asked = v.safeParse(Asked, Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw notFound();
  const { revision, before } = asked.output;
  if (revision === undefined) return Response.json(await listRevisions(workspaceId, book, before));
  const recipe = await revisionOf(workspaceId, book, revision);
  if (!recipe) throw notFound();
  return Response.json({ recipe });
}
