import * as v from 'valibot';
import { keepWordBank, listWordBanks } from '#server/shelf.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/word-banks.ts';

const Body = v.object({
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(100)),
  words: v.pipe(v.array(v.pipe(v.string(), v.maxLength(60))), v.minLength(1), v.maxLength(20_000)),
});

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return Response.json({ banks: await listWordBanks(workspaceId) });
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { name, words } = await jsonFrom(request, Body);
  return Response.json({ id: await keepWordBank(workspaceId, name, words) });
}
