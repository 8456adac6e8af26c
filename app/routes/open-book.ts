import { openBookFile } from '#server/book-file.ts';
import { StoreTrouble } from '#server/store/index.ts';
import { requireVisitor, streamFrom } from '../visitor.server.ts';
import type { Route } from './+types/open-book.ts';

/** Opens a book from a file, which is the body as it is: a recipe, or the ZIP of a book. */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  try {
    const opened = await openBookFile(workspaceId, streamFrom(request));
    return Response.json(opened, { status: 'problems' in opened ? 422 : 200 });
  } catch (error) {
    if (error instanceof StoreTrouble) return Response.json({ problems: [error.message] }, { status: 503 });
    throw error;
  }
}
