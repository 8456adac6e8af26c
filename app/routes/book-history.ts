import * as v from 'valibot';
import { listRevisions, revisionOf } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book-history.ts';

const Revision = v.pipe(v.string(), v.regex(/^\d{1,9}$/), v.transform(Number));

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = idFrom(params.book);
  const asked = new URL(request.url).searchParams.get('revision');
  if (asked === null) return Response.json({ revisions: await listRevisions(workspaceId, book) });
  const read = v.safeParse(Revision, asked);
  const recipe = read.success ? await revisionOf(workspaceId, book, read.output) : null;
  if (!recipe) throw notFound();
  return Response.json({ recipe });
}
