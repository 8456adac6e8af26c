import * as v from 'valibot';
import { standingContentSchema, standingNameSchema } from '#core/book/standing-page.ts';
import { identifier } from '#core/schema.ts';
import {
  booksWith,
  changeStandingPage,
  keepStandingPage,
  removeStandingPage,
  renameStandingPage,
} from '#server/standing-pages.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/standing-pages.ts';

const Body = v.variant('intent', [
  v.object({
    intent: v.literal('keep'),
    name: standingNameSchema,
    content: standingContentSchema(),
    /** Of one that was kept before. */
    id: v.optional(identifier),
  }),
  v.object({ intent: v.literal('rename'), id: identifier, name: standingNameSchema }),
  v.object({
    intent: v.literal('change'),
    id: identifier,
    content: standingContentSchema(),
    /** The book that it was changed in. */
    book: identifier,
  }),
  v.object({ intent: v.literal('remove'), id: identifier }),
]);

/** The books that have a standing page in them. */
export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const id = idFrom(new URL(request.url).searchParams.get('id') ?? undefined);
  return Response.json({ books: await booksWith(workspaceId, id) });
}

/** Keeps a page for all books, changes it in all of them, renames it, or keeps it no longer. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const asked = await jsonFrom(request, Body);
  if (asked.intent === 'keep')
    return Response.json(await keepStandingPage(workspaceId, asked.name, asked.content, asked.id));
  if (asked.intent === 'rename')
    return Response.json({ refused: await renameStandingPage(workspaceId, asked.id, asked.name) });
  if (asked.intent === 'remove') {
    await removeStandingPage(workspaceId, asked.id);
    return Response.json({ removed: true });
  }
  const done = await changeStandingPage(workspaceId, asked.id, asked.content, asked.book);
  if (!done) throw notFound();
  return Response.json(done);
}
