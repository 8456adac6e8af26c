import * as v from 'valibot';
import { saveBook } from '#server/books.ts';
import { idFrom, jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-book.ts';

const Body = v.object({ from: v.pipe(v.number(), v.integer(), v.minValue(1)), recipe: v.unknown() });

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { from, recipe } = await jsonFrom(request, Body);
  return Response.json(await saveBook(workspaceId, idFrom(params.book), from, recipe));
}
